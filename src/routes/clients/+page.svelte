<script lang="ts">
	import { goto, invalidate } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import Field from '$lib/ui/parts/Field.svelte';
	import UndoBar from '$lib/ui/parts/UndoBar.svelte';
	import { send } from '$lib/ui/parts/send';

	let { data } = $props();

	let name = $state('');
	let errors = $state<Record<string, string>>({});
	let message = $state('');
	let removed = $state<{ id: string; name: string } | null>(null);

	async function create(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const answer = await send<{ id: string }>('POST', '/api/v1/clients', { name });
		errors = answer.errors;
		message = answer.ok ? '' : answer.message;
		if (answer.data) await goto(`/clients/${answer.data.id}`, { invalidateAll: true });
	}
	async function remove(client: { id: string; name: string }): Promise<void> {
		const answer = await send('DELETE', `/api/v1/clients/${client.id}`);
		message = answer.message;
		if (answer.ok) removed = client;
		await invalidate('app:clients');
	}
	async function restore(): Promise<void> {
		if (removed) await send('POST', `/api/v1/clients/${removed.id}/restore`);
		removed = null;
		await invalidate('app:clients');
	}
</script>

<svelte:head><title>Clients · Snug Summit</title></svelte:head>

<h1>Clients and their kit</h1>
<form onsubmit={create}>
	<Field id="client-name" label="Name of a new client" bind:value={name} error={errors.name} />
	<Button type="submit" class="main">Add the client</Button>
</form>
{#if message}<p role="alert">{message}</p>{/if}
{#if removed}<UndoBar text="{removed.name} is deleted." undo={restore} />{/if}
{#if data.clients.length === 0}<p>Nobody yet. Add the first client above, then what they own.</p>{/if}
<ul>
	{#each data.clients as client (client.id)}
		<li>
			<a href="/clients/{client.id}">{client.name}</a>
			<span class="soft small"
				>{client.things === 0 ? 'nothing known of the kit' : `${client.things} things known`}</span
			>
			<Button class="quiet small" onclick={() => remove(client)}
				>delete<span class="visually-hidden"> {client.name}</span></Button
			>
		</li>
	{/each}
</ul>

<style>
	form {
		display: flex;
		gap: 12px;
		align-items: end;
		margin: 14px 0 20px;
		max-width: 520px;
	}
	ul {
		max-width: 760px;
	}
	li {
		display: grid;
		grid-template-columns: 1fr 180px auto;
		gap: 16px;
		align-items: center;
		padding: 8px 4px;
		border-bottom: 1px solid var(--rule);
	}
</style>
