import { AREA_SHARE, REGIONS, type Part, type Region } from '../cloth/parts';
import {
	bodyConductance,
	regionTotalM2kw,
	resultantClo,
	type AirInUse,
	type RegionLayer,
	type RegionTotals
} from '../cloth/supply';
import { covers, type Cloth } from '../cloth/things';
import type { Opening } from '../document/types';

export interface WornLayer {
	cloth: Cloth;
	position: number;
	opening: Opening;
}
/** What is worn at one time, from the skin out. */
export type Outfit = readonly WornLayer[];

/** Layers of one region, from the skin out. */
export function layersOf(outfit: Outfit, region: Region): RegionLayer[] {
	const layers: RegionLayer[] = [];
	for (const { cloth } of outfit) {
		const share = cloth.regions[region];
		if (share > 0) layers.push({ localClo: cloth.localClo, share, airPermeability: cloth.airPermeability });
	}
	return layers;
}

/** Total insulation of every region in use, m²·K/W. */
export function totalsOf(outfit: Outfit, air: AirInUse, openingFactor = 1): RegionTotals {
	const totals = {} as Record<Region, number>;
	for (const region of REGIONS) {
		totals[region] = regionTotalM2kw(layersOf(outfit, region), air, region === 'trunk' ? openingFactor : 1);
	}
	return totals;
}

/** Resultant insulation of an outfit in a phase, clo. */
export function outfitClo(outfit: Outfit, air: AirInUse, openingFactor = 1): number {
	return resultantClo(bodyConductance(totalsOf(outfit, air, openingFactor)), air);
}

/** The outermost layer over at least half of a part. */
export const outermost = <L extends Pick<WornLayer, 'cloth' | 'position'>>(
	layers: readonly L[],
	part: Part
): L | null =>
	layers.reduce<L | null>(
		(top, layer) => (covers(layer.cloth, part) && (!top || layer.position >= top.position) ? layer : top),
		null
	);

/** Order in which cloth is drawn: what hardly changes below, the trunk on top. */
const DRAWN_ORDER: readonly Region[] = ['feet', 'calves', 'thighs', 'head', 'hands', 'arms', 'trunk'];

/** The region that a cloth mostly serves. */
export function mainRegion(cloth: Cloth): Region {
	return [...DRAWN_ORDER]
		.reverse()
		.reduce((best, region) =>
			AREA_SHARE[region] * cloth.regions[region] > AREA_SHARE[best] * cloth.regions[best] ? region : best
		);
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
	let before = outfitClo([], air, openingFactor);
	const drawn: DrawnLayer[] = [];
	const worn: WornLayer[] = [];
	for (const layer of ordered) {
		worn.push(layer);
		worn.sort((a, b) => a.position - b.position);
		const with_ = outfitClo(worn, air, openingFactor);
		drawn.push({ thingId: layer.cloth.thingId, region: mainRegion(layer.cloth), gainClo: with_ - before });
		before = with_;
	}
	return drawn;
}
