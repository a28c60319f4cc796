import type { PhaseVerdict } from '../core/judge/phase-verdict';
import Ajv2019 from 'ajv/dist/2019';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { documentJsonSchema, SCHEMA_FILE } from '../../../scripts/lib/document-json-schema';
import { kitOf, PLANNED, stageOf } from '../../../tests/fixtures/make';
import { reason } from '../core/document/reasons';
import { planStage } from '../core/plan/planner';
import {
	clock,
	coverageWords,
	dayOfWeek,
	degrees,
	duration,
	longDate,
	shortDate,
	shortName,
	signed,
	verdictSentence,
	verdictTag
} from '../words/labels';
import { METRIC } from '../words/units';
import { check } from './check';
import { DEMO_DOCUMENT } from './demo';
import { planAnswer } from './answers/plan-answer';
import { clientEditSchema } from './schema/client';
import { documentSchema } from './schema/document';
import { demandSchema, planRequestSchema } from './schema/plan';
import { tripEditSchema } from './schema/trip';

/** The demo with one value set, by path; undefined takes it out. */
function changed(path: string, value: unknown): unknown {
	const copy = structuredClone(DEMO_DOCUMENT) as unknown as Record<string, unknown>;
	const keys = path.split('.');
	const last = keys.pop()!;
	const parent = keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, copy);
	if (value === undefined) delete parent[last];
	else parent[last] = value;
	return copy;
}

describe('the published JSON Schema', () => {
	const schema = documentJsonSchema();
	const validate = new Ajv2019({ strict: false, validateFormats: false }).compile(schema);

	it('is the one that the rules give (npm run schema writes it anew)', () => {
		expect(JSON.parse(readFileSync(SCHEMA_FILE, 'utf8'))).toEqual(JSON.parse(JSON.stringify(schema)));
	});
	it('takes the demo', () => {
		validate(DEMO_DOCUMENT);
		expect(validate.errors).toBeNull();
	});

	/** What the server refuses, the schema refuses, and the other way round. */
	it.each<[path: string, value: unknown, good: boolean]>([
		['format', 'something-else', false],
		['formatVersion', 3, false],
		['trip', undefined, false],
		['trip.name', '', false],
		['trip.stages.0.base.airTempC', -80, false],
		['trip.stages.0.base.airTempC', 'cold', false],
		['trip.stages.0.base.humidityPct', undefined, true],
		['trip.stages.0.date', '23.1.2027', false],
		['trip.stages.0.sequence.0.minutes', 0, false],
		['trip.stages.0.sequence.0.minutes', 12.5, false],
		['trip.stages.0.sequence.0.kind', 'swim', false],
		['trip.stages.0.sequence.0.typed', { airTempC: -9 }, true],
		['trip.stages.0.sequence.0.marks', ['tired'], false],
		[
			'trip.stages.0.sequence.0',
			{ type: 'loop', id: 'l', name: 'Loop', count: 3, sequence: DEMO_DOCUMENT.trip.stages[1]!.sequence },
			true
		],
		['trip.stages.0.sequence.0', { type: 'loop', id: 'l', name: 'Loop', count: 0, sequence: [] }, false],
		['clients.0.things.0.quantity.state', 'perhaps', false],
		['clients.0.things.0.facts', { massG: { value: 300, source: 'measured', state: 'has' } }, true],
		['clients.0.things.0.facts', { massG: 300 }, false],
		['clients.0.things.0.facts', { colour: { value: 'red', source: 'client', state: 'has' } }, false],
		['clients.0.offsetClo', { value: 2, source: 'client', state: 'has' }, false],
		['clients.0.nickname', 'R', false]
	])('and the rules agree on %s = %j: %s', (path, value, good) => {
		const document = changed(path, value);
		expect(check(documentSchema, document).errors === null).toBe(good);
		expect(validate(document)).toBe(good);
	});
});

