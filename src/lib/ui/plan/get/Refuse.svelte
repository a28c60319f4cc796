<script lang="ts">
	import { Select } from 'flowbite-svelte';
	import { type Refusal, REFUSALS } from '$lib/core/remedy/decision';
	import { small } from '$lib/words/message';
	import { REFUSAL_WORDS } from '$lib/words/remedy/decision-words';

	/** Declines a thing, for a reason that is chosen. */
	interface Props {
		name: string;
		disabled: boolean;
		refuse: (why: Refusal) => void;
	}
	let { name, disabled, refuse }: Props = $props();
</script>

<Select
	class="refuse"
	placeholder=""
	{disabled}
	aria-label="Why not the {small(name)}?"
	value=""
	onchange={(event) => {
		const why = event.currentTarget.value;
		if (why !== '') refuse(why as Refusal);
	}}
>
	<option value="">Not the {small(name)} …</option>
	{#each REFUSALS as why (why)}<option value={why}>{REFUSAL_WORDS[why]}</option>{/each}
</Select>

<style>
	:global(.refuse select) {
		font-size: 14px;
	}
</style>
