import type { Factor } from '../../cloth/factors';
import type { Stack } from '../../cloth/stacks';
import { OPENING_FACTOR } from '../../cloth/supply';
import { outermost, type Outfit, type WornLayer } from '../../cloth/worn';
import type { Cell } from '../../conditions/cells';
import { HIGH_LIGHT_M } from '../../conditions/needs';
import { OPENINGS } from '../../document/worn';
import { debtLeftWhm2, debtReachedWhm2 } from '../../heat/ledger';
import { wetLayers } from '../../heat/wet-cloth';
import {
	type Change,
	changeBetween,
	changeCost,
	changePlace,
	type ChangePlace,
	leastChangeCost,
	ventCost
} from '../../outfit/change-cost';
import { BODY_FACTORS } from '../../outfit/layer-contacts';
import { layerBits, toggledBetween } from '../../outfit/layer-bits';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { penaltyOfDebt } from '../../rules/objective';
import { changeTable, type SequenceProblem } from '../../search/problem';
import { leastCostsFrom } from './debt-cost';
import {
	asOutfit,
	type BodyDebts,
	type Day,
	type Judge,
	type Limb,
	limbJudge,
	restart,
	startState
} from './limb-judges';
import { outfitTable, type OutfitTable } from './outfit-table';
import { bodyViews, type BodyViews, mayOpen, opensBy } from './outfit-terms';
import { waterKey, wetWardrobe } from './wet-day';

/**
 * A day as sequences of choices: hands, feet and eyes each by their own needs, and the body (trunk, legs, head and how far
 * the front is open) with what those give.
 */

/** What a change that cannot be done costs when the outfit is given all the same, in hundredths. */
const GIVEN_CHANGE_COST = 1e5;

/** Tables of changes between the stacks of a factor, by place; made anew when a stack was added. */
interface StackChanges {
	many: number;
	/** things with their place over or under everything, a bit each */
	layers: Uint32Array[];
	between: Change[][] | null;
	tables: Map<string, Float64Array>;
}

/** Whether changes are counted as what they cost, or as the least that so many layers on or off can cost. */
export type Counted = 'true' | 'least';

const changesKnown = new WeakMap<readonly Stack[], StackChanges>();

/**
 * What it costs in some place to go from any stack of a factor to any other.
 * @param most what it costs at most, for outfits that are given
 */
function stackChanges(
	factor: Factor,
	stacks: readonly Stack[],
	place: ChangePlace,
	most: number,
	counted: Counted
): Float64Array {
	let known = changesKnown.get(stacks);
	if (known?.many !== stacks.length) {
		known = { many: stacks.length, layers: layerBits(stacks), between: null, tables: new Map() };
		changesKnown.set(stacks, known);
	}
	const { layers, tables } = known;
	const least = leastChangeCost(place);
	const isByCount = counted === 'least' || place.heated;
	const key = isByCount ? `each ${least}` : JSON.stringify([...Object.values(place), most]);
	const before = tables.get(key);
	if (before) return before;
	let made: Float64Array;
	if (isByCount) made = changeTable(stacks.length, (from, to) => least * toggledBetween(layers, from, to));
	else {
		const between = (known.between ??= stacks.map((from) =>
			stacks.map((to) => changeBetween(factor, from, to))
		));
		made = changeTable(stacks.length, (from, to) => Math.min(most, changeCost(between[from]![to]!, place)));
	}
	tables.set(key, made);
	return made;
}

const frontsKnown = new Map<string, Float64Array>();
function frontChanges(fronts: number, place: ChangePlace): Float64Array {
	const cost = ventCost(place);
	const key = `${fronts} ${cost}`;
	const made = frontsKnown.get(key) ?? changeTable(fronts, (from, to) => (from === to ? 0 : cost));
	frontsKnown.set(key, made);
	return made;
}

/** Whether a stack may be worn in a cell: only the given one where an outfit is given, else only chosen ones. */
function isOpen(wardrobe: Wardrobe, cell: number, factor: Factor, option: number): boolean {
	const given = wardrobe.fixed.get(cell);
	if (given) return given[factor] === option;
	for (const other of wardrobe.fixed.values()) if (other[factor] === option) return false;
	return true;
}

