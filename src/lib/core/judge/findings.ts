import { wearableThings } from '../cloth/things';
import { type Finding, type FindingCode, SEVERITIES } from '../document/finding';
import { reason } from '../document/reasons';
import { type FindingRule, type StageFacts, wholeDay } from './finding';
import { GARMENT_RULES } from './garment-findings';
import { KIT_RULES } from './kit-findings';
import { VERDICT_RULES } from './verdict-findings';

const searchCut: FindingRule = (facts) =>
	facts.cut
		? [
				{
					code: 'search-cut',
					severity: 'note',
					...wholeDay(facts),
					part: 'body',
					thingIds: [],
					values: {},
					reasons: [reason('searchCut')]
				}
			]
		: [];

/** Rules over one stage and weather. Adding a finding is adding a row, its words, and a test. */
const FINDING_RULES: Readonly<Record<string, FindingRule>> = {
	...VERDICT_RULES,
	...KIT_RULES,
	...GARMENT_RULES,
	searchCut
};

/** All findings of one stage and weather, worst first. */
export function findingsOf(given: Omit<StageFacts, 'kit'>): Finding[] {
	const facts: StageFacts = { ...given, kit: wearableThings(given.client) };
	return gathered(Object.values(FINDING_RULES).flatMap((rule) => rule(facts)));
}

/** Shortages are told by the phase in which they are: the same climb on another day is the same thing to solve. */
const BY_PHASE: ReadonlySet<FindingCode> = new Set([
	'short',
	'short-hands',
	'short-feet',
	'short-sleep',
	'nothing-suffices'
]);
/** Values that say what something is about, and not how much of it there is. */
const CAUSES = ['about', 'gear', 'kind', 'school', 'choice', 'dry', 'off'] as const;

/** What findings have in common that are one thing to say: the rule, the things and the cause. */
const causeOf = ({ code, severity, part, thingIds, values, phases }: Finding): string =>
	JSON.stringify([
		code,
		severity,
		part,
		thingIds,
		CAUSES.map((name) => values[name] ?? ''),
		BY_PHASE.has(code) ? (phases[0]?.name ?? '') : ''
	]);

/** One sentence for one cause: findings of the same rule, things and cause, with all phases and stages. Worst first. */
export function gathered(findings: readonly Finding[]): Finding[] {
	const byCause = new Map<string, Finding>();
	for (const finding of worstFirst(findings)) {
		const key = causeOf(finding);
		const before = byCause.get(key);
		byCause.set(key, before ? together(before, finding) : finding);
	}
	return [...byCause.values()];
}

/** Two findings of one cause as one; the figures stay those of the first. */
function together(first: Finding, more: Finding): Finding {
	const phases = [...first.phases];
	for (const phase of more.phases) {
		const same = phases.findIndex(({ id, stageId }) => id === phase.id && stageId === phase.stageId);
		if (same < 0) phases.push(phase);
		else
			phases[same] = {
				...phases[same]!,
				rounds: [...new Set([...phases[same]!.rounds, ...phase.rounds])].sort((a, b) => a - b)
			};
	}
	const others = new Set([...(first.alsoOn ?? []), more.stageId, ...(more.alsoOn ?? [])]);
	const alsoOn = [...others].filter((id) => id !== null && id !== first.stageId) as string[];
	return { ...first, phases, ...(alsoOn.length > 0 ? { alsoOn } : {}) };
}

export const worstFirst = (findings: readonly Finding[]): Finding[] =>
	[...findings].sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));
