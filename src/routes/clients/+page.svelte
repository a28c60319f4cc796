<script lang="ts">
	import { goto, invalidate } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import Field from '$lib/ui/parts/Field.svelte';
	import { listAddress, searchList } from '$lib/ui/lists/list-address';
	import Pages from '$lib/ui/lists/Pages.svelte';
	import UndoBar from '$lib/ui/parts/UndoBar.svelte';
	import { send } from '$lib/ui/parts/send';

	let { data } = $props();

	// svelte-ignore state_referenced_locally
	let search = $state(data.question.search);
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
<div class="over">
	<form onsubmit={create}>
		<Field id="client-name" label="Name of a new client" bind:value={name} error={errors.name} />
		<Button type="submit" class="main">Add the client</Button>
	</form>
	<Field
		id="client-search"
		label="Search a name"
		bind:value={search}
		onchange={() => searchList(search)}
		placeholder="Teo, Fjell …"
	/>
</div>
{#if message}<p role="alert">{message}</p>{/if}
{#if removed}<UndoBar text="{removed.name} is deleted." undo={restore} />{/if}
{#if data.clients.length === 0}
	<p>
		{data.question.search
			? `Nobody has “${data.question.search}” in their name.`
			: 'Nobody yet. Add the first client above, then what they own.'}
	</p>
{/if}
<ul>
	{#each data.clients as client (client.id)}
		<li>
			<a href="/clients/{client.id}">{client.name}</a>
			<span class="soft small"
				>{client.things === 0
					? 'nothing known of the kit'
					: `${client.things} ${client.things === 1 ? 'thing' : 'things'} known`}</span
			>
			<Button class="quiet small" onclick={() => remove(client)}
				>delete<span class="visually-hidden"> {client.name}</span></Button
			>
		</li>
	{/each}
</ul>
<div class="list">
	<Pages
		question={data.question}
		total={data.total}
		what="clients"
		address={(to) => listAddress({ page: String(to) })}
	/>
</div>

<style>
	.over {
		display: flex;
		flex-wrap: wrap;
		gap: 14px 34px;
		align-items: end;
		justify-content: space-between;
		margin: 14px 0 20px;
		max-width: 760px;
	}
	form {
		display: flex;
		gap: 12px;
		align-items: end;
	}
	ul,
	.list {
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
