<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import {
		OWN_USES,
		OWN_WARMTH,
		OWN_WATER,
		ownThing,
		type OwnUse,
		type OwnWarmth,
		type OwnWater
	} from '$lib/core/cloth/own-thing';
	import type { Thing } from '$lib/core/document/types';
	import { OWN_USE_WORDS } from '$lib/words/garments';
	import Choice from '../parts/Choice.svelte';

	/** Three questions about a thing that no word of the catalogue fits. */
	interface Props {
		name: string;
		add: (name: string, own: { typeId: string; facts: Thing['facts'] }) => Promise<void>;
	}
	let { name, add }: Props = $props();
	let use = $state<OwnUse | undefined>();
	let warmth = $state<OwnWarmth | undefined>();
	let water = $state<OwnWater | undefined>();
	const names = <T extends string>(of: Record<T, unknown>): T[] => Object.keys(of) as T[];
</script>

<fieldset>
	<legend class="small">“{name}” is nothing we know. Three answers make it a thing of its own.</legend>
	<Choice
		id="own-use"
		label="What is it for?"
		none="choose"
		bind:value={use}
		options={names(OWN_USES)}
		words={OWN_USE_WORDS}
	/>
	<Choice
		id="own-warmth"
		label="How warm is it?"
		none="choose"
		bind:value={warmth}
		options={names(OWN_WARMTH)}
	/>
	<Choice
		id="own-water"
		label="And in the rain?"
		none="choose"
		bind:value={water}
		options={names(OWN_WATER)}
	/>
	<Button
		disabled={!use || !warmth || !water}
		onclick={() => use && warmth && water && void add(name, ownThing(use, warmth, water))}
		>Add “{name}”</Button
	>
</fieldset>

<style>
	fieldset {
		border: 0;
		border-left: 4px solid var(--v-open);
		margin: 8px 0 0;
		padding: 0 0 0 10px;
		display: grid;
		gap: 6px;
		justify-items: start;
	}
</style>
