<script lang="ts">
	import { goto, invalidate } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import { longDate } from '$lib/formats/words';
	import Field from '$lib/ui/Field.svelte';
	import UndoBar from '$lib/ui/UndoBar.svelte';
	import { send } from '$lib/ui/send';

	let { data } = $props();

	let name = $state('');
	let place = $state('');
	let errors = $state<Record<string, string>>({});
	let message = $state('');
	let removed = $state<{ id: string; name: string } | null>(null);

	async function create(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const answer = await send<{ id: string }>('POST', '/api/v1/trips', { name, place });
		errors = answer.errors;
		message = answer.ok ? '' : answer.message;
		if (answer.data) await goto(`/trips/${answer.data.id}`, { invalidateAll: true });
	}
	async function remove(trip: { id: string; name: string }): Promise<void> {
		const answer = await send('DELETE', `/api/v1/trips/${trip.id}`);
		message = answer.message;
		if (answer.ok) removed = trip;
		await invalidate('app:places');
	}
	async function restore(): Promise<void> {
		if (removed) await send('POST', `/api/v1/trips/${removed.id}/restore`);
		removed = null;
		await invalidate('app:places');
	}
</script>

<svelte:head><title>Trips · Snug Summit</title></svelte:head>

<div class="page">
	<section aria-labelledby="trips-head">
		<h1 id="trips-head">Trips by departure</h1>
		{#if data.trips.length === 0}
			<p class="empty">No trip yet. Give the first one a name, here on the right, and add its days.</p>
		{/if}
		<ol>
			{#each data.trips as trip (trip.id)}
				<li class="sheet">
					<div class="when">
						{#if trip.firstDate}
							<span>{longDate(trip.firstDate)}</span>
							<span class="soft small">{trip.stages} {trip.stages === 1 ? 'day' : 'days'}</span>
						{:else}
							<span class="soft">no days yet</span>
						{/if}
					</div>
					<div class="what">
						<h2><a href="/trips/{trip.id}">{trip.name}</a></h2>
						<p class="soft small">{trip.place}</p>
						{#if trip.clients.length > 0 && trip.stages > 0}
							<ul aria-label="Layer plans of {trip.name}">
								{#each trip.clients as client (client.id)}
									<li><a href="/trips/{trip.id}/plan/{client.id}">{client.name}</a></li>
								{/each}
							</ul>
						{:else if trip.stages === 0}
							<p class="small"><a href="/trips/{trip.id}">Add the first day</a></p>
						{:else}
							<p class="small"><a href="/trips/{trip.id}#clients">Add the clients</a></p>
						{/if}
					</div>
					<button class="quiet small" onclick={() => remove(trip)}
						>delete<span class="visually-hidden"> {trip.name}</span></button
					>
				</li>
			{/each}
		</ol>
		{#if removed}<UndoBar text="{removed.name} is deleted." undo={restore} />{/if}
	</section>

	<form onsubmit={create} class="new" aria-labelledby="new-head">
		<h2 id="new-head">A new trip</h2>
		<Field
			id="trip-name"
			label="What it is called"
			bind:value={name}
			error={errors.name}
			placeholder="Four huts in March"
		/>
		<Field
			id="trip-place"
			label="Where"
			bind:value={place}
			error={errors.place}
			placeholder="valley, range"
		/>
		<Button type="submit">Make the trip</Button>
		{#if message}<p role="alert" class="small">{message}</p>{/if}
	</form>
</div>

<style>
	.page {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 290px;
		gap: 40px;
		align-items: start;
	}
	h1 {
		margin-bottom: 16px;
	}
	ol > li {
		display: grid;
		grid-template-columns: 150px minmax(0, 1fr) auto;
		gap: 20px;
		padding: 14px 18px;
		margin-bottom: 10px;
	}
	.when {
		display: flex;
		flex-direction: column;
		font-variant-numeric: tabular-nums;
		border-right: 1px solid var(--rule);
	}
	.what ul {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
		margin-top: 8px;
	}
	.new {
		display: grid;
		gap: 12px;
		border-top: 3px solid var(--ink);
		padding-top: 12px;
	}
	.empty {
		font-size: 18px;
		max-width: 40ch;
	}
	@media (max-width: 860px) {
		.page {
			grid-template-columns: minmax(0, 1fr);
		}
		ol > li {
			grid-template-columns: minmax(0, 1fr) auto;
		}
		.when {
			grid-column: 1 / -1;
			border: 0;
		}
	}
</style>
