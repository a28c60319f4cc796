<script lang="ts">
	import { page } from '$app/state';
	import { onDestroy, tick } from 'svelte';
	import { schooled } from '$lib/core/plan/day-report';
	import type { Document } from '$lib/core/document/types';
	import type { QuickCheckAnswer } from '$lib/core/plan/told/quick-check';
	import { described, groupName, type Described } from '$lib/words/garments';
	import { quickCheckSentence } from '$lib/words/plan-story';
	import { firstName, shortName } from '$lib/words/labels';
	import { small } from '$lib/words/message';
	import QuickCheckWorker from './quick-check-worker?worker';
	import type { QuickCheckReply, QuickCheckRequest } from './quick-check-worker';

	interface Who {
		tripId: string;
		clientId: string;
		name: string;
	}
	let open = $state(false);
	let step = $state<'thing' | 'who' | 'answer'>('thing');
	let text = $state('');
	let at = $state(0);
	let thing = $state.raw<Described | null>(null);
	let query = $state('');
	let people = $state.raw<Who[]>([]);
	let who = $state.raw<Who | null>(null);
	let progress = $state('');
	let answer = $state.raw<QuickCheckAnswer | null>(null);
	let dayOf = $state.raw<(stageId: string) => string>(() => '');
	let box = $state<HTMLDialogElement>();
	let input = $state<HTMLInputElement>();
	let worker: Worker | null = null;
	onDestroy(() => worker?.terminate());

	const found = $derived(described(text));

	async function show(): Promise<void> {
		open = true;
		step = 'thing';
		text = '';
		query = '';
		at = 0;
		answer = null;
		await tick();
		box?.showModal();
		input?.focus();
		void look();
	}
	/** Plans whose names fit; the one on the page comes first. */
	async function look(): Promise<void> {
		const response = await fetch(`/api/v1/find?q=${encodeURIComponent(query)}`).catch(() => null);
		if (!response?.ok) return;
		const { found: places } = (await response.json()) as {
			found: { kind: string; id: string; name: string; tripId: string | null }[];
		};
		const all = places
			.filter(({ kind, tripId }) => kind === 'layer plan' && tripId)
			.map(({ id, name, tripId }): Who => ({ tripId: tripId!, clientId: id, name }));
		// Whoever is on the page is meant first, however many others there are.
		const { trip, client } = page.data as {
			trip?: { id: string; name: string };
			client?: { id: string; name: string };
		};
		const own: Who[] =
			trip && client && query.trim() === '' && page.params['clientId']
				? [{ tripId: trip.id, clientId: client.id, name: `${client.name}, on ${trip.name}` }]
				: [];
		const isHere = (one: Who): boolean =>
			page.params['id'] === one.tripId || page.params['id'] === one.clientId;
		people = [
			...own,
			...all
				.filter(
					({ tripId, clientId }) => !own.some((one) => one.tripId === tripId && one.clientId === clientId)
				)
				.sort((x, y) => Number(isHere(y)) - Number(isHere(x)))
		];
	}
	async function choose(one: Described | undefined): Promise<void> {
		if (!one) return;
		thing = one;
		step = 'who';
		at = 0;
		await tick();
		input?.focus();
	}
	async function ask(one: Who | undefined): Promise<void> {
		if (!one || !thing) return;
		who = one;
		step = 'answer';
		answer = null;
		progress = 'Reading the trip …';
		const response = await fetch(`/api/v1/trips/${one.tripId}`).catch(() => null);
		if (!response?.ok) {
			progress = 'The server does not answer. Try again.';
			return;
		}
		const document_ = (await response.json()) as Document;
		const client = document_.clients.find(({ id }) => id === one.clientId);
		if (!client || document_.trip.stages.length === 0) {
			progress = client ? 'This trip has no days yet.' : 'This client is no longer on the trip.';
			return;
		}
		const stages = document_.trip.stages;
		dayOf = (stageId) => (stages.length > 1 ? `day ${stages.findIndex(({ id }) => id === stageId) + 1}` : '');
		worker?.terminate();
		worker = new QuickCheckWorker();
		worker.onmessage = ({ data }: MessageEvent<QuickCheckReply>) => {
			if (data.kind === 'answer') answer = data.answer;
			else progress = `Trying it on, ${data.done} of ${data.total} days …`;
		};
		worker.onerror = () => (progress = 'That could not be worked out.');
		worker.postMessage({
			trip: document_.trip,
			client: schooled(client, document_),
			typeId: thing.type.id,
			massG: thing.massG,
			wornOut: thing.wornOut
		} satisfies QuickCheckRequest);
	}
	function onkeydown(event: KeyboardEvent): void {
		const list = step === 'thing' ? found.length : people.length;
		if (event.key === 'ArrowDown') at = Math.min(at + 1, list - 1);
		else if (event.key === 'ArrowUp') at = Math.max(at - 1, 0);
		else if (event.key === 'Enter') void (step === 'thing' ? choose(found[at]) : ask(people[at]));
		else return;
		event.preventDefault();
	}
	function onwindowkeydown(event: KeyboardEvent): void {
		const target = event.target as HTMLElement;
		if (event.key !== 'c' || event.ctrlKey || event.metaKey || event.altKey || open) return;
		if (target.closest('input, textarea, select, [contenteditable]')) return;
		event.preventDefault();
		void show();
	}
	const sentence = $derived.by(() => {
		if (!answer || !thing || !who) return '';
		const where = answer.fails ? dayOf(answer.fails.stageId) : '';
		return quickCheckSentence(answer, small(shortName(thing.name)), firstName(who.name), where);
	});
