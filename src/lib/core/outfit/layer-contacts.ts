import { STILL_AIR_M2KW, totalM2kw, useFactor } from '../body/insulation';
import { AREA_SHARE, type Region, REGIONS } from '../cloth/parts';
import type { Stack } from '../cloth/stacks';
import { type AirInUse, BARE_M2KW } from '../cloth/supply';
import type { Cloth } from '../cloth/things';
import { layersOf, type WornLayer } from '../cloth/worn';
import { CLO_M2KW } from '../units';
import type { Wardrobe } from './legal-outfits';

/** Factors that share the body's heat, in the order in which a choice counts through them. */
export const BODY_FACTORS = ['trunk', 'legs', 'head'] as const;
export type BodyFactor = (typeof BODY_FACTORS)[number];

export interface Placed {
	cloth: Cloth;
	position: number;
}

/** The different ways in which the stacks of a factor look from one region, and which stack looks which way. */
interface View {
	ways: Placed[][];
	wayOf: Int32Array;
}
function viewOf(stacks: readonly Stack[], region: Region): View {
	const ways: Placed[][] = [];
	const known = new Map<string, number>();
	const wayOf = new Int32Array(stacks.length);
	stacks.forEach((stack, option) => {
		const layers = stack.layers.filter(({ cloth }) => cloth.regions[region] > 0);
		const key = layers.map(({ index, position }) => `${index}@${position}`).join();
		let way = known.get(key);
		if (way === undefined) {
			way = ways.push(layers) - 1;
			known.set(key, way);
		}
		wayOf[option] = way;
	});
	return { ways, wayOf };
}

/**
 * Where trunk, legs and head meet: the layers of every region for all ways in which the three look from it. Worked out once
 * for a wardrobe, so that a cell only has to put in its air.
 */
export interface LayerContact {
	region: Region;
	/** ways of trunk, legs and head; 1 where the factor makes no difference here */
	ways: readonly [number, number, number];
	wayOf: readonly [Int32Array, Int32Array, Int32Array];
	/** first layer of each combination of ways, the head's fastest; one more at the end */
	starts: Int32Array;
	insulationM2kw: Float64Array;
	/** index into `permeabilities`; −1 for what covers too little to be outermost */
	face: Int16Array;
	permeabilities: number[];
	/** what each combination wears here, from the skin out; only where one may stand in water */
	placed: (readonly Placed[])[] | null;
}

/** LayerContacts of one wardrobe; those for other gloves or boots are added when they are asked for. */
export class LayerContacts {
	private readonly made = new Map<string, LayerContact>();
	private readonly views: Map<Region, readonly [View, View, View]>;

	constructor({ stacks }: Wardrobe) {
		this.views = new Map(
			REGIONS.map((region) => {
				const [trunk, legs, head] = BODY_FACTORS.map((factor) => viewOf(stacks[factor], region));
				return [region, [trunk!, legs!, head!] as const];
			})
		);
	}

	/** @param always what is worn whatever is chosen */
	of(region: Region, always: readonly WornLayer[]): LayerContact {
		const own = always.filter(({ cloth }) => cloth.regions[region] > 0);
		const key = JSON.stringify([region, own.map(({ cloth, position }) => [cloth.thingId, position])]);
		const known = this.made.get(key) ?? contactOf(region, this.views.get(region)!, own);
		this.made.set(key, known);
		return known;
	}
}

function contactOf(
	region: Region,
	[trunk, legs, head]: readonly [View, View, View],
	always: readonly WornLayer[]
): LayerContact {
	const starts: number[] = [];
	const insulations: number[] = [];
	const faces: number[] = [];
	const permeabilities: number[] = [];
	const combinations: Placed[][] | null = IN_WATER.has(region) ? [] : null;
	for (const a of trunk.ways)
		for (const b of legs.ways)
			for (const c of head.ways) {
				starts.push(insulations.length);
				const placed: Placed[] = [...always, ...a, ...b, ...c].sort((x, y) => x.position - y.position);
				combinations?.push(placed);
				for (const { localClo, share, airPermeability } of layersOf(placed, region)) {
					insulations.push(localClo * CLO_M2KW * share);
					if (share < 0.5) {
						faces.push(-1);
						continue;
					}
					const known = permeabilities.indexOf(airPermeability);
					faces.push(known >= 0 ? known : permeabilities.push(airPermeability) - 1);
				}
			}
	starts.push(insulations.length);
	return {
		region,
		ways: [trunk.ways.length, legs.ways.length, head.ways.length],
		wayOf: [trunk.wayOf, legs.wayOf, head.wayOf],
		starts: Int32Array.from(starts),
		insulationM2kw: Float64Array.from(insulations),
		face: Int16Array.from(faces),
		permeabilities,
		placed: combinations
	};
}

/** Regions of which a choice of trunk, legs and head may decide what water reaches. */
const IN_WATER: ReadonlySet<Region> = new Set(['thighs', 'calves', 'feet']);

/** What water does to a region. */
export interface Soaked {
	/** share of its insulation that wet gloves, boots and socks leave */
	shareLeft: number;
	/** what would lose as much to the air as it does under water, m²·K/W; null above it */
	inWater: ((worn: readonly Placed[]) => number | null) | null;
}
const DRY: Soaked = { shareLeft: 1, inWater: null };

/** Heat that every combination lets through in some air: its share of the body over its insulation, W/(m²·K). */
export function conductances(
	{ region, starts, insulationM2kw, face, permeabilities, placed }: LayerContact,
	air: AirInUse,
	openingFactor: number,
	{ shareLeft, inWater }: Soaked = DRY
): Float64Array {
	const use = permeabilities.map((one) => useFactor(air.airVelocityMs, air.walkSpeedMs, one));
	const out = new Float64Array(starts.length - 1);
	const share = AREA_SHARE[region];
	const bare = Math.max(BARE_M2KW, air.airLayerM2kw);
	for (let at = 0; at < out.length; at++) {
		let insulation = 0;
		let best = bare;
		const end = starts[at + 1]!;
		for (let i = starts[at]!; i < end; i++) {
			insulation += insulationM2kw[i]! * openingFactor;
			if (face[i]! < 0) continue;
			const total = totalM2kw(insulation, STILL_AIR_M2KW) * use[face[i]!]!;
			if (total > best) best = total;
		}
		const under = placed && inWater?.(placed[at]!);
		out[at] = share / (under ?? Math.max(bare, best * shareLeft));
	}
	return out;
}
