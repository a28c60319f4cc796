import { GARMENTS } from '../../src/lib/words/en/garments';
import { PATTERN_NAMES, PHASE_NAMES } from '../../src/lib/words/en/patterns';
import { RULE_WORDS } from '../../src/lib/words/en/rules';
import { SCHOOL_WHYS } from '../../src/lib/words/en/school-whys';
import { SCHOOL_WORDS } from '../../src/lib/words/en/schools';
import { VALUE_LABELS } from '../../src/lib/words/en/values';
import { branchesOf, EVERY_MESSAGE } from '../../src/lib/words/branches';
import { ruleWords } from '../../src/lib/words/reasons';
import { METRIC } from '../../src/lib/words/units';
import type { RuleId } from '../../src/lib/core/document/reasons';

const section = (title: string, lines: readonly string[]): string => [`# ${title}`, ...lines, ''].join('\n');

/** Every message in every branch, and all other words that the app has, by kind. */
export function printedWords(): string {
	return [
		section(
			'Messages',
			Object.entries(EVERY_MESSAGE).flatMap(([id, text]) =>
				branchesOf(text).map((branch) => `${id}: ${branch}`)
			)
		),
		section(
			'Rules',
			(Object.keys(RULE_WORDS) as RuleId[]).map((id) => {
				const { says, source } = ruleWords(id, METRIC);
				return `${id}: ${says} [${source}]`;
			})
		),
		section(
			'Schools',
			Object.entries(SCHOOL_WORDS).map(
				([id, { question, choices }]) =>
					`${question}: ${Object.values(choices).join(' / ')}. ${SCHOOL_WHYS[id as keyof typeof SCHOOL_WORDS].why}`
			)
		),
		section('Labels of values', Object.values(VALUE_LABELS)),
		section(
			'Garments',
			Object.values(GARMENTS).map(({ name, find }) => (find ? `${name} (${find})` : name))
		),
		section('Patterns', Object.values(PATTERN_NAMES)),
		section('Phases', Object.values(PHASE_NAMES))
	].join('\n');
}
