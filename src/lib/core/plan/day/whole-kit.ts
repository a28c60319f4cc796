import { resultantClo } from '../../cloth/supply';
import type { Outfit } from '../../cloth/worn';
import { lossOf } from '../../heat/debt';
import { debtLeftWhm2, debtReachedWhm2 } from '../../heat/ledger';
import { wetLayers } from '../../heat/wet-cloth';
import { BODY_FACTORS, type BodyFactor } from '../../outfit/layer-contacts';
import { changePlace, leastChangeCost } from '../../outfit/change-cost';
import { layerBits, toggledBetween } from '../../outfit/layer-bits';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { penaltyOfDebt } from '../../rules/objective';
import { optionsWithin } from '../../search/bounds';
import { costOf } from '../../search/problem';
import { underwearAt, viewsOf } from './day-problem';
import { type Day, restart, startState } from './limb-judges';
import { mayOpen, opensBy, type OutfitTerms, outfitTerms, type PerStack, unmetOf } from './outfit-terms';
import { wetWardrobe } from './wet-day';

/**
 * A whole kit on one day: which of its stacks of trunk, legs and head can be part of a day that costs no more than some limit.
 * The outfits of a kit are far too many for tables, but a sum, a look-up and a comparison for each leave few: those whose
 * least cost in some cell is within the limit, less what the other cells cost at least. A day that costs no more than the
 * limit wears nothing else, so that searching what is left is searching the whole kit.
 */

/** Stacks of each factor that are open, cell by cell; an outfit has to be open in all three. */
export type OpenStacks = (cell: number, factor: BodyFactor, option: number) => boolean;

/** Conductances told apart when the least cost of an outfit is looked up. */
const BINS = 1024;

/** What an outfit costs at least by what it lets through: overheat, and debt from the lowest debt before. */
interface CostOfConductance {
	lowest: number;
	perBin: number;
	least: Float64Array;
}

interface CellOfKit {
	terms: OutfitTerms;
	/** least cost of any outfit, hundredths */
	least: number;
	byConductance: CostOfConductance;
	/** by factor, whether the stack is open */
	open: readonly Uint8Array[];
	/** by factor: the least cost of any outfit with the stack */
	own: readonly Float64Array[];
}

/** The open stacks of a wardrobe, with at most so much unmet beyond the least of their factor, in any cell. */
function withLittleUnmet(
	day: Day,
	whole: Wardrobe,
	others: readonly Outfit[],
	isOpen: OpenStacks,
	limit: number
): Wardrobe {
	const unmet = day.cells.map((cell, k) =>
		unmetOf(cell, whole.stacks, [...underwearAt(whole, k), ...others[k]!], day.person)
	);
	const leastOf = (one: PerStack, k: number, f: number): number =>
		one[f]!.reduce(
			(least, penalty, option) => (penalty < least && isOpen(k, BODY_FACTORS[f]!, option) ? penalty : least),
			Infinity
		);
	const least = unmet.map((one, k) => [0, 1, 2].map((f) => leastOf(one, k, f)));
	const slack =
		limit -
		costOf(
			least.flat().reduce((sum, one) => sum + one, 0),
			0
		);
	const stacks = { ...whole.stacks };
	BODY_FACTORS.forEach((factor, f) => {
		stacks[factor] = whole.stacks[factor].filter((_, option) =>
			unmet.some(
				(one, k) => isOpen(k, factor, option) && costOf(one[f]![option]! - least[k]![f]!, 0) <= slack + 1e-6
			)
		);
	});
	return { ...whole, stacks };
}

/** Lowest and highest conductance of any open outfit of a cell. */
function rangeOf({ terms, open }: Pick<CellOfKit, 'terms' | 'open'>): { lowest: number; highest: number } {
	const { regions, opens, givenOpening, unmet } = terms;
	const [trunks, legs, heads] = unmet.map(({ length }) => length) as [number, number, number];
	let lowest = Infinity;
	let highest = 0;
	const ways = regions.head[0]!.length / heads;
	const ends = regions.head.map((sums) =>
		Array.from({ length: ways }, (_, way) => {
			let low = Infinity;
			let high = 0;
			for (let h = 0; h < heads; h++) {
				if (!open[2]![h]) continue;
				low = Math.min(low, sums[way * heads + h]!);
				high = Math.max(high, sums[way * heads + h]!);
			}
			return [low, high] as const;
		})
	);
	for (let t = 0; t < trunks; t++) {
		if (!open[0]![t]) continue;
		for (let l = 0; l < legs; l++) {
			if (!open[1]![l]) continue;
			const at = t * legs + l;
			for (let front = 0; front <= opens[t]!; front++) {
				const opening = Math.max(front, givenOpening[t]!);
				const [low, high] = ends[opening]![regions.wayOf[at]!]!;
				lowest = Math.min(lowest, regions.body[opening]![at]! + low);
				highest = Math.max(highest, regions.body[opening]![at]! + high);
			}
		}
	}
	return { lowest, highest };
}

