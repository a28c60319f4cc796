<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { ComponentProps } from 'svelte';
	import VerdictChanges from './VerdictChanges.svelte';

	/** Whose verdicts change, at the foot of the window: when it comes nothing moves from under the cursor. */
	let { onagreed, ...told }: ComponentProps<typeof VerdictChanges> & { onagreed: () => void } = $props();
</script>

<div class="foot">
	<VerdictChanges {...told} />
	{#if told.comparison.state !== 'working'}
		<Button class="quiet small no-print" onclick={onagreed}
			>Agreed: tell later changes against the trip as it stands now</Button
		>
	{/if}
</div>

<style>
	.foot {
		position: sticky;
		bottom: 0;
		z-index: 15;
		/* Of one height, whatever it tells: nothing in it moves either. */
		height: min(38vh, 220px);
		overflow-y: auto;
		background: var(--paper);
		border-top: 2px solid var(--ink);
		padding: 4px 0 8px;
	}
</style>
