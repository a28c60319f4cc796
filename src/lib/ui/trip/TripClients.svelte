<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import type { Client } from '$lib/core/document/types';
	import Choice from '../parts/Choice.svelte';
	import Field from '../parts/Field.svelte';
	import { send } from '../parts/send';

	interface Props {
		tripId: string;
		/** those on the trip */
		clients: readonly Client[];
		/** everybody who is known */
		everybody: readonly { id: string; name: string }[];
	}
	let { tripId, clients, everybody }: Props = $props();

	let enrolling = $state('');
	let newClient = $state('');
	let message = $state('');
	let errors = $state<Record<string, string>>({});
	const others = $derived(everybody.filter(({ id }) => !clients.some((own) => own.id === id)));

	async function enrol(): Promise<void> {
		if (!enrolling) return;
		const answer = await send('PUT', `/api/v1/trips/${tripId}/clients/${enrolling}`);
		message = answer.message;
		enrolling = '';
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
	{#if clients.length > 0}<p><a href="/trips/{tripId}/group">Who is not all right?</a></p>{/if}
	<ul>
		{#each clients as client (client.id)}
			<li>
				<strong>{client.name}</strong>
				<a href="/trips/{tripId}/plan/{client.id}">Layer plan</a>
				<a href="/trips/{tripId}/list/{client.id}">List</a>
				<a href="/clients/{client.id}">Kit, {client.things.length} things</a>
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
		{#if others.length > 0}
			<div class="known">
				<Choice
					id="enrol"
					label="Or somebody known"
					none="choose"
					bind:value={enrolling}
					options={others.map(({ id }) => id)}
					words={Object.fromEntries(others.map(({ id, name }) => [id, name]))}
				/>
				<Button onclick={enrol}>Put on the trip</Button>
			</div>
		{/if}
	</div>
</section>

<style>
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
		gap: 14px 34px;
		margin-top: 14px;
	}
	.enrol form,
	.known {
		display: flex;
		flex-wrap: wrap;
		gap: 10px;
		align-items: end;
	}
</style>
