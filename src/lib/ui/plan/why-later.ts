import type { Client } from '$lib/core/document/types';
import type { PlannedPhase } from '$lib/core/kit/planned-day';
import type { Units } from '$lib/words/units';
import { why } from '../parts/why.svelte';

/** Opens why a verdict is as it is. What tells it is loaded when somebody asks: no page needs it to begin. */
export const whyVerdict = (phase: PlannedPhase, client: Client): void =>
	void import('./plan-why').then((told) => why.open(told.whyVerdict(phase, client)));

/** Opens what the air of a phase is made of. */
export const whyFelt = (phase: PlannedPhase, units: Units): void =>
	void import('./plan-why').then((told) => why.open(told.whyFelt(phase, units)));

/** Opens what a layer gives in a phase. */
export const whyLayer = (
	phase: PlannedPhase,
	layer: { thingId: string; name: string; low: number; high: number }
): void => void import('./plan-why').then((told) => why.open(told.whyLayer(phase, layer)));