describe('check', () => {
	it('names field, value and range, and all errors at once', () => {
		const { errors } = check(demandSchema, {
			airTempC: -99,
			airVelocityMs: 1,
			wind10mKmh: 'x',
			humidityPct: 70
		});
		expect(errors).toEqual([
			expect.objectContaining({ field: 'airTempC', value: -99, allowed: '-60 to 50' }),
			expect.objectContaining({ field: 'wind10mKmh', value: 'x', allowed: '0 to 250' }),
			expect.objectContaining({ field: 'metabolicWm2', value: null, allowed: 'must be given' })
		]);
	});
	it('knows the range of a figure deep inside loops and lists', () => {
		const inLoop = changed('trip.stages.0.sequence.0', {
			type: 'loop',
			id: 'l',
			name: 'Loop',
			count: 99,
			sequence: [{ ...DEMO_DOCUMENT.trip.stages[0]!.sequence[0]!, minutes: 5000 }]
		});
		expect(check(documentSchema, inLoop).errors!.map(({ field, allowed }) => [field, allowed])).toEqual([
			['trip.stages.0.sequence.0.count', '1 to 30'],
			['trip.stages.0.sequence.0.sequence.0.minutes', '1 to 1440']
		]);
		expect(check(documentSchema, changed('trip.stages.1.base.airTempC', 70)).errors![0]).toMatchObject({
			allowed: '-60 to 50',
			value: 70
		});
		expect(check(documentSchema, changed('trip.stages.1.date', 'tomorrow')).errors![0]!.allowed).toContain(
			'2027-01-23'
		);
	});
	it.each([
		['trip.stages.0.base.airTempC', 95, 'must be a number from −60 to 50'],
		['trip.stages.0.sequence.0.minutes', 1.5, 'must be a whole number from 1 to 1440'],
		['trip.stages.0.sequence.0.minutes', null, 'must be a number from 1 to 1440'],
		['trip.name', '', 'must not be empty'],
		['trip.name', undefined, 'must be given'],
		['trip.name', 'x'.repeat(200), 'must have at most 120 characters'],
		['trip.stages.0.sequence.0.kind', 'swim', 'must be one of: move, stop, ride, indoors, sleep, what-if'],
		['trip.stages.0.date', '1.2.27', 'must be a date such as 2027-01-23'],
		['trip.colour', 'red', 'is not a known field']
	])('says at %s = %j: %s', (path, value, message) => {
		expect(check(documentSchema, changed(path, value)).errors![0]!.message).toBe(message);
	});
	it('refuses a day without end', () => {
		const lap = {
			type: 'loop',
			id: 'l',
			name: 'Loop',
			count: 30,
			sequence: DEMO_DOCUMENT.trip.stages[0]!.sequence
		};
		expect(check(documentSchema, changed('trip.stages.0.sequence', [lap])).errors![0]!.message).toContain(
			'at most 120 phases'
		);
	});
	it('fills in what may be left out', () => {
		const { value } = check<typeof DEMO_DOCUMENT>(
			planRequestSchema,
			changed('trip.stages.0.base.humidityPct', undefined)
		);
		expect(value!.trip.stages[0]!.base.humidityPct).toBe(70);
	});
	it.each([
		[tripEditSchema, { name: 'T', place: '', weathers: [PLANNED], stages: [] }, 'version'],
		[tripEditSchema, { name: 'T', place: '', weathers: [], stages: [], version: 1 }, 'weathers'],
		[
			tripEditSchema,
			{ name: 'T', place: '', weathers: [PLANNED], stages: [stageOf([]), stageOf([])], version: 1 },
			'stages.1'
		],
		[clientEditSchema, { name: '  ', version: 1 }, 'name'],
		[planRequestSchema, changed('clients.0.things.0.typeId', 'cape'), 'clients.0.things.0.typeId']
	])('refuses, case %#', (schema, input, field) => {
		expect(check(schema as typeof tripEditSchema, input).errors!.map((error) => error.field)).toContain(
			field
		);
	});
});

