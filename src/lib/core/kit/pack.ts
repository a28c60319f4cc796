import type { Cloth } from '../cloth/things';
import type { Cell } from '../conditions/cells';
import type { Finding } from '../document/finding';
import { reason } from '../document/reasons';
import { WET_FROM, type Wetness } from '../heat/wetness';
import { at, type JudgedPhase, type StageFacts } from '../judge/finding';
import { ROOFED } from '../weather/wind';

/** Where a thing rides. */
export type Where = 'pocket' | 'top' | 'pack' | 'base';
export interface CarriedThing {
	thingId: string;
	where: Where;
}

/** What rides in the pack before any clothes: water and food for the day, litres and grams (our assumption). */
export const WATER_AND_FOOD: Readonly<Record<'litres' | 'massG', number>> = { litres: 2.5, massG: 2200 };

/** A bag from this size on is a pack, litres (our assumption). */
const PACK_FROM_L = 5;

/** The pack in one phase. */
export interface Pack {
	/** what is in and on it, with water and food, litres */
	litres: number;
	massG: number;
	/** the bag with the most room; null when no bag is known of */
	bag: { thingId: string; name: string; holdsL: number } | null;
	/** what is wet in it, to be kept apart from what is dry */
	wetIds: string[];
}

/** Grams a litre of the group's load: tents, ropes and pots are dense (our assumption). */
const GROUP_G_PER_L = 350;

/** Whether the pack is on the back, or should be. */
export const isCarrying = ({ kind, place, heated }: Cell): boolean =>
	!heated && !ROOFED.has(place) && (kind === 'move' || kind === 'stop');

/** The bag with the most room; null when no bag is known of. */
export const packBag = (kit: readonly Cloth[]): Cloth | null =>
	kit
		.filter(({ holdsL }) => holdsL >= PACK_FROM_L)
		.reduce<Cloth | null>((most, cloth) => (!most || cloth.holdsL > most.holdsL ? cloth : most), null);

/** Packed size up to which a thing rides in a pocket, litres (our assumption). */
export const POCKET_L = 0.5;

/** Whether a thing that is carried and not worn takes room in the pack. */
export const ridesInPack = ({ holdsL, packedL }: Cloth): boolean =>
	holdsL < PACK_FROM_L && packedL > POCKET_L;

/**
 * What the pack holds in a phase: what is carried and not worn, and the things that are no clothes.
 * @param carried where each thing rides
 * @param kit all that the client has
 * @param groupLoadL share of the group's load, litres
 * @param wet how wet things are, by id
 */
export function packOf(
	carried: readonly CarriedThing[],
	kit: readonly Cloth[],
	groupLoadL = 0,
	wet: Wetness = new Map()
): Pack {
	const bag = packBag(kit);
	const where = new Map(carried.map((one) => [one.thingId, one.where]));
	const inside = kit.filter((cloth) => {
		if (cloth.holdsL >= PACK_FROM_L) return false;
		return where.get(cloth.thingId) === 'top' || where.get(cloth.thingId) === 'pack';
	});
	return {
		litres: inside.reduce((sum, { packedL }) => sum + packedL, WATER_AND_FOOD.litres + groupLoadL),
		massG: inside.reduce(
			(sum, { massG }) => sum + massG,
			WATER_AND_FOOD.massG + GROUP_G_PER_L * groupLoadL + (bag?.massG ?? 0)
		),
		bag: bag && { thingId: bag.thingId, name: bag.name, holdsL: bag.holdsL },
		wetIds: inside.filter(({ thingId }) => (wet.get(thingId) ?? 0) >= WET_FROM).map(({ thingId }) => thingId)
	};
}

/** The phase in which the pack is too small, if there is one: the fullest, which is mostly the warmest. */
export function packTooSmall(
	facts: Pick<StageFacts, 'client' | 'weather'>,
	phases: readonly (JudgedPhase & { pack: Pack })[],
	groupLoadL = 0
): Finding[] {
	const full = phases
		.filter(({ cell, pack }) => isCarrying(cell) && pack.bag !== null && pack.litres > pack.bag.holdsL)
		.reduce<(JudgedPhase & { pack: Pack }) | null>(
			(most, phase) => (!most || phase.pack.litres > most.pack.litres ? phase : most),
			null
		);
	if (!full) return [];
	const { litres, bag } = full.pack;
	return [
		{
			code: 'pack-too-small',
			severity: 'warning',
			...at(facts, full),
			part: 'pack',
			thingIds: [bag!.thingId],
			values: {
				litres: { value: Math.ceil(litres), unit: 'l' },
				holds: { value: bag!.holdsL, unit: 'l' }
			},
			reasons: [
				reason('pack', [
					['clothesAndThings', litres - WATER_AND_FOOD.litres - groupLoadL, 'l'],
					['ofTheGroupsLoad', groupLoadL, 'l'],
					['waterAndFood', WATER_AND_FOOD.litres, 'l'],
					['theBagHolds', bag!.holdsL, 'l']
				])
			]
		}
	];
}
