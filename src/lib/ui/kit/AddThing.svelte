<script lang="ts">
	import { Radio } from 'flowbite-svelte';
	import Combobox from '../parts/Combobox.svelte';
	import { readerUnits } from '../parts/reader-units';
	import { CATALOGUE, type CatalogueType } from '$lib/core/cloth/catalogue';
	import { groupName, typeName } from '$lib/words/garments';
	import { kitHits, understood } from '$lib/words/kit-search/kit-search';
	import { CATALOGUE_GROUPS, type CatalogueGroup } from '$lib/core/cloth/catalogue-rows';
	import type { FactState, Thing } from '$lib/core/document/types';
	import { capital } from '$lib/words/message';
	import OwnThing from './OwnThing.svelte';

	interface Props {
		/** adds one thing; `state` says whether the client has it */
		add: (type: CatalogueType, quantity: number, state: FactState) => Promise<void>;
		/** adds one that the catalogue does not know */
		addOwn: (name: string, own: { typeId: string; facts: Thing['facts'] }, quantity: number) => Promise<void>;
		/** nothing is in the kit yet: whoever opens it begins to type */
		isEmpty: boolean;
	}
	let { add, addOwn, isEmpty }: Props = $props();

	let group = $state<CatalogueGroup | 'all'>('all');
	let typed = $state('');
	let said = $state('');

	/** "3 wool socks" asks for three of them, "no big coat" for the answer that there is none. */
	const asked = $derived(understood(typed));
	const hits = $derived(kitHits(typed));
	/** The likeliest first; while nothing is typed, all of a part of the body. */
	const found = $derived(
		(asked.words === '' ? CATALOGUE : hits.map(({ type }) => type)).filter(
			(type) => group === 'all' || type.group === group
		)
	);

	async function take(type: CatalogueType): Promise<void> {
		const { hasNot, quantity } = asked;
		// "No big coat" is said of every big coat.
		const called = hits.filter(({ exact }) => exact).map((hit) => hit.type);
		const types = hasNot && called.includes(type) ? called : [type];
		const names = types.map(({ id }) => typeName(id));
		typed = '';
		for (const one of types) await add(one, quantity, hasNot ? 'has not' : 'has');
		said = hasNot ? `Noted: no ${names.join(', no ')}.` : `Added: ${quantity} × ${names[0]}.`;
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
		focused={isEmpty}
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
	{#if asked.words !== '' && hits.length === 0 && !asked.hasNot}
		<OwnThing
			name={capital(asked.words)}
			add={async (name, own) => {
				const quantity = Math.max(1, asked.quantity);
				typed = '';
				await addOwn(name, own, quantity);
				said = `Added: ${name}.`;
			}}
		/>
	{/if}
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
	/* What is open under it must not slip beneath. */
	section:has(+ :global(details[open])) {
		position: static;
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
