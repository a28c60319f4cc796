<script lang="ts">
	import { Radio } from 'flowbite-svelte';
	import { invalidate } from '$app/navigation';
	import { UNIT_CHOICES, UNIT_WORDS, unitsCookie, type Units } from '$lib/words/units';
	import { readerUnits } from '../parts/reader-units';

	const units = $derived(readerUnits());
	const GROUPS = {
		temp: 'Temperature',
		height: 'Height',
		speed: 'Wind and speed',
		mass: 'Weight',
		date: 'Dates'
	} as const;

	const A_YEAR_S = 31_536_000;
	async function choose(change: Partial<Units>): Promise<void> {
		document.cookie = `units=${unitsCookie({ ...units, ...change })}; path=/; max-age=${A_YEAR_S}; samesite=lax`;
		await invalidate('app:units');
	}
</script>

{#each Object.entries(GROUPS) as [key, words] (key)}
	<fieldset>
		<legend class="tiny soft">{words}</legend>
		{#each UNIT_CHOICES[key as keyof Units] as choice (choice)}
			<Radio
				name="unit-{key}"
				value={choice}
				group={units[key as keyof Units]}
				onchange={() => choose({ [key]: choice })}>{UNIT_WORDS[choice]}</Radio
			>
		{/each}
	</fieldset>
{/each}
<p class="tiny soft">For you alone, on this browser. What is stored does not change.</p>

<style>
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 14px;
		margin-bottom: 8px;
	}
	legend {
		width: 100%;
	}
</style>
