import { outfitClo } from '../../cloth/worn';
import type { Cell } from '../../conditions/cells';
import { lossOf } from '../../heat/debt';
import type { DebtSpan } from '../../heat/fingers-and-toes';
import { debtEndWhm2, debtSpans } from '../../heat/ledger';
import { type Dressed } from './day-problem';
import { type Day, type Limb, limbJudge, restart, startState } from './limb-judges';

/** Turns in which hands, feet and body are fitted to one another. */
export const MOST_TURNS = 4;

/** Penalty of a course of hands or feet that has been chosen, judged once more by what is known now. */
export function penaltyOfLimb(
	day: Day,
	limb: Limb,
	choices: readonly number[][],
	spans: readonly (readonly DebtSpan[])[]
): number {
	const judge = limbJudge(day, limb, spans);
	const into = { penalty: 0, overheat: 0, state: startState(day, limb) };
	return choices.reduce((sum, options, k) => {
		judge(k, options, into.state, into);
		return sum + into.penalty;
	}, 0);
}

/** A day during which the body is nowhere in debt. */
export const neverInDebt = (cells: readonly Cell[]): DebtSpan[][] =>
	cells.map(({ minutes }) => [{ minutes, inDebt: false }]);

/** Whether the body is anywhere in debt, and where, in a form that can be compared. */
export const spansKey = (spans: readonly (readonly DebtSpan[])[]): string =>
	spans.every((list) => list.every(({ inDebt }) => !inDebt))
		? ''
		: JSON.stringify(spans.map((list) => list.map(({ minutes, inDebt }) => [Math.round(minutes), inDebt])));

/** Where the body's debt passes its comfortable mark in each cell, for given outfits. */
export function spansOf(day: Day, { outfits, openings }: Dressed): DebtSpan[][] {
	let debt = startState(day, 'body');
	return day.cells.map((cell, k) => {
		debt = restart(cell, debt);
		const { air, balance } = day.airs[k]!;
		const loss = lossOf(balance, outfitClo(outfits[k]!, air, openings[k]!), day.person.offsetClo);
		const spans = debtSpans(cell, loss, debt, day.person);
		debt = debtEndWhm2(cell, loss, debt, day.person);
		return spans;
	});
}
