import { WORK_WM2 } from '../../body/effort';
import { AREA_SHARE } from '../../cloth/parts';
import type { Stack } from '../../cloth/stacks';
import { type RegionLayer, regionTotalM2kw } from '../../cloth/supply';
import type { Cloth } from '../../cloth/things';
import { layersOf, type Outfit } from '../../cloth/worn';
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
import { bloodHeatWm2, type Extremity, extremityMarkC, WARM_EXTREMITY_C } from '../../heat/extremities';
import {
	bloodSteps,
	type BloodSteps,
	effortsFollowed,
	localCourse,
	type LocalCourse,
	type LocalCover
} from '../../heat/fingers-and-toes';
import { coverOf } from '../../heat/course';
import { cellAir, type CellAir } from '../../heat/ledger';
import { wettedIn } from '../../heat/water';
import { DRY, limbTotalM2kw, type Wetness } from '../../heat/wet-cloth';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { countedOverheat, HOT_FINGER_C, PENALTY, steps } from '../../rules/objective';
import { penaltyOfUnmet, requirementsOf } from '../../rules/requirements';
import type { Judged } from '../../search/problem';
import { CLO_M2KW } from '../../units';

/** Debt of the body in the middle of each step of a cell and at its end, by cell: what the blood of hands and feet follows. */
export type BodyDebts = readonly Float64Array[];

/** A glove that is too warm by so much is not changed for it, clo (our assumption). */
const GLOVE_SPARE_CLO = 0.6;
/** Debt at which the blood brings fingers its usual heat, Wh/m². */
const USUAL_DEBT_WHM2 = 40;
/** A stack as it is worn, all closed. */
export const asOutfit = (stack: Stack): Outfit =>
	stack.layers.map((layer) => ({ ...layer, opening: 'closed' as const }));
const cloths = (stack: Stack): Cloth[] => stack.layers.map(({ cloth }) => cloth);

/** Judges options of one choice; a state below 0 is not known to it. */
export type Judge = (k: number, options: readonly number[], state: number, into: Judged) => void;

/** State at the start of a cell: a morning begins anew. */
export const restart = (cell: Cell, state: number): number => (cell.fresh ? 0 : state);

/** What a stack means in a cell whatever the state: insulation of the part with its air layer, and what it costs. */
interface LimbTerms {
	cover: LocalCover;
	penalty: number;
	overheat: number;
}

/** So close to short a finger or toe is not trusted to stay cool: what is wet is known roughly to the search, K (our assumption). */
const NEARLY_SHORT_K = 1;
function penaltyOfCold({ verdict, lowestC }: LocalCourse, { airTempC }: Cell): number {
	if (verdict === 'right') return 0;
	const short = extremityMarkC('short', airTempC);
	if (verdict === 'short') return PENALTY.notWarm + PENALTY.localShort * steps(short - lowestC, 1);
	const nearly = lowestC < short + NEARLY_SHORT_K ? PENALTY.word : 0;
	return PENALTY.word + nearly + PENALTY.localCool * steps(extremityMarkC('fine', airTempC) - lowestC, 1);
}

/** What hands or feet let through counts so much where the body gains by warmer ones. */
function lossPenalty(
	{ lossWeights }: Day,
	k: number,
	extremity: Extremity,
	{ totalM2kw }: LocalCover
): number {
	const weight = lossWeights?.[k] ?? 0;
	return weight === 0 ? 0 : (weight * AREA_SHARE[extremity === 'fingers' ? 'hands' : 'feet']) / totalM2kw;
}