</script>

<svelte:window onkeydown={onwindowkeydown} />

<button class="call no-print" onclick={show}>Is this all right? <kbd>C</kbd></button>

{#if open}
	<dialog
		bind:this={box}
		onclose={() => {
			open = false;
			worker?.terminate();
		}}
		aria-label="Is this all right?"
	>
		{#if step === 'thing'}
			<input
				bind:this={input}
				bind:value={text}
				oninput={() => (at = 0)}
				{onkeydown}
				role="combobox"
				aria-expanded="true"
				aria-controls="call-list"
				aria-activedescendant={found.length > 0 ? `call-${at}` : undefined}
				aria-label="Describe the thing in a few words"
				placeholder="Describe it: down coat 600 g, old rain jacket worn out"
			/>
			<ul id="call-list" role="listbox" aria-label="What it could be">
				{#each found as one, i (one.type.id)}
					<!-- svelte-ignore a11y_click_events_have_key_events -->
					<li id="call-{i}" role="option" aria-selected={i === at} onclick={() => choose(one)}>
						<span>{one.name}{one.massG ? `, ${one.massG} g` : ''}{one.wornOut ? ', worn out' : ''}</span>
						<span class="soft small">{groupName(one.type.group)}</span>
					</li>
				{:else}
					<li class="soft" role="option" aria-selected="false">
						{text.trim() === ''
							? 'A few words do, with the weight if it is known.'
							: 'Nothing like it: try another word.'}
					</li>
				{/each}
			</ul>
		{:else if step === 'who'}
			<p class="so-far">{thing?.name}. For whom?</p>
			<input
				bind:this={input}
				bind:value={query}
				oninput={() => {
					at = 0;
					void look();
				}}
				{onkeydown}
				role="combobox"
				aria-expanded="true"
				aria-controls="call-who"
				aria-activedescendant={people.length > 0 ? `who-${at}` : undefined}
				aria-label="Client and trip"
				placeholder="Client or trip"
			/>
			<ul id="call-who" role="listbox" aria-label="Client and trip">
				{#each people.slice(0, 8) as one, i (one.tripId + one.clientId)}
					<!-- svelte-ignore a11y_click_events_have_key_events -->
					<li id="who-{i}" role="option" aria-selected={i === at} onclick={() => ask(one)}>{one.name}</li>
				{:else}
					<li class="soft" role="option" aria-selected="false">Nobody of that name is on a trip.</li>
				{/each}
			</ul>
		{:else}
			<div class="answer">
				<p class="so-far">{thing?.name} · {who?.name}</p>
				{#if answer}
					<p class="say" class:yes={answer.yes} class:no={!answer.yes} role="status">{sentence}</p>
					{#if answer.insteadOf.length > 0}
						<p class="small">Put in place of {answer.insteadOf.map(shortName).join(', ')}.</p>
					{/if}
					{#if answer.failing > 1}<p class="small">
							{answer.failing} phases fail with it, the worst is named.
						</p>{/if}
					{#if answer.failingAnyway > 0 && !answer.sameWithout}
						<p class="small">
							{answer.failingAnyway} more {answer.failingAnyway === 1 ? 'phase fails' : 'phases fail'} with what
							{who?.name.split(' ')[0]} has, too.
						</p>
					{/if}
					<p class="tiny soft">
						The whole trip was planned anew with it, in all weathers. The guide who sees the thing decides.
						{#if who}<a href="/trips/{who.tripId}/plan/{who.clientId}" onclick={() => box?.close()}
								>Open the plan</a
							>{/if}
					</p>
				{:else}
					<p role="status">{progress}</p>
				{/if}
				<button class="quiet" onclick={() => show()}>Another one</button>
			</div>
		{/if}
	</dialog>
{/if}

<style>
	.call {
		border: 1px solid var(--rule-strong);
		background: var(--sheet);
		border-radius: 3px;
		padding: 5px 10px;
		font-size: 14px;
		cursor: pointer;
	}
	dialog {
		margin: 10vh auto auto;
		width: min(620px, 94vw);
		padding: 0;
		border: 2px solid var(--ink);
		background: var(--sheet);
		color: var(--ink);
	}
	dialog::backdrop {
		background: rgb(10 16 15 / 0.45);
	}
	input {
		width: 100%;
		border: 0;
		border-bottom: 1px solid var(--rule);
		padding: 14px 18px;
		font-size: 19px;
		background: transparent;
		color: inherit;
	}
	input:focus {
		box-shadow: none;
	}
	li {
		display: flex;
		justify-content: space-between;
		gap: 12px;
		padding: 9px 18px;
		cursor: pointer;
	}
	li[aria-selected='true'] {
		background: var(--ink);
		color: var(--sheet);
	}
	li[aria-selected='true'] .soft {
		color: var(--band);
	}
	.so-far {
		padding: 10px 18px 0;
		color: var(--soft);
	}
	.answer {
		padding-bottom: 12px;
	}
	.answer > p {
		padding: 4px 18px;
	}
	.answer .quiet {
		margin-left: 12px;
	}
	@media (max-width: 640px) {
		.call kbd {
			display: none;
		}
	}
	.say {
		font-size: 20px;
		line-height: 1.3;
		border-left: 8px solid var(--v-right);
		margin: 8px 0;
	}
	.say.no {
		border-left-color: var(--v-short);
	}
</style>