/** The sequence of some factors, and of the opening of the front where `fronts` is more than one. */
function sequenceFrom(
	day: Day,
	factors: readonly Factor[],
	judge: SequenceProblem['judge'],
	fronts = 0,
	counted: Counted = 'true'
): SequenceProblem {
	const { cells, wardrobe, person } = day;
	const sizes = factors.map((factor) => wardrobe.stacks[factor].length);
	const isGiven = (k: number): boolean => wardrobe.fixed.has(k);
	return {
		cells: cells.length,
		sizes: fronts > 0 ? [...sizes, fronts] : sizes,
		changes: (k, f) => {
			const place = changePlace(cells[k - 1]!, cells[k]!, person.bootsStayOn);
			if (f === factors.length) return frontChanges(fronts, place);
			const most = isGiven(k) || isGiven(k - 1) ? GIVEN_CHANGE_COST : Infinity;
			return stackChanges(factors[f]!, wardrobe.stacks[factors[f]!], place, most, counted);
		},
		judge,
		startState: startState(day, factors.length === 1 ? (factors[0] as Limb) : 'body'),
		uses: (f, option) =>
			f === factors.length ? [] : wardrobe.stacks[factors[f]!][option]!.layers.map(({ index }) => index),
		massG: wardrobe.cloths.map((cloth) => cloth.massG)
	};
}

/** The sequence of a single factor, where only open options are judged. */
const limbSequenceOf = (day: Day, factor: Factor, judge: Judge): SequenceProblem => {
	const anyGiven = day.wardrobe.fixed.size > 0;
	const options: [number] = [0];
	return sequenceFrom(day, [factor], (k, option, state, into) => {
		if (anyGiven && !isOpen(day.wardrobe, k, factor, option)) {
			into.penalty = Infinity;
			into.state = state;
			return;
		}
		options[0] = option;
		judge(k, options, state, into);
	});
};

/** Underwear is added to every outfit that is chosen; a given one is taken as it is. */
export const underwearAt = (wardrobe: Wardrobe, k: number): WornLayer[] =>
	wardrobe.fixed.has(k)
		? []
		: wardrobe.underwear.map((cloth) => ({ cloth, position: 0, opening: 'closed' as const }));

/** The sequence of hands, feet or eyes. */
export const limbSequence = (day: Day, limb: Limb, debts: BodyDebts): SequenceProblem =>
	limbSequenceOf(day, limb, limbJudge(day, limb, debts));

const viewsKnown = new WeakMap<Wardrobe['stacks'], { many: string; views: BodyViews }>();
/** How a wardrobe looks from every region, worked out once. */
export function viewsOf(wardrobe: Wardrobe): BodyViews {
	const many = BODY_FACTORS.map((factor) => wardrobe.stacks[factor].length).join();
	const before = viewsKnown.get(wardrobe.stacks);
	if (before?.many === many) return before.views;
	const views = bodyViews(wardrobe);
	viewsKnown.set(wardrobe.stacks, { many, views });
	return views;
}

/**
 * What makes a cell what it is, for clothes: everything of it but where it stands in the trip and why it is so. Heights
 * count only as far as eyes need shade there.
 */
export function cellKey(cell: Cell): string {
	const {
		stageId: _s,
		phaseId: _p,
		name: _n,
		round: _r,
		startMin: _t,
		reasons: _w,
		altitudeM,
		...rest
	} = cell;
	return JSON.stringify({ ...rest, bright: altitudeM > HIGH_LIGHT_M });
}

/** Tables of cells that were worked out before: like cells share one. */
export type OutfitTables = Map<string, OutfitTable>;

/**
 * The sequence of trunk, legs, head and front together: the debt of the whole body, given what hands, feet and eyes wear.
 * @param counted whether changes count as what they cost, or as the least that they can
 */