/** What the warmest outfit of a wardrobe lets through in a cell, whatever else is asked of it, W/(m²·K). */
export function lowestConductance(day: Day, k: number, wardrobe: Wardrobe, worn: Outfit): number {
	const wetness = day.wet[k]!;
	const own = wetWardrobe(wardrobe, wetness);
	const always = wetLayers([...underwearAt(wardrobe, k), ...worn], wetness);
	const terms = outfitTerms(
		day.cells[k]!,
		day.airs[k]!,
		own,
		viewsOf(own),
		always,
		day.soon[k]!,
		day.person,
		1,
		wetness
	);
	const open = BODY_FACTORS.map((factor) => new Uint8Array(wardrobe.stacks[factor].length).fill(1));
	return rangeOf({ terms, open }).lowest;
}

/** Calls back for every open outfit of a cell that costs no more than so much at least; the least cost of all. */
function sweep(
	{ terms, byConductance, open }: Omit<CellOfKit, 'least' | 'own'>,
	most: number,
	within: (trunk: number, legs: number, head: number, cost: number) => void
): number {
	const { regions, unmet, opens, givenOpening, rainAndFace, headMatters } = terms;
	const [trunks, legs, heads] = unmet.map(({ length }) => length) as [number, number, number];
	const { lowest, perBin, least } = byConductance;
	const unmetHead = unmet[2].map((penalty, h) => (open[2]![h] ? costOf(penalty, 0) : Infinity));
	let all = Infinity;
	for (let t = 0; t < trunks; t++) {
		if (!open[0]![t]) continue;
		for (let l = 0; l < legs; l++) {
			if (!open[1]![l]) continue;
			const at = t * legs + l;
			const way = regions.wayOf[at]! * heads;
			const here = costOf(unmet[0][t]! + unmet[1][l]! + (headMatters ? 0 : rainAndFace(t, l, 0)), 0);
			if (here > most && here > all) continue;
			for (let h = 0; h < heads; h++) {
				let cost = here + unmetHead[h]!;
				if (cost === Infinity || (cost > most && cost > all)) continue;
				if (headMatters) cost += costOf(rainAndFace(t, l, h), 0);
				let best = Infinity;
				for (let front = 0; front <= opens[t]!; front++) {
					const opening = Math.max(front, givenOpening[t]!);
					const sum = regions.body[opening]![at]! + regions.head[opening]![way + h]!;
					const own = least[Math.floor((sum - lowest) * perBin)]!;
					if (own < best) best = own;
				}
				cost += best;
				if (cost < all) all = cost;
				if (cost <= most) within(t, l, h, cost);
			}
		}
	}
	return all;
}

/** The kit on one day, before any limit. */
export interface KitOfDay {
	day: Day;
	/** ways in which fronts can be worn at most */
	fronts: number;
	wardrobe: Wardrobe;
	cells: readonly CellOfKit[];
	/** no course of outfits costs less, hundredths */
	least: number;
}

/**
 * @param others what hands, feet and eyes wear, by cell
 * @param limit what is of interest costs no more, hundredths
 */
