<script lang="ts">
	import { Input, Label } from 'flowbite-svelte';
	import { forField, fromUnit, unitWord, type Quantity } from '$lib/words/units';
	import Explained from './Explained.svelte';
	import { readerUnits } from './reader-units';

	interface Props {
		id: string;
		label: string;
		value: string | number | undefined;
		type?: 'text' | 'number' | 'date' | 'time';
		unit?: string;
		/** shown and typed in the units of the reader; the value stays °C, m, km/h */
		quantity?: Quantity;
		/** small words under the field */
		note?: string;
		min?: number;
		max?: number;
		step?: number | 'any';
		placeholder?: string;
		error?: string | undefined;
		/** what the word means, shown while one is there */
		meaning?: string;
		/** label for screen readers only, for fields in a table with column heads */
		bare?: boolean;
		/** with every key */
		onchange?: () => void;
		/** when the field is left with another value */
		oncommit?: () => void;
		class?: string;
	}
	let {
		id,
		label,
		value = $bindable(),
		type = 'text',
		unit,
		quantity,
		note,
		meaning,
		min,
		max,
		step = 'any',
		placeholder,
		error,
		bare = false,
		onchange,
		oncommit,
		class: className = ''
	}: Props = $props();

	const describedBy = $derived(
		[error ? `${id}-error` : note ? `${id}-note` : '', meaning ? `${id}-meaning` : '']
			.filter(Boolean)
			.join(' ') || undefined
	);
	const units = $derived(readerUnits());
	const unitShown = $derived(quantity ? unitWord(quantity, units) : unit);

	/** What was typed, as long as the value is what it meant: a figure is not rounded under one's fingers. */
	let entry = $state.raw<{ typed: number; si: number } | null>(null);
	// Null, not undefined, is what an emptied or half-typed number field says: a lone minus must not be wiped away.
	const shown = $derived(
		quantity && typeof value === 'number' && !Number.isNaN(value)
			? entry?.si === value
				? entry.typed
				: forField(quantity, value, units)
			: (value ?? (null as unknown as undefined))
	);
	function setShown(next: string | number | null | undefined): void {
		if (!quantity) value = next ?? undefined;
		else if (typeof next !== 'number' || Number.isNaN(next)) value = undefined;
		else {
			entry = { typed: next, si: fromUnit(quantity, next, units) };
			value = entry.si;
		}
	}
</script>

{#snippet field()}
	<Label for={id} class={bare ? 'visually-hidden' : ''}>
		{label}{unitShown ? `, ${unitShown}` : ''}
	</Label>
	<Input
		{id}
		{type}
		bind:value={() => shown, setShown}
		{min}
		{max}
		{placeholder}
		step={type === 'number' ? step : undefined}
		autocomplete="off"
		aria-invalid={error ? 'true' : undefined}
		aria-describedby={describedBy}
		oninput={onchange}
		onchange={oncommit}
		onblur={() => (entry = null)}
	/>
	{#if note && !error}<p class="note" id="{id}-note">{note}</p>{/if}
	{#if error}<p class="error" id="{id}-error">{error}</p>{/if}
{/snippet}
<div class="field {className}">
	{#if meaning}<Explained {id} text={meaning}>{@render field()}</Explained>{:else}{@render field()}{/if}
</div>

<style>
	.field {
		min-width: 0;
	}
	.note {
		color: var(--soft);
		font-size: 12px;
		line-height: 1.2;
		margin-top: 2px;
	}
	.error {
		color: var(--v-short);
		font-size: 13px;
		font-weight: 600;
		margin-top: 2px;
	}
</style>
