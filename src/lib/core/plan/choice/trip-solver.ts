import type { Outfit } from '../../cloth/worn';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { costOf } from '../../search/problem';
import { SequenceSolver } from '../../search/solver';
import { finished } from '../../search/steps';
import type { Constraints } from './constraints';
import {
	bodySequence,
	type Dressed,
	dressedBy,
	limbOutfits,
	limbSequence,
	type OutfitTables
} from '../day/day-problem';
import { debtsKey, debtsOf, MOST_TURNS, neverInDebt, penaltyOfLimb } from '../day/body-debts';
import type { BodyDebts, Limb } from '../day/limb-judges';
import {
	bodyPenalty,
	cellsThatGain,
	forItself,
	type ForOthers,
	isBodyForItself,
	isForItself,
	leastDebts,
	withDebtWeighed,
	withLossWeighed
} from '../day/warmer-body';
import type { TripDays } from '../trip-days';
import { GroupSolver } from './group-solver';
import { type Trial, TRIALS } from './trials';
import {
	choiceFrom,
	type Group,
	type GroupChoice,
	GROUPS,
	type LimbsOfDay,
	LONG_DAY,
	type Progress,
	type SolveOptions,
	type SolverDay,
	type SolverProblem,
	type TripChoice,
	weighed
} from './trip-choice';

/** A choice, and where the body is in debt with it. */
interface Turn {
	choice: TripChoice;
	next: BodyDebts[];
}

/** What a group is searched with beside its day, as text, and the search of it. */
interface Asked {
	context: string;
	make: () => SequenceSolver;
}

/** A choice, and what counted besides when it was made, by day. */
interface Weighed {
	choice: TripChoice;
	weights: readonly ForOthers[];
}

/**
 * The best outfits of all days of a trip, with one set taken for all of them.
 *
 * Days meet only in what is taken: each keeps the least penalty, overheat and changes that it can have by itself, and the set is
 * the lightest with which all of them do. Hands, feet and eyes come first, then the body with what those give; no thing
 * belongs to two of them, so each group has a lightest set of its own.
 */
export class TripSolver<P extends SolverProblem = TripDays> {
	private readonly groups = new GroupSolver();
	private readonly tables = new Map<object, OutfitTables>();

	/** @param problem may be put another one in place of, of the same wardrobe: what is alike is known already */
	constructor(public problem: P) {}

	/**
	 * The best choice under constraints. A core comes first; then, as asked, each part dressed for the sake of the others, and
	 * the whole kit.
	 * @returns null when they cannot be met at all
	 */
	*solve(constraints: Constraints, options: SolveOptions = {}): Generator<Progress, TripChoice | null, void> {
		const { days } = this.problem;
		const asItIs = days.map(forItself);
		const core = yield* this.fitted(constraints, options, asItIs);
		if (!core || options.isOver?.()) return core;
		const own: Weighed = { choice: core, weights: asItIs };
		const { choice, weights } = options.warmer ? yield* this.warmer(constraints, options, own) : own;
		if (!options.whole || options.isOver?.()) return choice;
		const turn = yield* this.turn(constraints, options, weights, choice.fitted, choice, true);
		return turn && weighed(turn.choice.levels) <= weighed(choice.levels) + 1e-6
			? { ...turn.choice, isWhole: days.every(({ whole }) => whole) }
			: choice;
	}

	/** What counts besides, as it was found once for a problem: a full pack asks the same again and again. */
	private readonly weightsKnown = new WeakMap<P, readonly ForOthers[]>();

	/** Each part dressed for the sake of the others; what is better for the whole person stays, day by day. */
	private *warmer(
		constraints: Constraints,
		options: SolveOptions,
		known: Weighed
	): Generator<Progress, Weighed, void> {
		const before = this.weightsKnown.get(this.problem);
		if (before) {
			if (before.every(isForItself)) return known;
			const { choice } = known;
			const again = yield* this.fitted(constraints, { ...options, fitted: choice.fitted }, before, choice);
			return again && weighed(again.levels) < weighed(choice.levels) - 1e-6
				? { choice: again, weights: before }
				: known;
		}
		let best = known;
		for (const trial of TRIALS) {
			if (options.isOver?.()) break;
			best = yield* this.tried(constraints, options, best, trial);
		}
		if (!options.isOver?.()) this.weightsKnown.set(this.problem, best.weights);
		return best;
	}

	/** One way to weigh what parts do for one another, on the days that may gain by it: kept on those that do. */
	private *tried(
		constraints: Constraints,
		options: SolveOptions,
		known: Weighed,
		{ weigh, better }: Trial
	): Generator<Progress, Weighed, void> {
		const { days } = this.problem;
		const { choice, weights } = known;
		const tried = days.map(
			(day, i) => (day.cells.length <= LONG_DAY && weigh(day, choice, weights[i]!)) || weights[i]!
		);
		if (tried.every((own, day) => own === weights[day])) return known;
		const other = yield* this.fitted(
			constraints,
			{ ...options, fitted: choice.fitted, levelsOnly: true },
			tried,
			choice
		);
		if (!other || options.isOver?.()) return known;
		const isBetterOn = days.map(
			({ index }) =>
				weighed(other.dayLevels[index]!) < weighed(choice.dayLevels[index]!) - costOf(better, 0) - 1e-6
		);
		if (!isBetterOn.includes(true)) return known;
		const kept = tried.map((own, day) => (isBetterOn[day] ? own : weights[day]!));
		const fitted = isBetterOn.map((is, day) => (is ? other : choice).fitted[day]!);
		const each = yield* this.fitted(constraints, { ...options, fitted }, kept, choice);
		return each && weighed(each.levels) < weighed(choice.levels) - 1e-6
			? { choice: each, weights: kept }
			: known;
	}

