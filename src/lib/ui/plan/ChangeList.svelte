<script lang="ts">
	import type { EveningDrying } from '$lib/core/heat/wetness';
	import type { ToldChange, ToldStart } from '$lib/core/plan/told/change-story';
	import { changeSentence, eveningSentence, startSentence } from '$lib/words/plan-story';

	interface Props {
		name: string;
		start: ToldStart | null;
		changes: readonly ToldChange[];
		/** what is done with wet things; null where nothing is */
		evening: EveningDrying | null;
		nameOf: (thingId: string) => string;
	}
	let { name, start, changes, evening, nameOf }: Props = $props();
</script>

<section class="say" aria-label="What to say to {name}">
	<h2>Say to {name}</h2>
	<ol class:long={changes.length > 6}>
		{#if start}<li class="start">{startSentence(start, nameOf)}</li>{/if}
		{#each changes as change (change.phase)}
			<li>{changeSentence(change, nameOf)}</li>
		{:else}
			<li>Nothing changes all day.</li>
		{/each}
		{#if evening}<li class="start">{eveningSentence(evening, nameOf)}</li>{/if}
	</ol>
</section>

<style>
	h2 {
		margin-bottom: 4px;
	}
	.long {
		font-size: 15px;
	}
	li {
		padding: 3px 0 3px 12px;
		border-left: 3px solid var(--rule-strong);
		line-height: 1.28;
		break-inside: avoid;
	}
	li.start {
		border-left-color: var(--ink);
	}
	@media (max-width: 760px) {
		.long {
			font-size: 16px;
		}
	}
</style>
