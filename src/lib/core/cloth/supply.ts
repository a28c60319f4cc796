import { clamp } from '../argument';
import { METHOD_MAX_AIR_MS, METHOD_MIN_AIR_MS } from '../body/heat-balance';
import { STILL_AIR_M2KW, airLayerM2kw, clothingM2kw, totalM2kw, useFactor } from '../body/insulation';
import type { Opening } from '../document/worn';
import { CLO_M2KW, cloFromM2kw, m2kwFromClo } from '../units';
import { AREA_SHARE, REGIONS, type Region } from './parts';

/**
 * Local over share-corrected whole-body insulation: tables measure garments on a whole body with the rest bare.
 * Fitted on the ensembles of ISO 7730 Table C.1 (our assumption; see docs/model.md).
 */
export const LOCAL_FACTOR = 1.35;

/**
 * Local insulation of a garment from the whole-body value of a table, clo.
 * @param wholeBodyClo I_clu of ISO 9920 / ISO 7730 Table C.2, 0…3
 * @param coveredShare share of the body that it covers, 0…1
 */
export const localFromWholeBodyClo = (wholeBodyClo: number, coveredShare: number): number =>
	(wholeBodyClo / coveredShare) * LOCAL_FACTOR;

/** Bare skin in a storm counts for no less than this, m²·K/W: cooled skin withholds its heat (our assumption). */
export const BARE_M2KW = 0.05;

/** What a layer does in one region. */
export interface RegionLayer {
	localClo: number;
	/** share of the region that it covers, 0…1 */
	share: number;
	airPermeability: number;
}

/** What the air does to clothes in a phase, worked out once. */
export interface AirInUse {
	airVelocityMs: number;
	walkSpeedMs: number;
	airLayerM2kw: number;
}
/**
 * @param airVelocityMs true air past the body; computed with 0.4…18 m/s
 * @param walkSpeedMs 0…1.2 m/s
 */
export function airInUse(airVelocityMs: number, walkSpeedMs: number): AirInUse {
	const windMs = clamp(airVelocityMs, METHOD_MIN_AIR_MS, METHOD_MAX_AIR_MS);
	const walkMs = clamp(walkSpeedMs, 0, 1.2);
	return { airVelocityMs: windMs, walkSpeedMs: walkMs, airLayerM2kw: airLayerM2kw(windMs, walkMs) };
}

/** Insulation that opening the front leaves on the trunk (our assumption). */
export const OPENING_FACTOR: Readonly<Record<Opening, number>> = { closed: 1, vented: 0.85, open: 0.6 };

/**
 * Total insulation of one region in use, air layer included, m²·K/W.
 * The largest over k of the layers 1…k with the permeability of layer k, where only layers over at least half
 * of the region may be the outermost: so a fleece over a membrane never harms, and a layer never does.
 * @param layers from the skin out
 * @param openingFactor share of the cloth that is left: by an open front on the trunk, or where one sits on it
 */
export function regionTotalM2kw(layers: readonly RegionLayer[], air: AirInUse, openingFactor = 1): number {
	let insulation = 0;
	let best = Math.max(BARE_M2KW, air.airLayerM2kw);
	for (const layer of layers) {
		insulation += layer.localClo * CLO_M2KW * layer.share * openingFactor;
		if (layer.share < 0.5) continue;
		const total = totalM2kw(insulation, STILL_AIR_M2KW);
		best = Math.max(best, total * useFactor(air.airVelocityMs, air.walkSpeedMs, layer.airPermeability));
	}
	return best;
}

/** Total insulation of one region at rest in still air, m²·K/W. */
export function regionStillM2kw(layers: readonly RegionLayer[]): number {
	const insulation = layers.reduce((sum, layer) => sum + layer.localClo * CLO_M2KW * layer.share, 0);
	return totalM2kw(insulation, STILL_AIR_M2KW);
}

export type RegionTotals = Readonly<Record<Region, number>>;

/** Heat conductance of the whole body, W/(m²·K): regions lose heat side by side. */
export const bodyConductance = (totals: RegionTotals): number =>
	REGIONS.reduce((sum, region) => sum + AREA_SHARE[region] / totals[region], 0);

/** Clothing insulation in use I_cl,r of a conductance, clo. */
export const resultantClo = (conductance: number, air: AirInUse): number =>
	cloFromM2kw(clothingM2kw(1 / conductance, air.airLayerM2kw));

/** The inverse: heat conductance of the whole body with so much clothing insulation in use, W/(m²·K). */
export const conductanceOf = (resultantClo: number, air: AirInUse): number =>
	1 / totalM2kw(m2kwFromClo(resultantClo), air.airLayerM2kw);

/** Basic clothing insulation I_cl (at rest, still air) of a set of regions, clo. */
export const basicClo = (stillTotals: RegionTotals): number =>
	cloFromM2kw(clothingM2kw(1 / bodyConductance(stillTotals), STILL_AIR_M2KW));
