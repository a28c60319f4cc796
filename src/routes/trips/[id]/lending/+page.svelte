<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import { onDestroy } from 'svelte';
	import { clothOf } from '$lib/core/cloth/things';
	import type { Lending, LendingProgress } from '$lib/core/remedy/lending/lending';
	import { sizeFit } from '$lib/core/remedy/lending/sizes';
	import { spareBag } from '$lib/core/remedy/lending/spare-bag';
	import { stockKind } from '$lib/core/remedy/lending/stock';
	import LendingWorker from '$lib/ui/lending/lending-worker?worker';
	import type { LendingRequest } from '$lib/ui/lending/lending-worker';
	import { WorkerQuestion } from '$lib/ui/work/worker-question.svelte';
	import LoanTable, { type LoanCell } from '$lib/ui/lending/LoanTable.svelte';
	import Field from '$lib/ui/parts/Field.svelte';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { send } from '$lib/ui/parts/send';
	import { firstName, shortName } from '$lib/words/labels';
	import {
		bagSentences,
		lendingProof,
		lentSentence,
		scarceSentence,
		stockName,
		tryOnSentence
	} from '$lib/words/remedy/lending-story';

	let { data } = $props();
	const { trip } = $derived(data.document);
	/** First names, with the family name where two share one. */
	const clients = $derived(
		data.document.clients.map(({ id, name }) => {
			const first = firstName(name);
			const isTwice = data.document.clients.some((one) => one.id !== id && firstName(one.name) === first);
			return { id, name: isTwice ? name : first };
		})
	);
	const kinds = $derived(
		data.stock.map((item) => ({
			id: item.id,
			name: stockName(item),
			free: item.free,
			pieces: item.pieces,
			elsewhere: [
				...item.elsewhere.map(({ trip: other, many }) => `${many} on “${other}”`),
				item.state === 'mending' ? `at the mender’s${item.backOn ? ` until ${item.backOn}` : ''}` : ''
			]
				.filter(Boolean)
				.join(', ')
		}))
	);
	const fits = $derived(
		new Map(
			data.stock.flatMap((item) => {
				const { thing } = stockKind(item, item.free);
				return data.document.clients.map((client) => [
					`${item.id} ${client.id}`,
					sizeFit(clothOf(thing, client.uses), client)
				]);
			})
		)
	);

	const asked = new WorkerQuestion<LendingRequest, LendingProgress, Lending>(() => new LendingWorker(), {
		task: 'trying',
		done: 0,
		total: 1
	});
	onDestroy(asked.stop);
	const progress = $derived(asked.progress);
	const answer = $derived(asked.answer);
	let notSaved = $state('');
	const message = $derived(notSaved || asked.trouble);
	let saving = $state(false);
	const settled = $derived(
		data.settled.map(({ clientId, stockId, lend }) => ({ clientId, kindId: stockId, lend }))
	);
	const question = $derived(
		JSON.stringify([trip.weathers, trip.stages, data.document.clients, data.stock, settled])
	);
	const isOld = $derived(answer !== null && asked.askedFor !== question);

	function workOut(): void {
		notSaved = '';
		asked.ask(
			question,
			$state.snapshot({
				document: data.document,
				stock: data.stock.map((item) => stockKind(item, item.free)),
				settled
			}) as LendingRequest
		);
	}
	async function save(loans: { clientId: string; stockId: string; lend: boolean | null }[]): Promise<void> {
		saving = true;
		const saved = await send('PATCH', `/api/v1/trips/${trip.id}/loans`, { loans });
		notSaved = saved.message;
		await invalidateAll();
		saving = false;
	}
	const proposals = $derived(
		(isOld ? [] : (answer?.clients ?? [])).flatMap(({ clientId, loans }) =>
			loans
				.filter(({ kindId }) => !settled.some((one) => one.clientId === clientId && one.kindId === kindId))
				.map(({ kindId }) => ({ clientId, stockId: kindId, lend: true }))
		)
	);
	/** All that is proposed is lent; what was worked out goes on holding. */
	async function lendAll(): Promise<void> {
		const { length } = proposals;
		await save(proposals);
		if (notSaved === '' && length > 0) asked.askedFor = question;
	}
	const cellOf = (kindId: string, clientId: string): LoanCell => ({
		settled: settled.find((one) => one.kindId === kindId && one.clientId === clientId)?.lend ?? null,
		proposed: proposals.some((one) => one.stockId === kindId && one.clientId === clientId),
		fit: fits.get(`${kindId} ${clientId}`) ?? 'try it on'
	});
	let bagG = $state<number | undefined>(1000);
	const bagWords = $derived(
		bagSentences(spareBag(data.document, Math.max(0, Math.min(20_000, bagG ?? 0))), readerUnits())
	);
	/** In a sentence the size and the tag would stand between commas: the table has them. */
	const nameOf = (id: string): string => shortName(data.stock.find((item) => item.id === id)?.name ?? id);
	const whoIs = (id: string): string => clients.find((client) => client.id === id)?.name ?? id;
