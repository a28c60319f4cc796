import { clamp } from '../argument';
import { METHOD_MAX_WM2, pumpingSpeedMs } from '../body/effort';
import { METHOD_MAX_AIR_C, requiredInsulationM2kw } from '../body/heat-balance';
import { strainedAboveClo, tooWetAboveClo } from '../body/two-node';
import { airInUse, type AirInUse } from '../cloth/supply';
import type { Cell } from '../conditions/cells';
import type { Person } from '../conditions/person';
import { cloFromM2kw } from '../units';
import {
	type BalancePair,
	balancePair,
	debtAfterHeatedWhm2,
	debtAfterWhm2,
	lossOf,
	type LossPair,
	minutesUntilDebt
} from './debt';
import { stepsOf } from './fingers-and-toes';

/** Above this air temperature the ledger gives no verdict, °C. */
export const LEDGER_MAX_AIR_C = 20;

/** From this effort on clothes can be too warm in the cold, fully so a little above it, W/m² (our assumption). */
const WARM_FROM_WM2 = 130;
const WARM_WHOLLY_ABOVE_WM2 = 30;
/** Over the neutral level by this much is warm, and by more where one hardly works, clo (our assumption). */
export const WARM_MARGIN_CLO = 0.15;
const SPARE_AT_REST_CLO = 2;
/** Between these the limit of the cold hands over to that of the warm, °C of air (our assumption). */
const COLD_UNTIL_C = 8;
const WARM_FROM_C = 12;

/** Whether too warm is judged by the wettedness of the two-node body too: heated places, and air over 8 °C. */
export const isWarmSide = (cell: Cell): boolean => cell.heated || cell.airTempC > COLD_UNTIL_C;

/** What a cell fixes for every outfit, worked out once. */
export interface CellAir {
	air: AirInUse;
	balance: BalancePair;
	/** insulation as worn above which it is too warm, clo, for a person without offset; Infinity when it never is */
	tooWarmAboveClo: number;
}
const known = new WeakMap<Cell, CellAir>();
/** Heated places are alike on many days, and the two-node body takes long: the last answers are kept. */
const limitsKnown = new Map<string, number>();
const MOST_KNOWN = 2000;
function kept(key: string, make: () => number): number {
	const before = limitsKnown.get(key);
	if (before !== undefined) return before;
	if (limitsKnown.size >= MOST_KNOWN) limitsKnown.clear();
	const made = make();
	limitsKnown.set(key, made);
	return made;
}

/** Heat that effort beyond the method makes: skin and sweat are those of its upper end, nine tenths of the rest is heat (our assumption). */
const HEAT_ABOVE_METHOD = 0.9;

/** Both levels of a cell; effort above the method's range makes heat all the same. */
function balanceOf({
	airTempC,
	airVelocityMs,
	humidityPct,
	metabolicWm2
}: Pick<Cell, 'airTempC' | 'airVelocityMs' | 'humidityPct' | 'metabolicWm2'>): BalancePair {
	const made = balancePair({ airTempC, airVelocityMs, humidityPct, metabolicWm2 });
	const above = HEAT_ABOVE_METHOD * Math.max(0, metabolicWm2 - METHOD_MAX_WM2);
	made.neutral.metabolicWm2 += above;
	made.minimal.metabolicWm2 += above;
	return made;
}

/** Whether work may leave the heat no way out: in air over the method's limit, and in heated places. */
export const mayStrain = ({ metabolicWm2, heated, airTempC }: Cell): boolean =>
	metabolicWm2 >= WARM_FROM_WM2 && (heated || airTempC > METHOD_MAX_AIR_C);

/** Insulation over the neutral level that is warm in the cold, clo; Infinity at rest. */
function warmInTheColdClo(cell: Cell, airTempC: number): number {
	const share = clamp((cell.metabolicWm2 - WARM_FROM_WM2) / WARM_WHOLLY_ABOVE_WM2, 0, 1);
	if (share === 0) return Infinity;
	const neutral = cloFromM2kw(requiredInsulationM2kw(balanceOf({ ...cell, airTempC }).neutral));
	return neutral + WARM_MARGIN_CLO + (SPARE_AT_REST_CLO * (1 - share)) / share;
}

/**
 * Insulation as worn above which a cell is too warm, clo. In the cold it is more than neutral; in air over 12 °C and in heated
 * places a skin wetter than is comfortable; between 8 and 12 °C one hands over to the other, so that warmer air never allows more.
 * In work, where heat has no way out, less than either.
 */
