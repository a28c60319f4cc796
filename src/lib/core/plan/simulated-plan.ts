import { OPENING_FACTOR } from '../cloth/supply';
import type { Cloth } from '../cloth/things';
import type { Outfit } from '../cloth/worn';
import { personOf } from '../conditions/person';
import type { Client } from '../document/types';
import { type SimulatedDay, simulateDay } from '../heat/simulation';
import { wearerOf } from '../judge/wearer';
import type { PlannedPhase } from '../kit/planned-day';

/**
 * How the body fares through a planned stage, minute by minute, and what at hand would prevent what goes wrong; empty while
 * nobody has asked what there is for torso and legs.
 */
export function simulationOf(phases: readonly PlannedPhase[], client: Client): SimulatedDay {
	const { answered, kit } = wearerOf(client);
	if (!answered.has('torso') || !answered.has('legs')) return { minutes: [], moments: [] };
	const atHand = (phase: number): Cloth[] => {
		const reach = new Set(
			phases[phase]!.carried.filter(({ where }) => where !== 'base').map(({ thingId }) => thingId)
		);
		return kit.filter(({ thingId }) => reach.has(thingId));
	};
	return simulateDay(
		phases.map(({ cell, outfit, verdict, limitedBy }) => ({
			cell,
			outfit,
			opening: openingOf(outfit),
			wetThrough: verdict === 'wet through' && limitedBy === 'torso'
		})),
		{ holdWhm2: personOf(client).marks.holdWhm2, atHand }
	);
}
/** How far the front of an outfit is open, as the factor left on the trunk. */
export const openingOf = (outfit: Outfit): number =>
	Math.min(1, ...outfit.map(({ opening }) => OPENING_FACTOR[opening]));
