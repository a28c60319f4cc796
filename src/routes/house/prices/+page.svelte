<script lang="ts">
	import { Button, Input } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import { type HousePrices, PRICE_LEVELS, pricedTypes, PRICES, priceOf } from '$lib/core/remedy/prices';
	import OncePageLives from '$lib/ui/late/OncePageLives.svelte';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { send } from '$lib/ui/parts/send';
	import { typeName } from '$lib/words/garments';

	let { data } = $props();
	const LEVELS = { plain: 'Plain', usual: 'Usual', fine: 'Fine' } as const;
	const own = $derived(data.house.prices);
	let query = $state('');
	let message = $state('');
	const types = $derived(
		pricedTypes(own)
			.map((id) => ({ id, name: typeName(id, readerUnits()) }))
			.filter(({ name }) => name.toLowerCase().includes(query.trim().toLowerCase()))
			.sort((a, b) => a.name.localeCompare(b.name))
	);
	async function save(prices: HousePrices): Promise<void> {
		const { schools, version } = data.house;
		({ message } = await send('PUT', '/api/v1/house', { schools, prices, version }));
		await invalidateAll();
	}
	function change(id: string, at: number, event: Event): void {
		const { valueAsNumber } = event.currentTarget as HTMLInputElement;
		if (Number.isNaN(valueAsNumber)) return;
		const before = PRICE_LEVELS.map((level) => priceOf(id, level, own) ?? 0);
		before[at] = valueAsNumber;
		void save({ ...own, [id]: before as unknown as HousePrices[string] });
	}
	const back = (id: string): Promise<void> =>
		save(Object.fromEntries(Object.entries(own).filter(([other]) => other !== id)));
</script>

<svelte:head><title>What things cost · Snug Summit</title></svelte:head>

<h1>What things cost</h1>
<p class="lead">
	To buy new, in your money, at three levels. The figures are a first guess of ours; what you change counts
	from now on under “What to get”. <a href="/house">How we do it</a>
</p>
{#if message}<p role="alert" class="alert">{message}</p>{/if}
<div class="find"><Input bind:value={query} aria-label="Find a thing" placeholder="Find a thing" /></div>
<table>
	<thead>
		<tr>
			<th scope="col">Thing</th>
			{#each PRICE_LEVELS as level (level)}<th scope="col">{LEVELS[level]}</th>{/each}
			<th scope="col"><span class="visually-hidden">Whose figures</span></th>
		</tr>
	</thead>
	<tbody>
		{#each types as { id, name } (id)}
			<tr>
				<th scope="row">{name}</th>
				<OncePageLives>
					{#each PRICE_LEVELS as level, at (level)}
						<td>
							<Input
								type="number"
								min="0"
								step="1"
								value={priceOf(id, level, own) ?? ''}
								aria-label="{name}, {level}"
								onchange={(event: Event) => change(id, at, event)}
							/>
						</td>
					{/each}
					<td class="small soft">
						{#if own[id]}
							yours
							{#if PRICES[id]}
								<Button class="quiet small" onclick={() => back(id)}
									>as at first<span class="visually-hidden">: {name}</span></Button
								>
							{/if}
						{:else}a guess{/if}
					</td>
				</OncePageLives>
			</tr>
		{/each}
	</tbody>
</table>

<style>
	.lead {
		max-width: 80ch;
		margin: 4px 0 14px;
	}
	.find {
		max-width: 320px;
		margin-bottom: 10px;
	}
	table {
		border-collapse: collapse;
		font-size: 15px;
	}
	th,
	td {
		text-align: left;
		font-weight: 400;
		border-top: 1px solid var(--rule);
		padding: 3px 12px 3px 0;
	}
	thead th {
		border-top: 0;
		color: var(--soft);
		font-size: 13px;
	}
	td :global(input) {
		width: 82px;
	}
	.alert {
		border-left: 5px solid var(--v-short);
		padding: 3px 12px;
		margin-bottom: 10px;
	}
</style>
