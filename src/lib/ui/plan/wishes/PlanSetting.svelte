<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { Snippet } from 'svelte';
	import { SPARE_CHANGES } from '$lib/core/document/wish';
	import { massWords } from '$lib/words/units';
	import { readerUnits } from '../../parts/reader-units';
	import type { Trade } from '../plan-worker';

	interface Props {
		spareChanges: number;
		/** what every setting comes to, once it was asked for */
		trade: readonly Trade[] | null;
		onset: (spareChanges: number) => void;
		onask: () => void;
		children?: Snippet;
	}
	let { spareChanges, trade, onset, onask, children }: Props = $props();

	const units = $derived(readerUnits());
	const SPARE_WORDS = ['few changes', 'a change more', 'two more', 'light pack'];
</script>

<div class="setting no-print" role="group" aria-label="Few changes or a light pack">
	<h2>Few changes or a light pack</h2>
	<div class="switch">
		{#each SPARE_CHANGES as spare, i (spare)}
			<Button aria-pressed={spare === spareChanges} onclick={() => onset(spare)}>
				{SPARE_WORDS[i]}
				{#if trade?.[i]}
					<span class="tiny">{trade[i].changes} changes, {massWords(trade[i].massG, units)}</span>
				{/if}
			</Button>
		{/each}
	</div>
	<Button class="quiet small" onclick={onask}>Show what each one weighs</Button>
	{@render children?.()}
</div>

<style>
	.switch {
		display: flex;
		border: 1px solid var(--ink);
		border-radius: 3px;
	}
	.setting {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 18px;
		align-items: center;
	}
	.setting .switch :global(button) {
		padding: 4px 12px;
		cursor: pointer;
		text-align: left;
	}
	.setting .switch :global(button + button) {
		border-left: 1px solid var(--ink);
	}
	.setting .switch :global(button[aria-pressed='true']) {
		background: var(--ink);
		color: var(--sheet);
	}
	.setting .switch .tiny {
		display: block;
	}
</style>