</script>

<svelte:head><title>Who gets what · {trip.name} · Snug Summit</title></svelte:head>

<h1>Who gets what from the house</h1>
<p class="soft">
	<a href="/trips/{trip.id}">{trip.name}</a>{trip.place ? ` · ${trip.place}` : ''} ·
	<a href="/house/stock">What the house has</a> · <a href="/trips/{trip.id}/group">Who is not all right?</a>
</p>

{#if clients.length === 0}
	<p class="empty">
		Nobody is on this trip yet. <a href="/trips/{trip.id}#clients">Say who comes along</a>.
	</p>
{:else if kinds.length === 0}
	<p class="empty">The house has nothing to lend yet. <a href="/house/stock">Say what it has</a>.</p>
{:else}
	<div class="ask">
		<Button class="main" onclick={workOut} disabled={progress !== null || trip.stages.length === 0}
			>Work out who gets what</Button
		>
		<Button class="quiet" onclick={asked.stop} disabled={progress === null}>Stop</Button>
		<Button onclick={lendAll} disabled={proposals.length === 0 || saving}>
			Lend all {proposals.length || ''} that {proposals.length === 1 ? 'is' : 'are'} proposed
		</Button>
		<span role="status" aria-label="Working out who gets what" class="small">
			{#if progress}
				<progress max={Math.max(1, progress.total)} value={progress.done} aria-label="Clients that are done"
				></progress>
				{progress.task === 'planning' ? 'Planning what was found' : 'Trying what fits whom'}, {progress.done} of
				{progress.total}
			{:else if isOld}Something has changed since: work it out again.{/if}
		</span>
	</div>
	{#if message}<p class="alert" role="alert">{message}</p>{/if}
	<div class="both">
		<div>
			<LoanTable
				{clients}
				{kinds}
				{cellOf}
				busy={saving}
				settle={(kindId, clientId, lend) => void save([{ clientId, stockId: kindId, lend }])}
			/>
		</div>
		{#if answer && !isOld}
			<section aria-labelledby="comes-of-it">
				<h2 id="comes-of-it">What comes of it</h2>
				<ul>
					{#each answer.clients as client (client.clientId)}
						<li class:wrong={client.leftWrong.usual > 0}>
							{lentSentence(client, whoIs(client.clientId), nameOf)}
							<span class="soft">{tryOnSentence(client, whoIs(client.clientId), nameOf)}</span>
							{#if client.leftWrong.usual > 0}
								<a href="/trips/{trip.id}/plan/{client.clientId}" class="small">What is still wrong</a>
							{/if}
						</li>
					{/each}
				</ul>
				<p class="soft small">
					{scarceSentence(answer.scarce, nameOf)}
					{lendingProof(answer.proven)}
					{answer.cost > 0 ? `What is hired comes to ${Math.round(answer.cost)}.` : ''}
				</p>
			</section>
		{/if}
	</div>
	<section class="bag" aria-labelledby="bag-head">
		<h2 id="bag-head">The group’s spare bag</h2>
		<Field id="bag-most" label="May weigh" type="number" unit="g" min={0} bind:value={bagG} class="most" />
		<ul>
			{#each bagWords as sentence (sentence)}<li>{sentence}</li>{/each}
		</ul>
		<p class="tiny soft">
			How often a glove is lost or a torch fails is our assumption: 1 to 3 days in 100 for each client.
			Whoever has a second one of their own is left out.
		</p>
	</section>
	<p class="tiny soft">
		Whoever is helped most comes first: fewest people not right in the usual weather, then fewest moments,
		then the least money and the fewest things. What is lent is part of the client’s kit on this trip, in
		every plan and list. A thing that is on another trip, or comes back less than a day before, is not lent
		twice.
	</p>
{/if}

<style>
	.ask {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 14px;
		align-items: center;
		margin: 14px 0;
	}
	progress {
		width: 140px;
		height: 10px;
	}
	.alert {
		border-left: 5px solid var(--v-short);
		padding: 3px 12px;
		margin-bottom: 10px;
	}
	.both {
		display: flex;
		flex-wrap: wrap;
		gap: 10px 40px;
		align-items: flex-start;
	}
	.both > :first-child {
		min-width: 0;
	}
	section {
		flex: 1 1 340px;
		max-width: 80ch;
	}
	.bag {
		margin: 16px 0;
	}
	.bag :global(.most) {
		width: 120px;
	}
	.bag li {
		border-left: 0;
		padding-left: 0;
	}
	li {
		border-left: 5px solid var(--v-right);
		padding: 2px 12px;
		margin: 6px 0;
	}
	li.wrong {
		border-left-color: var(--v-short);
	}
	.empty {
		font-size: 18px;
		padding: 20px 0;
	}
</style>
