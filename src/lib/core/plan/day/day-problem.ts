import { WORK_WM2 } from '../../body/effort';
import type { Factor } from '../../cloth/factors';
import type { Stack } from '../../cloth/stacks';
import { OPENING_FACTOR, type RegionLayer, regionTotalM2kw } from '../../cloth/supply';
import type { Cloth } from '../../cloth/things';
import { layersOf, outermost, type Outfit, type WornLayer } from '../../cloth/worn';
import type { Cell } from '../../conditions/cells';
import {
	COVER_FELT_C,
	dexterityNeeded,
	isShod,
	isSocked,
	isTooClumsy,
	lensNeeded
} from '../../conditions/needs';
import type { Person } from '../../conditions/person';
import { CAREFUL_MARKS, USUAL_MARKS } from '../../conditions/person';
import { stopsSoonAfter } from '../../conditions/stops';
import { OPENINGS } from '../../document/types';
import {
	bloodHeatWm2,
	COOL_FINGER_C,
	type Extremity,
	SHORT_EXTREMITY_C,
	WARM_EXTREMITY_C
} from '../../heat/extremities';
import { type DebtSpan, localCourse, type LocalCourse } from '../../heat/fingers-and-toes';
import { cellAir, type CellAir, debtEndWhm2 } from '../../heat/ledger';
import {
	type Change,
	changeBetween,
	changeCost,
	changePlace,
	type ChangePlace,
	ventCost
} from '../../outfit/change-cost';
import { BODY_FACTORS } from '../../outfit/layer-contacts';
import type { Wardrobe } from '../../outfit/legal-outfits';
import {
	BOOTS_OFF_AFTER_MIN,
	countedOverheat,
	DEBT_STEP_WHM2,
	HOT_FINGER_C,
	PENALTY,
	steps
} from '../../rules/objective';
import { penaltyOfUnmet, requirementsOf } from '../../rules/requirements';
import { changeTable, type Judged, overheatIn, penaltyIn, type SequenceProblem } from '../../search/problem';
import { CLO_M2KW } from '../../units';
import { bodyViews, type BodyViews, mayOpen, opensBy, outfitTable, type OutfitTable } from './outfit-table';

/**
 * A day as sequences of choices: hands, feet and eyes each by their own needs, and the body (trunk, legs, head and how far
 * the front is open) with what those give.
 */

/** What a change that cannot be done costs when the outfit is given all the same, in hundredths. */
const GIVEN_CHANGE_COST = 1e5;

/** A glove that is too warm by so much is not changed for it, clo (our assumption). */
const GLOVE_SPARE_CLO = 0.6;

/** What all sequences of one day share: cells, air, balance and the time of the stops. */
export interface Day {
	cells: readonly Cell[];
	airs: CellAir[];
	person: Person;
	wardrobe: Wardrobe;
	soon: boolean[];
}
export const dayOf = (cells: readonly Cell[], wardrobe: Wardrobe, person: Person): Day => ({
	cells,
	airs: cells.map(cellAir),
	person,
	wardrobe,
	soon: stopsSoonAfter(cells)
});

/** Groups that are solved one after the other; the body knows what the first three wear. */
export const LIMBS = ['eyes', 'hands', 'feet'] as const;
export type Limb = (typeof LIMBS)[number];

const cloths = (stack: Stack): Cloth[] => stack.layers.map(({ cloth }) => cloth);

/** Tables of changes between the stacks of a factor, by place; made anew when a stack was added. */
interface StackChanges {
	many: number;
	between: Change[][];
	tables: Map<string, Float64Array>;
}
const changesKnown = new WeakMap<readonly Stack[], StackChanges>();
/**
 * What it costs in some place to go from any stack of a factor to any other.
 * @param most what it costs at most, for outfits that are given
 */
