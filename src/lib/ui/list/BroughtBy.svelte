<script lang="ts">
	import { Checkbox, Input, Select } from 'flowbite-svelte';
	import { EACH_THEIR_OWN, type EverybodyBrings } from '$lib/core/kit/own-lines';
	import { massForField, massFromField } from '$lib/words/units';
	import { readerUnits } from '../parts/reader-units';

	/** Who brings a row: each their own, or one person for all or some of the others, with its place in that pack. */
	interface Props {
		row: EverybodyBrings;
		clients: readonly { id: string; name: string }[];
		change: (own: Partial<EverybodyBrings>) => void;
	}
	let { row, clients, change }: Props = $props();
	const units = $derived(readerUnits());
	const others = $derived(clients.filter(({ id }) => id !== row.broughtBy));
	const isFor = (id: string): boolean => row.forIds.length === 0 || row.forIds.includes(id);

	function bring(id: string): void {
		if (id === '') return change(EACH_THEIR_OWN);
		change({ broughtBy: id, forIds: row.forIds.filter((one) => one !== id) });
	}
	function turn(id: string, isOn: boolean): void {
		const named = others.map((one) => one.id).filter((one) => (one === id ? isOn : isFor(one)));
		// For nobody is each their own; for everybody is said by naming none.
		if (named.length === 0) return change(EACH_THEIR_OWN);
		change({ forIds: named.length === others.length ? [] : named });
	}
	function numberIn(event: Event, most: number, set: (value: number) => void): void {
		const { valueAsNumber } = event.currentTarget as HTMLInputElement;
		if (valueAsNumber >= 0 && valueAsNumber <= most) set(valueAsNumber);
	}
</script>

<div class="brought">
	<Select
		placeholder=""
		aria-label="Who brings {row.what}"
		value={row.broughtBy ?? ''}
		onchange={(event) => bring(event.currentTarget.value)}
	>
		<option value="">each their own</option>
		{#each clients as { id, name } (id)}<option value={id}>{name} brings it</option>{/each}
	</Select>
	{#if row.broughtBy !== null}
		<fieldset>
			<legend class="tiny">for</legend>
			{#each others as { id, name } (id)}
				<Checkbox
					checked={isFor(id)}
					aria-label="{row.what} for {name}"
					onchange={(event) => turn(id, event.currentTarget.checked)}
				>
					{name}
				</Checkbox>
			{/each}
		</fieldset>
		<label class="tiny">
			each takes, litres
			<Input
				type="number"
				min="0"
				max="60"
				step="0.5"
				value={row.litres}
				aria-label="Room that each of {row.what} takes, litres"
				onchange={(event: Event) => numberIn(event, 60, (litres) => change({ litres }))}
			/>
		</label>
		<label class="tiny">
			and weighs, {units.mass}
			<Input
				type="number"
				min="0"
				step="0.05"
				value={massForField(row.massG, units)}
				aria-label="Weight of each of {row.what}, {units.mass}"
				onchange={(event: Event) =>
					numberIn(event, massForField(30_000, units), (typed) =>
						change({ massG: massFromField(typed, units) })
					)}
			/>
		</label>
	{/if}
</div>

<style>
	.brought {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 14px;
		align-items: end;
	}
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 12px;
		align-items: center;
	}
	legend {
		float: left;
		margin-right: 6px;
		color: var(--soft);
	}
	label {
		display: grid;
		gap: 2px;
		width: 118px;
		color: var(--soft);
	}
</style>
