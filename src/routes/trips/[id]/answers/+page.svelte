<script lang="ts">
	import { Button, Input } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { send } from '$lib/ui/parts/send';
	import { firstName, longDate, shortName } from '$lib/words/labels';
	import { listed } from '$lib/words/message';

	let { data } = $props();
	type Row = (typeof data.clients)[number];
	const units = $derived(readerUnits());
	const day = (iso: string): string => longDate(iso.slice(0, 10), units);
	const canChange = $derived(data.who?.role !== 'guide');

	let message = $state('');
	/** by client: a link is shown once, since only its hash is kept */
	let links = $state<Record<string, string>>({});
	let replies = $state<Record<string, string>>({});

	async function settle(answer: { message: string }): Promise<void> {
		({ message } = answer);
		await invalidateAll();
	}
	async function makeLink({ id }: Row): Promise<void> {
		const answer = await send<{ link: string }>('POST', `/api/v1/trips/${data.trip.id}/clients/${id}/link`);
		if (answer.data) links = { ...links, [id]: answer.data.link };
		await settle(answer);
	}
	async function endLink({ id }: Row): Promise<void> {
		const { [id]: _, ...others } = links;
		links = others;
		await settle(await send('DELETE', `/api/v1/trips/${data.trip.id}/clients/${id}/link`));
	}
	async function reply(event: SubmitEvent, { id }: Row): Promise<void> {
		event.preventDefault();
		const text = (replies[id] ?? '').trim();
		if (text === '') return;
		const answer = await send('POST', `/api/v1/trips/${data.trip.id}/clients/${id}/notes`, { text });
		if (answer.ok) replies = { ...replies, [id]: '' };
		await settle(answer);
	}

	/** A message that is ready to be sent by hand. */
	const invitation = ({ id, name }: Row): string =>
		`Hello ${firstName(name)}, here is your list for ${data.trip.name}: ${links[id]}\nTick what you have packed, and ask what you like. It works without a connection once it was open. The link is yours alone: please do not pass it on.`;
	const reminder = ({ name, link, packed, toGet }: Row): string =>
		`Hello ${firstName(name)}, ${
			link?.openedAt
				? packed > 0
					? `you have ticked ${packed} things for ${data.trip.name}.`
					: `your list for ${data.trip.name} waits for its first tick.`
				: `you have not opened your list for ${data.trip.name} yet. It is the link of ${day(link!.madeAt)}.`
		}${toGet.length > 0 ? ` Still to get: ${listed(toGet.slice(0, 4).map(shortName))}.` : ''} Is anything unclear? Ask on the page, and we answer there.`;

	/** How far a client is, in words. */
	const far = ({ link, packed, has, last }: Row): string => {
		if (!link) return 'no link yet';
		if (!link.openedAt) return `link of ${day(link.madeAt)}, not opened yet`;
		const ticks = packed + has === 0 ? 'nothing ticked yet' : `${packed} packed, ${has} more they have`;
		return `${ticks} · last here ${day(last && last > link.seenAt! ? last : link.seenAt!)}`;
	};
	const order = (row: Row): number =>
		row.isWaiting ? 0 : row.news > 0 ? 1 : row.link && !row.link.openedAt ? 2 : 3;
	const clients = $derived([...data.clients].sort((a, b) => order(a) - order(b)));
	const waiting = $derived(data.clients.filter(({ isWaiting }) => isWaiting).length);
	const unopened = $derived(data.clients.filter(({ link }) => !link?.openedAt).length);
</script>

<svelte:head><title>{data.trip.name}, what clients say · Snug Summit</title></svelte:head>

