<script lang="ts">
	import { Radio } from 'flowbite-svelte';
	import Combobox from '../parts/Combobox.svelte';
	import { readerUnits } from '../parts/reader-units';
	import { CATALOGUE, type CatalogueType } from '$lib/core/cloth/catalogue';
	import { groupName, searchText, typeName } from '$lib/words/garments';
	import { CATALOGUE_GROUPS, type CatalogueGroup } from '$lib/core/cloth/catalogue-rows';
	import type { FactState } from '$lib/core/document/types';

	interface Props {
		/** adds one thing; `state` says whether the client has it */
		add: (type: CatalogueType, quantity: number, state: FactState) => Promise<void>;
	}
	let { add }: Props = $props();

	let group = $state<CatalogueGroup | 'all'>('all');
	let typed = $state('');
	let said = $state('');

	/** "3 wool socks" asks for three of them, "no big coat" for the answer that there is none. */
	const asked = $derived.by(() => {
		const [, no, count, words] = /^\s*(no\s+|0\s+)?(\d{1,2}\s+)?(.*)$/i.exec(typed) ?? [];
		return {
			hasNot: !!no,
			quantity: no ? 0 : Number(count ?? 1),
			words: (words ?? '').toLowerCase().split(/\s+/).filter(Boolean)
		};
	});
	const matches = (text: string): boolean => asked.words.every((word) => text.toLowerCase().includes(word));
	/** Names that fit come before other words for a thing. */
	const found = $derived.by(() => {
		const fitting = CATALOGUE.filter(
			(type) => (group === 'all' || type.group === group) && matches(searchText(type))
		);
		return [
			...fitting.filter(({ id }) => matches(typeName(id))),
			...fitting.filter(({ id }) => !matches(typeName(id)))
		];
	});

	async function take(type: CatalogueType): Promise<void> {
		const { hasNot, quantity } = asked;
		typed = '';
		said = hasNot ? `Noted: no ${typeName(type.id)}.` : `Added: ${quantity} × ${typeName(type.id)}.`;
		await add(type, quantity, hasNot ? 'has not' : 'has');
	}
</script>

<section aria-labelledby="add-head" class="sheet">
	<h2 id="add-head">What else do they own?</h2>
	<div class="groups" role="radiogroup" aria-label="Body part">
		{#each ['all', ...CATALOGUE_GROUPS] as const as name (name)}
			<Radio
				name="group"
				class="visually-hidden"
				value={name}
				bind:group
				classes={{ label: group === name ? 'on' : '' }}
			>
				{name === 'all' ? 'Head to toe' : groupName(name)}
			</Radio>
		{/each}
	</div>
	<Combobox
		id="type"
		label="Describe a thing"
		listLabel="Things of the catalogue"
		placeholder="fleece · 3 walking socks · no big coat"
		bind:value={typed}
		options={found}
		keyOf={({ id }) => id}
		pick={take}
		none="Nothing like that. Try another word: jacket, socks, hat."
		framed
	>
		{#snippet option(type)}
			<span class="thing"
				><span class="swatch tone-{type.properties.functions[0]}"></span>{typeName(
					type.id,
					readerUnits()
				)}</span
			>
			{#if group === 'all'}<span class="soft tiny">{groupName(type.group)}</span>{/if}
		{/snippet}
	</Combobox>
	<p class="tiny soft">
		Arrows choose, <kbd>Enter</kbd> adds, a number in front says how many, “no” in front notes that there is none.
	</p>
	<p role="status" class="small">{said}</p>
</section>

<style>
	section {
		padding: 14px 16px;
		position: sticky;
		top: 12px;
	}
	.groups {
		display: flex;
		flex-wrap: wrap;
		gap: 4px;
		margin: 8px 0;
	}
	.groups :global(label) {
		font-size: 14px;
		padding: 2px 9px;
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
		cursor: pointer;
	}
	.groups :global(.on) {
		background: var(--ink);
		color: var(--sheet);
	}
	.groups :global(label:focus-within) {
		outline: 3px solid var(--focus);
		outline-offset: 2px;
	}
	.thing {
		display: flex;
		gap: 10px;
		align-items: center;
	}
	@media (max-width: 960px) {
		section {
			position: static;
		}
	}
</style>
