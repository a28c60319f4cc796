import { factorOf } from '../cloth/factors';
import type { Cloth } from '../cloth/things';
import type { PhaseVerdict } from '../judge/phase-verdict';
import { packBag } from '../kit/pack';
import { setOf } from './choice/trip-choice';
import type { TripDay } from './trip-days';
import { type TripPlan, whatIfsOf } from './trip-plan';

/**
 * What is carried for what may go wrong, beside what the plan wears: the few things with which most what-ifs hold that do
 * not hold without.
 */

/** How far one provides for the worst: what-ifs up to so many minutes, with so many things more. */
const PROVIDES = {
	no: null,
	light: { minutes: 30, things: 2 },
	full: { minutes: Infinity, things: 5 }
} as const;
/** Days whose what-ifs are judged anew at most while things are tried. */
const MOST_TRIES = 60;

const isColdInIt = ({ verdict }: PhaseVerdict): boolean =>
	verdict === 'short' || verdict === 'nothing suffices';

/** Whether a thing can help at all where something fails. */
function mayHelp(cloth: Cloth, { limitedBy }: PhaseVerdict): boolean {
	const factor = factorOf(cloth);
	if (limitedBy === 'hands') return factor === 'hands';
	if (limitedBy === 'feet') return factor === 'feet' && cloth.positions[0] >= 5;
	return (
		cloth.functions.includes('warmth') &&
		(factor === 'trunk' || factor === 'legs' || factor === 'head') &&
		cloth.positions[1] >= 3
	);
}

/** A plan with what is carried for the worst. */
export function withWorst(plan: TripPlan): TripPlan {
	const { problem, choice, wishes } = plan;
	const provides = PROVIDES[problem.person.schools.worst];
	const usual = problem.trip.weathers[0];
	if (!provides || !usual) return plan;
	const { cloths } = problem.wardrobe;
	const left = new Set(wishes.filter(({ kind }) => kind === 'leave').map(({ thingId }) => thingId));
	const isCandidate = ({ thingId }: Cloth): boolean => !left.has(thingId);
	const failing = (day: TripDay, added: ReadonlySet<string>): PhaseVerdict[] => {
		const along = new Set([...(plan.carried.get(day.stage.id) ?? []), ...added]);
		return whatIfsOf(problem, choice, day, along).filter(
			(phase) => phase.cell.minutes <= provides.minutes && isColdInIt(phase)
		);
	};
	const seen = new Set<string>();
	const days = problem.days.filter((day) => {
		if (day.weather !== usual || day.foul || !choice.dressed[day.index] || seen.has(day.key)) return false;
		seen.add(day.key);
		return true;
	});
	const added = new Set<string>();
	let open = days.map((day) => ({ day, fails: failing(day, added) })).filter(({ fails }) => fails.length > 0);
	let tries = MOST_TRIES;
	const isTaken = (index: number): boolean => choice.taken.has(index) || added.has(cloths[index]!.thingId);
	const usedOn = new Map<string, Set<string>>();
	for (let n = 0; n < provides.things && open.length > 0; n++) {
		let best: { cloth: Cloth; solved: number; by: typeof open } | null = null;
		const candidates = cloths
			.filter(
				(cloth, index) =>
					isCandidate(cloth) &&
					!isTaken(index) &&
					open.some(({ fails }) => fails.some((phase) => mayHelp(cloth, phase)))
			)
			.sort((a, b) => a.massG - b.massG);
		for (const cloth of candidates) {
			if (tries <= 0) break;
			const along = new Set([...added, cloth.thingId]);
			let solved = 0;
			const by: typeof open = [];
			for (const { day, fails } of open) {
				tries--;
				const now = failing(day, along);
				if (now.length < fails.length) {
					solved += fails.length - now.length;
					usedOn.set(cloth.thingId, (usedOn.get(cloth.thingId) ?? new Set()).add(day.stage.id));
				}
				by.push({ day, fails: now });
			}
			if (solved > (best?.solved ?? 0)) best = { cloth, solved, by };
		}
		if (!best) break;
		added.add(best.cloth.thingId);
		open = best.by.filter(({ fails }) => fails.length > 0);
	}
	if (added.size === 0) return plan;
	const bag = packBag(problem.kit);
	const taken = new Set(choice.taken);
	const carried = new Map([...plan.carried].map(([id, things]) => [id, new Set(things)]));
	for (const [index, cloth] of cloths.entries()) {
		if (!added.has(cloth.thingId) || taken.has(index)) continue;
		taken.add(index);
		// Where there is no pack that is known of, nothing says that it would not go in.
		for (const id of usedOn.get(cloth.thingId) ?? [])
			if (!bag || cloth.packedL <= bag.holdsL) carried.get(id)?.add(cloth.thingId);
	}
	return {
		...plan,
		choice: {
			...choice,
			taken,
			levels: { ...choice.levels, ...setOf([...taken].map((index) => cloths[index]!)) }
		},
		carried
	};
}
