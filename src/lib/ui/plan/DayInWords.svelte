<script lang="ts">
	import type { Client, Weather } from '$lib/core/document/types';
	import type { PlannedStage } from '$lib/core/kit/planned-day';
	import type { ToldChange, ToldStart, ToldWeather } from '$lib/core/plan/told/change-story';
	import { firstName } from '$lib/words/labels';
	import ChangeList from './ChangeList.svelte';
	import IfSomething from './IfSomething.svelte';
	import OtherWeather from './OtherWeather.svelte';
	import PlanFindings from './PlanFindings.svelte';

	/** A planned day in sentences: what to say, what to look at, what other weather changes. */
	interface Props {
		told: { start: ToldStart | null; changes: readonly ToldChange[] };
		day: PlannedStage;
		others: readonly ToldWeather[];
		weathers: readonly Weather[];
		client: Client;
		nameOf: (thingId: string) => string;
		emergenciesOpen: boolean;
	}
	let { told, day, others, weathers, client, nameOf, emergenciesOpen = $bindable() }: Props = $props();
	const name = $derived(firstName(client.name));
</script>

<div class="top">
	<ChangeList {name} start={told.start} changes={told.changes} evening={day.evening} {nameOf} />
	<section aria-label="What to look at">
		<h2>Look at</h2>
		<PlanFindings findings={day.findings} {name} {nameOf} />
		<IfSomething phases={day.phases} {client} bind:open={emergenciesOpen} />
	</section>
	{#if others.length > 0}
		<section aria-labelledby="other-weather">
			<h2 id="other-weather">In other weather</h2>
			<OtherWeather {others} {weathers} {nameOf} {name} />
		</section>
	{/if}
</div>

<style>
	.top {
		display: grid;
		grid-template-columns: repeat(3, minmax(0, 1fr));
		gap: 10px 28px;
		margin: 12px 0 10px;
	}
	h2 {
		margin-bottom: 4px;
	}
	@media (max-width: 1100px) {
		.top {
			grid-template-columns: repeat(2, minmax(0, 1fr));
		}
	}
	@media (max-width: 760px) {
		.top {
			grid-template-columns: minmax(0, 1fr);
		}
	}
	@media print {
		.top {
			font-size: 8pt;
			gap: 4px 14px;
			margin-bottom: 4px;
			break-inside: avoid;
		}
		.top :global(:is(ol, .if, .quiet, h2)) {
			font-size: 8pt;
		}
		.top :global(h2) {
			font-size: 11pt;
		}
		.top :global(li) {
			padding-top: 1px;
			padding-bottom: 1px;
		}
	}
</style>
