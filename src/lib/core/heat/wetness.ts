import type { Bed } from '../document/types';
import { type Cloth, covers, isBag } from '../cloth/things';
import { DAMP_FROM, LOST_WHEN_FULL, WET_FROM, type Wetness } from './wet-cloth';

/** Things that a place dries overnight, most wanted first: small ones, up to so many (our assumption). */
const SMALL_THINGS = 6;
/** What is dried on the body or in the bag, at most (common practice). */
const IN_THE_BAG = 2;
const SMALL_L = 1;
/** What is left in the morning of a thing that hangs in a warm room and is not thin (our assumption). */
const THICK_IN_WARM = 0.5;

const isSmall = ({ packedL, fibre }: Cloth): boolean =>
	packedL <= SMALL_L && fibre !== 'down' && fibre !== 'synthetic-fill' && fibre !== 'leather';

/** Of two soaked pairs of socks only one dries in a bag (common practice). */
const isPair = (cloth: Cloth): boolean => covers(cloth, 'feet');

/** A bag in which wet things are dried loses so much of its warmth a night, down twice that, up to a most (our assumption). */
const BAG_LOSES = 0.05;
const BAG_LOSES_AT_MOST = 0.3;
function damperBag({ fibre }: Cloth, before: number): number {
	const night = BAG_LOSES * (fibre === 'down' ? 2 : 1);
	return Math.min(BAG_LOSES_AT_MOST, before * LOST_WHEN_FULL[fibre] + night) / LOST_WHEN_FULL[fibre];
}
/** Skin of a sleeper, as far as the loss of a bag is told in degrees, °C (our assumption). */
const SLEEPERS_SKIN_C = 33;
/** Comfort temperature of a bag with so much water in it, °C. */
export const dampComfortC = ({ comfortTempC, fibre }: Cloth, share: number): number =>
	comfortTempC + LOST_WHEN_FULL[fibre] * share * (SLEEPERS_SKIN_C - comfortTempC);

/** What is done with wet things in the evening, where not everything dries by itself. */
export interface EveningDrying {
	/** where what is dry by morning hangs or lies */
	where: 'room' | 'bag';
	/** ids of what is dry by morning */
	driedIds: string[];
	/** ids of wet boots and shoes, which take longer than a night: their insoles come out */
	footwearIds: string[];
}

/** What is dried overnight where no drying room dries everything. */
export function eveningDrying(evening: Wetness, kit: readonly Cloth[], bed: Bed): EveningDrying {
	const warm = bed.kind === 'heated' || bed.drying === 'small things';
	const share = ({ thingId }: Cloth): number => evening.get(thingId) ?? 0;
	const wanted = kit
		.filter((cloth) => isSmall(cloth) && share(cloth) >= DAMP_FROM)
		.sort((a, b) => a.positions[0] - b.positions[0] || b.localClo - a.localClo);
	const soakedPair = wanted.find((cloth) => isPair(cloth) && share(cloth) >= WET_FROM);
	const inBag = wanted.filter((cloth) => cloth === soakedPair || !isPair(cloth) || share(cloth) < WET_FROM);
	const dried = warm ? wanted.slice(0, SMALL_THINGS) : inBag.slice(0, IN_THE_BAG);
	return {
		where: warm ? 'room' : 'bag',
		driedIds: dried.map(({ thingId }) => thingId),
		footwearIds: kit
			.filter((cloth) => cloth.slot === 'footwear' && share(cloth) >= DAMP_FROM)
			.map(({ thingId }) => thingId)
	};
}

/**
 * What is still wet in the morning. A drying room dries all; a heated room small things, a limited number of them; an
 * unheated house or a tent nothing by itself, two small things apart that are dried on the body or in the bag.
 */
export function morningWetness(evening: Wetness, kit: readonly Cloth[], bed: Bed): Map<string, number> {
	if (bed.drying === 'everything') return new Map();
	const { where, driedIds } = eveningDrying(evening, kit, bed);
	const warm = where === 'room';
	const dried = new Set(driedIds);
	const morning = new Map<string, number>();
	for (const cloth of kit) {
		const before = evening.get(cloth.thingId) ?? 0;
		if (isBag(cloth)) {
			const now = warm ? before * THICK_IN_WARM : dried.size > 0 ? damperBag(cloth, before) : before;
			if (now > 0.01) morning.set(cloth.thingId, now);
			continue;
		}
		// Who has two of a thing keeps one of them dry.
		if (dried.has(cloth.thingId) || cloth.quantity > 1) continue;
		const left = before * (bed.kind === 'heated' ? THICK_IN_WARM : 1);
		if (left >= DAMP_FROM) morning.set(cloth.thingId, left);
	}
	return morning;
}
