<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { OUR_SCHOOLS, type SomeSchools } from '$lib/core/document/schools';
	import type { HouseUses } from '$lib/core/document/types';
	import HouseCopies from '$lib/ui/house/HouseCopies.svelte';
	import TypeUses from '$lib/ui/kit/TypeUses.svelte';
	import SchoolChoices from '$lib/ui/parts/SchoolChoices.svelte';
	import { send } from '$lib/ui/parts/send';

	let { data } = $props();
	let message = $state('');
	let isSaved = $state(false);

	async function save(change: { schools?: SomeSchools; uses?: HouseUses }): Promise<void> {
		const { schools, version } = data.house;
		const answer = await send('PUT', '/api/v1/house', { schools, version, ...change });
		message = answer.message;
		isSaved = answer.ok;
		await invalidateAll();
	}
</script>

<svelte:head><title>How we do it · Snug Summit</title></svelte:head>

<div class="head">
	<h1>How we do it</h1>
	<a href="/house/stock">What we lend</a>
	<a href="/house/prices">What things cost</a>
	<a href="/house/due">What is due</a>
	<a href="/house/questions">What clients are asked</a>
	<a href="/house/bin">Bin</a>
	{#if data.who?.role === 'owner'}
		<a href="/house/people">Who comes in</a>
	{/if}
	<p role="status" class="small">{isSaved ? 'Saved. Every plan follows from now on.' : ''}</p>
</div>
<p class="lead">
	Good guides disagree here. What is chosen holds for every trip and client of the house, unless a trip or a
	client says otherwise on its own page.
</p>
{#if message}<p role="alert" class="alert">{message}</p>{/if}
<SchoolChoices
	chosen={data.house.schools}
	inherited={OUR_SCHOOLS}
	from="our default"
	choose={(schools) => save({ schools })}
/>
<TypeUses uses={data.house.uses} choose={(uses) => save({ uses })} />

{#if data.who?.role === 'owner'}
	<HouseCopies setAside={data.setAside} />
{/if}

<style>
	.head {
		display: flex;
		gap: 20px;
		align-items: baseline;
	}
	.lead {
		max-width: 70ch;
		margin: 4px 0 18px;
	}
</style>