function tooWarmAboveCloOf(cell: Cell): number {
	const { airTempC, airVelocityMs, humidityPct, metabolicWm2, heated, minutes } = cell;
	const climate = { airTempC, airVelocityMs, humidityPct, metabolicWm2 };
	const key = JSON.stringify(climate);
	const wet = (): number => kept(key, () => tooWetAboveClo(climate));
	const strained = mayStrain(cell)
		? kept(`${key} ${minutes}`, () => strainedAboveClo(climate, Math.max(1, Math.round(minutes))))
		: Infinity;
	if (heated) return Math.min(wet(), strained);
	if (airTempC <= COLD_UNTIL_C) return Math.min(warmInTheColdClo(cell, airTempC), strained);
	const cold = warmInTheColdClo(cell, COLD_UNTIL_C);
	const share = Math.min(1, (airTempC - COLD_UNTIL_C) / (WARM_FROM_C - COLD_UNTIL_C));
	const warm = Math.min(cold, wet());
	// At rest nothing is too warm in the cold: from there down to the limit of the warm without a step.
	const between =
		cold === Infinity ? warm + (SPARE_AT_REST_CLO * (1 - share)) / share : cold + (warm - cold) * share;
	return Math.min(between, strained);
}

export function cellAir(cell: Cell): CellAir {
	const before = known.get(cell);
	if (before) return before;
	const made: CellAir = {
		air: airInUse(cell.airVelocityMs, pumpingSpeedMs(cell.metabolicWm2)),
		balance: balanceOf(cell),
		tooWarmAboveClo: tooWarmAboveCloOf(cell)
	};
	known.set(cell, made);
	return made;
}

export interface DebtCourse {
	endWhm2: number;
	peakWhm2: number;
	/** minutes until the debt passes what holds; null when it never does */
	holdsMinutes: number | null;
	loss: LossPair;
}

/**
 * A body so cold shivers and moves, or the phase is left: the debt runs no higher, Wh/m² (our assumption), so that an hour or
 * two of work pays it off.
 */
export const MOST_DEBT_WHM2 = 120;

/** Debt that the losses of a cell come to, however high. A heated place only takes away. */
export function debtReachedWhm2(
	cell: Cell,
	loss: LossPair,
	startWhm2: number,
	person: Person,
	minutes = cell.minutes
): number {
	if (cell.heated) return debtAfterHeatedWhm2(startWhm2, minutes);
	return debtAfterWhm2(startWhm2, loss, minutes, person.marks.floorWhm2);
}

/** What a debt that the losses come to leaves behind. */
export const debtLeftWhm2 = (startWhm2: number, reachedWhm2: number): number =>
	Math.min(Math.max(startWhm2, MOST_DEBT_WHM2), reachedWhm2);

/** Debt at the end of a cell. */
export const debtEndWhm2 = (...asked: Parameters<typeof debtReachedWhm2>): number =>
	debtLeftWhm2(asked[2], debtReachedWhm2(...asked));

/** The debt through one cell for an outfit that gives `resultantClo`. */
export function debtCourse(
	cell: Cell,
	{ balance }: CellAir,
	resultantClo: number,
	startWhm2: number,
	person: Person
): DebtCourse {
	const loss = lossOf(balance, resultantClo, person.offsetClo);
	const endWhm2 = debtEndWhm2(cell, loss, startWhm2, person);
	const limitless = cell.heated || cell.airTempC > LEDGER_MAX_AIR_C;
	return {
		endWhm2,
		peakWhm2: Math.max(startWhm2, endWhm2),
		holdsMinutes: limitless ? null : minutesUntilDebt(startWhm2, loss, person.marks.holdWhm2),
		loss
	};
}

/** Debt of the body in the middle of each step of a cell, and at its end. */
export function debtSteps(cell: Cell, loss: LossPair, startWhm2: number, person: Person): Float64Array {
	const many = stepsOf(cell.minutes);
	const debts = new Float64Array(many + 1);
	for (let i = 0; i < many; i++)
		debts[i] = debtEndWhm2(cell, loss, startWhm2, person, ((i + 0.5) * cell.minutes) / many);
	debts[many] = debtEndWhm2(cell, loss, startWhm2, person);
	return debts;
}
