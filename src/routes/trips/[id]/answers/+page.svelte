<script lang="ts">
	import { Button, Input, Select } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { send } from '$lib/ui/parts/send';
	import { LANGUAGE_NAMES, firstName, longDate, shortName } from '$lib/words/labels';
	import { invitation, reminder } from '$lib/words/guest/letters';
	import type { Language } from '$lib/words/guest/guest-words';
	import type { Answer } from '$lib/core/kit/answers';
	import type { HomeCheck } from '$lib/core/kit/home-test';
	import { listed } from '$lib/words/message';

	const TONGUES = Object.entries(LANGUAGE_NAMES).map(([value, name]) => ({ value, name }));
	const ANSWER_WORDS: Readonly<Record<Answer, string>> = {
		yes: 'yes',
		unsure: 'yes, but not sure that it will do',
		no: 'no',
		unknown: 'does not know'
	};
	const CHECK_WORDS: Readonly<Record<HomeCheck, string>> = {
		moves: 'too tight over the rest',
		helmet: 'the hood does not go over the helmet',
		socks: 'no good with the real socks',
		rain: 'water soaks in',
		zips: 'a zip does not close',
		batteries: 'does not work'
	};

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

	/** in which language the letters and the page begin; the client changes it on the page */
	let language = $state<Language>('en');
	const languageOf = ({ reads }: Row): Language => reads ?? language;
	/** A message that is ready to be sent by hand. */
	const invitationTo = (row: Row): string =>
		invitation(
			languageOf(row),
			firstName(row.name),
			data.trip.name,
			`${links[row.id]}?in=${languageOf(row)}`
		);
	const reminderTo = (row: Row): string =>
		reminder(languageOf(row), firstName(row.name), data.trip.name, {
			...row.link!,
			packed: row.packed,
			toGet: row.toGet
		});
	let mailed = $state<Record<string, string>>({});
	async function mail(row: Row, kind: 'link' | 'reminder'): Promise<void> {
		const { id, mail: to } = row;
		const answer = await send('POST', `/api/v1/trips/${data.trip.id}/clients/${id}/mail`, {
			kind,
			language: languageOf(row)
		});
		if (answer.ok)
			mailed = {
				...mailed,
				[id]: data.isMailSimulated ? `Kept in the outbox: no mail server is set.` : `Sent to ${to}.`
			};
		await settle(answer);
	}

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
{#if canChange && data.clients.length > 0}
	<p class="tongue small">
		<label for="tongue">Letters and pages begin in</label>
		<Select id="tongue" bind:value={language} items={TONGUES} placeholder="" />
		<span class="soft">unless it is known what a client reads.</span>
		<a href="/house/questions">Questions of the house</a>
	</p>
{/if}

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
					>{invitationTo(row)}</textarea
				>
			</div>
		{:else if row.link}
			<details>
				<summary class="small">A reminder to send</summary>
				<textarea class="typed" rows="3" readonly aria-label="Reminder for {row.name}"
					>{reminderTo(row)}</textarea
				>
			</details>
		{/if}
		{#if row.mail && canChange}
			<p class="mail small">
				<span>{row.mail}</span>
				<Button class="quiet small" onclick={() => mail(row, 'link')}
					>Mail a link{row.link ? ', the old one ends' : ''}<span class="visually-hidden">
						to {row.name}</span
					></Button
				>
				{#if row.link}
					<Button class="quiet small" onclick={() => mail(row, 'reminder')}
						>Mail the reminder<span class="visually-hidden"> to {row.name}</span></Button
					>
				{/if}
				<span role="status">{mailed[row.id] ?? ''}</span>
			</p>
		{/if}
		{#if row.sent.length > 0}
			<details>
				<summary class="small"
					>{row.sent.length === 1 ? 'One mail' : `${row.sent.length} mails`}, the last {day(
						row.sent[0]!.sentAt
					)}</summary
				>
				<ul class="notes">
					{#each row.sent as one (one.id)}
						<li>
							<span class="small soft"
								>{day(one.sentAt)}, {one.madeBy}, to {one.sentTo}{one.isSimulated
									? ' · not sent: no mail server is set'
									: ''}</span
							>
							<p>{one.subject}</p>
							<p class="small letter">{one.text}</p>
						</li>
					{/each}
				</ul>
			</details>
		{/if}
		{#if row.asked > 0 || row.tested > 0}
			<p class="small soft">
				{row.asked === 1 ? 'One question answered' : `${row.asked} questions answered`}{row.tested > 0
					? `, ${row.tested} ${row.tested === 1 ? 'part' : 'parts'} of the home test done`
					: ''}.
			</p>
		{/if}
		{#if row.failed.length > 0}
			<p>
				<strong>At home it did not work:</strong>
				{listed(row.failed.map(({ thing, part }) => `${shortName(thing)} (${CHECK_WORDS[part]})`))}.
			</p>
		{/if}
		{#if row.answers.length > 0}
			<dl>
				{#each row.answers as { id, question, answer } (id)}
					<dt class="small soft">{question}</dt>
					<dd>{ANSWER_WORDS[answer]}</dd>
				{/each}
			</dl>
		{/if}
		{#if row.photos.length > 0}
			<ul class="photos" aria-label="Photos of {row.name}">
				{#each row.photos as photo (photo.id)}
					<li>
						<a href="/api/v1/photos/{photo.id}"
							><img
								src="/api/v1/photos/{photo.id}"
								alt="{shortName(photo.thing)}, sent by {firstName(row.name)}"
								width="112"
								height="112"
								loading="lazy"
							/></a
						>
						<span class="small">{shortName(photo.thing)}{photo.isNew ? ' · new' : ''}</span>
					</li>
				{/each}
			</ul>
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
		{#if row.trail.length > 0}
			<details>
				<summary class="small">What happened when</summary>
				<ol class="trail small">
					{#each row.trail as { at, what }, i (i)}
						<li><span class="soft">{day(at)}, {at.slice(11, 16)} UTC</span> {what}</li>
					{/each}
				</ol>
			</details>
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
	.tongue,
	.mail {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 14px;
		align-items: baseline;
		margin-bottom: 12px;
	}
	.tongue :global(select) {
		width: auto;
	}
	.letter {
		white-space: pre-line;
	}
	dl {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 2px 14px;
	}
	.photos {
		display: flex;
		flex-wrap: wrap;
		gap: 10px;
	}
	.photos li {
		display: grid;
		max-width: 130px;
	}
	.photos img {
		width: 112px;
		height: 112px;
		object-fit: cover;
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
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
