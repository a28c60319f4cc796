import { describe, expect, it } from 'vitest';
import { FINDING_CODES, type Finding } from '../core/document/finding';
import { RULES, type RuleId, VALUE_NAMES } from '../core/document/reasons';
import { SCHOOL_IDS, choicesOf } from '../core/document/schools';
import { VERDICTS } from '../core/document/verdict';
import { COUNT_KINDS } from '../core/kit/counting';
import { PATTERNS } from '../core/patterns';
import type { PatternItem } from '../core/patterns/pattern';
import { CAUTION_RULES } from '../core/rules/cautions';
import { branchesOf, EVERY_MESSAGE } from './branches';
import { CAUTION_MESSAGES } from './en/caution-messages';
import { MESSAGES } from './en/messages';
import { PATTERN_NAMES, PHASE_NAMES } from './en/patterns';
import { RULE_WORDS } from './en/rules';
import { SCHOOL_WHYS } from './en/school-whys';
import { SCHOOL_WORDS } from './en/schools';
import { VALUE_LABELS } from './en/values';
import { findingSentence, whereWords } from './findings';
import { hasMessage } from './message';
import { reasonValueWords, ruleWords } from './reasons';
import { METRIC, type Units } from './units';

const US: Units = { temp: 'F', height: 'ft', speed: 'mph', mass: 'lb', date: 'md' };
/** Sentences of one text; "o’clock" and the like hold no full stop. */
const sentencesOf = (text: string): string[] => text.split(/(?<=[.?!:;])\s+/).filter(Boolean);
const MOST_WORDS = 25;

describe('the catalogue of messages', () => {
	it.each(Object.entries(EVERY_MESSAGE))('%s is plain English in every branch', (id, text) => {
		for (const branch of branchesOf(text)) {
			expect(branch).not.toMatch(/[{}]|undefined|\bsafe\b|\bblame\b/i);
			expect(branch).not.toMatch(/ {2}|\s[.,;]/);
			for (const sentence of sentencesOf(branch))
				expect(sentence.split(/\s+/).length, sentence).toBeLessThanOrEqual(MOST_WORDS);
			if (/^(finding|caution|verdict|client)\./.test(id)) expect(branch).toMatch(/^.+[.?]$/);
		}
	});
	it('has a sentence for every finding, caution, verdict and count, and none for what is not there', () => {
		const ids = new Set(Object.keys({ ...MESSAGES, ...CAUTION_MESSAGES }));
		for (const code of FINDING_CODES) expect(ids).toContain(`finding.${code}`);
		for (const code of Object.keys(CAUTION_RULES))
			for (const id of [`caution.${code}`, `caution.${code}.lead`]) expect(ids).toContain(id);
		for (const kind of COUNT_KINDS) expect(ids).toContain(`count.${kind}`);
		for (const id of ids) {
			const [group, code = ''] = id.split(/\.(.*)/);
			if (group === 'finding') expect(FINDING_CODES).toContain(code);
			if (group === 'caution') expect(Object.keys(CAUTION_RULES)).toContain(code.replace(/\.lead$/, ''));
		}
		expect(VERDICTS.length).toBe(8);
		expect(hasMessage('finding.nothing')).toBe(false);
	});
	it('has words for every rule, value, school, pattern and phase, and for nothing else', () => {
		expect(Object.keys(RULE_WORDS).sort()).toEqual(Object.keys(RULES).sort());
		expect(Object.keys(VALUE_LABELS).sort()).toEqual([...VALUE_NAMES].sort());
		expect(Object.keys(SCHOOL_WORDS).sort()).toEqual([...SCHOOL_IDS].sort());
		expect(Object.keys(SCHOOL_WHYS).sort()).toEqual([...SCHOOL_IDS].sort());
		for (const id of SCHOOL_IDS)
			expect(Object.keys(SCHOOL_WORDS[id].choices).sort()).toEqual([...choicesOf(id)].sort());
		expect(Object.keys(PATTERN_NAMES).sort()).toEqual(PATTERNS.map(({ id }) => id).sort());
		const codes = (items: readonly PatternItem[]): string[] =>
			items.flatMap((item) => ('loop' in item ? [item.loop, ...codes(item.of)] : [item[0]]));
		const used = new Set(
			PATTERNS.flatMap(({ day, foul }) => [...codes(day), ...(foul ? [foul.name, ...codes(foul.day)] : [])])
		);
		for (const code of used) expect(PHASE_NAMES).toHaveProperty([code]);
	});
});

