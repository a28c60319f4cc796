import type { Fact, Properties, Thing } from '../document/types';
import type { WaterGrade } from '../document/weather';
import { catalogueType } from './catalogue';

/** A thing that the catalogue does not know by name, from three answers: what it is for, how warm, how wet one gets in it. */

/** What it is for, with the type that it counts as (our assumption). */
export const OWN_USES = {
	'base top': 'top-synthetic',
	'warm top': 'fleece',
	'outer top': 'soft-shell',
	'big coat': 'coat-synthetic',
	'base legs': 'bottoms-synthetic',
	trousers: 'trousers-trek',
	'over-trousers': 'trousers-rain',
	hands: 'glove-winter',
	head: 'hat-warm',
	neck: 'neck-tube',
	socks: 'sock-mid',
	shoes: 'boot-hiking'
} as const;
export type OwnUse = keyof typeof OWN_USES;

/** How warm it is among its like: shares of what its type gives (our assumption). */
export const OWN_WARMTH = { thin: 0.5, usual: 1, warm: 1.5, 'very warm': 2 } as const;
export type OwnWarmth = keyof typeof OWN_WARMTH;

/** What it does in rain. */
export const OWN_WATER = {
	'soaks through': 'none',
	'holds for a shower': 'repellent',
	'keeps rain out': 'taped'
} as const;
export type OwnWater = keyof typeof OWN_WATER;

/** The type and the facts of such a thing; both facts are guesses and are marked as assumed. */
export function ownThing(
	use: OwnUse,
	warmth: OwnWarmth,
	water: OwnWater
): { typeId: string; facts: Thing['facts'] } {
	const typeId = OWN_USES[use];
	const { localClo } = catalogueType(typeId).properties;
	const guess = <T extends Properties[keyof Properties]>(value: T): Fact<T> => ({
		value,
		source: 'guess',
		state: 'assumed'
	});
	return {
		typeId,
		facts: {
			localClo: guess(Math.round(localClo * OWN_WARMTH[warmth] * 100) / 100),
			waterGrade: guess<WaterGrade>(OWN_WATER[water])
		}
	};
}
