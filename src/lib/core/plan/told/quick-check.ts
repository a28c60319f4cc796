import { factorOf, kindOf } from '../../cloth/factors';
import { clothOf, thingOfType, wearableThings } from '../../cloth/things';
import type { Client, Thing, Trip } from '../../document/types';
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
	const summary = yield* summaryOf(withIt);
	const bad = summary.phases.filter(isNotAllRight);
	const judged = bad.filter(({ verdict }) => verdict !== 'not judged yet');
	const before = judged.length === 0 ? [] : (yield* summaryOf(client)).phases.filter(isNotAllRight);
	const anyway = new Set(before.map(momentKey));
	const own = judged.filter((phase) => !anyway.has(momentKey(phase)));
	return {
		yes: judged.length === 0,
		sameWithout: judged.length > 0 && own.length === 0,
		insteadOf: rivals.map(({ name }) => name),
		fails: worstPhase(own.length > 0 ? own : judged),
		failing: own.length,
		failingAnyway: judged.length - own.length,
		isWorn: summary.takenIds.includes(ASKED_ID),
		notJudged: bad.length > judged.length
	};
}
