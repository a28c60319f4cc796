import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { kitOf } from '../../../../tests/fixtures/make';
import { CATALOGUE } from '../cloth/catalogue';
import { wearableThings } from '../cloth/things';
import { bitCount, layerBits, toggledBetween } from './layer-bits';
import { legalOutfitsOf } from './legal-outfits';
import { changeBetween, changeCost } from './change-cost';

const PLACE = {
	heated: false,
	hard: false,
	cold: false,
	bootsStayOn: false,
	bootsAreHard: false,
	legsStay: false,
	packAway: false
};

describe('layers as bits', () => {
	it('count what goes on or off, and never more than a change costs', () => {
		const ids = CATALOGUE.filter(({ group }) => group === 'torso' || group === 'legs').map(({ id }) => id);
		fc.assert(
			fc.property(fc.subarray(ids, { minLength: 4, maxLength: 9 }), (typeIds) => {
				const { stacks } = legalOutfitsOf(wearableThings(kitOf(typeIds)));
				for (const factor of ['trunk', 'legs'] as const) {
					const own = stacks[factor].slice(0, 40);
					const bits = layerBits(own);
					own.forEach((from, a) =>
						own.forEach((to, b) => {
							const toggles = toggledBetween(bits, a, b);
							const change = changeBetween(factor, from, to);
							expect(toggles).toBe(change.toggles);
							expect(100 * toggles).toBeLessThanOrEqual(changeCost(change, PLACE));
						})
					);
				}
			}),
			{ numRuns: 20 }
		);
	});
	it('bits are counted one by one', () => {
		fc.assert(
			fc.property(fc.integer(), (word) => {
				expect(bitCount(word)).toBe([...(word >>> 0).toString(2)].filter((bit) => bit === '1').length);
			})
		);
	});
});
