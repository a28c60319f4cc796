import { FACTORS, type Factor } from '../cloth/factors';
import type { Stack } from '../cloth/stacks';
import { airInUse, regionTotalM2kw } from '../cloth/supply';
import { covers } from '../cloth/things';
import { layersOf } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import { isAwake, isRainThrough, needsCover, rainKeptMin } from '../conditions/needs';
import type { Part } from '../document/parts';
import type { Schools } from '../document/schools';
import { PENALTY } from '../rules/objective';
import { penaltyOfUnmet, requirementsOf } from '../rules/requirements';
import type { BodyFactor } from './layer-contacts';
import type { Wardrobe } from './legal-outfits';

/**
 * The core of a wardrobe, for a first plan: few stacks of each factor, chosen by what the cells of the trip ask for. Every
 * cell has its say: among the stacks that serve it best, some from thin to thick.
 */

/** Stacks of each factor that a core has room for. */
const ROOM: Readonly<Record<BodyFactor, number>> = { trunk: 40, legs: 10, head: 8 };
/** Degrees from thin to thick of which a cell names the best stack. */
const THICKNESSES = 6;

/** Cells that have a say at most: those that are asked for most often. */
const MOST_CELLS = 120;

/** Thin and thick are told apart in calm air and in wind, m/s. */
const WINDY_MS = 2.5;
const AIRS = [airInUse(0.4, 0.3), airInUse(6, 0.3)] as const;

/** Where the warmth of a factor is looked at. */
const REGION = { trunk: 'trunk', legs: 'thighs', head: 'skull' } as const;
const RAIN_PART: Readonly<Partial<Record<BodyFactor, Part>>> = { trunk: 'torso', legs: 'thighs' };
const FACE: readonly Part[] = ['face', 'ears', 'neck'];

/** Cells that ask the same of clothes, once each, with how often. */
function unlike(cells: Iterable<Cell>): Cell[] {
	const known = new Map<string, { cell: Cell; times: number }>();
	for (const cell of cells) {
		if (!isAwake(cell)) continue;
		const { doing, kind, metabolicWm2, airTempC, airVelocityMs, heated, marks, rainMinutes, terrain } = cell;
		const key = JSON.stringify([
			doing,
			kind,
			Math.round(metabolicWm2 / 40),
			Math.round(airTempC / 4),
			Math.round(airVelocityMs / 2),
			heated,
			[...marks].sort(),
			Math.ceil(rainMinutes / 60),
			terrain
		]);
		const before = known.get(key);
		if (before) before.times++;
		else known.set(key, { cell, times: 1 });
	}
	return [...known.values()]
		.sort((a, b) => b.times - a.times)
		.slice(0, MOST_CELLS)
		.map(({ cell }) => cell);
}

/** What a stack lacks in a cell, whatever else is worn. */
function penaltyOf(factor: BodyFactor, { layers }: Stack, cell: Cell, schools: Schools): number {
	let sum = penaltyOfUnmet(requirementsOf(cell, factor, schools), layers, cell);
	const part = RAIN_PART[factor];
	if (part && cell.rainMinutes > 0 && isRainThrough(rainKeptMin(layers, part), cell.rainMinutes))
		sum += PENALTY.wetThrough;
	if (factor === 'head')
		for (const one of FACE)
			if (needsCover(cell, one, schools) && !layers.some(({ cloth }) => covers(cloth, one)))
				sum += PENALTY.bare;
	return sum;
}

/** A stack in a cell: what it lacks there, and how thick it is. */
interface Rated {
	stack: Stack;
	penalty: number;
	m2kw: number;
}

