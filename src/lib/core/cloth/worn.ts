import { type Part } from '../document/parts';
import type { Opening } from '../document/worn';
import { AREA_SHARE, REGIONS, type Region } from './parts';
import { loftLeft } from './squeeze';
import { isOverlay } from './stacks';
import {
	type AirInUse,
	type RegionLayer,
	type RegionTotals,
	bodyConductance,
	regionTotalM2kw,
	resultantClo
} from './supply';
import { type Cloth, covers } from './things';

export interface WornLayer {
	cloth: Cloth;
	position: number;
	opening: Opening;
}
/** What is worn at one time, from the skin out. */
export type Outfit = readonly WornLayer[];

/** Layers of one region, from the skin out; what is squeezed has lost loft. */
export function layersOf(outfit: readonly Pick<WornLayer, 'cloth'>[], region: Region): RegionLayer[] {
	const here = outfit.filter(({ cloth }) => cloth.regions[region] > 0).map(({ cloth }) => cloth);
	// A waistband is no bulk under a jacket: only what covers half of a region is squeezed in it, or squeezes.
	const whole = here.filter((cloth) => cloth.regions[region] >= 0.5);
	const loft = loftLeft(whole);
	return here.map((cloth) => ({
		localClo: cloth.localClo * (loft[whole.indexOf(cloth)] ?? 1),
		share: cloth.regions[region],
		airPermeability: cloth.airPermeability
	}));
}

const totalOf = (outfit: Outfit, region: Region, air: AirInUse, openingFactor: number): number =>
	regionTotalM2kw(layersOf(outfit, region), air, region === 'trunk' ? openingFactor : 1);
/** Total insulation of every region in use, m²·K/W. */
export function totalsOf(outfit: Outfit, air: AirInUse, openingFactor = 1): RegionTotals {
	const totals = {} as Record<Region, number>;
	for (const region of REGIONS) totals[region] = totalOf(outfit, region, air, openingFactor);
	return totals;
}

/** Resultant insulation of an outfit in a phase, clo. */
export function outfitClo(outfit: Outfit, air: AirInUse, openingFactor = 1): number {
	return resultantClo(bodyConductance(totalsOf(outfit, air, openingFactor)), air);
}

/** The outermost layer over at least half of a part; what only makes one seen is none. */
export const outermost = <L extends Pick<WornLayer, 'cloth' | 'position'>>(
	layers: readonly L[],
	part: Part
): L | null =>
	layers.reduce<L | null>(
		(top, layer) =>
			covers(layer.cloth, part) && !isOverlay(layer.cloth) && (!top || layer.position >= top.position)
				? layer
				: top,
		null
	);

/** The layer that is seen on a part: the last one on, bright vests and the like too. */
export const seenOn = (layers: readonly Pick<WornLayer, 'cloth' | 'position'>[], part: Part): Cloth | null =>
	layers.reduce<Pick<WornLayer, 'cloth' | 'position'> | null>(
		(top, layer) => (covers(layer.cloth, part) && (!top || layer.position >= top.position) ? layer : top),
		null
	)?.cloth ?? null;

/** The layer next to the skin of a part: the innermost one that covers at least half of it. */
export const innermost = (
	layers: readonly Pick<WornLayer, 'cloth' | 'position'>[],
	part: Part
): Cloth | null =>
	layers.reduce<Pick<WornLayer, 'cloth' | 'position'> | null>(
		(inner, layer) =>
			covers(layer.cloth, part) && (!inner || layer.position < inner.position) ? layer : inner,
		null
	)?.cloth ?? null;

/** Order in which cloth is drawn: what hardly changes below, the trunk on top. */
const DRAWN_ORDER: readonly Region[] = [
	'feet',
	'calves',
	'thighs',
	'neck',
	'face',
	'skull',
	'hands',
	'arms',
	'trunk'
];

const mainRegions = new WeakMap<Cloth['regions'], Region>();
/** The region that a cloth mostly serves. */
export function mainRegion({ regions }: Cloth): Region {
	const known = mainRegions.get(regions);
	if (known) return known;
	const made = [...DRAWN_ORDER]
		.reverse()
		.reduce((best, region) =>
			AREA_SHARE[region] * regions[region] > AREA_SHARE[best] * regions[best] ? region : best
		);
	mainRegions.set(regions, made);
	return made;
}

export interface DrawnLayer {
	thingId: string;
	region: Region;
	/** what it adds to the outfit in this phase, clo */
	gainClo: number;
}

/** Marginal gain of every layer in the fixed order of the drawing; the gains sum to the outfit's resultant clo. */
export function drawnLayers(outfit: Outfit, air: AirInUse, openingFactor = 1): DrawnLayer[] {
	const ordered = [...outfit].sort(
		(a, b) =>
			DRAWN_ORDER.indexOf(mainRegion(a.cloth)) - DRAWN_ORDER.indexOf(mainRegion(b.cloth)) ||
			a.position - b.position
	);
	const totals: Record<Region, number> = { ...totalsOf([], air, openingFactor) };
	let before = resultantClo(bodyConductance(totals), air);
	const worn: WornLayer[] = [];
	return ordered.map((layer) => {
		worn.push(layer);
		worn.sort((a, b) => outfit.indexOf(a) - outfit.indexOf(b));
		// Only where it covers anything does it change anything.
		for (const region of REGIONS)
			if (layer.cloth.regions[region] > 0) totals[region] = totalOf(worn, region, air, openingFactor);
		const clo = resultantClo(bodyConductance(totals), air);
		const gainClo = clo - before;
		before = clo;
		return { thingId: layer.cloth.thingId, region: mainRegion(layer.cloth), gainClo };
	});
}