/** The judge of fingers or toes: what a stack costs anyway, and how the part fares from the state on. */
function extremityJudge(
	day: Day,
	extremity: Extremity,
	debts: BodyDebts,
	make: (k: number, option: number) => LimbTerms
): Judge {
	const known: LimbTerms[][] = [];
	const blood: BloodSteps[] = [];
	const share = day.person.bloodShare[extremity];
	return (k, [option], state, into) => {
		const cell = day.cells[k]!;
		const { cover, penalty, overheat } = ((known[k] ??= [])[option!] ??= make(k, option!));
		const start = restart(cell, state);
		const steps = (blood[k] ??= bloodSteps(extremity, cell, day.efforts[k]!, debts[k]!, share));
		const course = localCourse(extremity, cell, WARM_EXTREMITY_C - start, cover, steps);
		into.state = WARM_EXTREMITY_C - course.endC;
		into.overheat = overheat;
		into.penalty = cell.heated
			? penalty
			: penalty + penaltyOfCold(course, cell) + lossPenalty(day, k, extremity, cover);
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

/** What lies around fingers or toes in a cell: wet by what the plan that is known wears, and by the cell itself. */
function limbCover(day: Day, k: number, stack: Stack, region: 'hands' | 'feet', dryM2kw: number): LocalCover {
	const cell = day.cells[k]!;
	const outfit = asOutfit(stack);
	const wet = wettedIn(cell, outfit, day.wet[k]!);
	return coverOf(cell, outfit, region, limbTotalM2kw(dryM2kw, outfit, wet), wet);
}

/** Hands: fingers through the day, in gloves that the work allows. State: how far below warm the finger is. */
const handsJudge = (day: Day, debts: BodyDebts): Judge =>
	extremityJudge(day, 'fingers', debts, (k, option) => {
		const cell = day.cells[k]!;
		const stack = day.wardrobe.stacks.hands[option]!;
		const { worn, layers } = limbFactsOf(stack, 'hands');
		const totalM2kw = regionTotalM2kw(layers, day.airs[k]!.air);
		const unmet = penaltyOfUnmet(requirementsOf(cell, 'hands', day.person.schools), stack.layers, cell);
		const task = dexterityNeeded(cell);
		const cover = limbCover(day, k, stack, 'hands', totalM2kw);
		if (cell.heated) return { cover, penalty: unmet, overheat: 0 };
		const clumsy = isTooClumsy(worn, task) ? PENALTY.bare : 0;
		const bare = worn.length === 0 && cell.feltTempC <= COVER_FELT_C ? PENALTY.bare : 0;
		const heat = bloodHeatWm2('fingers', cell.metabolicWm2, USUAL_DEBT_WHM2, day.person.bloodShare.fingers);
		const excess =
			cell.metabolicWm2 >= WORK_WM2 ? totalM2kw - Math.max(0, HOT_FINGER_C - cell.airTempC) / heat : 0;
		const tooMuchClo = excess / CLO_M2KW - GLOVE_SPARE_CLO;
		const overheat = worn.length > 0 ? countedOverheat(tooMuchClo * cell.minutes) : 0;
		return { cover, penalty: clumsy + bare + unmet, overheat };
	});

/** Feet: toes through the day, shod outdoors, out of the boots where it is heated. */
const feetJudge = (day: Day, debts: BodyDebts): Judge =>
	extremityJudge(day, 'toes', debts, (k, option) => {
		const cell = day.cells[k]!;
		const stack = day.wardrobe.stacks.feet[option]!;
		const { worn, layers } = limbFactsOf(stack, 'feet');
		const totalM2kw = regionTotalM2kw(layers, day.airs[k]!.air);
		const sock = isSocked(worn) ? 0 : PENALTY.noSock;
		const unmet = penaltyOfUnmet(requirementsOf(cell, 'feet', day.person.schools), stack.layers, cell);
		const bare = cell.heated || isShod(worn) ? 0 : PENALTY.bare;
		return {
			cover: limbCover(day, k, stack, 'feet', totalM2kw),
			penalty: bare + sock + unmet,
			overheat: 0
		};
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
export function limbJudge(day: Day, limb: Limb, debts: BodyDebts): Judge {
	if (limb === 'eyes') return eyesJudge(day);
	return limb === 'hands' ? handsJudge(day, debts) : feetJudge(day, debts);
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
	/** efforts that the blood follows at the start of each cell */
	efforts: readonly number[];
	/** how wet things are in each cell, by thing id, as the plan that is known wears them */
	wet: readonly Wetness[];
	start: Start | null;
	/** what each step of debt counts besides, by cell, where the body is dressed for the sake of hands and feet; absent for nothing */
	stepWeights?: readonly number[];
	/** what each W/K counts besides that hands or feet let through, by cell, where they are dressed for the sake of the body */
	lossWeights?: readonly number[];
}

/** How cold one comes into a day that does not begin in the morning. */
export interface Start {
	debtWhm2: number;
	fingersC: number;
	toesC: number;
	/** effort that the blood follows */
	effortWm2: number | null;
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
	start: Start | null = null,
	wet: readonly Wetness[] = cells.map(() => DRY)
): Day => ({
	cells,
	airs: cells.map(cellAir),
	wet,
	person,
	wardrobe,
	soon: stopsSoonAfter(cells),
	efforts: effortsFollowed(cells, start?.effortWm2 ?? null),
	start
});
