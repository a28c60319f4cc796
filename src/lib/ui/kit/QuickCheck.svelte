<script lang="ts">
	import { Button, Modal } from 'flowbite-svelte';
	import { page } from '$app/state';
	import { onDestroy, untrack } from 'svelte';
	import { schooled } from '$lib/core/conditions/person';
	import type { Document } from '$lib/core/document/types';
	import type { QuickCheckAnswer } from '$lib/core/plan/told/quick-check';
	import { quickCheckMore, quickCheckSentence } from '$lib/words/asked/quick-check';
	import { groupName, typeName } from '$lib/words/garments';
	import { described, type Described } from '$lib/words/kit-search/kit-search';
	import { firstName, shortName } from '$lib/words/labels';
	import { small } from '$lib/words/message';
	import type { LateBoxProps } from '../frame/late-box.svelte';
	import Combobox from '../parts/Combobox.svelte';
	import { readerUnits } from '../parts/reader-units';
	import QuickCheckWorker from './quick-check-worker?worker';
	import type { QuickCheckReply, QuickCheckRequest } from './quick-check-worker';

	interface Who {
		tripId: string;
		clientId: string;
		name: string;
	}
	/** Opened from outside: the page loads this when somebody asks. */
	let { open = $bindable(), typed }: LateBoxProps = $props();
	let step = $state<'thing' | 'who' | 'answer'>('thing');
	let text = $state('');
	let thing = $state.raw<Described | null>(null);
	let query = $state('');
	let people = $state.raw<Who[]>([]);
	let who = $state.raw<Who | null>(null);
	let progress = $state('');
	let answer = $state.raw<QuickCheckAnswer | null>(null);
	let dayOf = $state.raw<(stageId: string) => string>(() => '');
	let worker: Worker | null = null;
	onDestroy(() => worker?.terminate());

	const found = $derived(described(text));

	function show(begun = ''): void {
		step = 'thing';
		text = begun.replace('\n', '');
		query = '';
		answer = null;
		void look();
		if (begun.endsWith('\n') && found[0]) choose(found[0]);
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
	function choose(one: Described): void {
		thing = one;
		step = 'who';
	}
	async function ask(one: Who): Promise<void> {
		if (!thing) return;
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
	/** Closed by a key, a click beside it or the link: what is being worked out for it stops. */
	$effect(() => {
		if (open) {
			const early = typed;
			untrack(() => show(early));
		} else worker?.terminate();
	});
	const sentence = $derived.by(() => {
		if (!answer || !thing || !who) return '';
		return quickCheckSentence(answer, small(shortName(thing.name)), firstName(who.name), placeOf);
	});
	const placeOf = ({ stageId }: { stageId: string }): string => dayOf(stageId);
	/** It is all right, or it helps and harms nothing. */
	const isGood = $derived(
		answer !== null && (answer.yes || (answer.helps.length > 0 && answer.failing === 0))
	);
	const more = $derived(
		answer && who
			? quickCheckMore(answer, firstName(who.name), placeOf, (typeId) => typeName(typeId, readerUnits()))
			: []
	);
</script>

<Modal bind:open aria-label="Is this all right?" dismissable={false}>
	{#if step === 'thing'}
		<Combobox
			id="call"
			label="Describe the thing in a few words"
			listLabel="What it could be"
			placeholder="Describe it: down coat 600 g, old rain jacket worn out"
			bind:value={text}
			options={found}
			keyOf={({ type }) => type.id}
			pick={choose}
			none={text.trim() === ''
				? 'A few words do, with the weight if it is known.'
				: 'Nothing like it: try another word.'}
		>
			{#snippet option(one)}
				<span>{one.name}{one.massG ? `, ${one.massG} g` : ''}{one.wornOut ? ', worn out' : ''}</span>
				<span class="soft small">{groupName(one.type.group)}</span>
			{/snippet}
		</Combobox>
	{:else if step === 'who'}
		<p class="so-far">{thing?.name}. For whom?</p>
		<Combobox
			id="call-who"
			label="Client and trip"
			listLabel="Client and trip"
			placeholder="Client or trip"
			bind:value={query}
			options={people.slice(0, 8)}
			keyOf={({ tripId, clientId }) => tripId + clientId}
			pick={ask}
			ontype={look}
			none="Nobody of that name is on a trip."
		>
			{#snippet option(one)}{one.name}{/snippet}
		</Combobox>
	{:else}
		<div class="answer">
			<p class="so-far">{thing?.name} · {who?.name}</p>
			{#if answer}
				<p class="say" class:yes={isGood} class:no={!isGood} role="status">{sentence}</p>
				{#each more as line (line)}<p>{line}</p>{/each}
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
					{#if who}<a href="/trips/{who.tripId}/plan/{who.clientId}" onclick={() => (open = false)}
							>Open the plan</a
						>{/if}
				</p>
			{:else}
				<p role="status">{progress}</p>
			{/if}
			<Button class="quiet" onclick={() => show()}>Another one</Button>
		</div>
	{/if}
</Modal>

<style>
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
	.answer :global(.quiet) {
		margin-left: 12px;
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