describe('words', () => {
	it.each([
		[signed(-3.04, 1), '−3.0'],
		[signed(-0.2), '0'],
		[degrees(-12.4), '−12°'],
		[clock(1500), '01:00'],
		[clock(450), '07:30'],
		[duration(45), '45 min'],
		[duration(540), '9 h'],
		[duration(150), '2 h 30 min'],
		[longDate('2027-01-23', METRIC), 'Sat 23 Jan 2027'],
		[longDate('2027-01-23', { date: 'md' }), 'Sat Jan 23, 2027'],
		[shortDate('2027-01-23', { date: 'md' }), 'Sat Jan 23'],
		[dayOfWeek('2027-01-23'), 'Sat 23'],
		[longDate('soon', METRIC), 'soon'],
		[shortName('Hard shell, jacket, taped'), 'Hard shell']
	])('%s', (own, expected) => expect(own).toBe(expected));

	const phase = {
		cell: { minutes: 18, heated: false, kind: 'stop' },
		holdsMinutes: 9,
		limitedBy: 'body',
		reasons: []
	} as unknown as PhaseVerdict;
	it.each([
		[{ verdict: 'right' }, 'Right for these minutes.', 'right'],
		[{ verdict: 'cool' }, 'Runa stays warm enough, but feels cold.', 'cool'],
		[{ verdict: 'cool', limitedBy: 'hands' }, 'Runa stays warm enough, but the fingers get cold.', 'cool'],
		[{ verdict: 'short' }, 'Runa stays warm for 9 of 18 min (the whole body).', 'short: 9 of 18 min'],
		[
			{ verdict: 'short', holdsMinutes: 0 },
			'Runa is cold already when it begins (the whole body).',
			'short: cold already'
		],
		[{ verdict: 'short', limitedBy: 'sleep' }, 'The night is too cold for the bag.', 'short'],
		[{ verdict: 'wet through', limitedBy: 'legs' }, 'Runa gets soaked on the legs.', 'wet through'],
		[{ verdict: 'warm' }, 'Runa gets too warm: open up, or take a layer off.', 'warm'],
		[
			{ verdict: 'warm before a stop' },
			'Runa gets too warm, and a stop follows: open up, or take a layer off first.',
			'warm before a stop'
		],
		[
			{ verdict: 'nothing suffices' },
			'No clothing keeps Runa warm for 18 min here: shorten, shelter, heat, or do not go.',
			'nothing suffices'
		],
		[
			{ verdict: 'not judged yet', reasons: [reason('notAsked')] },
			'Nobody has asked Runa yet, so this is not judged.',
			'not judged yet'
		]
	] as [Partial<PhaseVerdict>, string, string][])('%j', (change, sentence, tag) => {
		expect(verdictSentence({ ...phase, ...change }, 'Runa')).toBe(sentence);
		expect(verdictTag({ ...phase, ...change })).toBe(tag);
	});
	it.each([
		['covered', true, 'Coat over Fleece over Top'],
		['covered', false, 'Coat +2'],
		['assumed', false, 'assumed: Coat +2'],
		['not asked', false, 'not asked'],
		['not needed', false, 'not needed']
	] as const)('a ladder cell that is %s (full: %s): %s', (state, full, words) => {
		expect(
			coverageWords(
				{ row: 'torso', state, thingIds: [], trouble: null, reasons: [] },
				['Top', 'Fleece', 'Coat'],
				full
			)
		).toBe(words);
	});
	it('never call anything safe', () => {
		const texts = JSON.stringify(
			planAnswer(
				DEMO_DOCUMENT.clients[1]!,
				DEMO_DOCUMENT.trip.stages.map((stage) => planStage(stage, PLANNED, DEMO_DOCUMENT.clients[1]!)),
				DEMO_DOCUMENT.trip
			)
		);
		expect(texts).not.toMatch(/\bsafe\b/i);
	});
});

describe('planAnswer', () => {
	it('has the published fields for every weather and phase', () => {
		const answer = planAnswer(
			kitOf([]),
			[planStage(stageOf([['stop', 20, 80, 'slope']]), PLANNED, kitOf(['fleece', 'trousers-trek']))],
			{ stages: [stageOf([['stop', 20, 80, 'slope']])], site: null }
		);
		expect(Object.keys(answer.phases[0]!).sort()).toEqual(
			[
				'band',
				'carried',
				'cautions',
				'conditions',
				'debtWhm2',
				'holdsMinutes',
				'indicative',
				'foul',
				'tooWarmAboveClo',
				'limitedBy',
				'limits',
				'pack',
				'peakDebtWhm2',
				'phaseId',
				'resultantClo',
				'round',
				'stageId',
				'verdict',
				'weather',
				'wet',
				'wetness',
				'worn'
			].sort()
		);
		expect(answer.stages[0]).toMatchObject({ weather: 'planned', stageId: 'stage', proven: true });
	});
});
