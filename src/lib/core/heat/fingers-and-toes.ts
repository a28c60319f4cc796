import type { Cell } from '../conditions/cells';
import { dexterityNeeded } from '../conditions/needs';
import {
	bloodHeatWm2,
	type Extremity,
	extremityAfterHeatedC,
	extremityMarkC,
	followedEffortWm2,
	minutesUntilC,
	settledTempC,
	shareLeft
} from './extremities';

/** Longest step in which fingers and toes are followed, minutes: five are exact to 0.3 K. */
const STEP_MIN = 5;

/** A phase cut into like steps, with the heat that the blood brings in each, W/m². */
export interface BloodSteps {
	stepMin: number;
	heatWm2: Float64Array;
	/** what it brings when the phase goes on */
	laterWm2: number;
}

/** How many steps a phase is cut into. */
export const stepsOf = (minutes: number): number => Math.max(1, Math.ceil(minutes / STEP_MIN - 1e-9));

/**
 * What the blood brings to fingers or toes through a phase.
 * @param effortWm2 effort that it follows at the start
 * @param debtWhm2 debt of the body in the middle of each step, and at the end
 * @param share of the usual blood that a person's fingers or toes get, 0…1
 */
export function bloodSteps(
	extremity: Extremity,
	{ minutes, metabolicWm2 }: Cell,
	effortWm2: number,
	debtWhm2: ArrayLike<number>,
	share: number
): BloodSteps {
	const many = debtWhm2.length - 1;
	const stepMin = minutes / many;
	const heatWm2 = new Float64Array(many);
	for (let i = 0; i < many; i++) {
		const effort = followedEffortWm2(effortWm2, metabolicWm2, (i + 0.5) * stepMin);
		heatWm2[i] = bloodHeatWm2(extremity, effort, debtWhm2[i]!, share);
	}
	return { stepMin, heatWm2, laterWm2: bloodHeatWm2(extremity, metabolicWm2, debtWhm2[many]!, share) };
}

/**
 * Efforts that the blood follows at the start of each cell of a day.
 * @param startWm2 before the first; null when the day begins there
 */
export function effortsFollowed(cells: readonly Cell[], startWm2: number | null = null): number[] {
	let effort = startWm2;
	return cells.map(({ fresh, metabolicWm2, minutes }) => {
		if (fresh || effort === null) effort = metabolicWm2;
		const start = effort;
		effort = followedEffortWm2(start, metabolicWm2, minutes);
		return start;
	});
}

export interface LocalCourse {
	endC: number;
	lowestC: number;
	/** minutes until it is short; null when it does not come to that however long it lasts */
	holdsMinutes: number | null;
	verdict: 'right' | 'cool' | 'short';
	settledC: number;
}

/** Local insulation with its air layer, m²·K/W, and the air or water around: the same all through, or step by step. */
export type LocalCover = { totalM2kw: number; aroundC: number };

/**
 * Fingers or toes through one phase. Short is a phase that ends below the mark; one that starts below and brings them back is
 * cool.
 * @param startC temperature at its start
 * @param cover what lies around them; a list where it changes from step to step
 */
export function localCourse(
	extremity: Extremity,
	cell: Cell,
	startC: number,
	cover: LocalCover | readonly LocalCover[],
	{ stepMin, heatWm2, laterWm2 }: BloodSteps
): LocalCourse {
	if (cell.heated) {
		const endC = extremityAfterHeatedC(startC, cell.minutes);
		return { endC, lowestC: startC, holdsMinutes: null, verdict: 'right', settledC: endC };
	}
	const each = Array.isArray(cover) ? (cover as readonly LocalCover[]) : null;
	let now = each ? each[0]! : (cover as LocalCover);
	const shortC = extremityMarkC('short', now.aroundC);
	let temp = startC;
	let lowestC = startC;
	let holds: number | null = startC < shortC ? 0 : null;
	let settledC = startC;
	let left = shareLeft(stepMin, now.totalM2kw);
	for (let i = 0; i < heatWm2.length; i++) {
		if (each && each[i] !== now) {
			now = each[i]!;
			left = shareLeft(stepMin, now.totalM2kw);
		}
		settledC = settledTempC(now.aroundC, heatWm2[i]!, now.totalM2kw);
		const next = settledC + (temp - settledC) * left;
		if (holds === null && next < shortC)
			holds = i * stepMin + (minutesUntilC(temp, settledC, now.totalM2kw, shortC) ?? stepMin);
		temp = next;
		if (temp < lowestC) lowestC = temp;
	}
	if (holds === null) {
		const later = minutesUntilC(
			temp,
			settledTempC(now.aroundC, laterWm2, now.totalM2kw),
			now.totalM2kw,
			shortC
		);
		holds = later === null ? null : cell.minutes + later;
	}
	const isShort = temp < shortC;
	const coolC = extremityMarkC(
		extremity === 'fingers' && dexterityNeeded(cell) !== null ? 'fine' : 'cool',
		now.aroundC
	);
	const recovers = lowestC < shortC && !isShort;
	return {
		endC: temp,
		lowestC,
		holdsMinutes: recovers ? null : holds,
		verdict: isShort ? 'short' : lowestC < coolC ? 'cool' : 'right',
		settledC
	};
}
