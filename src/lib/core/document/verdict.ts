import type { Row } from './parts';

/** Verdicts of a phase, worst first. */
export const VERDICTS = [
	'nothing suffices',
	'wet through',
	'short',
	'warm before a stop',
	'warm',
	'cool',
	'right',
	'not judged yet'
] as const;
export type Verdict = (typeof VERDICTS)[number];

/** What a verdict rests on: the body as a whole, or a row of the ladder. */
export type LimitedBy = 'body' | Row;
