import { clamp } from '../argument';
import {
	type BalanceTerms,
	type Exposure,
	MAX_INSULATION_M2KW,
	balanceTerms,
	firstNotAbove,
	heatLossWm2,
	requiredInsulationM2kw
} from '../body/heat-balance';
import { type DebtMarks, USUAL_MARKS } from '../conditions/person';
import { cloFromM2kw, m2kwFromClo } from '../units';

/** Heat between neutral and minimal skin, Wh/m² (our assumption). */
export const NEUTRAL_TO_MINIMAL_WHM2 = 30;
/** A debt falls by this much a minute in a heated place, Wh/m² (our assumption). */
export const HEATED_RECOVERY_WHM2_PER_MIN = 2;

/** Heat loss of one outfit in one phase at both levels, W/m². */
export interface LossPair {
	neutralWm2: number;
	minimalWm2: number;
}

/**
 * Heat debt after some minutes, Wh/m² below neutral, not below the floor.
 * dD/dt = L_n + (L_m − L_n)·clamp(D/30, 0, 1), solved in closed form piece by piece, so that no step size
 * enters the result. Between two calls the course is monotone: its peak is the larger of its ends.
 * Source: our assumption on top of ISO 11079's limit, see docs/model.md.
 * @param startWhm2 debt at the start
 * @param loss W/m² at both levels
 * @param minutes 0…10000
 * @param floorWhm2 credit that can be kept, −20…0
 */
export function debtAfterWhm2(startWhm2: number, loss: LossPair, minutes: number, floorWhm2: number): number {
	return Math.max(floorWhm2, course(startWhm2, loss, minutes / 60));
}

/**
 * The course of the debt without its floor. The rate is constant below 0 and above 30 and falls off linearly
 * between them; it never changes sign on the way, so the pieces are walked in one direction.
 */
function course(startWhm2: number, { neutralWm2, minimalWm2 }: LossPair, hours: number): number {
	const width = NEUTRAL_TO_MINIMAL_WHM2;
	const decay = (neutralWm2 - minimalWm2) / width;
	const rate = neutralWm2 - decay * clamp(startWhm2, 0, width);
	let debt = startWhm2;
	let left = hours;
	const rising = rate > 0;
	if (rate === 0) return debt;
	if (rising ? debt < 0 : debt > width) {
		const edge = rising ? 0 : width;
		const toEdge = (edge - debt) / rate;
		if (toEdge >= left) return debt + rate * left;
		left -= toEdge;
		debt = edge;
	}
	if (debt >= 0 && debt <= width) {
		const edge = rising ? width : 0;
		if (rising ? debt < edge : debt > edge) {
			const here = neutralWm2 - decay * debt;
			const target = neutralWm2 / decay;
			const linear = Math.abs(decay) < 1e-9;
			const share = (edge - target) / (debt - target);
			const toEdge = linear ? (edge - debt) / here : share > 0 ? -Math.log(share) / decay : Infinity;
			if (!(toEdge < left)) {
				return linear ? debt + here * left : target + (debt - target) * Math.exp(-decay * left);
			}
			left -= toEdge;
			debt = edge;
		}
	}
	return debt + (rising ? minimalWm2 : neutralWm2) * left;
}

/**
 * Minutes until the debt passes a limit; null when it never does, 0 when it starts beyond it.
 * @param limitWhm2 debt that ends the exposure, Wh/m²
 */
export function minutesUntilDebt(startWhm2: number, loss: LossPair, limitWhm2: number): number | null {
	if (startWhm2 > limitWhm2) return 0;
	const longest = 10_000;
	if (course(startWhm2, loss, longest / 60) <= limitWhm2) return null;
	let low = 0;
	let high = longest;
	for (let i = 0; i < 40; i++) {
		const middle = (low + high) / 2;
		if (course(startWhm2, loss, middle / 60) > limitWhm2) high = middle;
		else low = middle;
	}
	return low;
}

/** Debt after minutes in a heated place, Wh/m²: only a positive debt falls, to 0. */
export const debtAfterHeatedWhm2 = (startWhm2: number, minutes: number): number =>
	startWhm2 <= 0 ? startWhm2 : Math.max(0, startWhm2 - HEATED_RECOVERY_WHM2_PER_MIN * minutes);

/** Both levels of one exposure, ready for many outfits. */
export interface BalancePair {
	neutral: BalanceTerms;
	minimal: BalanceTerms;
}
export const balancePair = (exposure: Exposure): BalancePair => ({
	neutral: balanceTerms(exposure, 'neutral'),
	minimal: balanceTerms(exposure, 'minimal')
});

/**
 * Loss of an outfit at both levels, W/m². A person who feels the cold is treated as wearing less.
 * @param resultantClo what the outfit gives in this phase, clo
 * @param offsetClo of the person, −0.6…0.6, above 0 feels cold
 */
export function lossOf(balance: BalancePair, resultantClo: number, offsetClo = 0): LossPair {
	const insulation = clamp(m2kwFromClo(resultantClo - offsetClo), 0, MAX_INSULATION_M2KW);
	return {
		neutralWm2: heatLossWm2(balance.neutral, insulation),
		minimalWm2: heatLossWm2(balance.minimal, insulation)
	};
}

/** The band of a phase, resultant clo. */
export interface Band {
	/** smallest insulation with which these minutes hold */
	holdClo: number;
	/** smallest insulation with which these minutes are comfortable */
	needClo: number;
	/** steady neutral requirement; above it work makes sweat */
	neutralClo: number;
	/** steady minimal requirement, the long-run reference */
	steadyMinClo: number;
}

/**
 * The band of a phase for the debt carried into it. Hold and need are never above the steady neutral
 * requirement: with that on, nobody gets colder, however cold they came in.
 * @param startWhm2 debt carried in, Wh/m²
 * @param minutes length of the phase
 */
export function bandOf(
	balance: BalancePair,
	startWhm2: number,
	minutes: number,
	marks: DebtMarks = USUAL_MARKS,
	offsetClo = 0
): Band {
	const neutralM2kw = requiredInsulationM2kw(balance.neutral);
	const smallestFor = (markWhm2: number): number =>
		firstNotAbove((insulation) => {
			const loss = {
				neutralWm2: heatLossWm2(balance.neutral, insulation),
				minimalWm2: heatLossWm2(balance.minimal, insulation)
			};
			return Math.max(startWhm2, course(startWhm2, loss, minutes / 60)) - markWhm2;
		}, neutralM2kw);
	const asClo = (insulationM2kw: number): number => Math.max(0, cloFromM2kw(insulationM2kw) + offsetClo);
	return {
		holdClo: asClo(smallestFor(marks.holdWhm2)),
		needClo: asClo(smallestFor(marks.rightWhm2)),
		neutralClo: asClo(neutralM2kw),
		steadyMinClo: asClo(requiredInsulationM2kw(balance.minimal))
	};
}
