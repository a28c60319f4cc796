<script lang="ts">
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
	let at = $state(0);
	let said = $state('');
	let input = $state<HTMLInputElement>();
	let list = $state<HTMLElement>();

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

	$effect(() => {
		list?.querySelector(`#type-${at}`)?.scrollIntoView({ block: 'nearest' });
	});

	async function take(type: CatalogueType | undefined): Promise<void> {
		if (!type) return;
		const { hasNot, quantity } = asked;
		typed = '';
		at = 0;
		said = hasNot ? `Noted: no ${typeName(type.id)}.` : `Added: ${quantity} × ${typeName(type.id)}.`;
		input?.focus();
		await add(type, quantity, hasNot ? 'has not' : 'has');
	}
	function onkeydown(event: KeyboardEvent): void {
		if (event.key === 'ArrowDown') at = Math.min(at + 1, found.length - 1);
		else if (event.key === 'ArrowUp') at = Math.max(at - 1, 0);
		else if (event.key === 'Enter') void take(found[at]);
		else return;
		event.preventDefault();
	}
	function choose(next: CatalogueGroup | 'all'): void {
		group = next;
		at = 0;
	}
</script>

<section aria-labelledby="add-head" class="sheet">
	<h2 id="add-head">What else do they own?</h2>
	<div class="groups" role="radiogroup" aria-label="Body part">
		{#each ['all', ...CATALOGUE_GROUPS] as const as name (name)}
			<label class:on={group === name}>
				<input
					type="radio"
					name="group"
					class="visually-hidden"
					checked={group === name}
					onchange={() => choose(name)}
				/>
				{name === 'all' ? 'Head to toe' : groupName(name)}
			</label>
		{/each}
	</div>
	<input
		bind:this={input}
		bind:value={typed}
		oninput={() => (at = 0)}
		{onkeydown}
		class="say"
		role="combobox"
		aria-expanded="true"
		aria-controls="types"
		aria-activedescendant={found.length > 0 ? `type-${at}` : undefined}
		aria-label="Describe a thing"
		placeholder="fleece · 3 walking socks · no big coat"
		autocomplete="off"
	/>
	<ul id="types" role="listbox" aria-label="Things of the catalogue" bind:this={list}>
		{#each found as type, i (type.id)}
			<!-- svelte-ignore a11y_click_events_have_key_events -->
			<li id="type-{i}" role="option" aria-selected={i === at} onclick={() => take(type)}>
				<span class="swatch tone-{type.properties.functions[0]}"></span>{typeName(type.id, readerUnits())}
				{#if group === 'all'}<span class="soft tiny">{groupName(type.group)}</span>{/if}
			</li>
		{:else}
			<li role="option" aria-selected="false" class="soft">
				Nothing like that. Try another word: jacket, socks, hat.
			</li>
		{/each}
	</ul>
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
	.groups label {
		font-size: 14px;
		padding: 2px 9px;
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
		cursor: pointer;
	}
	.groups .on {
		background: var(--ink);
		color: var(--sheet);
	}
	.groups label:focus-within {
		outline: 3px solid var(--focus);
		outline-offset: 2px;
	}
	.say {
		width: 100%;
		border: 2px solid var(--ink);
		border-radius: 3px;
		padding: 9px 12px;
		font-size: 17px;
		background: var(--sheet);
	}
	ul {
		max-height: 340px;
		overflow-y: auto;
		margin: 6px 0;
		border: 1px solid var(--rule);
	}
	li {
		display: flex;
		gap: 10px;
		align-items: center;
		padding: 6px 10px;
		cursor: pointer;
		font-size: 15px;
	}
	li .soft {
		margin-left: auto;
	}
	li[aria-selected='true'] {
		background: var(--band);
		box-shadow: inset 4px 0 0 var(--ink);
	}
	@media (max-width: 960px) {
		section {
			position: static;
		}
	}
</style>
