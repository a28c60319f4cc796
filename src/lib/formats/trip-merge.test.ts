import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Phase, Trip } from '../core/document/types';
import { METRIC } from '../words/units';
import { DEMO_DOCUMENT } from './demo';
import { tripChanges } from './trip-changes';
import { merge, same } from './trip-merge';

const trip = (): Trip => structuredClone(DEMO_DOCUMENT.trip);
const edited = (change: (copy: Trip) => void): Trip => {
	const copy = trip();
	change(copy);
	return copy;
};
const phase = (from: Trip, i: number): Phase => from.stages[0]!.sequence[i] as Phase;

describe('two edits of one trip', () => {
	it('are both kept where they touch different figures', () => {
		const mine = edited((copy) => (copy.stages[0]!.base.wind10mKmh = 60));
		const theirs = edited((copy) => {
			copy.stages[0]!.base.lowTempC = -9;
			phase(copy, 2).minutes = 70;
			copy.name = 'Theirs';
		});
		const { value, both } = merge(trip(), mine, theirs);
		expect(both).toEqual([]);
		expect(value.name).toBe('Theirs');
		expect(value.stages[0]!.base).toMatchObject({ wind10mKmh: 60, lowTempC: -9 });
		expect(phase(value, 2).minutes).toBe(70);
	});
	it('keep mine where both changed the same, and say where', () => {
		const { value, both } = merge(
			trip(),
			edited((copy) => (copy.stages[0]!.base.wind10mKmh = 60)),
			edited((copy) => (copy.stages[0]!.base.wind10mKmh = 70))
		);
		expect(value.stages[0]!.base.wind10mKmh).toBe(60);
		expect(both).toEqual(['stages.demo-day-1.base.wind10mKmh']);
	});
	it('keep what one added, drop what one took out, and keep what the other had changed in it', () => {
		const mine = edited((copy) => copy.stages[0]!.sequence.splice(1, 1));
		const theirs = edited((copy) => {
			copy.stages[0]!.sequence.splice(3, 0, { ...phase(copy, 0), id: 'new', name: 'Added' });
			copy.stages[1]!.name = 'Renamed';
		});
		const ids = merge(trip(), mine, theirs).value.stages[0]!.sequence.map(({ id }) => id);
		expect(ids).not.toContain('1-skins');
		expect(ids.indexOf('new')).toBe(ids.indexOf('1-forest') + 1);
		const cut = edited((copy) => copy.stages.pop());
		expect(merge(trip(), cut, theirs).value.stages.map(({ name }) => name)).toContain('Renamed');
	});
	it('keep the order of whoever moved something', () => {
		const mine = edited((copy) => copy.stages.reverse());
		const theirs = edited((copy) => (copy.stages[0]!.name = 'First'));
		expect(merge(trip(), mine, theirs).value.stages.map(({ id }) => id)).toEqual([
			'demo-day-2',
			'demo-day-1'
		]);
		expect(merge(trip(), theirs, mine).value.stages.map(({ id }) => id)).toEqual([
			'demo-day-2',
			'demo-day-1'
		]);
	});
	it('lose nothing when only one of them edits', () => {
		const json = fc.letrec((tie) => ({
			value: fc.oneof(
				{ maxDepth: 3 },
				fc.integer(),
				fc.string(),
				fc.constant(null),
				tie('record'),
				tie('items')
			),
			record: fc.dictionary(fc.constantFrom('a', 'b', 'c'), tie('value'), { maxKeys: 3 }),
			items: fc.uniqueArray(fc.record({ id: fc.constantFrom('x', 'y', 'z'), v: tie('value') }), {
				selector: ({ id }) => id,
				maxLength: 3
			})
		})).record;
		fc.assert(
			fc.property(json, json, (base, changed) => {
				expect(same(merge(base, changed, base).value, changed)).toBe(true);
				expect(same(merge(base, base, changed).value, changed)).toBe(true);
				expect(same(merge(base, changed, changed).value, changed)).toBe(true);
			})
		);
	});
});

describe('changes in words', () => {
	const told = (change: (copy: Trip) => void): string[] => tripChanges(trip(), edited(change), METRIC);
	it.each([
		[(copy: Trip) => (copy.name = 'X'), 'Trip: now called “X”'],
		[(copy: Trip) => (copy.place = 'Y'), 'Trip: where, “Vessel valley” → “Y”'],
		[(copy: Trip) => (copy.stages[0]!.base.wind10mKmh = 60), 'Over Tarn Saddle: wind 48 km/h → 60 km/h'],
		[(copy: Trip) => (copy.stages[0]!.base.lowTempC = -9), 'Over Tarn Saddle: low −3 °C → −9 °C'],
		[
			(copy: Trip) => (copy.stages[0]!.base.wetSpells = [{ fromMin: 540, toMin: 1440, kind: 'rain' }]),
			'Over Tarn Saddle: rain and snow dry → rain 09:00–24:00'
		],
		[
			(copy: Trip) => (copy.stages[0]!.date = '2027-01-25'),
			'Over Tarn Saddle: date Sat 23 Jan 2027 → Mon 25 Jan 2027'
		],
		[(copy: Trip) => (copy.stages[0]!.route.highM = 1900), 'Over Tarn Saddle: high point 1840 m → 1900 m'],
		[(copy: Trip) => (copy.stages[0]!.bed.kind = 'tent'), 'Over Tarn Saddle: bed heated house → tent'],
		[(copy: Trip) => (copy.stages[0]!.terrain = []), 'Over Tarn Saddle: goes through nothing special'],
		[(copy: Trip) => (copy.stages[0]!.pace = 'fast'), 'Over Tarn Saddle: pace guided group → fast and fit'],
		[
			(copy: Trip) => (phase(copy, 2).minutes = 70),
			'Over Tarn Saddle: “Climb through the forest”: minutes 60 → 70'
		],
		[
			(copy: Trip) => (phase(copy, 2).place = 'ridge'),
			'Over Tarn Saddle: “Climb through the forest”: place forest → ridge'
		],
		[
			(copy: Trip) => (phase(copy, 2).typed = { airTempC: -5 }),
			'Over Tarn Saddle: “Climb through the forest”: typed air computed → −5 °C'
		],
		[
			(copy: Trip) => copy.stages[0]!.sequence.splice(2, 1),
			'Over Tarn Saddle: “Climb through the forest” taken out'
		],
		[(copy: Trip) => copy.stages[0]!.sequence.reverse(), 'Over Tarn Saddle: phases in another order'],
		[(copy: Trip) => copy.stages.pop(), 'The hut ruin and back, in wet snow: taken out'],
		[(copy: Trip) => copy.stages.reverse(), 'Trip: days in another order']
	])('%s', (change, line) => {
		expect(told(change)).toEqual([line]);
	});
	it('are none when nothing changed', () => {
		expect(tripChanges(trip(), trip(), METRIC)).toEqual([]);
	});
});
