import { lossOf } from '../body/debt';
import { WORK_WM2 } from '../body/effort';
import {
	COOL_FINGER_C,
	SHORT_EXTREMITY_C,
	WARM_EXTREMITY_C,
	bloodHeatWm2,
	type Extremity
} from '../body/extremities';
import { regionTotalM2kw } from '../cloth/supply';
import type { Cloth } from '../cloth/things';
import type { Stack } from '../cloth/stacks';
import { CLO_M2KW } from '../units';
import { BODY_FACTORS, bodyTable, bodyViews, type BodyTable } from './body-table';
import { bestCourse, optionsOf, type Chain, type Course } from './chain';
import { changeBetween, changeCost, type Change } from './changes';
import type { Cell } from './conditions';
import { blameOfUnmet, demandsOf } from './demands';
import { cellAir, debtEndWhm2, debtSpans, type CellAir } from './ledger';
import {
	BEFORE_STOP_MINUTES,
	BLAME,
	BOOTS_OFF_AFTER_MIN,
	DEBT_STEP_WHM2,
	HOT_FINGER_C,
	steps
} from './levels';
import { localCourse, type DebtSpan } from './local';
import { COVER_FELT_C, dexterityNeeded, isShod, isSocked, isTooClumsy, lensNeeded } from './needs';
import { layersOf, outfitClo, type Outfit, type WornLayer } from './outfit';
import type { Person } from './person';
import type { Factor, Wardrobe } from './wardrobe';

/** A choice that is not open in a cell. */
const FORBIDDEN = 1e6;
/** What a change that cannot be done costs when the outfit is given all the same, in hundredths. */
const GIVEN_CHANGE_COST = 1e5;

/** Whether a stop or ride outdoors begins soon after each cell. */
export function stopsSoonAfter(cells: readonly Cell[]): boolean[] {
	return cells.map((_, k) => {
		let passed = 0;
		for (let next = k + 1; next < cells.length && passed <= BEFORE_STOP_MINUTES; next++) {
			const cell = cells[next]!;
			if (cell.heated) return false;
			if (cell.kind === 'stop' || cell.kind === 'ride') return true;
			passed += cell.minutes;
		}
		return false;
	});
}

export interface Levels {
	blame: number;
	sweat: number;
	changes: number;
	massG: number;
}

export interface StagePlan {
	outfits: Outfit[];
	/** front opening per cell, as the factor left on the trunk */
	openings: number[];
	levels: Levels;
	/** the same of trunk, legs and head alone, given what the rest wears: this part is the least there is */
	bodyLevels: Levels;
	/** every legal outfit was searched, and no lighter set of things does as well */
	proven: boolean;
}

/** What all factors share for one stage: cells, air, balance and the time of the stops. */
interface Day {
	cells: readonly Cell[];
	airs: CellAir[];
	person: Person;
	wardrobe: Wardrobe;
	soon: boolean[];
}

const cloths = (stack: Stack): Cloth[] => stack.layers.map(({ cloth }) => cloth);

/** Costs of change between all stacks of a factor. */
function changeTable(factor: Factor, stacks: readonly Stack[]): Change[][] {
	return stacks.map((from) => stacks.map((to) => changeBetween(factor, from, to)));
}

/** Whether a stack may be worn in a cell: only the given one where an outfit is given, else only chosen ones. */
function isOpen(wardrobe: Wardrobe, cell: number, factor: Factor, option: number): boolean {
	const given = wardrobe.fixed.get(cell);
	if (given) return given[factor] === option;
	for (const other of wardrobe.fixed.values()) if (other[factor] === option) return false;
	return true;
}

type Judge = (
	k: number,
	options: readonly number[],
	state: number
) => { blame: number; sweat: number; state: number };

/** Steps of the heat debt between which bounds are worked out apart, Wh/m²; the first is the floor. */
const DEBT_EDGES = [-20, -10, 0, 10, 19, 27, 34, 40.001, 70.001, 100];
/** Steps of how far a finger or toe is below warm, K. */
const LOCAL_EDGES = [-1, 0.5, 3, 6, 9, 11, 13, 15, 16.5, 18.001, 21, 26];

