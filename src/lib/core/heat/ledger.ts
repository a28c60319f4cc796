import { pumpingSpeedMs, WORK_WM2 } from '../body/effort';
import { METHOD_MAX_AIR_C, requiredInsulationM2kw } from '../body/heat-balance';
import { tooWetAboveClo } from '../body/two-node';
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
import type { DebtSpan } from './fingers-and-toes';

/** Above this air temperature the ledger gives no verdict, °C. */
export const LEDGER_MAX_AIR_C = 20;

/** Whether too warm is judged by the wettedness of the two-node body: heated places, and air over 10 °C. */
export const isWarmSide = (cell: Cell): boolean => cell.heated || cell.airTempC > METHOD_MAX_AIR_C;

/** What a cell fixes for every outfit, worked out once. */
export interface CellAir {
	air: AirInUse;
	balance: BalancePair;
	/** insulation as worn above which it is too warm, clo, for a person without offset; Infinity when it never is */
	tooWarmAboveClo: number;
}
const known = new WeakMap<Cell, CellAir>();
/** Heated places are alike on many days, and the two-node body takes long: the last answers are kept. */
const tooWetKnown = new Map<string, number>();
const MOST_KNOWN = 500;
function tooWetAbove(climate: Parameters<typeof tooWetAboveClo>[0]): number {
	const key = JSON.stringify(climate);
	const before = tooWetKnown.get(key);
	if (before !== undefined) return before;
	if (tooWetKnown.size >= MOST_KNOWN) tooWetKnown.clear();
	const made = tooWetAboveClo(climate);
	tooWetKnown.set(key, made);
	return made;
}
export function cellAir(cell: Cell): CellAir {
	const before = known.get(cell);
	if (before) return before;
	const { airTempC, airVelocityMs, humidityPct, metabolicWm2 } = cell;
	const balance = balancePair({ airTempC, airVelocityMs, humidityPct, metabolicWm2 });
	const made: CellAir = {
		air: airInUse(airVelocityMs, pumpingSpeedMs(metabolicWm2)),
		balance,
		tooWarmAboveClo: isWarmSide(cell)
			? tooWetAbove({ airTempC, airVelocityMs, humidityPct, metabolicWm2 })
			: metabolicWm2 >= WORK_WM2
				? cloFromM2kw(requiredInsulationM2kw(balance.neutral)) + WARM_MARGIN_CLO
				: Infinity
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

/** Debt that the losses of a cell come to, however high. Work above the method adds none; a heated place only takes away. */
export function debtReachedWhm2(
	cell: Cell,
	loss: LossPair,
	startWhm2: number,
	person: Person,
	minutes = cell.minutes
): number {
	if (cell.heated) return debtAfterHeatedWhm2(startWhm2, minutes);
	const end = debtAfterWhm2(startWhm2, loss, minutes, person.marks.floorWhm2);
	return cell.aboveMethod ? Math.min(startWhm2, end) : end;
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
	const limitless = cell.heated || cell.aboveMethod || cell.airTempC > LEDGER_MAX_AIR_C;
	return {
		endWhm2,
		peakWhm2: Math.max(startWhm2, endWhm2),
		holdsMinutes: limitless ? null : minutesUntilDebt(startWhm2, loss, person.marks.holdWhm2),
		loss
	};
}

/** A cell cut where the debt passes the comfortable mark; its course is monotone, so once at most. */
export function debtSpans(cell: Cell, loss: LossPair, startWhm2: number, person: Person): DebtSpan[] {
	const mark = person.marks.rightWhm2;
	const over = (minutes: number): boolean => debtEndWhm2(cell, loss, startWhm2, person, minutes) > mark;
	const first = startWhm2 > mark;
	if (first === over(cell.minutes)) return [{ minutes: cell.minutes, inDebt: first }];
	let low = 0;
	let high = cell.minutes;
	for (let i = 0; i < 24; i++) {
		const middle = (low + high) / 2;
		if (over(middle) === first) low = middle;
		else high = middle;
	}
	return [
		{ minutes: low, inDebt: first },
		{ minutes: cell.minutes - low, inDebt: !first }
	];
}
/** Over the neutral level by this much is warm, clo (our assumption). */
export const WARM_MARGIN_CLO = 0.15;