<p class="small"><a href="/trips/{data.trip.id}">{data.trip.name}</a></p>
<h1>What the clients say</h1>
<p class="lead">
	{#if data.clients.length === 0}
		Nobody is on this trip yet. <a href="/trips/{data.trip.id}">Put clients on it first.</a>
	{:else}
		{waiting === 0
			? 'No question waits for an answer.'
			: waiting === 1
				? 'One client waits for an answer.'
				: `${waiting} clients wait for an answer.`}
		{unopened === 0
			? 'Everybody has opened the list.'
			: unopened === 1
				? 'One has not opened the list yet.'
				: `${unopened} have not opened the list yet.`}
	{/if}
</p>
{#if message}<p role="alert" class="alert">{message}</p>{/if}

{#each clients as row (row.id)}
	<section class="sheet" aria-labelledby="who-{row.id}">
		<div class="head">
			<h2 id="who-{row.id}">{row.name}</h2>
			<p class="soft small">{far(row)}</p>
			{#if row.news > 0}<p class="new small">{row.news} new since you looked</p>{/if}
			<p class="acts">
				<a href="/trips/{data.trip.id}/list/{row.id}">List</a>
				{#if canChange}
					<Button class="quiet small" onclick={() => makeLink(row)}>
						{row.link ? 'New link, the old one ends' : 'Make the private link'}<span class="visually-hidden">
							for {row.name}</span
						>
					</Button>
					{#if row.link}
						<Button class="quiet small" onclick={() => endLink(row)}
							>End the link<span class="visually-hidden"> of {row.name}</span></Button
						>
					{/if}
				{/if}
			</p>
		</div>
		{#if links[row.id]}
			<div class="link">
				<p class="small">
					It is shown this once. It opens until two weeks after the trip, for {firstName(row.name)} only. Send it
					as it stands:
				</p>
				<textarea class="typed" rows="4" readonly aria-label="Message with the link for {row.name}"
					>{invitation(row)}</textarea
				>
			</div>
		{:else if row.link}
			<details>
				<summary class="small">A reminder to send</summary>
				<textarea class="typed" rows="3" readonly aria-label="Reminder for {row.name}"
					>{reminder(row)}</textarea
				>
			</details>
		{/if}
		{#if row.toGet.length > 0}
			<p>Still to get, as {firstName(row.name)} says: {listed(row.toGet.map(shortName))}.</p>
		{/if}
		{#if row.notes.length > 0}
			<ul class="notes">
				{#each row.notes as note (note.id)}
					<li class={note.saidBy}>
						<span class="small soft"
							>{note.saidBy === 'client' ? firstName(row.name) : note.who}, {day(note.saidAt)}{note.about
								? `, about: ${note.about}`
								: ''}{note.isNew ? ' · new' : ''}</span
						>
						<p>{note.text}</p>
					</li>
				{/each}
			</ul>
		{/if}
		{#if row.link || row.notes.length > 0}
			<form onsubmit={(event) => reply(event, row)}>
				<Input
					bind:value={() => replies[row.id] ?? '', (text) => (replies = { ...replies, [row.id]: text })}
					maxlength={1000}
					aria-label="Answer for {row.name}"
					placeholder="Write to {firstName(row.name)}: it stands on their page"
				/>
				<Button type="submit">Say it<span class="visually-hidden"> to {row.name}</span></Button>
			</form>
		{/if}
	</section>
{/each}

<style>
	.lead {
		margin: 4px 0 16px;
	}
	section {
		padding: 12px 18px;
		margin-bottom: 14px;
		display: grid;
		gap: 8px;
	}
	.head {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		align-items: baseline;
	}
	.acts {
		margin-left: auto;
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
		align-items: baseline;
	}
	.new {
		border: 1px solid var(--ink);
		border-radius: 3px;
		padding: 0 7px;
		font-weight: 700;
	}
	textarea {
		width: 100%;
		font-size: 14px;
		margin-top: 4px;
	}
	.notes li {
		border-left: 4px solid var(--rule-strong);
		padding: 2px 12px;
		margin-bottom: 6px;
	}
	.notes li.client {
		border-color: var(--ink);
	}
	form {
		display: flex;
		gap: 8px;
	}
	form :global(input) {
		flex: 1;
		min-width: 0;
	}
</style>
