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

/** Whether a phase with a verdict fails: too cold for its minutes, or soaked. */
export const isFailing = (verdict: Verdict): boolean =>
	verdict === 'nothing suffices' || verdict === 'wet through' || verdict === 'short';

/** What a verdict rests on: the body as a whole, or a row of the ladder. */
export type LimitedBy = 'body' | Row;
