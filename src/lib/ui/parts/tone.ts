import type { WornLayer } from '$lib/core/cloth/worn';
import type { ClothFunction } from '$lib/core/document/types';

/** What a worn layer is coloured as: over everything and next to skin by where it is worn, else by what it is for. */
export function toneOf({
	cloth,
	position
}: {
	cloth: Pick<WornLayer['cloth'], 'functions'>;
	position: number;
}): ClothFunction {
	if (position === 5) return 'over';
	if (position <= 1) return 'skin';
	return cloth.functions.find((one) => one !== 'over' && one !== 'skin') ?? 'warmth';
}