/** The stacks of a factor that a core keeps. */
function chosenOf(
	factor: BodyFactor,
	stacks: readonly Stack[],
	cells: readonly Cell[],
	schools: Schools,
	keep: ReadonlySet<string>,
	room: number
): Stack[] {
	if (stacks.length <= room) return [...stacks];
	const votes = new Map<Stack, number>();
	const things = new Set<number>();
	// A course needs few things: those that are in the core already come first.
	const price = ({ layers }: Stack): number =>
		layers.reduce((sum, { cloth, index }) => sum + (things.has(index) ? 0.3 : 1) + cloth.massG / 3000, 0);
	const cheapest = (group: readonly Rated[]): Stack =>
		group.reduce((a, b) => (price(b.stack) < price(a.stack) ? b : a)).stack;
	const vote = (stack: Stack): void => {
		votes.set(stack, (votes.get(stack) ?? 0) + 1);
		stack.layers.forEach(({ index }) => things.add(index));
	};
	/** What no cell may go without: one thin and one thick stack that serve it best, and the thickest that may be worn. */
	const needed = new Set<Stack>();
	const thickness = AIRS.map((air) =>
		stacks.map((stack) => regionTotalM2kw(layersOf(stack.layers, REGION[factor]), air))
	);
	for (const cell of cells) {
		const inAir = thickness[cell.airVelocityMs > WINDY_MS ? 1 : 0]!;
		const rated = stacks.map((stack, i): Rated => ({
			stack,
			penalty: penaltyOf(factor, stack, cell, schools),
			m2kw: inAir[i]!
		}));
		const least = Math.min(...rated.map(({ penalty }) => penalty));
		const best = rated.filter(({ penalty }) => penalty === least).sort((a, b) => a.m2kw - b.m2kw);
		const thin = best[0]!.m2kw;
		const thick = best.at(-1)!.m2kw;
		const between = (low: number, high: number): Rated[] =>
			best.filter(({ m2kw }) => m2kw >= low - 1e-9 && m2kw <= high + 1e-9);
		for (let step = 0; step < THICKNESSES; step++) {
			const group = between(
				thin + ((thick - thin) * step) / THICKNESSES,
				thin + ((thick - thin) * (step + 1)) / THICKNESSES
			);
			if (group.length > 0) vote(cheapest(group));
		}
		needed.add(cheapest(between(thin, (thin + thick) / 2)));
		needed.add(cheapest(between((thin + 2 * thick) / 3, thick)));
		// With a fault more, something thicker may hold where all else is short.
		const allowed = rated.filter(({ penalty }) => penalty < least + PENALTY.needed);
		needed.add(allowed.reduce((a, b) => (b.m2kw > a.m2kw ? b : a)).stack);
	}
	const ranked = [...votes].sort((a, b) => b[1] - a[1]).map(([stack]) => stack);
	const kept = new Set(needed);
	for (const stack of ranked) if (kept.size < room) kept.add(stack);
	// What somebody wishes to wear or take has stacks of its own, the simplest ones.
	for (const id of keep) {
		const has = ({ layers }: Stack): boolean => layers.some(({ cloth }) => cloth.thingId === id);
		if ([...kept].some(has) || !stacks.some(has)) continue;
		stacks
			.filter(has)
			.sort((a, b) => price(a) - price(b))
			.slice(0, 3)
			.forEach((stack) => kept.add(stack));
	}
	return stacks.filter((stack) => kept.has(stack));
}

/**
 * The core of a wardrobe.
 * @param cells of all days and weathers of the trip
 * @param keep things that stay in the search, by id
 */
export function coreOf(
	whole: Wardrobe,
	cells: Iterable<Cell>,
	schools: Schools,
	keep: ReadonlySet<string> = new Set()
): Wardrobe {
	const distinct = unlike(cells);
	if (distinct.length === 0) return whole;
	const stacks = { ...whole.stacks };
	for (const factor of ['trunk', 'legs', 'head'] as const satisfies readonly Factor[])
		stacks[factor] = chosenOf(factor, whole.stacks[factor], distinct, schools, keep, ROOM[factor]);
	const cut = whole.cut || FACTORS.some((factor) => stacks[factor].length < whole.stacks[factor].length);
	return { ...whole, stacks, cut };
}
