import { METHOD_MAX_AIR_C } from '../body/heat-balance';
import type { Cell } from '../conditions/cells';
import { dexterityNeeded } from '../conditions/needs';
import {
	COOL_FINGER_C,
	type Extremity,
	SHORT_EXTREMITY_C,
	bloodHeatWm2,
	extremityAfterC,
	extremityAfterHeatedC,
	minutesUntilC,
	settledTempC
} from './extremities';

/** A stretch of a phase during which the body is, or is not, in debt beyond its comfortable mark. */
export interface DebtSpan {
	minutes: number;
	inDebt: boolean;
}

export interface LocalCourse {
	endC: number;
	lowestC: number;
	/** minutes until below 15 °C; null when it does not come to that however long it lasts */
	holdsMinutes: number | null;
	verdict: 'right' | 'cool' | 'short';
	settledC: number;
}

const judged = (cell: Cell): boolean => !cell.heated && cell.airTempC <= METHOD_MAX_AIR_C;

/**
 * Fingers or toes through one phase. Short is a phase that ends below 15 °C; one that starts below and brings them back
 * is cool.
 * @param startC temperature at its start
 * @param totalM2kw local insulation with its air layer, m²·K/W
 * @param spans the phase cut where the body's debt passes its comfortable mark
 */
export function localCourse(
	extremity: Extremity,
	cell: Cell,
	startC: number,
	totalM2kw: number,
	spans: readonly DebtSpan[]
): LocalCourse {
	if (cell.heated) {
		const endC = extremityAfterHeatedC(startC, cell.minutes);
		return { endC, lowestC: startC, holdsMinutes: null, verdict: 'right', settledC: endC };
	}
	let temp = startC;
	let lowestC = startC;
	let passed = 0;
	let holds: number | null = null;
	let settledC = startC;
	spans.forEach((span, i) => {
		settledC = settledTempC(
			cell.airTempC,
			bloodHeatWm2(extremity, cell.metabolicWm2, span.inDebt),
			totalM2kw
		);
		const until = minutesUntilC(temp, settledC, totalM2kw, SHORT_EXTREMITY_C);
		const last = i === spans.length - 1;
		if (holds === null && until !== null && (last || until < span.minutes)) holds = passed + until;
		temp = extremityAfterC(temp, settledC, totalM2kw, span.minutes);
		lowestC = Math.min(lowestC, temp);
		passed += span.minutes;
	});
	if (!judged(cell)) return { endC: temp, lowestC, holdsMinutes: null, verdict: 'right', settledC };
	const isShort = lowestC < SHORT_EXTREMITY_C && temp < SHORT_EXTREMITY_C;
	const recovers = startC < SHORT_EXTREMITY_C && !isShort;
	const isCool =
		recovers || (extremity === 'fingers' && dexterityNeeded(cell) !== null && lowestC < COOL_FINGER_C);
	return {
		endC: temp,
		lowestC,
		holdsMinutes: recovers ? null : holds,
		verdict: isShort ? 'short' : isCool ? 'cool' : 'right',
		settledC
	};
}
