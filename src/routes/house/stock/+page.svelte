<script lang="ts">
	import { Button, Input, Select } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import type { CatalogueType } from '$lib/core/cloth/catalogue';
	import { STOCK_STATES, type StockItem, type StockState } from '$lib/core/remedy/lending/stock';
	import OncePageLives from '$lib/ui/late/OncePageLives.svelte';
	import Combobox from '$lib/ui/parts/Combobox.svelte';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { send } from '$lib/ui/parts/send';
	import UndoBar from '$lib/ui/parts/UndoBar.svelte';
	import { groupName, typeName } from '$lib/words/garments';
	import { kitHits, understood } from '$lib/words/kit-search/kit-search';
	import { stockName } from '$lib/words/remedy/lending-story';
	import { shortName } from '$lib/words/labels';

	let { data } = $props();
	const STATE_WORDS: Record<StockState, string> = {
		ready: 'ready',
		wet: 'wet, drying',
		mending: 'at the mender’s'
	};

	let typed = $state('');
	let said = $state('');
	let message = $state('');
	let removed = $state.raw<StockItem | null>(null);
	const asked = $derived(understood(typed));
	const found = $derived(asked.words === '' ? [] : kitHits(typed).map(({ type }) => type));

	async function settle(answer: { ok: boolean; message: string }): Promise<void> {
		({ message } = answer);
		await invalidateAll();
	}
	/** "4 big coats L" enters four of them in size L. */
	async function add(type: CatalogueType): Promise<void> {
		const { quantity, size } = asked;
		typed = '';
		const facts = size ? { size: { value: size, source: 'guide', state: 'has' } } : {};
		const answer = await send('POST', '/api/v1/stock', {
			typeId: type.id,
			pieces: Math.max(1, quantity),
			facts
		});
		said = answer.ok ? `In stock: ${quantity} × ${typeName(type.id)}${size ? `, size ${size}` : ''}.` : '';
		await settle(answer);
	}
	async function save(item: StockItem, change: Partial<StockItem>): Promise<void> {
		const { id, deletedAt: _, ...edit } = { ...item, ...change };
		await settle(await send('PUT', `/api/v1/stock/${id}`, edit));
	}
	function saveNumber(item: StockItem, name: 'pieces' | 'cost', event: Event): void {
		const { valueAsNumber } = event.currentTarget as HTMLInputElement;
		if (!Number.isNaN(valueAsNumber)) void save(item, { [name]: valueAsNumber });
	}
	const textOf = (event: Event): string => (event.currentTarget as HTMLInputElement).value;
	function saveSize(item: StockItem, size: string): void {
		const { size: _, ...facts } = item.facts;
		const said =
			size.trim() === '' ? {} : { size: { value: size.trim(), source: 'guide', state: 'has' } as const };
		void save(item, { facts: { ...facts, ...said } });
	}
	async function remove(item: StockItem): Promise<void> {
		const answer = await send('DELETE', `/api/v1/stock/${item.id}`);
		if (answer.ok) removed = item;
		await settle(answer);
	}
	async function restore(): Promise<void> {
		if (removed) await settle(await send('POST', `/api/v1/stock/${removed.id}/restore`));
		removed = null;
	}
</script>

<svelte:head><title>What we lend · Snug Summit</title></svelte:head>

<h1>What we lend</h1>
<p class="lead">
	What the house has for its guests. On the page of a trip it is worked out who gets what: <em
		>Who gets what</em
	>
	beside the clients. <a href="/house">How we do it</a>
