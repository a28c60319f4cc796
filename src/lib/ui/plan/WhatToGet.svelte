<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import { onDestroy } from 'svelte';
	import type { Client, Trip } from '$lib/core/document/types';
	import type { RemedyProgress, Rung } from '$lib/core/remedy/remedies';
	import type { CandidateSource } from '$lib/core/remedy/candidate';
	import { type Decision, type Refusal, stillDeclined, type Way } from '$lib/core/remedy/decision';
	import {
		type HousePrices,
		PRICE_LEVELS,
		pricedTypes,
		type PriceLevel,
		priceOf
	} from '$lib/core/remedy/prices';
	import { firstName, shortName } from '$lib/words/labels';
	import { typeName } from '$lib/words/garments';
	import {
		becauseWords,
		costSentence,
		endSentences,
		insteadSentences,
		mendedName,
		nowSentence,
		rungSentence,
		solvedSentence,
		startSentence
	} from '$lib/words/remedy/remedy-story';
	import { DOCUMENT_FORMAT, DOCUMENT_VERSION } from '$lib/core/document/types';
	import Choice from '../parts/Choice.svelte';
	import Decided from './get/Decided.svelte';
	import Refuse from './get/Refuse.svelte';
	import { readerUnits } from '../parts/reader-units';
	import { send } from '../parts/send';
	import RemedyWorker from './remedy-worker?worker';
	import type { Offer, Offered, RemedyRequest } from './remedy-worker';
	import { WorkerQuestion } from '../work/worker-question.svelte';

	interface Props {
		trip: Trip;
		client: Client;
		/** what was decided before */
		decisions: readonly Decision[];
		/** what the house knows of prices */
		prices: HousePrices;
	}
	let { trip, client, decisions, prices }: Props = $props();
	const units = $derived(readerUnits());
	const who = $derived(firstName(client.name));
	const LEVEL_WORDS: Record<PriceLevel, string> = { plain: 'plain', usual: 'usual', fine: 'fine' };

	// svelte-ignore state_referenced_locally
	let level = $state<PriceLevel>(client.priceLevel.value ?? 'usual');
	const asked = new WorkerQuestion<RemedyRequest, RemedyProgress, Offered>(() => new RemedyWorker(), {
		task: 'trying',
		done: 0,
		total: 0
	});
	onDestroy(asked.stop);
	const progress = $derived(asked.progress);
	const answer = $derived(asked.answer?.remedies ?? null);
	const offers = $derived<readonly Offer[]>(asked.answer?.offers ?? []);
	let notSaved = $state('');
	const trouble = $derived(notSaved || asked.trouble);
	const firstDate = $derived(trip.stages.map(({ date }) => date).sort()[0] ?? null);
	/** What was declined for a reason that holds. */
	const declined = $derived(
		decisions.filter(
			(one) =>
				one.decided === 'decline' &&
				stillDeclined(one, {
					cost: priceOf(one.typeId, level, prices) ?? 0,
					today: new Date().toISOString().slice(0, 10),
					firstDate
				})
		)
	);
	const question = $derived(
		JSON.stringify([
			trip.weathers,
			trip.stages,
			client.things,
			client.schools,
			level,
			prices,
			declined.map(({ typeId }) => typeId)
		])
	);
	const isOld = $derived(answer !== null && asked.askedFor !== question);

	function ask(): void {
		notSaved = '';
		const names = Object.fromEntries(pricedTypes(prices).map((id) => [id, typeName(id, units)]));
		const plain = $state.snapshot({ trip, client }) as { trip: Trip; client: Client };
		asked.ask(question, {
			document: {
				format: DOCUMENT_FORMAT,
				formatVersion: DOCUMENT_VERSION,
				trip: plain.trip,
				clients: [plain.client]
			},
			client: plain.client,
			level,
			names,
			declined: declined.map(({ typeId }) => typeId),
			prices: $state.snapshot(prices) as HousePrices
		});
	}

	const byId = $derived(new Map(offers.map((offer) => [offer.thingId, offer])));
	/** As short as tells a thing from the others on the list. */
	function nameOf(id: string): string {
		const full = byId.get(id)?.name ?? id;
		if (byId.get(id)?.from === 'mend') return mendedName(shortName(full));
		const short = shortName(full);
		const isTwice = offers.some(({ thingId, name }) => thingId !== id && shortName(name) === short);
		return isTwice ? full.split(', ').slice(0, 2).join(', ') : short;
	}
	/** A thing is asked about on the first rung that has it. */
	const isNewOn = (rung: number, id: string): boolean =>
		!answer!.ladder.slice(0, rung).some(({ add }) => add.includes(id));
	const idsOf = (rung: Rung): string[] => [
		...(answer?.cannotStartWithout.flatMap(({ add }) => add ?? []) ?? []),
		...rung.add
	];
	let saving = $state(false);
	const address = $derived(`/api/v1/trips/${trip.id}/plans/${client.id}/decisions`);
	async function settle(work: () => Promise<{ ok: boolean; message: string }>): Promise<void> {
		saving = true;
		notSaved = (await work()).message;
		await invalidateAll();
		saving = false;
	}
	const WAY_OF: Partial<Record<CandidateSource, Way>> = {
		buy: 'buy',
		hire: 'hire',
		provided: 'provided',
		own: 'own',
		mend: 'repair'
	};
	/** What is taken counts as assumed from now on, in this plan and in all others. */
	const take = (rung: Rung | null, ids: readonly string[]): Promise<void> => {
		const [moment] = rung?.solves ?? [];
		return decide(
			ids.flatMap((id) => {
				const offer = byId.get(id);
				if (!offer) return [];
				const { typeId, name, from, cost, days } = offer;
				const because = moment ? becauseWords(moment, trip) : '';
				return [{ typeId, name, decided: 'get', way: WAY_OF[from] ?? 'buy', cost, days, because }];
			})
		);
	};
	const decline = (id: string, refusal: Refusal): Promise<void> => {
		const { typeId, name, cost, days } = byId.get(id)!;
		return decide([{ typeId, name, decided: 'decline', refusal, cost, days }]);
	};
	const decide = (list: object[]): Promise<void> => settle(() => send('POST', address, { decisions: list }));
	const progressWords = $derived(
		progress === null
			? ''
			: progress.task === 'planning'
				? `Planning what was found, ${progress.done} of ${progress.total || '…'} days`
				: 'Trying what could be got'
	);
