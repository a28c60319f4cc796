<script lang="ts">
	import { Button, Radio } from 'flowbite-svelte';
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
	let open = $state(false);

	const A_YEAR_S = 31_536_000;
	async function choose(change: Partial<Units>): Promise<void> {
		document.cookie = `units=${unitsCookie({ ...units, ...change })}; path=/; max-age=${A_YEAR_S}; samesite=lax`;
		await invalidate('app:units');
	}
</script>

<svelte:window onkeydown={(event) => event.key === 'Escape' && (open = false)} />

<div class="units no-print">
	<Button class="quiet small" aria-expanded={open} aria-controls="units-menu" onclick={() => (open = !open)}>
		<span class="visually-hidden">Units: </span>{UNIT_WORDS[units.temp]} · {UNIT_WORDS[units.height]} · {UNIT_WORDS[
			units.speed
		]}
	</Button>
	{#if open}
		<div id="units-menu" class="sheet">
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
		box-shadow: 0 12px 30px rgb(27 42 39 / 0.18);
	}
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
