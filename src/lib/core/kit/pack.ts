import type { Cloth } from '../cloth/things';
import type { Cell } from '../conditions/cells';
import type { Finding } from '../document/finding';
import type { Client, Stage } from '../document/types';
import { reason } from '../document/reasons';
import { DRY_BAG_ASKED_MIN } from '../judge/kit-findings';
import { WET_FROM, type Wetness } from '../heat/wet-cloth';
import { at, type JudgedPhase, type StageFacts } from '../judge/finding';
import { ROOFED } from '../weather/wind';

/** Where a thing rides. */
export type Where = 'pocket' | 'top' | 'dry-bag' | 'pack' | 'base';
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

/** Room and weight of what is carried for a group. */
export type SharedLoad = NonNullable<Client['forOthers']>;
/** What a client carries of the group's: a share of its load, and what is brought for others. */
export const groupLoadOf = (
	{ groupLoadL = 0 }: Pick<Stage, 'groupLoadL'>,
	{ forOthers = { litres: 0, massG: 0 } }: Pick<Client, 'forOthers'>
): SharedLoad => ({
	litres: groupLoadL + forOthers.litres,
	massG: GROUP_G_PER_L * groupLoadL + forOthers.massG
});
const NOTHING_SHARED: SharedLoad = { litres: 0, massG: 0 };

/**
 * What the pack holds in a phase: what is carried and not worn, and the things that are no clothes.
 * @param carried where each thing rides
 * @param kit all that the client has
 * @param group what is carried of the group's
 * @param wet how wet things are, by id
 */
export function packOf(
	carried: readonly CarriedThing[],
	kit: readonly Cloth[],
	group: SharedLoad = NOTHING_SHARED,
	wet: Wetness = new Map()
): Pack {
	const bag = packBag(kit);
	const where = new Map(carried.map((one) => [one.thingId, one.where]));
	const inside = kit.filter((cloth) => {
		if (cloth.holdsL >= PACK_FROM_L) return false;
		const rides = where.get(cloth.thingId);
		return rides === 'top' || rides === 'dry-bag' || rides === 'pack';
	});
	return {
		litres: inside.reduce((sum, { packedL }) => sum + packedL, WATER_AND_FOOD.litres + group.litres),
		massG: inside.reduce(
			(sum, { massG }) => sum + massG,
			WATER_AND_FOOD.massG + group.massG + (bag?.massG ?? 0)
		),
		bag: bag && { thingId: bag.thingId, name: bag.name, holdsL: bag.holdsL },
		wetIds: inside.filter(({ thingId }) => (wet.get(thingId) ?? 0) >= WET_FROM).map(({ thingId }) => thingId)
	};
}

/** What keeps water out of a pack: a cover or roll-top bag, or a bag that is one itself. A zipped bag does not. */
export const hasDryBag = (kit: readonly Cloth[]): boolean =>
	kit.some(
		({ features, holdsL, typeId }) =>
			features.includes('watertight') && (holdsL > 0 || typeId === 'pack-cover')
	);

const isDryChange = ({ slot }: Cloth): boolean => slot === 'base' || slot === 'sock';
/** What has to stay dry in the pack: down, what is kept for the night, and what one changes into. */
export const mustStayDry = (cloth: Cloth): boolean =>
	cloth.dryForNight || cloth.fibre === 'down' || isDryChange(cloth);

/**
 * Where a thing rides that is carried and not worn: what the next stop or rain asks for at hand, what must stay dry in the
 * dry bag, where there is one.
 * @param isSoon it is worn again within the next phases
 */
export function rideOf(cloth: Cloth, isSoon: boolean, isDryBagThere: boolean, isWet: boolean): Where {
	// What one changes into stays dry up to then.
	if (isDryBagThere && isDryChange(cloth) && !isWet) return 'dry-bag';
	if (cloth.packedL <= POCKET_L)
		return isDryBagThere && mustStayDry(cloth) && !isSoon && !isWet ? 'dry-bag' : 'pocket';
	if (isSoon || cloth.slot === 'rain') return 'top';
	return isDryBagThere && mustStayDry(cloth) && !isWet ? 'dry-bag' : 'pack';
}

/** Rain on a pack from which on it comes through, minutes of ordinary rain (our assumption). */
const THROUGH_THE_PACK_MIN = 30;

/** What rides where it gets wet: rain on a pack that lets it in, and wet things beside down. */
export function wetInThePack(
	facts: Pick<StageFacts, 'client' | 'weather'>,
	phases: readonly (JudgedPhase & { pack: Pack; carried: readonly CarriedThing[] })[],
	kit: readonly Cloth[]
): Finding[] {
	if (hasDryBag(kit)) return [];
	const byId = new Map(kit.map((cloth) => [cloth.thingId, cloth]));
	const insideOf = ({ carried }: (typeof phases)[number]): Cloth[] =>
		carried.flatMap(({ thingId, where }) => {
			const cloth = where === 'pack' || where === 'top' ? byId.get(thingId) : undefined;
			return cloth ? [cloth] : [];
		});
	const isDown = ({ fibre }: Cloth): boolean => fibre === 'down';
	const mayGetWet = (cloth: Cloth): boolean => isDown(cloth) || cloth.dryForNight;
	const carrying = phases.filter(({ cell, pack }) => isCarrying(cell) && pack.bag !== null);
	/** The first phase that is told, with the first thing in the pack that it is about. */
	const first = (
		code: 'rides-wet' | 'wet-beside-down',
		rule: 'ridesWet' | 'wetBesideDown',
		told: readonly (typeof phases)[number][],
		isMeant: (cloth: Cloth) => boolean,
		beside: (phase: (typeof phases)[number]) => string[]
	): Finding[] => {
		for (const phase of told) {
			const thing = insideOf(phase).find(isMeant);
			if (!thing) continue;
			const thingIds = [thing.thingId, ...beside(phase)];
			const placed = { ...at(facts, phase), part: 'pack' as const, thingIds };
			return [{ code, severity: 'note', ...placed, values: {}, reasons: [reason(rule)] }];
		}
		return [];
	};
	const withWet = carrying.filter(({ pack }) => pack.wetIds.length > 0);
	const rainedOn = carrying.filter(
		({ cell }) => cell.rainMinutes >= THROUGH_THE_PACK_MIN && cell.rainMinutes < DRY_BAG_ASKED_MIN
	);
	return [
		...first('wet-beside-down', 'wetBesideDown', withWet, isDown, ({ pack }) => pack.wetIds.slice(0, 1)),
		...first('rides-wet', 'ridesWet', rainedOn, mayGetWet, () => [])
	];
}

/** The phase in which the pack is too small, if there is one: the fullest, which is mostly the warmest. */
export function packTooSmall(
	facts: Pick<StageFacts, 'client' | 'weather'>,
	phases: readonly (JudgedPhase & { pack: Pack })[],
	group: SharedLoad = NOTHING_SHARED
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
					['clothesAndThings', litres - WATER_AND_FOOD.litres - group.litres, 'l'],
					['ofTheGroupsLoad', group.litres, 'l'],
					['waterAndFood', WATER_AND_FOOD.litres, 'l'],
					['theBagHolds', bag!.holdsL, 'l']
				])
			]
		}
	];
}