</script>

<section class="get no-print" aria-labelledby="what-to-get">
	<div class="ask">
		<h2 id="what-to-get">What to get</h2>
		<span class="soft">at</span>
		<Choice
			bare
			id="price-level"
			label="Prices"
			bind:value={level}
			options={PRICE_LEVELS}
			words={LEVEL_WORDS}
		/>
		<span class="soft">prices</span>
		<Button onclick={ask} disabled={progress !== null}>Work out what to get</Button>
		<Button class="quiet" onclick={asked.stop} disabled={progress === null}>Stop</Button>
		<span role="status" aria-label="Working out what to get">
			{#if progress}
				<progress max={Math.max(1, progress.total)} value={progress.done} aria-label={progressWords}
				></progress>
				{progressWords}
			{/if}
		</span>
	</div>
	{#if trouble}<p class="trouble" role="alert">{trouble}</p>{/if}
	<Decided
		{decisions}
		{declined}
		{firstDate}
		busy={saving}
		there={(typeId, isThere) => void settle(() => send('PATCH', `${address}/${typeId}`, { isThere }))}
		takeBack={(typeId) => void settle(() => send('DELETE', `${address}/${typeId}`))}
	/>
	{#if answer}
		{#if isOld}<p class="soft" role="status">Something has changed since: work it out again.</p>{/if}
		<p class="lead">{nowSentence(answer, who)}</p>
		{#each answer.cannotStartWithout as need, i (i)}
			<p class="start">{startSentence(need, trip, nameOf, who)}</p>
		{/each}
		<ol>
			{#each answer.ladder as rung, i (i)}
				<li>
					<p class="rung">{rungSentence(rung, nameOf, who)}</p>
					<p class="soft small">
						{costSentence(rung, answer.cannotStartWithout.length > 0, units)}
						{insteadSentences(rung, nameOf).join(' ')}
					</p>
					<details>
						<summary>
							{rung.solves.length === 1 ? 'The moment' : `The ${rung.solves.length} moments`} that are better then
						</summary>
						<ul>
							{#each rung.solves as moment, m (m)}<li>{solvedSentence(moment, trip)}</li>{/each}
						</ul>
					</details>
					<div class="decide">
						<Button disabled={saving || isOld} onclick={() => take(rung, idsOf(rung))}>
							{who} gets {idsOf(rung).length === 1 ? 'it' : 'these'}
						</Button>
						{#each rung.add.filter((id) => isNewOn(i, id)) as id (id)}
							<Refuse name={nameOf(id)} disabled={saving || isOld} refuse={(why) => void decline(id, why)} />
						{/each}
					</div>
				</li>
			{/each}
		</ol>
		{#each endSentences(answer) as sentence (sentence)}<p class="soft">{sentence}</p>{/each}
		<p class="tiny soft">
			Prices are those of the house, or a first guess for buying new, at the level chosen above; what the
			operator provides costs nothing. What {who} gets is in the kit as assumed until somebody has seen it.
		</p>
	{/if}
</section>

<style>
	.get {
		margin-top: 8px;
		display: grid;
		gap: 8px;
	}
	.ask {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 12px;
		align-items: center;
		min-height: 34px;
	}
	progress {
		width: 140px;
		height: 10px;
		accent-color: var(--ink);
	}
	.lead {
		font-size: 17px;
	}
	.start {
		border-left: 5px solid var(--v-short);
		padding: 2px 12px;
	}
	ol {
		display: grid;
		gap: 12px;
		padding-left: 0;
		list-style: none;
	}
	ol > li {
		border-left: 5px solid var(--v-right);
		padding: 2px 12px;
		display: grid;
		gap: 4px;
		justify-items: start;
	}
	.rung {
		font-size: 17px;
		line-height: 1.3;
	}
	.decide {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 14px;
		align-items: center;
	}
	ul {
		padding-left: 14px;
		font-size: 15px;
	}
	.trouble {
		border-left: 5px solid var(--v-short);
		padding: 3px 12px;
	}
</style>
