<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import Combobox from '../parts/Combobox.svelte';
	import Field from '../parts/Field.svelte';
	import { newestAnswer } from '../lists/newest-answer';
	import { send } from '../parts/send';

	interface Props {
		tripId: string;
		/** those on the trip */
		clients: readonly { id: string; name: string; things: number }[];
	}
	let { tripId, clients }: Props = $props();

	interface Known {
		id: string;
		name: string;
	}
	let query = $state('');
	/** those of the house who have the name that is typed */
	let known = $state.raw<Known[]>([]);
	let newClient = $state('');
	let message = $state('');
	let errors = $state<Record<string, string>>({});
	const others = $derived(known.filter(({ id }) => !clients.some((own) => own.id === id)).slice(0, 6));

	const newest = newestAnswer<{ clients: Known[] }>();
	/** The answer that is on its way; Enter waits for it. */
	let coming: Promise<void> = Promise.resolve();
	async function ask(): Promise<void> {
		if (query.trim() === '') {
			known = [];
			return;
		}
		const answer = await newest(`/api/v1/clients?q=${encodeURIComponent(query)}`);
		if (answer && query.trim() !== '') known = answer.clients;
	}
	async function enrol({ id }: Known): Promise<void> {
		const answer = await send('PUT', `/api/v1/trips/${tripId}/clients/${id}`);
		message = answer.message;
		query = '';
		known = [];
		await invalidateAll();
	}
	async function addClient(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const answer = await send('POST', '/api/v1/clients', { name: newClient, tripId: tripId });
		message = answer.message;
		errors = answer.errors;
		if (answer.ok) newClient = '';
		await invalidateAll();
	}
	async function takeOff(id: string): Promise<void> {
		await send('DELETE', `/api/v1/trips/${tripId}/clients/${id}`);
		await invalidateAll();
	}
</script>

<section id="clients" class="no-print" aria-labelledby="clients-head">
	<h2 id="clients-head">Who comes along</h2>
	{#if clients.length > 0}
		<p class="group">
			<a href="/trips/{tripId}/lending">Who gets what from the house?</a>
			<a href="/trips/{tripId}/answers">What the clients say</a>
			<a href="/trips/{tripId}/everybody">Everybody brings</a>
			<a href="/api/v1/trips/{tripId}" download="trip.json">Save the trip as a file</a>
		</p>
	{/if}
	<ul>
		{#each clients as client (client.id)}
			<li>
				<strong>{client.name}</strong>
				<a href="/trips/{tripId}/plan/{client.id}">Layer plan</a>
				<a href="/trips/{tripId}/list/{client.id}">List</a>
				<a href="/clients/{client.id}">Kit, {client.things} things</a>
				<Button class="quiet small" onclick={() => takeOff(client.id)}
					>take off the trip<span class="visually-hidden">: {client.name}</span></Button
				>
			</li>
		{:else}
			<li class="soft">Nobody yet.</li>
		{/each}
	</ul>
	{#if message}<p role="alert" class="small">{message}</p>{/if}
	<div class="enrol">
		<form onsubmit={addClient}>
			<Field
				id="new-client"
				label="A new client"
				bind:value={newClient}
				error={errors.name}
				placeholder="name"
			/>
			<Button type="submit">Add the client</Button>
		</form>
		<div class="known">
			<label for="enrol" class="small soft">Or somebody known</label>
			<Combobox
				id="enrol"
				label="Somebody known, by name"
				listLabel="Clients of the house"
				placeholder="name"
				bind:value={query}
				options={others}
				keyOf={({ id }) => id}
				pick={(client) => void enrol(client)}
				ontype={() => (coming = ask())}
				settled={() => coming}
				none={query.trim() === ''
					? 'Type a part of the name.'
					: 'Nobody of that name who is not on the trip.'}
				framed
			>
				{#snippet option(client)}<span>{client.name}</span><span class="soft tiny">put on the trip</span
					>{/snippet}
			</Combobox>
		</div>
	</div>
</section>

<style>
	.group {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 20px;
	}
	#clients {
		margin-top: 28px;
	}
	#clients li {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 20px;
		align-items: baseline;
		padding: 5px 0;
		border-bottom: 1px solid var(--rule);
		max-width: 860px;
	}
	#clients strong {
		min-width: 180px;
	}
	.enrol {
		display: flex;
		flex-wrap: wrap;
		align-items: start;
		gap: 14px 34px;
		margin-top: 14px;
	}
	.enrol form {
		display: flex;
		flex-wrap: wrap;
		gap: 10px;
		align-items: end;
	}
	.known {
		width: min(100%, 380px);
	}
</style>