/** Solves the chain of some factors. */
function solve(day: Day, factors: readonly Factor[], stateEdges: readonly number[], judge: Judge): Course {
	const { cells, wardrobe } = day;
	const tables = factors.map((factor) => changeTable(factor, wardrobe.stacks[factor]));
	const sizes = factors.map((factor) => wardrobe.stacks[factor].length);
	const options = Array.from({ length: sizes.reduce((a, b) => a * b, 1) }, (_, choice) =>
		optionsOf(choice, sizes)
	);
	const anyGiven = wardrobe.fixed.size > 0;
	const isGiven = (k: number): boolean => wardrobe.fixed.has(k);
	const forbidden = cells.map((_, k) =>
		Uint8Array.from(options, (chosen) =>
			anyGiven && factors.some((factor, f) => !isOpen(wardrobe, k, factor, chosen[f]!)) ? 1 : 0
		)
	);
	const chain: Chain = {
		cells: cells.length,
		sizes,
		change: (k, f, from, to) => {
			const cost = changeCost(tables[f]![from]![to]!, cells[k - 1]!, cells[k]!);
			return isGiven(k) || isGiven(k - 1) ? Math.min(GIVEN_CHANGE_COST, cost) : cost;
		},
		judge: (k, choice, state) =>
			forbidden[k]![choice] ? { blame: FORBIDDEN, sweat: 0, state } : judge(k, options[choice]!, state),
		startState: 0,
		stateEdges,
		uses: (f, option) => wardrobe.stacks[factors[f]!][option]!.layers.map(({ index }) => index),
		massG: wardrobe.cloths.map((cloth) => cloth.massG)
	};
	return bestCourse(chain);
}

/** State at the start of a cell: a morning begins anew. */
const restart = (cell: Cell, state: number): number => (cell.fresh ? 0 : state);

/** Underwear is added to every outfit that is chosen; a given one is taken as it is. */
const underwearAt = (wardrobe: Wardrobe, k: number): WornLayer[] =>
	wardrobe.fixed.has(k)
		? []
		: wardrobe.underwear.map((cloth) => ({ cloth, position: 0, opening: 'closed' as const }));

/** Hands: fingers through the day, in gloves that the work allows. State: how far below warm the finger is. */
const handsJudge =
	(day: Day, spans: readonly (readonly DebtSpan[])[]): Judge =>
	(k, [option], state) => {
		const cell = day.cells[k]!;
		const stack = day.wardrobe.stacks.hands[option!]!;
		const worn = cloths(stack);
		const local = localOf(day, 'fingers', k, worn, restart(cell, state), spans[k]!);
		if (cell.heated) return { blame: 0, sweat: worn.length * cell.minutes, state: local.state };
		const clumsy = isTooClumsy(worn, dexterityNeeded(cell)) ? BLAME.bare : 0;
		const bare = worn.length === 0 && cell.feltTempC <= COVER_FELT_C ? BLAME.bare : 0;
		const heat = bloodHeatWm2('fingers', cell.metabolicWm2, false);
		const total = regionTotalM2kw(layersOf(asOutfit(stack), 'hands'), day.airs[k]!.air);
		const excess =
			cell.metabolicWm2 >= WORK_WM2 ? total - Math.max(0, HOT_FINGER_C - cell.airTempC) / heat : 0;
		const sweat = worn.length > 0 ? Math.round(Math.max(0, excess / CLO_M2KW) * cell.minutes) : 0;
		const unmet = blameOfUnmet(demandsOf(cell, 'hands', day.person.schools), stack.layers, cell);
		return { blame: local.blame + clumsy + bare + unmet, sweat, state: local.state };
	};

/** Feet: toes through the day, shod outdoors, out of the boots where it is heated. */
const feetJudge =
	(day: Day, spans: readonly (readonly DebtSpan[])[]): Judge =>
	(k, [option], state) => {
		const cell = day.cells[k]!;
		const worn = cloths(day.wardrobe.stacks.feet[option!]!);
		const local = localOf(day, 'toes', k, worn, restart(cell, state), spans[k]!);
		const sock = isSocked(worn) ? 0 : BLAME.noSock;
		if (cell.heated) {
			const sweat = isShod(worn) && cell.minutes > BOOTS_OFF_AFTER_MIN ? cell.minutes : 0;
			return { blame: sock, sweat, state: local.state };
		}
		const { layers } = day.wardrobe.stacks.feet[option!]!;
		const unmet = blameOfUnmet(demandsOf(cell, 'feet', day.person.schools), layers, cell);
		return {
			blame: (isShod(worn) ? 0 : BLAME.bare) + sock + unmet + local.blame,
			sweat: 0,
			state: local.state
		};
	};

