<script lang="ts">
	import { Input, Label } from 'flowbite-svelte';

	interface Props {
		id: string;
		label: string;
		value: string | number | undefined;
		type?: 'text' | 'number' | 'date' | 'time';
		unit?: string;
		min?: number;
		max?: number;
		step?: number | 'any';
		placeholder?: string;
		error?: string | undefined;
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

	const describedBy = $derived(error ? `${id}-error` : undefined);
</script>

<div class="field {className}">
	<Label for={id} class={bare ? 'visually-hidden' : 'text-[13px] font-normal text-(--soft)'}>
		{label}{unit ? `, ${unit}` : ''}
	</Label>
	<Input
		{id}
		{type}
		bind:value
		{min}
		{max}
		{placeholder}
		step={type === 'number' ? step : undefined}
		autocomplete="off"
		aria-invalid={error ? 'true' : undefined}
		aria-describedby={describedBy}
		oninput={onchange}
		onchange={oncommit}
		class="px-2 py-1.5 text-[15px] bg-(--sheet) border-(--rule-strong) {error
			? 'border-(--v-short)! border-2'
			: ''}"
	/>
	{#if error}<p class="error" id="{id}-error">{error}</p>{/if}
</div>

<style>
	.field {
		min-width: 0;
	}
	.error {
		color: var(--v-short);
		font-size: 13px;
		font-weight: 600;
		margin-top: 2px;
	}
</style>