</p>
{#if message}<p role="alert" class="alert">{message}</p>{/if}
{#if removed}<UndoBar text="{stockName(removed)} is out of stock." undo={restore} />{/if}

<div class="page">
	<section aria-labelledby="add-head" class="sheet">
		<h2 id="add-head">What else is there?</h2>
		<OncePageLives>
			<Combobox
				id="stock-type"
				label="Describe what the house has"
				listLabel="Things of the catalogue"
				placeholder="4 big coats L · 6 balaclavas"
				bind:value={typed}
				options={found}
				keyOf={({ id }) => id}
				pick={add}
				none={typed.trim() === ''
					? 'Say how many, what, and the size.'
					: 'Nothing like that. Try another word.'}
				framed
			>
				{#snippet option(type)}
					<span>{typeName(type.id, readerUnits())}</span><span class="soft tiny">{groupName(type.group)}</span
					>
				{/snippet}
			</Combobox>
		</OncePageLives>
		<p role="status" class="small">{said}</p>
	</section>
	<section aria-labelledby="stock-head">
		<h2 id="stock-head">In stock</h2>
		{#if data.stock.length === 0}
			<p class="soft">
				Nothing yet. Things that are alike go in one line; a single piece gets a tag of its own.
			</p>
		{:else}
			<div class="frame">
				<table>
					<thead>
						<tr>
							<th scope="col">Thing</th><th scope="col">Pieces</th><th scope="col">Size</th><th scope="col"
								>Tag</th
							>
							<th scope="col">State</th><th scope="col">Back on</th><th scope="col">Hire, a trip</th><th
								scope="col"><span class="visually-hidden">Take out</span></th
							>
						</tr>
					</thead>
					<tbody>
						{#each data.stock as item (item.id)}
							{@const name = shortName(item.name)}
							<tr>
								<th scope="row">{item.name}</th>
								<OncePageLives>
									<td class="number"
										><Input
											type="number"
											min="1"
											max="999"
											value={item.pieces}
											aria-label="Pieces of {name}"
											onchange={(event: Event) => saveNumber(item, 'pieces', event)}
										/></td
									>
									<td class="number"
										><Input
											value={item.facts.size?.value ?? ''}
											maxlength={20}
											aria-label="Size of {name}"
											onchange={(event: Event) => saveSize(item, textOf(event))}
										/></td
									>
									<td
										><Input
											value={item.label}
											maxlength={60}
											aria-label="Tag of {name}"
											onchange={(event: Event) => void save(item, { label: textOf(event) })}
										/></td
									>
									<td
										><Select
											placeholder=""
											aria-label="State of {name}"
											value={item.state}
											onchange={(event) =>
												void save(item, { state: event.currentTarget.value as StockState })}
										>
											{#each STOCK_STATES as state (state)}<option value={state}>{STATE_WORDS[state]}</option
												>{/each}
										</Select></td
									>
									<td
										><Input
											type="date"
											value={item.backOn ?? ''}
											aria-label="{name}: back on"
											onchange={(event: Event) => void save(item, { backOn: textOf(event) || null })}
										/></td
									>
									<td class="number"
										><Input
											type="number"
											min="0"
											step="0.5"
											value={item.cost}
											aria-label="Hire of {name}"
											onchange={(event: Event) => saveNumber(item, 'cost', event)}
										/></td
									>
									<td
										><Button
											class="square"
											onclick={() => remove(item)}
											aria-label="Take {stockName(item)} out">✕</Button
										></td
									>
								</OncePageLives>
							</tr>
						{/each}
					</tbody>
				</table>
			</div>
		{/if}
	</section>
</div>

<style>
	.lead {
		max-width: 80ch;
		margin: 4px 0 18px;
	}
	.page {
		display: grid;
		grid-template-columns: 320px minmax(0, 1fr);
		gap: 30px;
		align-items: start;
	}
	.sheet {
		padding: 14px 16px;
	}
	.sheet h2 {
		margin-bottom: 8px;
	}
	/* Hidden words inside are placed against it: else they would make the page wide. */
	.frame {
		position: relative;
		overflow-x: auto;
	}
	table {
		width: 100%;
		border-collapse: collapse;
		font-size: 15px;
	}
	th,
	td {
		text-align: left;
		font-weight: 400;
		border-top: 1px solid var(--rule);
		padding: 4px 6px 4px 0;
	}
	thead th {
		border-top: 0;
		color: var(--soft);
		font-size: 13px;
		white-space: nowrap;
	}
	tbody th {
		min-width: 150px;
	}
	td {
		min-width: 92px;
	}
	td:has(:global(select)) {
		min-width: 138px;
	}
	td.number {
		min-width: 58px;
		width: 72px;
	}
	td:last-child {
		min-width: 34px;
	}
	.alert {
		border-left: 5px solid var(--v-short);
		padding: 3px 12px;
		margin-bottom: 10px;
	}
	@media (max-width: 1000px) {
		.page {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
