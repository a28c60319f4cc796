import { describe, expect, it } from 'vitest';
import { kitOf, thingOf } from '../../../../tests/fixtures/make';
import type { ListLine } from './list';
import { askedOf, EACH_THEIR_OWN, type EverybodyBrings, sharedWith, withEdits } from './own-lines';

const row = (typeId: string | null, many = 1): EverybodyBrings => ({
	id: 'row',
	what: 'Torch',
	typeId,
	many,
	why: '',
	...EACH_THEIR_OWN
});
const line = (thingId: string, many = 2): ListLine => ({
	thingId,
	name: thingId,
	group: 'torso',
	inPairs: false,
	many,
	has: many,
	assumed: false,
	spare: false,
	stageIds: [],
	rides: 'worn'
});

describe('what everybody brings', () => {
	it('is counted in the kit; what nobody has asked about is not "none"', () => {
		const has = (value: number, state: 'has' | 'has not' | 'not asked') =>
			thingOf('torch', { quantity: { value, source: 'client', state } });
		const asked = (things: ReturnType<typeof thingOf>[], typeId: string | null = 'torch') =>
			askedOf(kitOf([], { things }), [row(typeId)])[0]!.has;
		expect(asked([has(2, 'has')])).toBe(2);
		expect(asked([has(0, 'has not')])).toBe(0);
		expect(asked([has(1, 'not asked')])).toBeNull();
		expect(asked([])).toBeNull();
		expect(asked([has(2, 'has')], null)).toBeNull();
		expect(asked([{ ...has(2, 'has'), deletedAt: '2027-01-01T00:00:00Z' }])).toBeNull();
	});
});

describe('what one person brings for others', () => {
	const stove: EverybodyBrings = {
		...row('flask', 2),
		broughtBy: 'ada',
		forIds: ['bo'],
		litres: 3,
		massG: 900
	};
	const known = (id: string, rows: EverybodyBrings[]) =>
		askedOf({ ...kitOf([]), id }, rows).map(({ sharing }) => sharing);
	it('stands on the list of the one who brings it and of those whom it is for, and on no other', () => {
		expect(known('ada', [stove, row('torch')])).toEqual(['for others', 'each']);
		expect(known('bo', [stove])).toEqual(['from others']);
		expect(known('cy', [stove])).toEqual([]);
		expect(known('cy', [{ ...stove, forIds: [] }])).toEqual(['from others']);
	});
	it('is carried by one, and asked of nobody else', () => {
		expect(sharedWith('ada', [stove, stove])).toEqual({ forOthers: { litres: 12, massG: 3600 } });
		expect(sharedWith('bo', [stove, row('torch')])).toEqual({ fromOthers: ['flask'] });
		expect(sharedWith('cy', [stove, row('torch')])).toEqual({});
	});
});

describe('a list that was changed by hand', () => {
	it('keeps its figures, leaves off what is left off, and ends with lines of its own', () => {
		const lines = withEdits(
			[line('fleece'), line('hat'), line('coat')],
			[
				{ lineId: 'fleece', what: null, many: 5, isOff: false },
				{ lineId: 'hat', what: null, many: null, isOff: true },
				{ lineId: 'own-1', what: 'Playing cards', many: null, isOff: false },
				{ lineId: 'own-2', what: 'Gone', many: 1, isOff: true },
				{ lineId: 'no longer there', what: null, many: 3, isOff: false }
			]
		);
		expect(lines.map(({ name, many, byHand }) => [name, many, byHand])).toEqual([
			['fleece', 5, true],
			['coat', 2, false],
			['Playing cards', 1, true]
		]);
	});
});
