import { wearableThings } from '../cloth/things';
import { type Finding, SEVERITIES } from '../document/finding';
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
	return worstFirst(Object.values(FINDING_RULES).flatMap((rule) => rule(facts)));
}

export const worstFirst = (findings: readonly Finding[]): Finding[] =>
	[...findings].sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));