/** Blame of a course that has been chosen, judged once more, by what is known now. */
function blameOf(course: Course, judge: Judge): number {
	let state = 0;
	return course.choices.reduce((sum, options, k) => {
		const judged = judge(k, options, state);
		state = judged.state;
		return sum + judged.blame;
	}, 0);
}

/** Eyes: enough shade where the light asks for it, nothing worn for nothing indoors or in the dark. */
function chooseEyes(day: Day): Course {
	return solve(day, ['eyes'], [0], (k, [option]) => {
		const cell = day.cells[k]!;
		const worn = cloths(day.wardrobe.stacks.eyes[option!]!);
		const needed = lensNeeded(cell);
		const covered = worn.some((cloth) => needed !== null && cloth.lensCategory >= needed);
		const idle = cell.heated || cell.light === 'dark';
		return {
			blame:
				(needed !== null && !covered ? BLAME.bare : 0) +
				blameOfUnmet(
					demandsOf(cell, 'eyes', day.person.schools),
					day.wardrobe.stacks.eyes[option!]!.layers,
					cell
				),
			sweat: worn.length > 1 || (idle && worn.length > 0) ? cell.minutes : 0,
			state: 0
		};
	});
}

function localOf(
	day: Day,
	extremity: Extremity,
	k: number,
	worn: readonly Cloth[],
	belowWarmK: number,
	spans: readonly DebtSpan[]
): { blame: number; state: number } {
	const region = extremity === 'fingers' ? 'hands' : 'feet';
	const layers = worn.map((cloth) => ({
		localClo: cloth.localClo,
		share: cloth.regions[region],
		airPermeability: cloth.airPermeability
	}));
	const total = regionTotalM2kw(layers, day.airs[k]!.air);
	const course = localCourse(extremity, day.cells[k]!, WARM_EXTREMITY_C - belowWarmK, total, spans);
	const blame =
		course.verdict === 'short'
			? BLAME.localShort * steps(SHORT_EXTREMITY_C - course.lowestC, 1)
			: course.verdict === 'cool'
				? BLAME.localCool * steps(COOL_FINGER_C - course.lowestC, 1)
				: 0;
	return { blame, state: WARM_EXTREMITY_C - course.endC };
}

const asOutfit = (stack: Stack): Outfit =>
	stack.layers.map((layer) => ({ ...layer, opening: 'closed' as const }));

/** Trunk, legs and head together: the debt of the whole body, given what hands, feet and eyes wear. */
function chooseBody(day: Day, others: Outfit[]): Course {
	const { cells, airs, person, wardrobe, soon } = day;
	const views = bodyViews(wardrobe);
	const made = new Map<string, BodyTable>();
	const tables = cells.map((cell, k) => {
		const always = [...underwearAt(wardrobe, k), ...others[k]!];
		const { airTempC, airVelocityMs, humidityPct, metabolicWm2, minutes, rainMinutes, place, feltTempC } =
			cell;
		const ids = always.map(({ cloth }) => cloth.thingId);
		const key = JSON.stringify([
			airTempC,
			airVelocityMs,
			humidityPct,
			metabolicWm2,
			minutes,
			rainMinutes,
			place,
			feltTempC,
			soon[k],
			ids
		]);
		const table = made.get(key) ?? bodyTable(cell, airs[k]!, wardrobe, views, always, soon[k]!, person);
		made.set(key, table);
		return table;
	});
	const [, legs, head] = BODY_FACTORS.map((factor) => wardrobe.stacks[factor].length) as [
		number,
		number,
		number
	];
	return solve(day, BODY_FACTORS, DEBT_EDGES, (k, options, state) => {
		const cell = cells[k]!;
		const table = tables[k]!;
		const choice = (options[0]! * legs + options[1]!) * head + options[2]!;
		const start = restart(cell, state);
		const end = debtEndWhm2(cell, table.loss[choice]!, start, person);
		const peak = Math.max(start, end);
		const debt = cell.heated
			? 0
			: BLAME.overHold * steps(peak - person.marks.holdWhm2, DEBT_STEP_WHM2) +
				BLAME.overRight * steps(peak - person.marks.rightWhm2, DEBT_STEP_WHM2);
		return { blame: table.blame[choice]! + debt, sweat: table.sweat[choice]!, state: end };
	});
}

const inOrder = (outfit: WornLayer[]): WornLayer[] => outfit.sort((a, b) => a.position - b.position);

/** Turns in which hands, feet and body are fitted to one another. */
const MOST_TURNS = 4;