function stackChanges(
	factor: Factor,
	stacks: readonly Stack[],
	place: ChangePlace,
	most: number
): Float64Array {
	let known = changesKnown.get(stacks);
	if (known?.many !== stacks.length) {
		const between = stacks.map((from) => stacks.map((to) => changeBetween(factor, from, to)));
		known = { many: stacks.length, between, tables: new Map() };
		changesKnown.set(stacks, known);
	}
	const { between, tables } = known;
	const key = JSON.stringify([...Object.values(place), most]);
	const made =
		tables.get(key) ??
		changeTable(stacks.length, (from, to) => Math.min(most, changeCost(between[from]![to]!, place)));
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

/** Judges options of one choice; a state below 0 is not known to it. */
type Judge = (k: number, options: readonly number[], state: number, into: Judged) => void;

const MARKS_WHM2 = new Set(
	[USUAL_MARKS, CAREFUL_MARKS].flatMap(({ rightWhm2, holdWhm2 }) => [rightWhm2, holdWhm2])
);
/** Steps of the heat debt between which bounds are worked out apart, Wh/m²; the first is the floor. */
const DEBT_EDGES = [
	// So close where it decides; a mark itself still belongs to what is below it.
	...Array.from({ length: 120 }, (_, i) => i - 20 + (MARKS_WHM2.has(i - 20) ? 0.001 : 0)),
	...Array.from({ length: 40 }, (_, i) => 100 + 4 * i + 2),
	...[270, 300, 350, 420, 500, 600]
];
/** Steps of how far a finger or toe is below warm, K. */
const LOCAL_EDGES = [
	-1,
	// Penalty counts by started degrees: a whole one still belongs to what is below it.
	...Array.from({ length: 50 }, (_, i) => i / 2 + 0.001),
	...[25.5, 27, 29, 31, 33, 36, 40, 44]
];

/** The sequence of some factors, and of the opening of the front where `fronts` is more than one. */
function sequenceFrom(
	day: Day,
	factors: readonly Factor[],
	stateEdges: readonly number[],
	judge: SequenceProblem['judge'],
	fronts = 0
): SequenceProblem {
	const { cells, wardrobe } = day;
	const sizes = factors.map((factor) => wardrobe.stacks[factor].length);
	const isGiven = (k: number): boolean => wardrobe.fixed.has(k);
	return {
		cells: cells.length,
		sizes: fronts > 0 ? [...sizes, fronts] : sizes,
		changes: (k, f) => {
			const place = changePlace(cells[k - 1]!, cells[k]!);
			if (f === factors.length) return frontChanges(fronts, place);
			const most = isGiven(k) || isGiven(k - 1) ? GIVEN_CHANGE_COST : Infinity;
			return stackChanges(factors[f]!, wardrobe.stacks[factors[f]!], place, most);
		},
		judge,
		startState: 0,
		stateEdges,
		uses: (f, option) =>
			f === factors.length ? [] : wardrobe.stacks[factors[f]!][option]!.layers.map(({ index }) => index),
		massG: wardrobe.cloths.map((cloth) => cloth.massG)
	};
}

/** The sequence of a single factor, where only open options are judged. */
const limbSequenceOf = (
	day: Day,
	factor: Factor,
	stateEdges: readonly number[],
	judge: Judge
): SequenceProblem => {
	const anyGiven = day.wardrobe.fixed.size > 0;
	const options: [number] = [0];
	return sequenceFrom(day, [factor], stateEdges, (k, option, state, into) => {
		if (anyGiven && !isOpen(day.wardrobe, k, factor, option)) {
			into.penalty = Infinity;
			into.state = state;
			return;
		}
		options[0] = option;
		judge(k, options, state, into);
	});
};

/** State at the start of a cell: a morning begins anew. */
export const restart = (cell: Cell, state: number): number => (cell.fresh ? 0 : state);

/** Underwear is added to every outfit that is chosen; a given one is taken as it is. */
export const underwearAt = (wardrobe: Wardrobe, k: number): WornLayer[] =>
	wardrobe.fixed.has(k)
		? []
		: wardrobe.underwear.map((cloth) => ({ cloth, position: 0, opening: 'closed' as const }));

/** What a stack means in a cell whatever the state: insulation of the part with its air layer, and what it costs. */
interface LimbTerms {
	totalM2kw: number;
	penalty: number;
	overheat: number;
}
/** The judge of fingers or toes: what a stack costs anyway, and how the part fares from the state on. */
function extremityJudge(
	day: Day,
	extremity: Extremity,
	spans: readonly (readonly DebtSpan[])[],
	make: (k: number, option: number) => LimbTerms
): Judge {
	const known: LimbTerms[][] = [];
	return (k, [option], state, into) => {
		const cell = day.cells[k]!;
		const { totalM2kw, penalty, overheat } = ((known[k] ??= [])[option!] ??= make(k, option!));
		const start = restart(cell, state);
		const course = localCourse(extremity, cell, WARM_EXTREMITY_C - start, totalM2kw, spans[k]!);
		into.state = WARM_EXTREMITY_C - course.endC;
		into.overheat = overheat;
		into.penalty = cell.heated ? penalty : penalty + penaltyOfCold(course);
	};
}
const penaltyOfCold = ({ verdict, lowestC }: LocalCourse): number =>
	verdict === 'short'
		? PENALTY.localShort * steps(SHORT_EXTREMITY_C - lowestC, 1)
		: verdict === 'cool'
			? PENALTY.localCool * steps(COOL_FINGER_C - lowestC, 1)
			: 0;

/** What a stack on hands or feet is in any cell: its cloths, and its layers with the loft that they have left. */
interface LimbFacts {
	worn: Cloth[];
	layers: RegionLayer[];
}
const limbFactsKnown = new WeakMap<Stack, LimbFacts>();
function limbFactsOf(stack: Stack, region: 'hands' | 'feet'): LimbFacts {
	const known = limbFactsKnown.get(stack);
	if (known) return known;
	const made = { worn: cloths(stack), layers: layersOf(stack.layers, region) };
	limbFactsKnown.set(stack, made);
	return made;
}

/** Hands: fingers through the day, in gloves that the work allows. State: how far below warm the finger is. */
const handsJudge = (day: Day, spans: readonly (readonly DebtSpan[])[]): Judge =>
	extremityJudge(day, 'fingers', spans, (k, option) => {
		const cell = day.cells[k]!;
		const stack = day.wardrobe.stacks.hands[option]!;
		const { worn, layers } = limbFactsOf(stack, 'hands');
		const totalM2kw = regionTotalM2kw(layers, day.airs[k]!.air);
		if (cell.heated) return { totalM2kw, penalty: 0, overheat: worn.length * cell.minutes };
		const clumsy = isTooClumsy(worn, dexterityNeeded(cell)) ? PENALTY.bare : 0;
		const bare = worn.length === 0 && cell.feltTempC <= COVER_FELT_C ? PENALTY.bare : 0;
		const unmet = penaltyOfUnmet(requirementsOf(cell, 'hands', day.person.schools), stack.layers, cell);
		const heat = bloodHeatWm2('fingers', cell.metabolicWm2, false);
		const excess =
			cell.metabolicWm2 >= WORK_WM2 ? totalM2kw - Math.max(0, HOT_FINGER_C - cell.airTempC) / heat : 0;
		const tooMuchClo = excess / CLO_M2KW - GLOVE_SPARE_CLO;
		const overheat = worn.length > 0 ? countedOverheat(tooMuchClo * cell.minutes) : 0;
		return { totalM2kw, penalty: clumsy + bare + unmet, overheat };
	});

/** Feet: toes through the day, shod outdoors, out of the boots where it is heated. */
const feetJudge = (day: Day, spans: readonly (readonly DebtSpan[])[]): Judge =>
	extremityJudge(day, 'toes', spans, (k, option) => {
		const cell = day.cells[k]!;
		const stack = day.wardrobe.stacks.feet[option]!;
		const { worn, layers } = limbFactsOf(stack, 'feet');
		const totalM2kw = regionTotalM2kw(layers, day.airs[k]!.air);
		const sock = isSocked(worn) ? 0 : PENALTY.noSock;
		if (cell.heated) {
			const shod = isShod(worn) && cell.minutes > BOOTS_OFF_AFTER_MIN;
			return { totalM2kw, penalty: sock, overheat: shod ? cell.minutes : 0 };
		}
		const unmet = penaltyOfUnmet(requirementsOf(cell, 'feet', day.person.schools), stack.layers, cell);
		return { totalM2kw, penalty: (isShod(worn) ? 0 : PENALTY.bare) + sock + unmet, overheat: 0 };
	});

/** Eyes: enough shade where the light asks for it, nothing worn for nothing indoors or in the dark. */
const eyesJudge =
	(day: Day): Judge =>
	(k, [option], _state, into) => {
		const cell = day.cells[k]!;
		const worn = cloths(day.wardrobe.stacks.eyes[option!]!);
		const needed = lensNeeded(cell);
		const covered = worn.some((cloth) => needed !== null && cloth.lensCategory >= needed);
		const idle = cell.heated || cell.light === 'dark';
		const { layers } = day.wardrobe.stacks.eyes[option!]!;
		into.penalty =
			(needed !== null && !covered ? PENALTY.bare : 0) +
			penaltyOfUnmet(requirementsOf(cell, 'eyes', day.person.schools), layers, cell);
		into.overheat = worn.length > 1 || (idle && worn.length > 0) ? cell.minutes : 0;
		into.state = 0;
	};

const asOutfit = (stack: Stack): Outfit =>
	stack.layers.map((layer) => ({ ...layer, opening: 'closed' as const }));

/** Judges of hands and feet, for the time during which the body is in debt; eyes do not care. */
export function limbJudge(day: Day, limb: Limb, spans: readonly (readonly DebtSpan[])[]): Judge {
	if (limb === 'eyes') return eyesJudge(day);
	return limb === 'hands' ? handsJudge(day, spans) : feetJudge(day, spans);
}
/** The sequence of hands, feet or eyes. */
export const limbSequence = (
	day: Day,
	limb: Limb,
	spans: readonly (readonly DebtSpan[])[]
): SequenceProblem =>
	limbSequenceOf(day, limb, limb === 'eyes' ? [0] : LOCAL_EDGES, limbJudge(day, limb, spans));

const viewsKnown = new WeakMap<Wardrobe['stacks'], { many: string; views: BodyViews }>();
function viewsOf(wardrobe: Wardrobe): BodyViews {
	const many = BODY_FACTORS.map((factor) => wardrobe.stacks[factor].length).join();
	const before = viewsKnown.get(wardrobe.stacks);
	if (before?.many === many) return before.views;
	const views = bodyViews(wardrobe);
	viewsKnown.set(wardrobe.stacks, { many, views });
	return views;
}

const cellKeys = new WeakMap<Cell, string>();
/** What makes a cell what it is, for clothes. */
export function cellKey(cell: Cell): string {
	const known = cellKeys.get(cell);
	if (known !== undefined) return known;
	const made = JSON.stringify([
		cell.kind,
		cell.place,
		cell.heated,
		cell.minutes,
		cell.metabolicWm2,
		cell.airTempC,
		cell.airVelocityMs,
		cell.wind10mKmh,
		cell.feltTempC,
		cell.humidityPct,
		cell.precipitation,
		cell.rainMinutes,
		cell.ground,
		cell.light,
		cell.fresh,
		cell.isStart,
		cell.altitudeM > 4500,
		cell.marks,
		cell.terrain
	]);
	cellKeys.set(cell, made);
	return made;
}

/** Tables of cells that were worked out before: like cells share one. */
export type OutfitTables = Map<string, OutfitTable>;

/** The sequence of trunk, legs, head and front together: the debt of the whole body, given what hands, feet and eyes wear. */
export function bodySequence(
	day: Day,
	others: readonly Outfit[],
	made: OutfitTables = new Map()
): SequenceProblem {
	const { cells, airs, person, wardrobe, soon } = day;
	const views = viewsOf(wardrobe);
	const mostOpen = Math.max(...wardrobe.stacks.trunk.map(opensBy));
	const fronts = cells.some(mayOpen) ? mostOpen + 1 : 1;
	const tables = cells.map((cell, k) => {
		const always = [...underwearAt(wardrobe, k), ...others[k]!];
		const ids = always.map(({ cloth }) => cloth.thingId).join();
		const key = `${cellKey(cell)} ${soon[k]} ${fronts} ${ids}`;
		const table =
			made.get(key) ?? outfitTable(cell, airs[k]!, wardrobe, views, always, soon[k]!, person, fronts);
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
	const { holdWhm2, rightWhm2 } = person.marks;
	const sequence = sequenceFrom(
		day,
		BODY_FACTORS,
		DEBT_EDGES,
		(k, choice, state, into) => {
			const cell = cells[k]!;
			const table = tables[k]!;
			const least = table.keys[choice]!;
			if (least === Infinity || (open && !open[k]![Math.floor(choice / fronts)])) {
				into.penalty = Infinity;
				into.state = state;
				return;
			}
			const start = restart(cell, state);
			const end = debtEndWhm2(cell, table.lossOf(choice), start, person);
			into.state = end;
			into.penalty = penaltyIn(least);
			into.overheat = overheatIn(least);
			if (cell.heated) return;
			const peak = Math.max(start, end);
			into.penalty +=
				PENALTY.overHold * steps(peak - holdWhm2, DEBT_STEP_WHM2) +
				PENALTY.overRight * steps(peak - rightWhm2, DEBT_STEP_WHM2);
		},
		fronts
	);
	return {
		...sequence,
		leastKeys: (k) => {
			const { keys } = tables[k]!;
			return open
				? keys.map((key, choice) => (open[k]![Math.floor(choice / fronts)] ? key : Infinity))
				: keys;
		},
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
