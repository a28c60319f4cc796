import { lossOf } from '../../heat/debt';
import { bestCourse, type Course } from '../../search/solver';
import type { Cell } from '../../conditions/cells';
import {
	LIMBS,
	bodySequence,
	limbSequence,
	dayOf,
	dressedBy,
	limbJudge,
	limbOutfits,
	restart,
	type Day,
	type Dressed,
	type Limb
} from './day-problem';
import { debtEndWhm2, debtSpans } from '../../heat/ledger';
import type { DebtSpan } from '../../heat/fingers-and-toes';
import { outfitClo } from '../../cloth/worn';
import type { Person } from '../../conditions/person';
import type { Wardrobe } from '../../outfit/legal-outfits';
import type { Levels } from '../../rules/objective';

export interface StagePlan extends Dressed {
	levels: Levels;
	/** the same of trunk, legs and head alone, given what the rest wears: this part is the least there is */
	bodyLevels: Levels;
	/** every legal outfit was searched, and no lighter set of things does as well */
	proven: boolean;
}

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
	const into = { penalty: 0, overheat: 0, state: 0 };
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

/**
 * What to wear in every cell of a stage.
 *
 * Hands, feet and eyes are dressed first, by their own needs; trunk, legs and head are then chosen for the body with
 * what those give. Within each the search is complete. Fingers and toes get less blood while the body is in debt, which
 * only the second step knows: the first is repeated with it until nothing changes, or a turn comes round again; the best
 * turn counts, each judged by the debt that it really leads to.
 */
export function dressDay(cells: readonly Cell[], wardrobe: Wardrobe, person: Person): StagePlan {
	const day = dayOf(cells, wardrobe, person);
	const bodies = new Map<string, Course>();
	const seen = new Set<string>();
	let spans = neverInDebt(cells);
	let best: StagePlan | null = null;
	for (let turn = 0; turn < MOST_TURNS; turn++) {
		const limbs = Object.fromEntries(
			LIMBS.map((limb) => [limb, bestCourse(limbSequence(day, limb, spans))])
		) as Record<Limb, Course>;
		const chosen = {
			eyes: limbs.eyes.choices,
			hands: limbs.hands.choices,
			feet: limbs.feet.choices
		};
		const others = limbOutfits(day, chosen);
		const key = JSON.stringify(chosen);
		const body = bodies.get(key) ?? bestCourse(bodySequence(day, others));
		bodies.set(key, body);
		const dressed = dressedBy(day, body.choices, others);
		const next = spansOf(day, dressed);
		const penalty = LIMBS.reduce(
			(sum, limb) => sum + penaltyOfLimb(day, limb, chosen[limb], next),
			body.penalty
		);
		const courses = [limbs.eyes, limbs.hands, limbs.feet, body];
		const sum = (level: 'overheat' | 'changes' | 'massG'): number =>
			courses.reduce((total, course) => total + course[level], 0);
		if (!best || penalty < best.levels.penalty) {
			best = {
				...dressed,
				levels: { penalty, overheat: sum('overheat'), changes: sum('changes') / 100, massG: sum('massG') },
				bodyLevels: {
					penalty: body.penalty,
					overheat: body.overheat,
					changes: body.changes / 100,
					massG: body.massG
				},
				proven: !wardrobe.cut && courses.every((course) => course.proven)
			};
		}
		const pattern = spansKey(next);
		if (seen.has(pattern) || pattern === '') break;
		seen.add(pattern);
		spans = next;
	}
	return best!;
}
