import { describe, expect, it } from 'vitest';
import { stageOf } from '../../../../tests/fixtures/make';
import type { Stage } from '../document/types';
import { copyName } from '../../words/days';
import { phasesIn } from '../document/sequence';
import { highTrek } from './days/high-trek';
import { skiTour } from './days/ski-tour';
import {
	copyOfStage,
	daysBetween,
	daysLater,
	inOrder,
	nextStage,
	patternFrom,
	sameFollowing,
	shifted,
	untyped,
	withBedsCarried,
	withKnown,
	withPattern
} from './edit-days';
import { unfold } from './pattern';

let made = 0;
const newId = (): string => `n-${++made}`;
const first = stageOf(
	[['move', 60, 200, 'slope']],
	{ airTempC: -7 },
	{ route: { startM: 900, highM: 1800, lowM: 1000, bedM: 1200 } }
);

/** What the day has where nothing was typed. */
const fresh = untyped(first, null);

describe('dates', () => {
	it.each([
		['2027-02-28', 1, '2027-03-01'],
		['2028-02-28', 1, '2028-02-29'],
		['2027-01-01', -1, '2026-12-31']
	])('%s and %d days: %s', (date, days, then) => {
		expect(daysLater(date, days)).toBe(then);
		expect(daysBetween(date, then)).toBe(days);
	});
	it('refuse what is none', () => {
		expect(() => daysLater('tomorrow', 1)).toThrow('date is tomorrow');
	});
	it('of all days shift together', () => {
		expect(shifted([first, { ...first, date: '2027-01-24' }], 9).map(({ date }) => date)).toEqual([
			'2027-02-01',
			'2027-02-02'
		]);
	});
});

describe('days of a trip', () => {
	it('go on where the one before slept, in the same air', () => {
		const next = nextStage({ id: 'next', name: 'Day 2' }, first, '2027-01-01');
		expect(next).toMatchObject({ id: 'next', name: 'Day 2', date: '2027-01-24', sequence: [] });
		expect(next.route.startM).toBe(1200);
		expect(next.base).toEqual(first.base);
		expect(next.base).not.toBe(first.base);
	});
	it('begin at home, with starting values that say so', () => {
		const next = nextStage({ id: 'next', name: 'Day 1' }, undefined, '2027-01-01', 450);
		expect(next).toMatchObject({
			date: '2027-01-01',
			route: { startM: 450, bedM: 450 },
			base: { altitudeM: 450 }
		});
		expect(next.origins.lowTempC).toEqual({ from: 'default', note: '' });
	});
	it('are copied with ids of their own, a day later, the foul-weather variant too', () => {
		const bed = { kind: 'tent', washing: false, drying: 'nothing' } as const;
		const day = { ...first, foul: { name: 'Foul', sequence: first.sequence, bed } };
		const copy = copyOfStage(day, copyName(day.name), newId);
		expect(copy).toMatchObject({ name: 'Stage, again', date: '2027-01-24', base: first.base });
		const ids = [copy.id, copy.sequence[0]!.id, copy.foul!.sequence[0]!.id];
		expect(new Set([...ids, first.id, first.sequence[0]!.id]).size).toBe(5);
	});
	it.each([
		['Day 3', 'Day 4'],
		['Over the pass', 'Over the pass, again'],
		['Over the pass, again', 'Over the pass, again']
	])('named %s are copied as %s', (name, copied) => {
		expect(copyOfStage({ ...first, name }, copyName(name), newId).name).toBe(copied);
	});
	it('keep the dates of their places when they change places', () => {
		const second = { ...first, id: 'second', date: '2027-01-24' };
		expect(inOrder([second, first], [first, second]).map(({ id, date }) => [id, date])).toEqual([
			['second', '2027-01-23'],
			['stage', '2027-01-24']
		]);
	});
	it('take figures with their origin, and keep the others', () => {
		const known = withKnown(first, {
			base: { wind10mKmh: 44 },
			origins: { wind10mKmh: { from: 'touch', note: 'windier' } }
		});
		expect(known.base).toEqual({ ...first.base, wind10mKmh: 44 });
		expect(known.origins).toEqual({ wind10mKmh: { from: 'touch', note: 'windier' } });
	});
	it('take a pattern: phases, terrain, ground, bed; route and air stay', () => {
		const day = withPattern({ ...first, terrain: ['glacier'] }, unfold(skiTour, 'guided', newId), fresh);
		expect(day.sequence).toHaveLength(skiTour.day.length);
		expect(day).toMatchObject({
			patternId: 'ski-tour',
			startMin: 450,
			route: first.route,
			terrain: ['glacier', 'avalanche']
		});
		expect(day.base).toEqual({ ...first.base, ground: 'snow' });
		const own = patternFrom(day);
		expect(withPattern(first, { ...own, patternId: 'own' }, fresh).sequence).toEqual(day.sequence);
	});
	it('keep the start, ground, bed and phases that were typed when a pattern is taken', () => {
		const inTent = { ...first, bed: { ...first.bed, kind: 'tent' as const } };
		const typed = { ...inTent, startMin: 605, base: { ...first.base, ground: 'ice' as const } };
		const day = withPattern(typed, unfold(skiTour, 'guided', newId), fresh);
		expect([day.startMin, day.bed.kind, day.base.ground]).toEqual([605, 'tent', 'ice']);
		const night = phasesIn(day.sequence).find(({ name }) => name === 'night')!;
		night.minutes = 444;
		const own = untyped(null, unfold(skiTour, 'guided', newId));
		const again = withPattern(day, unfold(highTrek, 'guided', newId), own);
		expect(phasesIn(again.sequence).find(({ name }) => name === 'night')).toEqual(night);
		expect(phasesIn(again.sequence)).toHaveLength(highTrek.day.length);
		expect(again.startMin).toBe(605);
		expect(untyped(inTent, null)).toEqual({ startMin: 480, bed: 'tent', ground: 'bare' });
	});
});

