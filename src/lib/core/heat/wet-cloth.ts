import { BARE_M2KW } from '../cloth/supply';
import type { Cloth } from '../cloth/things';
import type { Fibre } from '../document/types';

/** How wet things are, by thing id, 0…1 of what they can hold; what is dry is left out. */
export type Wetness = ReadonlyMap<string, number>;
export const DRY: Wetness = new Map();

/** Insulation lost when a cloth holds all the water it can, 0…1 (our assumption, by fibre). */
export const LOST_WHEN_FULL: Readonly<Record<Fibre, number>> = {
	wool: 0.4,
	blend: 0.4,
	synthetic: 0.35,
	'synthetic-fill': 0.45,
	down: 0.85,
	cotton: 0.85,
	'waxed-cotton': 0.6,
	leather: 0.4,
	rubber: 0.2,
	other: 0.3
};
/** From so wet one says damp, and wet (our assumption). */
export const DAMP_FROM = 0.15;
export const WET_FROM = 0.5;

/** What is next to the skin is changed when it is wet, for a dry one that is at hand (common practice). */
const CHANGED_WHEN_WET: ReadonlySet<Cloth['slot']> = new Set(['base', 'leg-base', 'sock', 'liner-sock']);
export const isChangedWhenWet = ({ slot }: Cloth): boolean => CHANGED_WHEN_WET.has(slot);

const isOnLimb = ({ regions }: Cloth): boolean => regions.hands >= 0.5 || regions.feet >= 0.5;

/** Insulation that wet gloves, boots and socks lose with their air layer when full, 0…1 (our assumption). */
const LIMB_LOST_WHEN_FULL = 0.5;
/** How wet the wettest of some things is, 0…1. */
export const wettestOf = (layers: readonly { cloth: Cloth }[], wetness: Wetness): number =>
	Math.max(0, ...layers.map(({ cloth }) => wetness.get(cloth.thingId) ?? 0));
/** Share of the total insulation of hands or feet that is left, by how wet the wettest thing on them is. */
export const limbShareLeft = (layers: readonly { cloth: Cloth }[], wetness: Wetness): number =>
	1 - LIMB_LOST_WHEN_FULL * wettestOf(layers, wetness);
/** Total insulation of hands or feet in what is wet, m²·K/W. @param dryM2kw the same while it is dry */
export const limbTotalM2kw = (
	dryM2kw: number,
	layers: readonly { cloth: Cloth }[],
	wetness: Wetness
): number => Math.max(BARE_M2KW, dryM2kw * limbShareLeft(layers, wetness));

/** A cloth as it warms with water in it: the wetter, the less. Gloves, boots and socks lose it as a whole with their air. */
export const wetCloth = (cloth: Cloth, share: number): Cloth =>
	share === 0 || isOnLimb(cloth)
		? cloth
		: { ...cloth, localClo: cloth.localClo * (1 - LOST_WHEN_FULL[cloth.fibre] * share) };

/** Layers as they warm, by how wet they are. */
export const wetLayers = <L extends { cloth: Cloth }>(
	layers: readonly L[],
	wetness: Wetness
): readonly L[] =>
	wetness.size === 0
		? layers
		: layers.map((layer) => {
				const share = wetness.get(layer.cloth.thingId) ?? 0;
				return share > 0 ? { ...layer, cloth: wetCloth(layer.cloth, share) } : layer;
			});
