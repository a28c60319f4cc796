import { type Cloth, covers } from '../cloth/things';
import { rainKeptOutMin } from '../conditions/needs';
import type { Bed, Fibre } from '../document/types';
import { ROOFED } from '../weather/wind';
import type { SimulatedDay, WornPhase } from './simulation';

/** How wet things are, by thing id, 0…1 of what they can hold; what is dry is left out. */
export type Wetness = ReadonlyMap<string, number>;

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

/** A cloth as it warms with water in it: the wetter, the less. */
export const wetCloth = (cloth: Cloth, share: number): Cloth => ({
	...cloth,
	localClo: cloth.localClo * (1 - LOST_WHEN_FULL[cloth.fibre] * share)
});

/** Minutes of ordinary rain beyond what a face keeps out, that fill a cloth (our assumption). */
const FILLED_AFTER_MIN = 40;
/** A face that keeps the rain out is damp all the same after a while (our assumption). */
const DAMP_FACE = 0.2;
const DAMP_FACE_RAIN_MIN = 30;
/** A heated place of this length dries half of what is worn there (our assumption). */
const WARM_MIN = 60;

const DEPTHS = {
	'immersed-ankle': ['feet'],
	'immersed-knee': ['feet', 'calves'],
	'immersed-thigh': ['feet', 'calves', 'thighs'],
	'immersed-waist': ['feet', 'calves', 'thighs']
} as const;

/**
 * How wet everything that was worn is when the day is over, before the night.
 * @param phases of one stage, in order
 * @param course the simulated day, for the sweat next to the skin
 * @param morning how wet things were when the day began
 */
export function eveningWetness(
	phases: readonly Pick<WornPhase, 'cell' | 'outfit'>[],
	course: SimulatedDay,
	morning: Wetness = new Map()
): Map<string, number> {
	const wet = new Map(morning);
	const raise = (cloth: Cloth, to: number): void => {
		if (to > (wet.get(cloth.thingId) ?? 0)) wet.set(cloth.thingId, Math.min(1, to));
	};
	phases.forEach(({ cell, outfit }, k) => {
		if (cell.kind === 'what-if' || cell.kind === 'sleep') return;
		for (const part of ['torso', 'thighs', 'calves', 'hands', 'feet', 'ears'] as const) {
			const layers = outfit.filter(({ cloth }) => covers(cloth, part));
			const depth = (Object.keys(DEPTHS) as (keyof typeof DEPTHS)[]).find((mark) =>
				cell.marks.includes(mark)
			);
			if (depth && (DEPTHS[depth] as readonly string[]).includes(part)) {
				const sealed = layers.findIndex(({ cloth }) => cloth.waterGrade === 'rubber');
				layers.slice(sealed + 1).forEach(({ cloth }) => raise(cloth, 1));
			}
			if (cell.rainMinutes === 0 || ROOFED.has(cell.place)) continue;
			let through = cell.rainMinutes;
			for (const { cloth } of [...layers].reverse()) {
				const over = through - rainKeptOutMin(cloth);
				if (over <= 0) {
					if (through >= DAMP_FACE_RAIN_MIN && cloth.waterGrade !== 'rubber') raise(cloth, DAMP_FACE);
					break;
				}
				raise(cloth, over / FILLED_AFTER_MIN);
				through = over;
			}
		}
		const last = course.minutes.findLast(({ phase }) => phase === k);
		const skin = outfit.find(({ cloth }) => covers(cloth, 'torso'))?.cloth;
		if (last && skin) raise(skin, last.soaked);
		if (cell.heated && cell.minutes >= WARM_MIN)
			for (const { cloth } of outfit)
				if (wet.has(cloth.thingId)) wet.set(cloth.thingId, wet.get(cloth.thingId)! / 2);
	});
	return wet;
}

/** Things that a place dries overnight, most wanted first: small ones, up to so many (our assumption). */
const SMALL_THINGS = 6;
/** What is dried on the body or in the bag, at most (common practice). */
const IN_THE_BAG = 2;
const SMALL_L = 1;
/** What is left in the morning of a thing that hangs in a warm room and is not thin (our assumption). */
const THICK_IN_WARM = 0.5;

const isSmall = ({ packedL, fibre }: Cloth): boolean =>
	packedL <= SMALL_L && fibre !== 'down' && fibre !== 'synthetic-fill' && fibre !== 'leather';

/**
 * What is still wet in the morning. A drying room dries all; a heated room small things, a limited number of them; an
 * unheated house or a tent nothing by itself, two small things apart that are dried on the body or in the bag.
 */
export function morningWetness(evening: Wetness, kit: readonly Cloth[], bed: Bed): Map<string, number> {
	if (bed.drying === 'everything') return new Map();
	const warm = bed.kind === 'heated' || bed.drying === 'small things';
	const wanted = kit
		.filter((cloth) => isSmall(cloth) && (evening.get(cloth.thingId) ?? 0) >= DAMP_FROM)
		.sort((a, b) => a.positions[0] - b.positions[0] || b.localClo - a.localClo);
	const dried = new Set(wanted.slice(0, warm ? SMALL_THINGS : IN_THE_BAG).map(({ thingId }) => thingId));
	const morning = new Map<string, number>();
	for (const cloth of kit) {
		const before = evening.get(cloth.thingId) ?? 0;
		// Who has two of a thing keeps one of them dry.
		if (dried.has(cloth.thingId) || cloth.quantity > 1) continue;
		const left = before * (bed.kind === 'heated' ? THICK_IN_WARM : 1);
		if (left >= DAMP_FROM) morning.set(cloth.thingId, left);
	}
	return morning;
}