describe('the bed of a day', () => {
	const at = (id: string, startM: number, bedM: number): Stage => ({
		...first,
		id,
		route: { ...first.route, startM, bedM }
	});
	const before = [at('one', 900, 1500), at('two', 1500, 1700), at('three', 1650, 900)];
	const starts = (stages: Stage[]): number[] => stages.map(({ route }) => route.startM);
	it('is where the next one starts, unless something else was typed there', () => {
		const moved = [at('one', 900, 1580), at('two', 1500, 1750), at('three', 1650, 900)];
		expect(starts(withBedsCarried(moved, before))).toEqual([900, 1580, 1650]);
	});
	it('is left alone when the start is what was typed, and when days change places', () => {
		const typed = [at('one', 900, 1500), at('two', 1450, 1700), at('three', 1650, 900)];
		expect(starts(withBedsCarried(typed, before))).toEqual([900, 1450, 1650]);
		expect(starts(withBedsCarried([before[1]!, before[0]!, before[2]!], before))).toEqual([1500, 900, 1650]);
		expect(withBedsCarried(before, before)[1]).toBe(before[1]);
	});
});

describe('the phases of a sequence', () => {
	it('are those of its loops too, each once', () => {
		const [phase] = first.sequence as [(typeof first.sequence)[number] & { type: 'phase' }];
		const loop = {
			type: 'loop' as const,
			id: 'round',
			name: 'Round',
			count: 9,
			sequence: [{ ...phase, id: 'in' }]
		};
		const nested = { ...loop, id: 'outer', sequence: [loop, { ...phase, id: 'after' }] };
		expect(phasesIn([phase, nested]).map(({ id }) => id)).toEqual([phase.id, 'in', 'after']);
		expect(phasesIn([])).toEqual([]);
	});
});

describe('the days after one', () => {
	const windy = stageOf(
		[],
		{ wind10mKmh: 55, airTempC: -9, precipitation: 'rain' },
		{ id: 'two', name: 'Two' }
	);
	const tent = { ...windy, bed: { kind: 'tent', washing: false, drying: 'nothing' } as Stage['bed'] };
	const days = [stageOf([], {}, { id: 'one' }), tent, stageOf([], {}, { id: 'three' })];
	it('get its wind, its rain, its bed or all of its air, marked as copied from it', () => {
		const wind = sameFollowing(days, 1, 'wind');
		expect(wind.map(({ base }) => base.wind10mKmh)).toEqual([20, 55, 55]);
		expect(wind[2]!.base.lowTempC).toBe(-5);
		expect(wind[2]!.origins).toEqual({ wind10mKmh: { from: 'copied', note: 'Two' } });
		expect(sameFollowing(days, 1, 'rain')[2]!.base.wetSpells).toEqual(tent.base.wetSpells);
		expect(sameFollowing(days, 1, 'bed').map(({ bed }) => bed.kind)).toEqual(['heated', 'tent', 'tent']);
		const air = sameFollowing(days, 1, 'air');
		expect([air[2]!.base.lowTempC, air[2]!.base.wind10mKmh, air[0]!.base.lowTempC]).toEqual([-9, 55, -5]);
	});
	it('share nothing with it, and nothing is changed in place', () => {
		const next = sameFollowing(days, 1, 'rain');
		next[2]!.base.wetSpells.length = 0;
		expect(tent.base.wetSpells).toHaveLength(1);
		expect(days[2]!.base.wetSpells).toHaveLength(0);
	});
});
