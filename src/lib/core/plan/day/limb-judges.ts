import { WORK_WM2 } from '../../body/effort';
import type { Stack } from '../../cloth/stacks';
import { type RegionLayer, regionTotalM2kw } from '../../cloth/supply';
import type { Cloth } from '../../cloth/things';
import { layersOf } from '../../cloth/worn';
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
import { stopsSoonAfter } from '../../conditions/stops';
import {
	bloodHeatWm2,
	COOL_FINGER_C,
	type Extremity,
	SHORT_EXTREMITY_C,
	WARM_EXTREMITY_C
} from '../../heat/extremities';
import { type DebtSpan, localCourse, type LocalCourse } from '../../heat/fingers-and-toes';
import { cellAir, type CellAir } from '../../heat/ledger';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { countedOverheat, HOT_FINGER_C, PENALTY, steps } from '../../rules/objective';
import { penaltyOfUnmet, requirementsOf } from '../../rules/requirements';
import type { Judged } from '../../search/problem';
import { CLO_M2KW } from '../../units';

/** A glove that is too warm by so much is not changed for it, clo (our assumption). */
const GLOVE_SPARE_CLO = 0.6;
const cloths = (stack: Stack): Cloth[] => stack.layers.map(({ cloth }) => cloth);

/** Judges options of one choice; a state below 0 is not known to it. */
export type Judge = (k: number, options: readonly number[], state: number, into: Judged) => void;

/** State at the start of a cell: a morning begins anew. */
export const restart = (cell: Cell, state: number): number => (cell.fresh ? 0 : state);

/** What a stack means in a cell whatever the state: insulation of the part with its air layer, and what it costs. */
interface LimbTerms {
	totalM2kw: number;
	penalty: number;
	overheat: number;
}

const penaltyOfCold = ({ verdict, lowestC }: LocalCourse): number =>
	verdict === 'short'
		? PENALTY.notWarm + PENALTY.localShort * steps(SHORT_EXTREMITY_C - lowestC, 1)
		: verdict === 'cool'
			? PENALTY.word + PENALTY.localCool * steps(COOL_FINGER_C - lowestC, 1)
			: 0;

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
		const unmet = penaltyOfUnmet(requirementsOf(cell, 'hands', day.person.schools), stack.layers, cell);
		if (cell.heated) return { totalM2kw, penalty: unmet, overheat: 0 };
		const clumsy = isTooClumsy(worn, dexterityNeeded(cell)) ? PENALTY.bare : 0;
		const bare = worn.length === 0 && cell.feltTempC <= COVER_FELT_C ? PENALTY.bare : 0;
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
		const unmet = penaltyOfUnmet(requirementsOf(cell, 'feet', day.person.schools), stack.layers, cell);
		const bare = cell.heated || isShod(worn) ? 0 : PENALTY.bare;
		return { totalM2kw, penalty: bare + sock + unmet, overheat: 0 };
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

/** Judges of hands and feet, for the time during which the body is in debt; eyes do not care. */
export function limbJudge(day: Day, limb: Limb, spans: readonly (readonly DebtSpan[])[]): Judge {
	if (limb === 'eyes') return eyesJudge(day);
	return limb === 'hands' ? handsJudge(day, spans) : feetJudge(day, spans);
}

/** Groups that are solved one after the other; the body knows what the first three wear. */
export const LIMBS = ['eyes', 'hands', 'feet'] as const;
export type Limb = (typeof LIMBS)[number];

/** What all sequences of one day share: cells, air, balance and the time of the stops. */
export interface Day {
	cells: readonly Cell[];
	airs: CellAir[];
	person: Person;
	wardrobe: Wardrobe;
	soon: boolean[];
	start: Start | null;
}

/** How cold one comes into a day that does not begin in the morning. */
export interface Start {
	debtWhm2: number;
	fingersC: number;
	toesC: number;
}

/** State at the start of a sequence. */
export function startState({ start }: Pick<Day, 'start'>, of: Limb | 'body'): number {
	if (!start || of === 'eyes') return 0;
	if (of === 'body') return start.debtWhm2;
	return WARM_EXTREMITY_C - (of === 'hands' ? start.fingersC : start.toesC);
}

export const dayOf = (
	cells: readonly Cell[],
	wardrobe: Wardrobe,
	person: Person,
	start: Start | null = null
): Day => ({
	cells,
	airs: cells.map(cellAir),
	person,
	wardrobe,
	soon: stopsSoonAfter(cells),
	start
});
