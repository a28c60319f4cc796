import type { EndWorn, Fibre } from '../document/types';
import type { WaterGrade } from '../document/weather';
import type { Slot } from './slots';

/** Days of wear before a wash (common practice); 0 is the whole trip. Next to skin only. */
export function usualWearDays(fibre: Fibre, isSkin: boolean, isSock: boolean, isUnderwear: boolean): number {
	if (!isSkin) return 0;
	if (isUnderwear) return 1;
	if (fibre === 'wool') return isSock ? 5 : 4;
	if (fibre === 'blend') return 3;
	return fibre === 'synthetic' && !isSock ? 2 : 1;
}

/** Resistance to vapour, m²·Pa/W (our assumption by kind of face; a membrane below 13 is good after ISO 11092, from memory). */
export function usualVapourResistance(fibre: Fibre, water: WaterGrade, airPermeability: number): number {
	if (water === 'rubber' || fibre === 'rubber') return 1000;
	if (fibre === 'waxed-cotton') return 30;
	if (water === 'taped' || water === 'light-membrane') return 10;
	if (airPermeability <= 2) return 15;
	return fibre === 'down' || fibre === 'synthetic-fill' ? 12 : 5;
}

/** Gloves go under the sleeve unless somebody says otherwise; legs go over the boot, over-mitts over the sleeve (common practice). */
export const usualEnd = (slot: Slot | undefined): EndWorn =>
	slot === 'glove' || slot === 'hand-liner' ? 'under' : 'over';
