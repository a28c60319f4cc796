import { AREA_SHARE } from './parts';
import { type Cloth, covers } from './things';

/** Groups of things that are chosen side by side. The first three share the body's heat, the others stand alone. */
export const FACTORS = ['trunk', 'legs', 'head', 'hands', 'feet', 'eyes'] as const;
export type Factor = (typeof FACTORS)[number];

const HEAD_REGIONS = ['skull', 'face', 'neck'] as const;
const HEAD_AREA = HEAD_REGIONS.reduce((sum, region) => sum + AREA_SHARE[region], 0);
/** Share of the whole head that a cloth covers, 0…1. */
const headCovered = ({ regions }: Pick<Cloth, 'regions'>): number =>
	HEAD_REGIONS.reduce((sum, region) => sum + AREA_SHARE[region] * regions[region], 0) / HEAD_AREA;

/** Which factor a cloth is chosen in; null for what is not worn awake. */
export function factorOf(cloth: Cloth): Factor | null {
	if (covers(cloth, 'hands')) return 'hands';
	if (covers(cloth, 'feet')) return 'feet';
	if (covers(cloth, 'eyes')) return 'eyes';
	const { trunk, arms, thighs, calves } = cloth.regions;
	const head = headCovered(cloth);
	if (trunk + arms + thighs + calves + head === 0) return null;
	if (thighs + calves > trunk + arms) return 'legs';
	return trunk + arms > 0 && trunk + arms >= head ? 'trunk' : 'head';
}

/** Where a thing is worn, coarsely: 0 next to skin, 1 in the middle, 2 as the shell, 3 over everything. */
export const kindOf = ({ positions: [low, high] }: Cloth): number =>
	low <= 1 ? 0 : high === 5 ? 3 : low >= 4 ? 2 : 1;
