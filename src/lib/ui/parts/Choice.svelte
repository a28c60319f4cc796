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
	<Label for={id} class={bare ? 'visually-hidden' : 'text-[13px] font-normal text-(--soft)'}>{label}</Label>
	<Select
		{id}
		value={value ?? ''}
		placeholder=""
		onchange={(event) => {
			const chosen = event.currentTarget.value;
			value = chosen === '' ? undefined : (chosen as T);
			onchange?.();
		}}
		classes={{
			select:
				'pl-2 pr-5 py-1.5 text-[15px] bg-(--sheet) border-(--rule-strong) bg-position-[right_0.3rem_center] bg-size-[0.6em]'
		}}
	>
		{#if none !== undefined}<option value="">{none}</option>{/if}
		{#each options as option (option)}
			<option value={option}>{words ? words[option] : option}</option>
		{/each}
	</Select>
</div>
