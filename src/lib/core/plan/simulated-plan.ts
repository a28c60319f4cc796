import { OPENING_FACTOR } from '../cloth/supply';
import type { Cloth } from '../cloth/things';
import type { Outfit } from '../cloth/worn';
import { personOf } from '../conditions/person';
import type { Client } from '../document/types';
import { type SimulatedDay, simulateDay } from '../heat/simulation';
import type { PhaseVerdict } from '../judge/phase-verdict';
import { wearerOf, type Wearer } from '../judge/wearer';
import type { PlannedPhase } from '../kit/planned-day';

/**
 * How the body fares through judged phases, minute by minute; empty while nobody has asked what there is for torso and
 * legs.
 * @param atHand what is at hand in a phase and could prevent what goes wrong; null where that is not asked
 */
export function bodyThrough(
	phases: readonly PhaseVerdict[],
	{ client, answered }: Wearer,
	atHand: ((phase: number) => Cloth[]) | null
): SimulatedDay {
	if (!answered.has('torso') || !answered.has('legs')) return { minutes: [], moments: [] };
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
/** How the body fares through a planned stage, minute by minute, and what at hand would prevent what goes wrong. */
export function simulationOf(phases: readonly PlannedPhase[], client: Client): SimulatedDay {
	const wearer = wearerOf(client);
	return bodyThrough(phases, wearer, (phase) => {
		const reach = new Set(
			phases[phase]!.carried.filter(({ where }) => where !== 'base').map(({ thingId }) => thingId)
		);
		return wearer.kit.filter(({ thingId }) => reach.has(thingId));
	});
}
/** How far the front of an outfit is open, as the factor left on the trunk. */
export const openingOf = (outfit: Outfit): number =>
	Math.min(1, ...outfit.map(({ opening }) => OPENING_FACTOR[opening]));