export function bodySequence(
	day: Day,
	others: readonly Outfit[],
	made: OutfitTables = new Map(),
	counted: Counted = 'true'
): SequenceProblem {
	const { cells, airs, person, wardrobe, soon } = day;
	const mostOpen = Math.max(...wardrobe.stacks.trunk.map(opensBy));
	const fronts = cells.some(mayOpen) ? mostOpen + 1 : 1;
	const tables = cells.map((cell, k) => {
		const wetness = day.wet[k]!;
		const own = wetWardrobe(wardrobe, wetness);
		const always = wetLayers([...underwearAt(wardrobe, k), ...others[k]!], wetness);
		const ids = always.map(({ cloth }) => cloth.thingId).join();
		const key = `${cellKey(cell)} ${soon[k]} ${fronts} ${ids} ${waterKey([wetness])}`;
		const views = viewsOf(own);
		const table =
			made.get(key) ?? outfitTable(cell, airs[k]!, own, views, always, soon[k]!, person, fronts, wetness);
		made.set(key, table);
		return table;
	});
	const [trunk, legs, head] = BODY_FACTORS.map((factor) => wardrobe.stacks[factor].length) as [
		number,
		number,
		number
	];
	// Outfits that are given stand apart from those that are chosen: which belongs where.
	const open =
		wardrobe.fixed.size === 0
			? null
			: cells.map((_, k) => {
					const may = BODY_FACTORS.map((factor) =>
						wardrobe.stacks[factor].map((_, option) => isOpen(wardrobe, k, factor, option))
					);
					return Uint8Array.from({ length: trunk * legs * head }, (_, outfit) =>
						Number(
							may[0]![Math.floor(outfit / head / legs)]! &&
								may[1]![Math.floor(outfit / head) % legs]! &&
								may[2]![outfit % head]!
						)
					);
				});
	const isClosed = (k: number, choice: number): boolean =>
		open !== null && !open[k]![Math.floor(choice / fronts)];
	const sequence = sequenceFrom(
		day,
		BODY_FACTORS,
		(k, choice, state, into) => {
			const cell = cells[k]!;
			const table = tables[k]!;
			const least = table.penalty[choice]!;
			if (least === Infinity || isClosed(k, choice)) {
				into.penalty = Infinity;
				into.state = state;
				return;
			}
			const start = restart(cell, state);
			const end = debtReachedWhm2(cell, table.lossOf(choice), start, person);
			into.state = debtLeftWhm2(start, end);
			into.penalty = least;
			into.overheat = table.overheat[choice]!;
			if (!cell.heated)
				into.penalty += penaltyOfDebt(Math.max(start, end), person.marks, day.stepWeights?.[k]);
		},
		fronts,
		counted
	);
	return {
		...sequence,
		leastCosts: (k, state, list) =>
			leastCostsFrom(
				cells[k]!,
				airs[k]!,
				tables[k]!,
				state,
				person,
				day.stepWeights?.[k] ?? 0,
				open && ((choice) => isClosed(k, choice)),
				list
			),
		// Who lets less heat through runs up less debt.
		ranks: (k) => tables[k]!.conductance
	};
}

export interface Dressed {
	outfits: Outfit[];
	/** front opening per cell, as the factor left on the trunk */
	openings: number[];
}

const inOrder = (outfit: WornLayer[]): WornLayer[] => outfit.sort((a, b) => a.position - b.position);

/** Outfits of hands, feet and eyes together, from what was chosen of each. */
export const limbOutfits = (day: Day, chosen: Readonly<Record<Limb, number[][]>>): Outfit[] =>
	day.cells.map((_, k) =>
		(['hands', 'feet', 'eyes'] as const).flatMap((limb) =>
			asOutfit(day.wardrobe.stacks[limb][chosen[limb][k]![0]!]!)
		)
	);

/** Whole outfits from what has been chosen for the body and for the rest. */
export function dressedBy(day: Day, body: number[][], others: readonly Outfit[]): Dressed {
	const { wardrobe } = day;
	const stackOf = (k: number, f: number): Stack => wardrobe.stacks[BODY_FACTORS[f]!][body[k]![f]!]!;
	const openings: number[] = [];
	const outfits = day.cells.map((_, k) => {
		const trunk = stackOf(k, 0);
		const given = wardrobe.openings.get(trunk);
		const front = OPENINGS[body[k]![3] ?? 0]!;
		const opened = front === 'closed' ? null : outermost(trunk.layers, 'torso');
		openings.push(given?.factor ?? OPENING_FACTOR[front]);
		return inOrder([
			...underwearAt(wardrobe, k),
			...others[k]!,
			...trunk.layers.map((layer) => ({
				...layer,
				opening: given?.by.get(layer.index) ?? (layer === opened ? front : ('closed' as const))
			})),
			...asOutfit(stackOf(k, 1)),
			...asOutfit(stackOf(k, 2))
		]);
	});
	return { outfits, openings };
}
