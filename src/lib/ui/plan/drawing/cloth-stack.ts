import type { ClothFunction } from '$lib/core/document/types';
import { isFailing, type Verdict } from '$lib/core/document/verdict';
import type { PlannedPhase } from '$lib/core/kit/planned-day';
import { toneOf } from '../../parts/tone';

/** The stack of clothes in each column of the plan: what lies on what, how high, and what is missing. Heights in clo. */

/** A thing in one column. */
export interface Slab {
	k: number;
	thingId: string;
	name: string;
	tone: ClothFunction;
	low: number;
	high: number;
	/** how wet it is at the end, 0…1 */
	wet: number;
}
export const slabsOf = (phases: readonly PlannedPhase[], names: ReadonlyMap<string, string>): Slab[] =>
	phases.flatMap((phase, k) => {
		let low = 0;
		return phase.drawn.map((layer): Slab => {
			const high = low + Math.max(0, layer.gainClo);
			const slab = {
				k,
				thingId: layer.thingId,
				name: names.get(layer.thingId) ?? '',
				tone: toneOf(phase.outfit.find(({ cloth }) => cloth.thingId === layer.thingId)!),
				low,
				high,
				wet: phase.wet.find(({ thingId }) => thingId === layer.thingId)?.share ?? 0
			};
			low = high;
			return slab;
		});
	});

/** One ribbon for as long as a thing stays on without a break. */
export function ribbonsOf(slabs: readonly Slab[]): Slab[][] {
	const found: Slab[][] = [];
	for (const slab of slabs) {
		const run = found.find((one) => one.at(-1)!.thingId === slab.thingId && one.at(-1)!.k === slab.k - 1);
		if (run) run.push(slab);
		else found.push([slab]);
	}
	return found;
}

/** Where sweating starts, drawn where it can happen within what is worn. */
export const sweatAt = ({ tooWarmAboveClo, resultantClo }: PlannedPhase): number | null =>
	tooWarmAboveClo !== null && tooWarmAboveClo < resultantClo + 2.5 ? tooWarmAboveClo : null;

/** Least height of the drawing, so that what is worn in summer is no wall. */
const LEAST_CLO = 0.6;
/** The drawing is as high as what is worn, and half as much again: a need far over it is broken off at its top. */
const ROOM = { least: 1.18, most: 1.55, overNeed: 1.1 } as const;
/** Height of the drawing, clo. */
export function highestOf(phases: readonly PlannedPhase[]): number {
	const thickest = Math.max(LEAST_CLO, ...phases.map(({ resultantClo }) => resultantClo));
	const asked = phases.map((phase) => Math.max(phase.band?.needClo ?? 0, sweatAt(phase) ?? 0));
	return Math.max(
		thickest * ROOM.least,
		Math.min(thickest * ROOM.most, Math.max(0, ...asked) * ROOM.overNeed)
	);
}

/** The part of a column that is missing, or too much; null where neither is. */
export function troubleOf(
	phase: PlannedPhase,
	highest: number
): { low: number; high: number; kind: 'short' | 'cool' | 'warm' } | null {
	const { band, resultantClo, verdict } = phase;
	const sweat = sweatAt(phase);
	if (verdict.startsWith('warm') && sweat !== null) return { low: sweat, high: resultantClo, kind: 'warm' };
	if (!band || verdict === 'not judged yet' || resultantClo >= band.needClo) return null;
	const kind = resultantClo < band.holdClo ? 'short' : 'cool';
	return { low: resultantClo, high: Math.min(band.needClo, highest), kind };
}

/** In which colour the words on a stack stand. */
export const toldKind = (verdict: Verdict): 'right' | 'cool' | 'short' | 'warm' =>
	isFailing(verdict) ? 'short' : verdict === 'cool' ? 'cool' : verdict.startsWith('warm') ? 'warm' : 'right';

/** A baseline inside a ribbon that no line strikes through, if there is one. @param low and @param high px, downwards */
export function clearOf(lines: readonly number[], low: number, high: number): number {
	const middle = (low + high) / 2 + 4;
	const inside = [0, -7, 7, -14, 14, -21, 21]
		.map((shift) => middle + shift)
		.filter((y) => y < low - 2 && y > high + 10);
	return inside.find((y) => lines.every((line) => line < y - 13 || line > y + 4)) ?? middle;
}