export function* kitOfDay(
	day: Day,
	whole: Wardrobe,
	others: readonly Outfit[],
	isOpenIn: (wardrobe: Wardrobe) => OpenStacks,
	limit: number
): Generator<void, KitOfDay, void> {
	const wardrobe = withLittleUnmet(day, whole, others, isOpenIn(whole), limit);
	const isOpen = isOpenIn(wardrobe);
	const { trunk } = wardrobe.stacks;
	const fronts = day.cells.some(mayOpen) ? Math.max(0, ...trunk.map(opensBy)) + 1 : 1;
	let state = startState(day, 'body');
	const cells: CellOfKit[] = [];
	for (const [k, cell] of day.cells.entries()) {
		yield;
		const air = day.airs[k]!;
		const wetness = day.wet[k]!;
		const own = wetWardrobe(wardrobe, wetness);
		const always = wetLayers([...underwearAt(wardrobe, k), ...others[k]!], wetness);
		const terms = outfitTerms(
			cell,
			air,
			own,
			viewsOf(own),
			always,
			day.soon[k]!,
			day.person,
			fronts,
			wetness
		);
		const open = BODY_FACTORS.map((factor) =>
			Uint8Array.from(wardrobe.stacks[factor], (_, option) => Number(isOpen(k, factor, option)))
		);
		const { lowest, highest } = rangeOf({ terms, open });
		const start = restart(cell, state);
		const lossAt = (conductance: number) =>
			lossOf(air.balance, resultantClo(conductance, air.air), day.person.offsetClo);
		const debtCost = (conductance: number): number =>
			cell.heated
				? 0
				: penaltyOfDebt(
						Math.max(start, debtReachedWhm2(cell, lossAt(conductance), start, day.person)),
						day.person.marks,
						day.stepWeights?.[k]
					);
		const width = Math.max((highest - lowest) * (1 + 1e-9), 1e-12) / BINS;
		// In a bin an outfit has no less debt than at its low end, and no less overheat than at its high end.
		const leastIn = Float64Array.from({ length: BINS + 1 }, (_, bin) => {
			const overheat = terms.overheatOf(lowest + (bin + 1) * width);
			return costOf(debtCost(lowest + bin * width) + (overheat > 0 ? terms.wordOfOverheat : 0), overheat);
		});
		const made = { terms, open, byConductance: { lowest, perBin: 1 / width, least: leastIn } };
		const leastOwn = BODY_FACTORS.map((factor) =>
			new Float64Array(wardrobe.stacks[factor].length).fill(Infinity)
		);
		const [ownTrunk, ownLegs, ownHead] = leastOwn as [Float64Array, Float64Array, Float64Array];
		const least = sweep(made, Number.MAX_VALUE, (t, l, h, cost) => {
			if (cost < ownTrunk[t]!) ownTrunk[t] = cost;
			if (cost < ownLegs[l]!) ownLegs[l] = cost;
			if (cost < ownHead[h]!) ownHead[h] = cost;
		});
		cells.push({ ...made, least, own: leastOwn });
		const end = debtReachedWhm2(cell, lossAt(lowest), start, day.person);
		state = debtLeftWhm2(start, end);
	}
	return { day, fronts, wardrobe, cells, least: cells.reduce((sum, one) => sum + one.least, 0) };
}

/**
 * The cells with only those stacks open that a course up to a limit can use, looked at one factor at a time: every thing that
 * is put on or taken off costs at least a change of the outermost there. Null when a cell is left without any.
 */
function withinByStack({ day, wardrobe, cells }: KitOfDay, limit: number): CellOfKit[] | null {
	const open = BODY_FACTORS.map((factor, f) => {
		const bits = layerBits(wardrobe.stacks[factor]);
		const least = day.cells.map((cell, k) =>
			k === 0 ? 0 : leastChangeCost(changePlace(day.cells[k - 1]!, cell))
		);
		return optionsWithin(
			cells.map(({ own }) => own[f]!),
			(k, from, to) => least[k]! * toggledBetween(bits, from, to),
			limit + 1e-6
		);
	});
	if (open.some((byCell) => byCell.some((own) => !own.includes(1)))) return null;
	return cells.map((cell, k) => ({ ...cell, open: open.map((byCell) => byCell[k]!) }));
}

/**
 * The wardrobe of all outfits that a course can wear which costs no more than a limit: `none` where there is no such course,
 * `too many` where more than so many outfits are left.
 * @param limit hundredths
 */
export function wardrobeWithin(
	kit: KitOfDay,
	limit: number,
	mostOutfits: number
): Wardrobe | 'none' | 'too many' {
	const { wardrobe, least } = kit;
	const cells = withinByStack(kit, limit);
	if (!cells) return 'none';
	const used = BODY_FACTORS.map((factor) => new Uint8Array(wardrobe.stacks[factor].length));
	const [trunk, legs, head] = used as [Uint8Array, Uint8Array, Uint8Array];
	for (const cell of cells)
		sweep(cell, cell.least + (limit - least) + 1e-6, (t, l, h) => {
			trunk[t] = 1;
			legs[l] = 1;
			head[h] = 1;
		});
	const stacks = { ...wardrobe.stacks };
	BODY_FACTORS.forEach((factor, f) => {
		stacks[factor] = wardrobe.stacks[factor].filter((_, option) => used[f]![option] === 1);
	});
	const outfits = stacks.trunk.length * stacks.legs.length * stacks.head.length;
	if (outfits === 0) return 'none';
	return outfits > mostOutfits ? 'too many' : { ...wardrobe, stacks };
}
