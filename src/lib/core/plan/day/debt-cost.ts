import { resultantClo } from '../../cloth/supply';
import type { Cell } from '../../conditions/cells';
import type { Person } from '../../conditions/person';
import { lossOf } from '../../heat/debt';
import { type CellAir, debtReachedWhm2 } from '../../heat/ledger';
import { penaltyOfDebt } from '../../rules/objective';
import { costOf } from '../../search/problem';
import { restart } from './limb-judges';
import type { OutfitTable } from './outfit-table';

/** Conductances told apart when bounds on the debt are worked out, as a share. */
const FINE = 1e-4;

/** What the debt of a cell counts at least by conductance, from some debt on: rising steps, each up to a conductance. */
function debtSteps(
	cell: Cell,
	{ air, balance }: CellAir,
	startWhm2: number,
	person: Person,
	stepWeight: number,
	lowest: number,
	highest: number
): { upTo: number[]; penalty: number[] } {
	const penaltyAt = (conductance: number): number => {
		const loss = lossOf(balance, resultantClo(conductance, air), person.offsetClo);
		const end = debtReachedWhm2(cell, loss, startWhm2, person);
		return penaltyOfDebt(Math.max(startWhm2, end), person.marks, stepWeight);
	};
	const upTo: number[] = [];
	const penalty: number[] = [];
	const between = (from: number, atFrom: number, to: number, atTo: number): void => {
		if (atFrom === atTo || to - from < FINE * to) {
			upTo.push(to);
			penalty.push(atFrom);
			return;
		}
		const middle = (from + to) / 2;
		const atMiddle = penaltyAt(middle);
		between(from, atFrom, middle, atMiddle);
		between(middle, atMiddle, to, atTo);
	};
	between(lowest, penaltyAt(lowest), highest, penaltyAt(highest));
	return { upTo, penalty };
}

/** What each of some choices of a cell costs at least from some debt on, hundredths of a change. */
export function leastCostsFrom(
	cell: Cell,
	air: CellAir,
	{ conductance, penalty, overheat }: OutfitTable,
	state: number,
	person: Person,
	stepWeight: number,
	isClosed: ((choice: number) => boolean) | null,
	list: Int32Array
): Float64Array {
	const costs = new Float64Array(list.length);
	let lowest = Infinity;
	let highest = 0;
	for (let i = 0; i < list.length; i++) {
		const choice = list[i]!;
		if (penalty[choice] === Infinity || isClosed?.(choice)) {
			costs[i] = Infinity;
			continue;
		}
		costs[i] = costOf(penalty[choice]!, overheat[choice]!);
		if (conductance[choice]! < lowest) lowest = conductance[choice]!;
		if (conductance[choice]! > highest) highest = conductance[choice]!;
	}
	if (cell.heated || lowest === Infinity) return costs;
	const steps = debtSteps(cell, air, restart(cell, state), person, stepWeight, lowest, highest);
	const last = steps.upTo.length - 1;
	if (last === 0 && steps.penalty[0] === 0) return costs;
	for (let i = 0; i < list.length; i++) {
		if (costs[i] === Infinity) continue;
		const own = conductance[list[i]!]!;
		let low = 0;
		for (let high = last; low < high;) {
			const middle = (low + high) >> 1;
			if (steps.upTo[middle]! < own) low = middle + 1;
			else high = middle;
		}
		costs[i]! += costOf(steps.penalty[low]!, 0);
	}
	return costs;
}