	/**
	 * Hands, feet and body fitted to one another, turn by turn.
	 * @param weights by day: what counts besides, where one part is dressed for the sake of another
	 * @param shown what is known already
	 */
	private *fitted(
		constraints: Constraints,
		options: SolveOptions,
		weights: readonly ForOthers[],
		shown: TripChoice | null = null
	): Generator<Progress, TripChoice | null, void> {
		const { days } = this.problem;
		let debts = options.fitted ?? days.map(({ cells }) => neverInDebt(cells));
		const seen = new Set<string>();
		let best: TripChoice | null = null;
		for (let turn = 0; turn < (options.turns ?? MOST_TURNS); turn++) {
			const made: Turn | null = yield* this.turn(constraints, options, weights, debts, best ?? shown);
			if (!made) return null;
			const { choice, next }: Turn = made;
			// A turn that made it no better is the last one, and so is one that the search could not settle.
			const isBetterNow = !best || weighed(choice.levels) < weighed(best.levels) - 1e-6;
			if (isBetterNow) best = choice;
			const pattern = next.map(debtsKey).join('|');
			if (
				!isBetterNow ||
				(turn > 0 && !choice.levelsProven) ||
				seen.has(pattern) ||
				pattern === days.map(() => '').join('|') ||
				options.isOver?.()
			)
				break;
			seen.add(pattern);
			debts = next;
		}
		return best;
	}

	/** One turn: hands and feet for the debts that are known, then the body with what they wear. */
	private *turn(
		constraints: Constraints,
		options: SolveOptions,
		weights: readonly ForOthers[],
		debts: readonly BodyDebts[],
		known: TripChoice | null,
		isWhole = false
	): Generator<Progress, Turn | null, void> {
		const { days } = this.problem;
		const bodyDays = days.map((day) => withDebtWeighed(day, weights[day.index]!));
		const limbDays = days.map((day) => withLossWeighed(day, weights[day.index]!));
		const groups = {} as Record<Group, GroupChoice>;
		let others: Outfit[][] = [];
		let shown = known;
		for (const group of GROUPS) {
			if (group === 'body') others = days.map((day) => this.limbsOf(day, groups));
			const contextOf = (day: SolverDay): Asked => {
				if (group !== 'body')
					return this.limbContext(day, group, group === 'eyes' ? neverInDebt(day.cells) : debts[day.index]!);
				return this.bodyContext(day, others[day.index]!);
			};
			const own = group === 'body' ? bodyDays : group === 'eyes' ? days : limbDays;
			const wholeFor = isWhole && group === 'body' ? others : null;
			const steps = this.groups.solveGroup(
				group,
				this.problem.wardrobe.cloths,
				own,
				contextOf,
				constraints,
				options,
				wholeFor
			);
			let step = steps.next();
			for (; !step.done; step = steps.next()) {
				if (group !== 'body') continue;
				const part = step.value.done;
				if (!shown && options.hurry?.()) {
					const hasty = { ...options, hasty: true };
					const body = finished(
						this.groups.solveGroup(group, this.problem.wardrobe.cloths, own, contextOf, constraints, hasty)
					);
					if (body)
						shown = this.putTogether({ ...groups, body }, others, debts, weights, constraints, hasty).choice;
				}
				const task = part < days.length ? 'days' : 'weight';
				yield { task, done: part, total: days.length, best: shown };
			}
			if (!step.value) return null;
			groups[group] = step.value;
		}
		return this.putTogether(groups, others, debts, weights, constraints, options);
	}

	/** Hands, feet or eyes on a day during which the body is in debt. */
	private limbContext(day: SolverDay, limb: Limb, debts: BodyDebts): Asked {
		return { context: debtsKey(debts), make: () => new SequenceSolver(limbSequence(day, limb, debts)) };
	}

	/** Trunk, legs and head on a day with what hands, feet and eyes wear. */
	private bodyContext(day: SolverDay, worn: readonly Outfit[]): Asked {
		return {
			context: JSON.stringify(worn.map((outfit) => outfit.map(({ cloth }) => cloth.thingId))),
			make: () => new SequenceSolver(bodySequence(day, worn, this.tablesOf(day)))
		};
	}

