import { resultantClo } from '../../cloth/supply';
import type { Outfit } from '../../cloth/worn';
import { lossOf } from '../../heat/debt';
import { debtSteps } from '../../heat/ledger';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { MARGIN_SHARE, PENALTY } from '../../rules/objective';
import { penaltyOfLimb } from './body-debts';
import { bodySequence, type OutfitTables } from './day-problem';
import { type BodyDebts, type Day, restart, startState } from './limb-judges';
import { lowestConductance } from './whole-kit';

/**
 * A body that is dressed warmer than it needs for itself, for the sake of hands and feet, whose blood follows its debt; and
 * hands and feet for the sake of the body. What the one gives the other counts more to the search, and what was found is
 * judged as always.
 */

/**
 * What a step of debt counts besides where hands or feet would gain by less of it, in turn: from which gain on, and by how much
 * a day has to be better for it, all as penalties (our assumption). Ten steps count as much as a verdict word, then one step as
 * much. Where they would be short, a step counts nearly as much as a thing that does harm: one of these is only worn where it
 * keeps them from being short in some phase.
 */
export const STEP_WEIGHTS = [
	{ weight: 40, from: PENALTY.word, better: 0 },
	{ weight: 400, from: PENALTY.word, better: 0 },
	{ weight: 4000, from: PENALTY.notWarm, better: PENALTY.notWarm }
] as const;

/** What each W/(m²·K) of the body's surface that gloves or socks let through counts, where the body is cool or short, as a penalty (our assumption). */
export const LOSS_WEIGHT = 4000;

/** What counts besides on a day, by cell, where one part is dressed for the sake of another. */
export interface ForOthers {
	/** each step of debt of the body: for hands and feet */
	body: readonly number[];
	/** what hands and feet let through: for the body */
	limbs: readonly number[];
}
const areZero = (weights: readonly number[]): boolean => weights.every((weight) => weight === 0);
export const forItself = ({ cells }: Day): ForOthers => ({
	body: cells.map(() => 0),
	limbs: cells.map(() => 0)
});
export const isForItself = ({ body, limbs }: ForOthers): boolean => areZero(body) && areZero(limbs);
export const isBodyForItself = ({ body }: ForOthers): boolean => areZero(body);

/** A day on which steps of debt count so much more. */
export const withDebtWeighed = <D extends Day & { key: string }>(day: D, { body }: ForOthers): D =>
	areZero(body) ? day : { ...day, key: `${day.key} debt ${body.join()}`, stepWeights: body };

/** A day on which the warmth of gloves and socks counts for the body. */
export const withLossWeighed = <D extends Day & { key: string }>(day: D, { limbs }: ForOthers): D =>
	areZero(limbs) ? day : { ...day, key: `${day.key} loss ${limbs.join()}`, lossWeights: limbs };

/** Cells that end with the body nearly cool, or worse. */
export const coldCells = (day: Day, debts: BodyDebts): boolean[] =>
	day.cells.map(
		({ heated }, k) => !heated && Math.max(...debts[k]!) > MARGIN_SHARE * day.person.marks.rightWhm2
	);

const leastKnown = new WeakMap<Wardrobe['stacks'], Map<string, BodyDebts>>();
/**
 * The least debt that the body can have in each cell, whatever of a wardrobe it wears and however often it changes.
 * @param others what hands, feet and eyes wear, by cell
 */
export function leastDebts(
	day: Day & { key: string },
	wardrobe: Wardrobe,
	others: readonly Outfit[]
): BodyDebts {
	const key = JSON.stringify([day.key, others.map((outfit) => outfit.map(({ cloth }) => cloth.thingId))]);
	const byDay = leastKnown.get(wardrobe.stacks) ?? new Map<string, BodyDebts>();
	leastKnown.set(wardrobe.stacks, byDay);
	const known = byDay.get(key);
	if (known) return known;
	let debt = startState(day, 'body');
	const made = day.cells.map((cell, k) => {
		const { air, balance } = day.airs[k]!;
		const lowest = lowestConductance(day, k, wardrobe, others[k]!);
		debt = restart(cell, debt);
		const loss = lossOf(balance, resultantClo(lowest, air), day.person.offsetClo);
		const steps = debtSteps(cell, loss, debt, day.person);
		debt = steps.at(-1)!;
		return steps;
	});
	byDay.set(key, made);
	return made;
}

/**
 * Cells in which less debt of the body would help hands or feet: with the debt of one cell alone they fare worse than with
 * the least, or without that of one better than with all.
 * @param least as little as the debt can be
 */
export function cellsThatGain(
	day: Day,
	chosen: Readonly<Record<'hands' | 'feet', readonly number[][]>>,
	debts: BodyDebts,
	least: BodyDebts
): boolean[] {
	const byLimb = (['hands', 'feet'] as const).map((limb) => {
		const penalty = (of: BodyDebts): number => penaltyOfLimb(day, limb, chosen[limb], of);
		const [lowest, highest] = [penalty(least), penalty(debts)];
		return day.cells.map((_, k) => {
			if (highest <= lowest) return false;
			const only = least.map((steps, cell) => (cell === k ? debts[k]! : steps));
			const without = debts.map((steps, cell) => (cell === k ? least[k]! : steps));
			return penalty(only) > lowest || penalty(without) < highest;
		});
	});
	return day.cells.map((_, k) => byLimb.some((gains) => gains[k]));
}

/**
 * What outfits of the body cost as they are judged, as a penalty.
 * @param day with the stacks among which they were chosen
 * @param choices option of each factor, cell by cell
 */
export function bodyPenalty(
	day: Day,
	others: readonly Outfit[],
	choices: readonly number[][],
	tables: OutfitTables
): number {
	const { sizes, judge, startState } = bodySequence(day, others, tables);
	const into = { penalty: 0, overheat: 0, state: startState };
	return choices.reduce((sum, options, k) => {
		const choice = options.reduce((before, option, f) => before * sizes[f]! + option, 0);
		judge(k, choice, into.state, into);
		return sum + into.penalty;
	}, 0);
}
