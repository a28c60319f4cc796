<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { FrameWords } from '$lib/words/guest/frame-words';
	import { UNIT_WORDS } from '$lib/words/units';
	import { readerUnits } from '../parts/reader-units';

	interface Props {
		words: FrameWords;
	}
	let { words }: Props = $props();
	const units = $derived(readerUnits());
	let open = $state(false);
</script>

<svelte:window onkeydown={(event) => event.key === 'Escape' && (open = false)} />

<div class="units no-print">
	<Button class="quiet small" aria-expanded={open} aria-controls="units-menu" onclick={() => (open = !open)}>
		<span class="visually-hidden">{words.units}: </span>{UNIT_WORDS[units.temp]} · {UNIT_WORDS[units.height]} ·
		{UNIT_WORDS[units.speed]}
	</Button>
	{#if open}
		<div id="units-menu" class="sheet">
			<!-- Few change them, and every page would carry it. -->
			{#await import('./UnitsSheet.svelte') then { default: UnitsSheet }}<UnitsSheet />{/await}
		</div>
	{/if}
</div>

<style>
	.units {
		position: relative;
	}
	.sheet {
		position: absolute;
		right: 0;
		top: 100%;
		z-index: 45;
		padding: 12px 16px;
		width: 250px;
		min-height: 120px;
		box-shadow: 0 12px 30px rgb(27 42 39 / 0.18);
	}
</style>
