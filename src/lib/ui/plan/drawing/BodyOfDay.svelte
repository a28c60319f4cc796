<script lang="ts">
	import { personOf } from '$lib/core/conditions/person';
	import type { Client } from '$lib/core/document/types';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import { simulationOf } from '$lib/core/plan/simulated-plan';
	import { firstName } from '$lib/words/labels';
	import BodyStrip from './BodyStrip.svelte';

	/** The simulated day under the drawing: worked out, and loaded, once it comes near. */
	interface Props {
		phases: readonly PlannedPhase[];
		client: Client;
		widths: readonly number[];
		gutter: number;
		names: ReadonlyMap<string, string>;
	}
	let { phases, client, widths, gutter, names }: Props = $props();
	const course = $derived(simulationOf(phases, client));
</script>

{#if course.minutes.length > 0}
	<BodyStrip
		who={firstName(client.name)}
		{course}
		{phases}
		{widths}
		{gutter}
		holdWhm2={personOf(client).marks.holdWhm2}
		nameOf={(id) => names.get(id) ?? id}
	/>
{/if}
