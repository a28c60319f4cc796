<script lang="ts">
	import { DAMP_FROM } from '$lib/core/heat/wet-cloth';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import { isFailing } from '$lib/core/document/verdict';
	interface Props {
		phases: readonly PlannedPhase[];
	}
	let { phases }: Props = $props();
	const isWet = $derived(phases.some(({ wet }) => wet.some(({ share }) => share >= DAMP_FROM)));
	const isShort = $derived(phases.some(({ verdict }) => isFailing(verdict)));
	const isCool = $derived(phases.some(({ verdict }) => verdict === 'cool'));
	const isWarm = $derived(phases.some(({ verdict }) => verdict.startsWith('warm')));
</script>

<p class="legend tiny" aria-label="What the drawing shows">
	<span class="key need">what these minutes ask for</span>
	<span class="key sweat">sweating starts</span>
	{#if isShort}<span class="key hatch short">too little</span>{/if}
	{#if isCool}<span class="key hatch cool">a little cool</span>{/if}
	{#if isWarm}<span class="key hatch warm">too much</span>{/if}
	<span class="key reach">in the other weathers</span>
	<span class="key cloth tone-skin">next to skin</span>
	<span class="key cloth tone-warmth">warmth</span>
	<span class="key cloth tone-weather">wind and wet</span>
	<span class="key cloth tone-over">over everything</span>
	{#if isWet}<span class="key wet">damp or soaked</span>{/if}
</p>

<style>
	.legend {
		display: flex;
		flex-wrap: wrap;
		gap: 3px 16px;
		padding: 5px 0 0;
		line-height: 1.2;
	}
	.key {
		display: grid;
		grid-template-columns: 20px auto;
		gap: 6px;
		align-items: center;
	}
	.key::before {
		content: '';
		height: 0;
		border-top: 3px solid var(--ink);
	}
	.sweat::before {
		border-top: 2px dotted var(--ink);
	}
	.reach::before {
		width: 0;
		height: 12px;
		margin: 0 auto;
		border: 0;
		border-left: 1.5px solid var(--ink);
	}
	.hatch::before {
		height: 12px;
		border: 0;
		background: repeating-linear-gradient(135deg, var(--hatch) 0 2px, transparent 2px 5px);
	}
	.short {
		--hatch: var(--v-short);
	}
	.cool {
		--hatch: var(--v-cool);
	}
	.warm {
		--hatch: var(--v-warm);
	}
	.wet::before {
		border: 0;
		width: 8px;
		height: 8px;
		margin: 0 auto;
		border-radius: 0 50% 50% 50%;
		transform: rotate(45deg);
		background: var(--ink);
	}
	.cloth::before {
		height: 11px;
		border: 1px solid var(--ink);
		background: var(--tone);
	}
</style>
