<script lang="ts">
	import { Input, Label } from 'flowbite-svelte';
	import type { HTMLInputAttributes } from 'svelte/elements';

	/** A field of a form that is sent as it is, without a script if need be. */
	interface Props {
		name: string;
		label: string;
		type?: 'text' | 'email' | 'password';
		autocomplete: HTMLInputAttributes['autocomplete'];
		value?: string | undefined;
		error?: string | undefined;
		note?: string;
	}
	let { name, label, type = 'text', autocomplete, value = '', error, note }: Props = $props();
	const told = $derived(error ?? note);
</script>

<div class="one">
	<Label for={name}>{label}</Label>
	<Input
		id={name}
		{name}
		{type}
		{value}
		{autocomplete}
		required
		aria-invalid={error ? 'true' : undefined}
		aria-describedby={told ? `${name}-told` : undefined}
	/>
	{#if told}<p id="{name}-told" class={error ? 'alert' : 'soft small'}>{told}</p>{/if}
</div>

<style>
	.one {
		display: grid;
		gap: 2px;
		margin-bottom: 12px;
		max-width: 420px;
	}
</style>
