import { type Cloth, clothOf, covers, isThere } from '../../cloth/things';
import { LETTER_SIZES } from '../../document/client-facts';
import type { Client } from '../../document/types';

/** Whether a thing of a known size goes over what a client wears. */

/** Steps that a layer over everything may be larger than what one wears; any other thing (common practice, no source). */
const LARGER_OVER_ALL = 3;
const LARGER = 1;
/** A boot to lend: whole sizes that it may be larger (common practice, no source). */
const LARGER_BOOT = 1;
/** Layers from here on go over everything. */
const OVER_ALL = 5;

export type SizeFit = 'fits' | 'does not fit' | 'try it on';
type SizedPart = 'torso' | 'legs' | 'feet' | 'hands';

/** The part of the body by which a thing is sized; null for what fits everybody. */
export function sizedBy(cloth: Cloth): SizedPart | null {
	if (cloth.positions[1] <= 1 && covers(cloth, 'feet')) return null;
	const on = { torso: 'torso', legs: 'thighs', feet: 'feet', hands: 'hands' } as const;
	return (['torso', 'legs', 'feet', 'hands'] as const).find((part) => covers(cloth, on[part])) ?? null;
}

/** A size as a number on its scale: letters count steps, shoes are European sizes; null where it is neither. */
export function sizeNumber(size: string, part: SizedPart): number | null {
	const text = size.trim().toUpperCase();
	if (part === 'feet') {
		const number = Number(text.replace(/^EU\s*/, '').replace(',', '.'));
		return text !== '' && number >= 15 && number <= 55 ? number : null;
	}
	const at = LETTER_SIZES.findIndex((letter) => letter === text.replace('2XL', 'XXL').replace('XXXL', '3XL'));
	return at < 0 ? null : at;
}

/** The size that a client wears on a part: as it was told, else that of the largest sized thing of their own there. */
export function ownSize(client: Client, part: SizedPart): number | null {
	const told = part === 'feet' ? client.shoeSize.value : null;
	if (told !== null) return told;
	const letter = { torso: client.topSize, legs: client.legSize, hands: client.gloveSize, feet: null }[part];
	if (letter?.value) return sizeNumber(letter.value, part);
	const own = client.things
		.filter(isThere)
		.map((thing) => clothOf(thing, client.uses))
		.filter((cloth) => sizedBy(cloth) === part)
		.flatMap((cloth) => sizeNumber(cloth.size, part) ?? []);
	return own.length > 0 ? Math.max(...own) : null;
}

/**
 * Whether a thing fits a client: at least the size that they wear and at most a step larger, a coat over everything three.
 * @returns 'try it on' where one of the two sizes is not known
 */
export function sizeFit(cloth: Cloth, client: Client): SizeFit {
	const part = sizedBy(cloth);
	if (part === null) return 'fits';
	const [size, own] = [sizeNumber(cloth.size, part), ownSize(client, part)];
	if (size === null || own === null) return 'try it on';
	const larger = part === 'feet' ? LARGER_BOOT : cloth.positions[1] >= OVER_ALL ? LARGER_OVER_ALL : LARGER;
	return size >= own && size <= own + larger ? 'fits' : 'does not fit';
}