/**
 * What to wear in every cell of a stage.
 *
 * Hands, feet and eyes are dressed first, by their own needs; trunk, legs and head are then chosen for the body with
 * what those give. Within each the search is complete. Fingers and toes get less blood while the body is in debt, which
 * only the second step knows: the first is repeated with it until nothing changes, or a turn comes round again; the best
 * turn counts, each judged by the debt that it really leads to.
 */
export function chooseOutfits(cells: readonly Cell[], wardrobe: Wardrobe, person: Person): StagePlan {
	const day: Day = { cells, airs: cells.map(cellAir), person, wardrobe, soon: stopsSoonAfter(cells) };
	const eyes = chooseEyes(day);
	const bodies = new Map<string, Course>();
	const seen = new Set<string>();
	let spans: DebtSpan[][] = cells.map((cell) => [{ minutes: cell.minutes, inDebt: false }]);
	let best: StagePlan | null = null;
	for (let turn = 0; turn < MOST_TURNS; turn++) {
		const hands = solve(day, ['hands'], LOCAL_EDGES, handsJudge(day, spans));
		const feet = solve(day, ['feet'], LOCAL_EDGES, feetJudge(day, spans));
		const others = cells.map((_, k) => [
			...asOutfit(wardrobe.stacks.hands[hands.choices[k]![0]!]!),
			...asOutfit(wardrobe.stacks.feet[feet.choices[k]![0]!]!),
			...asOutfit(wardrobe.stacks.eyes[eyes.choices[k]![0]!]!)
		]);
		const key = JSON.stringify([hands.choices, feet.choices]);
		const body = bodies.get(key) ?? chooseBody(day, others);
		bodies.set(key, body);
		const { outfits, openings } = dressed(day, body, others);
		const next = spansOf(day, outfits, openings);
		const blame =
			blameOf(hands, handsJudge(day, next)) + blameOf(feet, feetJudge(day, next)) + eyes.blame + body.blame;
		const courses = [eyes, hands, feet, body];
		const sum = (level: 'sweat' | 'changes' | 'massG'): number =>
			courses.reduce((total, course) => total + course[level], 0);
		if (!best || blame < best.levels.blame) {
			best = {
				outfits,
				openings,
				levels: { blame, sweat: sum('sweat'), changes: sum('changes') / 100, massG: sum('massG') },
				bodyLevels: { blame: body.blame, sweat: body.sweat, changes: body.changes / 100, massG: body.massG },
				proven: !wardrobe.cut && courses.every((course) => course.proven)
			};
		}
		const pattern = JSON.stringify(
			next.map((list) => list.map(({ minutes, inDebt }) => [Math.round(minutes), inDebt]))
		);
		if (seen.has(pattern) || next.every((list) => list.every(({ inDebt }) => !inDebt))) break;
		seen.add(pattern);
		spans = next;
	}
	return best!;
}

/** Whole outfits from what has been chosen for the body and for the rest. */
function dressed(
	day: Day,
	body: Course,
	others: readonly Outfit[]
): { outfits: Outfit[]; openings: number[] } {
	const { wardrobe } = day;
	const stackOf = (k: number, f: number): Stack => wardrobe.stacks[BODY_FACTORS[f]!][body.choices[k]![f]!]!;
	const outfits = day.cells.map((_, k) => {
		const trunk = stackOf(k, 0);
		const openings = wardrobe.openings.get(trunk);
		return inOrder([
			...underwearAt(wardrobe, k),
			...others[k]!,
			...trunk.layers.map((layer) => ({
				...layer,
				opening: openings?.by.get(layer.index) ?? ('closed' as const)
			})),
			...asOutfit(stackOf(k, 1)),
			...asOutfit(stackOf(k, 2))
		]);
	});
	return { outfits, openings: day.cells.map((_, k) => wardrobe.openings.get(stackOf(k, 0))?.factor ?? 1) };
}

/** Where the body's debt passes its comfortable mark in each cell, for given outfits. */
function spansOf(day: Day, outfits: Outfit[], openings: number[]): DebtSpan[][] {
	let debt = 0;
	return day.cells.map((cell, k) => {
		debt = restart(cell, debt);
		const { air, balance } = day.airs[k]!;
		const loss = lossOf(balance, outfitClo(outfits[k]!, air, openings[k]!), day.person.offsetClo);
		const spans = debtSpans(cell, loss, debt, day.person);
		debt = debtEndWhm2(cell, loss, debt, day.person);
		return spans;
	});
}
