<script lang="ts">
	import { Radio } from 'flowbite-svelte';
	import { invalidate } from '$app/navigation';
	import { page } from '$app/state';
	import { UNITS_SHEET, type UnitsSheetWords } from '$lib/words/guest/frame-words';
	import { UNIT_CHOICES, UNIT_WORDS, unitsCookie, type Units } from '$lib/words/units';
	import { readerUnits } from '../parts/reader-units';

	const words = $derived<UnitsSheetWords>(page.data['frame'] ?? UNITS_SHEET);
	const units = $derived(readerUnits());
	const GROUPS = ['temp', 'height', 'speed', 'mass', 'date'] as const;

	const A_YEAR_S = 31_536_000;
	async function choose(change: Partial<Units>): Promise<void> {
		document.cookie = `units=${unitsCookie({ ...units, ...change })}; path=/; max-age=${A_YEAR_S}; samesite=lax`;
		await invalidate('app:units');
	}
</script>

{#each GROUPS as key (key)}
	<fieldset>
		<legend class="tiny soft">{words[key]}</legend>
		{#each UNIT_CHOICES[key] as choice (choice)}
			<Radio name="unit-{key}" value={choice} group={units[key]} onchange={() => choose({ [key]: choice })}
				>{UNIT_WORDS[choice]}</Radio
			>
		{/each}
	</fieldset>
{/each}
<p class="tiny soft">{words.own}</p>

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
