import { factorOf, kindOf } from '../../cloth/factors';
import { CATALOGUE } from '../../cloth/catalogue';
import { type Cloth, clothOf, isRefused, thingOfType, wearableThings } from '../../cloth/things';
import type { Client, Thing, Trip } from '../../document/types';
import { WATER_GRADES } from '../../document/weather';
import type { HittingSolver } from '../../search/hitting-set';
import { TripPlanner } from '../planner';
import type { Progress } from '../choice/trip-choice';
import {
	isNotAllRight,
	momentKey,
	type PhaseSummary,
	tripSummary,
	type TripSummary,
	worstPhase
} from './summary';

/** "Is this all right?": one thing, described in a few words, for one client and one trip. */
/** A thing that is asked about. */
export interface AskedThing {
	typeId: string;
	/** its mass where the words say one, g */
	massG: number | null;
	/** its repellent finish is worn out */
	wornOut: boolean;
}

const ASKED_ID = 'asked-about';

/** The thing as it would stand in a kit. */
function thingFrom({ typeId, massG, wornOut }: AskedThing): Thing {
	return {
		...thingOfType(ASKED_ID, typeId, '', { value: 1, source: 'client', state: 'has' }),
		facts: {
			...(massG === null ? {} : { massG: { value: massG, source: 'client', state: 'has' } }),
			...(wornOut ? { face: { value: 'worn out' as const, source: 'client', state: 'has' } } : {})
		}
	};
}

export interface QuickCheckAnswer {
	/** whether everything holds with it */
	yes: boolean;
	/** it fails only where what the client has fails as well */
	sameWithout: boolean;
	/** things of its kind that it was put in place of */
	insteadOf: string[];
	/** the phase that fails first, and how long it holds */
	fails: PhaseSummary | null;
	/** how many phases fail */
	failing: number;
	/** phases that fail with what the client has, too: not this thing's fault */
	failingAnyway: number;
	/** whether the plan wears it anywhere */
	isWorn: boolean;
	/** nothing the client has covers what must be covered */
	notJudged: boolean;
	/** phases that are not all right with what the client has, and are with the thing beside it, the worst first */
	helps: PhaseSummary[];
	/** the worst phase that is still wrong with the thing beside what the client has */
	stillWrong: PhaseSummary | null;
	/** the type most like it with which nothing fails that does not fail without; null where it is all right, or none is */
	nearest: string | null;
}

/** Types like it that are tried where a thing does not do, at most. */
const MOST_LIKE = 3;

/** Types that go where a thing goes, those whose warmth and weather are most like it first. */
function typesLike(cloth: Cloth, typeId: string, client: Client): string[] {
	const far = (other: Cloth): number =>
		Math.abs(other.localClo - cloth.localClo) +
		Math.abs(WATER_GRADES.indexOf(other.waterGrade) - WATER_GRADES.indexOf(cloth.waterGrade)) / 4;
	return CATALOGUE.map(({ id }) =>
		clothOf(thingOfType(id, id, '', { value: 1, source: 'guess', state: 'has' }))
	)
		.filter(
			(other) =>
				other.typeId !== typeId &&
				factorOf(other) === factorOf(cloth) &&
				kindOf(other) === kindOf(cloth) &&
				!isRefused(other, client)
		)
		.sort((a, b) => far(a) - far(b))
		.slice(0, MOST_LIKE)
		.map((other) => other.typeId);
}

/**
 * A client's trip with the thing in place of all of its kind: what fails then, and how long it holds.
 * @param isOver whether it shall stop; the answer is then not to be trusted
 */
export function* quickCheck(
	trip: Trip,
	client: Client,
	asked: AskedThing,
	hit?: HittingSolver,
	isOver: () => boolean = () => false
): Generator<Progress, QuickCheckAnswer, void> {
	const thing = thingFrom(asked);
	const cloth = clothOf(thing);
	const factor = factorOf(cloth);
	const rivals = wearableThings(client).filter(
		(other) => factor !== null && factorOf(other) === factor && kindOf(other) === kindOf(cloth)
	);
	const rivalIds = new Set(rivals.map(({ thingId }) => thingId));
	const withIt: Client = {
		...client,
		things: [...client.things.filter(({ id }) => !rivalIds.has(id)), thing]
	};
	const summaryOf = function* (who: Client): Generator<Progress, TripSummary, void> {
		return tripSummary(yield* new TripPlanner(trip, who, hit).plan([], 0, isOver));
	};
	const wrongOf = ({ phases }: TripSummary): PhaseSummary[] => phases.filter(isNotAllRight);
	const summary = yield* summaryOf(withIt);
	const bad = wrongOf(summary);
	const judged = bad.filter(({ verdict }) => verdict !== 'not judged yet');
	const before = wrongOf(yield* summaryOf(client));
	const anyway = new Set(before.map(momentKey));
	const ownOf = (wrong: readonly PhaseSummary[]): PhaseSummary[] =>
		wrong.filter((phase) => phase.verdict !== 'not judged yet' && !anyway.has(momentKey(phase)));
	const own = ownOf(judged);
	// Beside what the client has it can only help; where nothing is wrong there is nothing to help.
	const beside =
		before.length === 0
			? []
			: rivals.length === 0
				? bad
				: wrongOf(yield* summaryOf({ ...client, things: [...client.things, thing] }));
	const left = new Set(beside.map(momentKey));
	let nearest: string | null = null;
	for (const typeId of own.length > 0 ? typesLike(cloth, asked.typeId, client) : []) {
		const other = { ...thingFrom({ ...asked, typeId, massG: null, wornOut: false }), typeId };
		const others = client.things.filter(({ id }) => !rivalIds.has(id));
		if (ownOf(wrongOf(yield* summaryOf({ ...client, things: [...others, other] }))).length > 0) continue;
		nearest = typeId;
		break;
	}
	return {
		yes: judged.length === 0,
		sameWithout: judged.length > 0 && own.length === 0,
		insteadOf: rivals.map(({ name }) => name),
		fails: worstPhase(own.length > 0 ? own : judged),
		failing: own.length,
		failingAnyway: judged.length - own.length,
		isWorn: summary.takenIds.includes(ASKED_ID),
		notJudged: bad.length > judged.length,
		helps: before
			.filter((phase) => phase.verdict !== 'not judged yet' && !left.has(momentKey(phase)))
			.sort((a, b) => (worstPhase([a, b]) === a ? -1 : 1)),
		stillWrong: worstPhase(beside.filter(({ verdict }) => verdict !== 'not judged yet')),
		nearest
	};
}
