import { type Outfit, outfitClo } from '../../cloth/worn';
import type { Cell } from '../../conditions/cells';
import { lossOf } from '../../heat/debt';
import { stepsOf } from '../../heat/fingers-and-toes';
import { debtSteps } from '../../heat/ledger';
import { wetLayers } from '../../heat/wet-cloth';
import { type BodyDebts, type Day, type Limb, limbJudge, restart, startState } from './limb-judges';

/** Turns in which hands, feet and body are fitted to one another. */
export const MOST_TURNS = 4;

/** Penalty of a course of hands or feet that has been chosen, judged once more by what is known now. */
export function penaltyOfLimb(day: Day, limb: Limb, choices: readonly number[][], debts: BodyDebts): number {
	const judge = limbJudge(day, limb, debts);
	const into = { penalty: 0, overheat: 0, state: startState(day, limb) };
	return choices.reduce((sum, options, k) => {
		judge(k, options, into.state, into);
		return sum + into.penalty;
	}, 0);
}

/** A day during which the body is nowhere in debt. */
export const neverInDebt = (cells: readonly Cell[]): BodyDebts =>
	cells.map(({ minutes }) => new Float64Array(stepsOf(minutes) + 1));

/** Debts told apart when courses of the body are compared, Wh/m². */
const LIKE_WHM2 = 4;
/** Where the body is in debt, in a form that can be compared: empty where it never is. */
export const debtsKey = (debts: BodyDebts): string =>
	debts.every((steps) => steps.every((debt) => debt <= 0))
		? ''
		: debts
				.map((steps) => [...steps].map((debt) => Math.max(0, Math.round(debt / LIKE_WHM2))).join())
				.join(';');

/** The body's debt in each cell, for given outfits. */
export function debtsOf(
	day: Day,
	{ outfits, openings }: { outfits: readonly Outfit[]; openings: readonly number[] }
): BodyDebts {
	let debt = startState(day, 'body');
	return day.cells.map((cell, k) => {
		debt = restart(cell, debt);
		const { air, balance } = day.airs[k]!;
		const loss = lossOf(
			balance,
			outfitClo(wetLayers(outfits[k]!, day.wet[k]!), air, openings[k]!),
			day.person.offsetClo
		);
		const steps = debtSteps(cell, loss, debt, day.person);
		debt = steps.at(-1)!;
		return steps;
	});
}