	/** How hands and feet fare on a day beside how they would at least, whatever the body wore. */
	private limbsOn(
		day: SolverDay,
		groups: Record<Group, GroupChoice>,
		others: readonly Outfit[],
		debts: BodyDebts,
		constraints: Constraints,
		options: SolveOptions
	): LimbsOfDay {
		const chosen = { hands: groups.hands.choices[day.index]!, feet: groups.feet.choices[day.index]! };
		// Where outfits are given there is little to choose, and on a day that is not solved nothing is known.
		if (day.cells.length === 0 || !chosen.hands || !chosen.feet || day.wardrobe.fixed.size > 0)
			return { gain: 0, gaining: day.cells.map(() => false) };
		const limbs = ['hands', 'feet'] as const;
		const penalty = limbs.reduce((sum, limb) => sum + penaltyOfLimb(day, limb, chosen[limb], debts), 0);
		const leastWith = (of: BodyDebts): number =>
			limbs.reduce((sum, limb) => {
				const { context, make } = this.limbContext(day, limb, of);
				return (
					sum + (this.groups.solveDay(day, limb, context, constraints, options, make)?.best.penalty ?? 0)
				);
			}, 0);
		if (penalty <= leastWith(neverInDebt(day.cells))) return { gain: 0, gaining: day.cells.map(() => false) };
		const least = leastDebts(day, day.whole?.() ?? day.wardrobe, others);
		return {
			gain: Math.max(0, penalty - leastWith(least)),
			gaining: cellsThatGain(day, chosen, debts, least)
		};
	}

	/** What the body costs on a day on which debt counted more to the search, and how much less it could cost at most. */
	private bodyAsJudged(
		body: GroupChoice,
		day: SolverDay,
		worn: readonly Outfit[],
		constraints: Constraints,
		options: SolveOptions
	): { penalty: number; gap: number } {
		const searched = { ...body.days[day.index]!, stepWeights: undefined };
		const { overheat, changes } = body.levels[day.index]!;
		const penalty = bodyPenalty(searched, worn, body.choices[day.index]!, this.tablesOf(searched));
		// Beyond the core of a large kit it is not known what a body dressed for itself alone would come to.
		if (day.whole) return { penalty, gap: Infinity };
		const { context, make } = this.bodyContext(day, worn);
		const alone = this.groups.solveDay(day, 'body', context, constraints, options, make);
		return { penalty, gap: Math.max(0, costOf(penalty, overheat) + changes - (alone?.atLeast ?? 0)) };
	}

	/** All groups as one choice, and where the body is in debt with it. */
	private putTogether(
		searched: Record<Group, GroupChoice>,
		others: readonly Outfit[][],
		before: readonly BodyDebts[],
		weights: readonly ForOthers[],
		constraints: Constraints,
		options: SolveOptions
	): Turn {
		const { days } = this.problem;
		const body = { ...searched.body, levels: [...searched.body.levels], gaps: [...searched.body.gaps] };
		for (const day of days) {
			if (isBodyForItself(weights[day.index]!) || !body.choices[day.index]) continue;
			const own = this.bodyAsJudged(body, day, others[day.index]!, constraints, options);
			body.levels[day.index] = { ...body.levels[day.index]!, penalty: own.penalty };
			body.gaps[day.index] = own.gap;
		}
		const groups = { ...searched, body };
		const dressed = days.map((day) =>
			this.dressedOf(groups.body.days[day.index]!, groups, others[day.index]!)
		);
		const next = days.map((day) =>
			dressed[day.index] ? debtsOf(day, dressed[day.index]!) : before[day.index]!
		);
		const limbs = days.map((day) =>
			options.levelsOnly
				? { gain: 0, gaining: [] }
				: this.limbsOn(day, groups, others[day.index]!, next[day.index]!, constraints, options)
		);
		const both = { fitted: before, debts: next };
		return {
			choice: choiceFrom(
				this.problem.days,
				this.problem.wardrobe.cloths,
				groups,
				dressed,
				both,
				limbs,
				constraints
			),
			next
		};
	}

	private readonly dressedKnown = new WeakMap<Wardrobe, Map<string, Dressed>>();
	/** What is worn on a day; the same object as long as the same is worn. Null where the day is not solved. */
	private dressedOf(
		day: SolverDay,
		groups: Record<Group, GroupChoice>,
		others: readonly Outfit[]
	): Dressed | null {
		const body = groups.body.choices[day.index];
		if (!body) return null;
		const chosen = GROUPS.map((group) => groups[group].choices[day.index]);
		const key = `${day.index}|${day.key}|${JSON.stringify(chosen)}`;
		const known = this.dressedKnown.get(day.wardrobe) ?? new Map<string, Dressed>();
		this.dressedKnown.set(day.wardrobe, known);
		const dressed = known.get(key) ?? dressedBy(day, body, others);
		known.set(key, dressed);
		return dressed;
	}

	private tablesOf(day: SolverDay): OutfitTables {
		const made = this.tables.get(day.wardrobe) ?? new Map();
		this.tables.set(day.wardrobe, made);
		return made;
	}

	private limbsOf(day: SolverDay, groups: Record<Group, GroupChoice>): Outfit[] {
		const none = day.cells.map(() => [0]);
		const of = (limb: Limb): number[][] => groups[limb].choices[day.index] ?? none;
		return limbOutfits(day, { eyes: of('eyes'), hands: of('hands'), feet: of('feet') });
	}
}
