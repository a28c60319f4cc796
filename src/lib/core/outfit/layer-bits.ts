import type { Stack } from '../cloth/stacks';

/** Stacks as sets of bits: what goes on or off between two of them is counted without looking at the layers. */

const OVER_EVERYTHING = 5;
const BITS_IN_WORD = 32;

/** The layers of each stack, a bit for each thing under the shell and one for it over everything; a list a word. */
export function layerBits(stacks: readonly Stack[]): Uint32Array[] {
	const highest = stacks.reduce(
		(most, { layers }) => layers.reduce((own, { index }) => Math.max(own, index), most),
		0
	);
	const words = Math.floor((2 * highest + 1) / BITS_IN_WORD) + 1;
	const bits = Array.from({ length: words }, () => new Uint32Array(stacks.length));
	stacks.forEach(({ layers }, option) => {
		for (const { index, position } of layers) {
			const bit = 2 * index + Number(position === OVER_EVERYTHING);
			bits[Math.floor(bit / BITS_IN_WORD)]![option]! |= 1 << (bit % BITS_IN_WORD);
		}
	});
	// A word without a bit tells nothing apart.
	return bits.filter((own) => own.some((word) => word !== 0));
}

/** How many layers go on or off between two stacks. @param bits as `layerBits` makes them */
export function toggledBetween(bits: readonly Uint32Array[], from: number, to: number): number {
	let toggles = 0;
	for (const own of bits) toggles += bitCount(own[from]! ^ own[to]!);
	return toggles;
}

/** How many bits of a word of 32 are set. */
export function bitCount(word: number): number {
	let left = word - ((word >>> 1) & 0x55555555);
	left = (left & 0x33333333) + ((left >>> 2) & 0x33333333);
	return Math.imul((left + (left >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}
