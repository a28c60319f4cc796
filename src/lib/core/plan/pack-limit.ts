import { isBag } from '../cloth/things';
import { groupLoadOf, isCarrying, packBag, ridesInPack, WATER_AND_FOOD } from '../kit/pack';
import { finished } from '../search/steps';
import type { Constraints } from './choice/constraints';
import type { TripDay, TripDays } from './trip-days';
import { isBetter, type Progress, type SolveOptions, type TripChoice } from './choice/trip-choice';
import type { TripSolver } from './choice/trip-solver';

/**
 * The room in the pack: in every phase on the move, what is carried and not worn has to go in. More things worn makes more
 * room, so this is not monotone in the set taken: a plan that does not fit is split by what could be left that day, or worn.
 */

/** Where a choice does not fit. */
export interface Overfull {
	day: TripDay;
	cell: number;
	litres: number;
	/** things in the pack there, as indexes into the kit */
	inside: number[];
}

/** Things worn on a stage in any weather, foul or fair: all of them are carried, since the weather is not known before. */
export function carriedOn(problem: TripDays, choice: TripChoice): Map<string, Set<number>> {
	const index = new Map(problem.wardrobe.cloths.map((cloth, i) => [cloth.thingId, i]));
	const carried = new Map<string, Set<number>>();
	for (const day of problem.days) {
		const own = carried.get(day.stage.id) ?? new Set<number>();
		choice.dressed[day.index]?.outfits.flat().forEach(({ cloth }) => own.add(index.get(cloth.thingId)!));
		carried.set(day.stage.id, own);
	}
	return carried;
}

/** The fullest phase that does not fit; null when all do, or when nothing is known of a pack. */
export function overfull(problem: TripDays, choice: TripChoice): Overfull | null {
	const bag = packBag(problem.kit);
	if (!bag) return null;
	const { cloths } = problem.wardrobe;
	const carried = carriedOn(problem, choice);
	let worst: Overfull | null = null;
	for (const day of problem.days) {
		const dressed = choice.dressed[day.index];
		if (!dressed) continue;
		const bedding = day.all.some(({ kind, heated }) => kind === 'sleep' && !heated)
			? Math.max(0, ...problem.kit.filter(isBag).map(({ packedL }) => packedL))
			: 0;
		day.cells.forEach((cell, k) => {
			if (!isCarrying(cell)) return;
			const worn = new Set(dressed.outfits[k]!.map(({ cloth }) => cloth.thingId));
			const inside = [...carried.get(day.stage.id)!].filter(
				(thing) => !worn.has(cloths[thing]!.thingId) && ridesInPack(cloths[thing]!)
			);
			const litres = inside.reduce(
				(sum, thing) => sum + cloths[thing]!.packedL,
				WATER_AND_FOOD.litres + groupLoadOf(day.stage, problem.client).litres + bedding
			);
			if (litres > bag.holdsL + 1e-9 && (!worst || litres > worst.litres))
				worst = { day, cell: k, litres, inside };
		});
	}
	return worst;
}

/** Splits that are tried before the best so far has to do. */
const MOST_SPLITS = 24;

interface Branch {
	constraints: Constraints;
	choice: TripChoice;
}

/**
 * The best choice that fits into the pack: best first, split where it does not fit. When nothing fits, or not in time, the
 * choice as if there were room; `fits` says which.
 */
export function* solveWithRoom(
	solver: TripSolver,
	constraints: Constraints,
	options: SolveOptions = {},
	mostSplits = MOST_SPLITS
): Generator<Progress, { choice: TripChoice; fits: boolean; proven: boolean } | null, void> {
	const { whole, ...hurried } = options;
	const first = yield* solver.solve(constraints, hurried);
	if (!first) return null;
	// Of a split nothing is shown before its end.
	const quiet = { ...hurried, hurry: () => false };
	const waiting: Branch[] = [{ constraints, choice: first }];
	const seen = new Set<string>();
	for (let splits = 0; waiting.length > 0 && splits <= mostSplits && !options.isOver?.(); splits++) {
		let at = 0;
		waiting.forEach(({ choice }, i) => {
			if (isBetter(choice.levels, waiting[at]!.choice.levels)) at = i;
		});
		const [branch] = waiting.splice(at, 1);
		const full = overfull(solver.problem, branch!.choice);
		if (!full) {
			const best = whole ? yield* solver.solve(branch!.constraints, { ...quiet, whole }) : null;
			const isBest = best !== null && overfull(solver.problem, best) === null;
			return { choice: isBest ? best : branch!.choice, fits: true, proven: true };
		}
		yield { task: 'room', done: splits, total: mostSplits, best: null };
		for (const thing of full.inside) {
			for (const next of [
				leftThere(branch!.constraints, full, thing),
				wornThere(branch!.constraints, full, thing)
			]) {
				const key = keyOf(next);
				if (seen.has(key)) continue;
				seen.add(key);
				const choice = finished(solver.solve(next, quiet));
				if (choice) waiting.push({ constraints: next, choice });
			}
		}
	}
	return { choice: first, fits: false, proven: waiting.length === 0 };
}

function leftThere(constraints: Constraints, { day }: Overfull, thing: number): Constraints {
	const leftOn = new Map(constraints.leftOn);
	leftOn.set(day.stage.id, new Set([...(leftOn.get(day.stage.id) ?? []), thing]));
	return { ...constraints, leftOn };
}
const wornThere = (constraints: Constraints, { day, cell }: Overfull, thing: number): Constraints => ({
	...constraints,
	wornAt: [...constraints.wornAt, { day: day.index, cell, thing }]
});

/** The same constraints in whatever order they were added. */
const keyOf = ({ leftOn, wornAt }: Constraints): string =>
	JSON.stringify([
		[...leftOn].map(([id, things]) => [id, [...things].sort((a, b) => a - b)]).sort(),
		wornAt.map(({ day, cell, thing }) => `${day} ${cell} ${thing}`).sort()
	]);