describe('a finding in words', () => {
	const finding: Finding = {
		code: 'short-sleep',
		severity: 'blocker',
		clientId: 'c',
		weather: 'planned',
		stageId: 'two',
		phases: [{ id: 'p', stageId: 'two', name: 'Night', rounds: [1] }],
		part: 'sleep',
		thingIds: ['bag'],
		values: { air: { value: -8, unit: '°C' } },
		reasons: []
	};
	const context = { who: 'Teo', nameOf: () => 'Big bag', dayOf: () => 2 };
	it('is told in the units of the reader, with the day', () => {
		expect(findingSentence(finding, { ...context, units: METRIC })).toBe(
			'Teo’s sleeping bag is too thin for −8 °C in “Night” on day 2.'
		);
		expect(findingSentence(finding, { ...context, units: US })).toContain('too thin for 18 °F in');
	});
	it('tells once where and on how many days the same holds', () => {
		const wet: Finding = {
			...finding,
			code: 'wet-through',
			part: 'torso',
			values: { limit: 'none' },
			phases: [...finding.phases, { id: 'q', stageId: 'two', name: 'Tea', rounds: [1] }]
		};
		expect(findingSentence({ ...wet, alsoOn: ['three', 'four'] }, { ...context, units: METRIC })).toBe(
			'Teo gets soaked to the skin in “Night” on day 2 and in one more phase and on 2 more days: nothing worn there keeps out that much water.'
		);
		expect(
			findingSentence({ ...wet, phases: [], alsoOn: ['three'] }, { ...context, units: METRIC })
		).toContain('It is so on 2 days.');
	});
	it('tells how many there are too few of', () => {
		const few: Finding = {
			...finding,
			code: 'too-few',
			stageId: null,
			phases: [],
			values: { kind: 'socks', needed: '4', has: '2' }
		};
		expect(findingSentence(few, { ...context, units: METRIC })).toBe(
			'The trip asks Teo for 4 pairs of socks, and there are 2.'
		);
	});
	it('keeps figures that somebody typed into a name as they are', () => {
		const rope: Finding = { ...finding, code: 'squeezed', part: 'body', values: {}, thingIds: ['a', 'b'] };
		expect(findingSentence(rope, { ...context, nameOf: () => 'Rope 98 m', units: US })).toContain(
			'rope 98 m'
		);
	});
	it.each([
		[[1], '“Lift”'],
		[[3], '“Lift” in round 3'],
		[[3, 4, 5], '“Lift” from round 3 on'],
		[[1, 2], '“Lift”']
	])('names rounds %j: %s', (rounds, words) => {
		expect(whereWords({ id: 'l', stageId: 'two', name: 'Lift', rounds })).toBe(words);
	});
});

describe('a reason in words', () => {
	it('says limits in the units of the reader, and equations as they are', () => {
		expect(ruleWords('thinAir', US).says).toContain('Above 13123 ft people climb slower');
		expect(ruleWords('lapse', US).source).toContain('3.6 °F per 1000 ft');
		expect(ruleWords('windChill', US).equation).toContain('13.12 + 0.6215·T');
		for (const rule of Object.keys(RULES) as RuleId[])
			expect(ruleWords(rule, US).says.replace('10 m', '')).not.toMatch(/\d (°C|K|m|km\/h)\b(?!²)|[{}]/);
	});
	it.each(Object.keys(RULES) as RuleId[])('says the rule “%s” in sentences of at most 25 words', (rule) => {
		for (const sentence of sentencesOf(ruleWords(rule, METRIC).says))
			expect(sentence.split(/\s+/).length, sentence).toBeLessThanOrEqual(MOST_WORDS);
	});
	it('names what a value is about', () => {
		expect(reasonValueWords({ name: 'weatherOffset', value: -6, unit: 'K', of: 'Cold snap' }, US)).toEqual({
			label: 'Cold snap against the stage',
			figure: '−10.8 °F'
		});
		expect(reasonValueWords({ name: 'forecastLow', value: 3, unit: '°C', of: 2000 }, US)).toEqual({
			label: 'forecast low at 6562 ft',
			figure: '37.4 °F'
		});
		expect(reasonValueWords({ name: 'lowIs', value: 'usual', of: 'the valley in May' }, METRIC)).toEqual({
			label: 'low is',
			figure: 'the usual: the valley in May'
		});
		expect(
			reasonValueWords({ name: 'freezesWithin', value: 5, to: 10, unit: 'min', of: 'Top' }, METRIC).figure
		).toBe('5–10 min');
	});
});
