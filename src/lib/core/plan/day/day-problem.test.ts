import { expect, it } from 'vitest';
import { cellOf } from '../../../../../tests/fixtures/make';
import type { Cell } from '../../conditions/cells';
import { cellKey } from './day-problem';

/** Where a cell stands and why it is so makes no other clothes. */
const NOT_PART_OF_IT: readonly (keyof Cell)[] = [
	'stageId',
	'phaseId',
	'name',
	'round',
	'startMin',
	'reasons'
];

it('what makes a cell forgets no field', () => {
	const cell = cellOf(['move', 60, 200, 'slope'], { airTempC: -4 });
	for (const field of Object.keys(cell) as (keyof Cell)[]) {
		const other = { ...cell, [field]: field === 'altitudeM' ? 5000 : 'changed' } as unknown as Cell;
		const same = cellKey(other) === cellKey(cell);
		expect(same, field).toBe(NOT_PART_OF_IT.includes(field));
	}
	expect(cellKey({ ...cell, altitudeM: 900 })).toBe(cellKey(cell));
});
