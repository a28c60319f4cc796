import type { Cloth } from '../cloth/things';
import type { Bed } from '../document/types';
import { DAMP_FROM, type Wetness } from './wet-cloth';

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
