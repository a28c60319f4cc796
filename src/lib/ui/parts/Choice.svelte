<script lang="ts" generics="T extends string">
	import { Label, Select } from 'flowbite-svelte';

	interface Props {
		id: string;
		label: string;
		value: T | undefined;
		options: readonly T[];
		words?: Readonly<Record<T, string>>;
		/** first option, for "nothing typed" */
		none?: string;
		bare?: boolean;
		onchange?: () => void;
		class?: string;
	}
	let {
		id,
		label,
		value = $bindable(),
		options,
		words,
		none,
		bare = false,
		onchange,
		class: className = ''
	}: Props = $props();
</script>

<div class={className}>
	<Label for={id} class={bare ? 'visually-hidden' : ''}>{label}</Label>
	<Select
		{id}
		value={value ?? ''}
		placeholder=""
		onchange={(event) => {
			const chosen = event.currentTarget.value;
			value = chosen === '' ? undefined : (chosen as T);
			onchange?.();
		}}
	>
		{#if none !== undefined}<option value="">{none}</option>{/if}
		{#each options as option (option)}
			<option value={option}>{words ? words[option] : option}</option>
		{/each}
	</Select>
</div>
