<script lang="ts">
	import { Button, Input } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import type { Finding } from '$lib/core/document/finding';
	import { isStartGap } from '$lib/core/remedy/moments';
	import { RIDES } from '$lib/core/kit/list';
	import type { Mark } from '$lib/core/kit/answers';
	import type { LineEdit } from '$lib/core/kit/own-lines';
	import DressedFigure from '$lib/ui/figure/DressedFigure.svelte';
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import ListLines from '$lib/ui/list/ListLines.svelte';
	import { getWords } from '$lib/words/remedy/decision-words';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { send } from '$lib/ui/parts/send';
	import { why } from '$lib/ui/parts/why.svelte';
	import { firstName, longDate, shortName } from '$lib/words/labels';
	import { findingSentence } from '$lib/words/findings';
	import { askedNotes, leaveWords, manyWords, rideWords, smallWords } from '$lib/words/remedy/list-story';
	import { countWords } from '$lib/words/plan-story';
	import { startSentence } from '$lib/words/remedy/remedy-story';

	let { data } = $props();
	const first = $derived(firstName(data.client.name));
	const { trip } = $derived(data);
	const sentenceOf = (finding: Finding): string =>
		findingSentence(finding, {
			who: first,
			nameOf: (id) => shortName(data.names[id] ?? id),
			units: readerUnits()
		});
	const dates = $derived(trip.stages.map(({ date }) => date).sort());
	const dayOf = (finding: Finding): string =>
		trip.stages.find(({ id }) => id === finding.stageId)?.name ?? '';
	/** Shortages are counted under what is to be got. */
	const FEW_CODES: readonly string[] = ['no-spare-gloves', 'spareShades', 'too-few'];
	/** Kinds of which there are too few; those of one thing say so on its line. */
	const few = $derived(data.counts.filter(({ has, needed }) => has !== null && has < needed));
	/** What the trip cannot start without stands above, by itself; what nobody has asked stands among the questions too. */
	const gaps = $derived(
		data.gaps.filter(
			(gap) =>
				!(isStartGap(gap) && gap.code !== 'not-asked') && !(FEW_CODES.includes(gap.code) && few.length > 0)
		)
	);
	const lent = $derived(data.lines.filter(({ thingId }) => data.lentIds.includes(thingId)));
	const hasToGet = $derived(data.toGet.length + lent.length + few.length > 0);
	const startNeeds = $derived(
		data.cannotStart.map((need) =>
			startSentence(need, { stages: trip.stages, weathers: [] }, (id) => id, first)
		)
	);

	let byHand = $state(false);
	let written = $state('');
	let message = $state('');
	const address = $derived(`/api/v1/trips/${trip.id}/plans/${data.client.id}/list`);
	async function change({ lineId, ...edit }: LineEdit): Promise<void> {
		({ message } = await send('PUT', `${address}/${lineId}`, edit));
		await invalidateAll();
	}
	async function tick(lineId: string, mark: Mark): Promise<void> {
		({ message } = await send('POST', `/api/v1/trips/${trip.id}/clients/${data.client.id}/marks`, {
			lineId,
			mark
		}));
		await invalidateAll();
	}
	async function write(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		if (written.trim() === '') return;
		await change({ lineId: `own-${crypto.randomUUID()}`, what: written, many: null, isOff: false });
		if (message === '') written = '';
	}
</script>

<svelte:head><title>{data.client.name}, list · Snug Summit</title></svelte:head>

<div class="no-print bar">
	<a href="/trips/{trip.id}/plan/{data.client.id}">Layer plan</a>
	<a href="/trips/{trip.id}">Trip</a>
	<a href="/clients/{data.client.id}">Kit</a>
	<span class="files">
		Save as <a href="{address}?as=xlsx" download>spreadsheet</a> · <a href="{address}?as=csv" download>CSV</a>
		·
		<a href="/api/v1/trips/{trip.id}/dates" download>calendar</a>
	</span>
	<Button aria-pressed={byHand} onclick={() => (byHand = !byHand)}>Change by hand</Button>
	<Button onclick={() => window.print()}>Print <kbd class="ml-2 text-(--ink)">Ctrl P</kbd></Button>
</div>
{#if message}<p class="no-print" role="alert">{message}</p>{/if}

<article class="sheet">
	<header>
		{#if data.start}
			<div class="dressed">
				<DressedFigure
					phase={data.start}
					nameOf={(id) => shortName(data.names[id] ?? id)}
					who={first}
					height={168}
					id="list"
				/>
				<p class="tiny">{pictureMessage('list.dressed')}</p>
			</div>
		{/if}
		<p class="small">{trip.name}{trip.place ? ` · ${trip.place}` : ''}</p>
		<h1>What {data.client.name} brings</h1>
		{#if dates.length > 0}<p class="small">
				{longDate(dates[0]!, readerUnits())}{dates.length > 1
					? ` to ${longDate(dates.at(-1)!, readerUnits())}`
					: ''}
			</p>{/if}
	</header>

	{#if trip.stages.length === 0 || !data.client.knowsKit}
		<p>
			{data.client.knowsKit ? 'The trip has no days yet.' : `Nothing is known of ${first}’s kit yet.`}
			<a href={data.client.knowsKit ? `/trips/${trip.id}` : `/clients/${data.client.id}`}>Add it first.</a>
		</p>
	{:else}
		{#if startNeeds.length > 0}
			<section class="gaps" aria-labelledby="start-head">
				<h2 id="start-head">Cannot start yet</h2>
				<ul>
					{#each startNeeds as sentence, i (i)}
						<li><span class="box" aria-hidden="true"></span><span>{sentence}</span></li>
					{/each}
				</ul>
			</section>
		{/if}
		{#if hasToGet}
			<section aria-labelledby="get-head">
				<h2 id="get-head">To get</h2>
				<ul>
					{#each data.toGet as one (one.typeId)}
						<li>
							<span class="box" aria-hidden="true"></span>
							<span
								>{shortName(one.name)}
								<span class="small soft">{getWords(one, one.due, readerUnits())}</span></span
							>
						</li>
					{/each}
					{#each lent as { thingId, name } (thingId)}
						<li>
							<span class="box" aria-hidden="true"></span>
							<span>{shortName(name)} <span class="small soft">we lend it</span></span>
						</li>
					{/each}
					{#each few as count (count.kind)}
						<li>
							<span class="box" aria-hidden="true"></span>
							<span>
								<strong class="few">{count.needed - count.has!}</strong> more
								{countWords({ ...count, needed: count.needed - count.has! })}
								<span class="small soft">{first} has {count.has} of {count.needed}</span>
								<Button
									class="quiet small no-print"
									onclick={() =>
										why.open({
											title: `${count.needed} ${countWords(count)}`,
											sentence: `${first} has ${count.has}.`,
											reasons: count.reasons
										})}>why</Button
								>
							</span>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		{#if gaps.length > 0}
			<section class="gaps" aria-labelledby="gaps-head">
				<h2 id="gaps-head">Still to solve</h2>
				<ul>
					{#each gaps as gap, i (i)}
						<li>
							<span class="box" aria-hidden="true"></span>
							<span>
								{sentenceOf(gap)}
								<span class="small soft">{dayOf(gap)}</span>
								<Button
									class="quiet small no-print"
									onclick={() =>
										why.open({ title: 'Still to solve', sentence: sentenceOf(gap), reasons: gap.reasons })}
									>why</Button
								>
							</span>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		{#if data.questions.length > 0}
			<section aria-labelledby="questions-head">
				<h2 id="questions-head">Still to answer</h2>
				<ul>
					{#each data.questions as question, i (i)}
						<li><span class="box" aria-hidden="true"></span><span>{sentenceOf(question)}</span></li>
					{/each}
				</ul>
			</section>
		{/if}
		<div class="groups">
			{#each RIDES as ride (ride)}
				{@const lines = data.lines.filter((line) => line.rides === ride)}
				{#if lines.length > 0}
					<section aria-label={rideWords(ride)}>
						<h2>{rideWords(ride)}</h2>
						<ListLines
							{lines}
							stages={trip.stages}
							lentIds={data.lentIds}
							{byHand}
							marks={data.marks}
							tick={(lineId, mark) => void tick(lineId, mark)}
							change={(edit) => void change(edit)}
						/>
					</section>
				{/if}
			{/each}
			{#if data.asked.length > 0}
				<section aria-labelledby="everybody-head">
					<h2 id="everybody-head">Everybody brings</h2>
					<ul>
						{#each data.asked as row (row.id)}
							<li>
								<span class="box" aria-hidden="true"></span>
								<span>
									{#if row.many > 1}<strong>{manyWords({ many: row.many, has: row.many })}</strong>{/if}
									{row.what}
									<span class="small soft">{askedNotes(row, data.people, readerUnits()).join(' · ')}</span>
								</span>
							</li>
						{/each}
					</ul>
				</section>
			{/if}
			{#if data.small.length > 0}
				<section aria-labelledby="small-head">
					<h2 id="small-head">Small things</h2>
					<ul>
						{#each data.small as thing (thing)}
							<li><span class="box" aria-hidden="true"></span><span>{smallWords(thing)}</span></li>
						{/each}
					</ul>
				</section>
			{/if}
			{#if data.leave.length + data.off.length > 0}
				<section aria-labelledby="leave-head">
					<h2 id="leave-head">Leave at home</h2>
					<ul class="plain">
						{#each data.leave as line (line.thingId)}
							<li>{shortName(line.name)} <span class="small soft">{leaveWords(line.why)}</span></li>
						{/each}
						{#each data.off as line (line.thingId)}
							<li>
								{shortName(line.name)} <span class="small soft">left off by hand</span>
								<Button
									class="quiet small no-print"
									onclick={() => void change({ lineId: line.thingId, what: null, many: null, isOff: false })}
									>put back<span class="visually-hidden">: {line.name}</span></Button
								>
							</li>
						{/each}
					</ul>
				</section>
			{/if}
		</div>
		{#if byHand}
			<form class="no-print write" onsubmit={write}>
				<Input
					bind:value={written}
					maxlength={120}
					aria-label="A line of your own"
					placeholder="A line of your own"
				/>
				<Button type="submit">Add the line</Button>
			</form>
		{/if}
		<footer class="small">
			Start a little cool; the rest rides in the pack. The big coat goes on at the stop, before the chill,
			over everything. Local rules and your guide come first; with an illness, ask a doctor.
		</footer>
	{/if}
</article>

<style>
	.dressed {
		float: right;
		position: relative;
		text-align: center;
		background: var(--sheet);
		padding: 0 0 6px 20px;
	}
	.few {
		color: var(--v-short);
	}
	.bar {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 18px;
		align-items: center;
		max-width: 860px;
		margin: 0 auto 14px;
	}
	.files {
		margin-left: auto;
		font-size: 14px;
	}
	.write {
		display: flex;
		gap: 8px;
		max-width: 460px;
		margin-bottom: 14px;
	}
	article {
		max-width: 860px;
		margin: 0 auto;
		padding: 34px 44px;
	}
	header {
		border-bottom: 3px solid var(--ink);
		padding-bottom: 10px;
		margin-bottom: 16px;
	}
	h1 {
		margin: 2px 0;
	}
	h2 {
		margin-bottom: 5px;
		break-after: avoid;
	}
	section {
		margin-bottom: 18px;
	}
	.groups {
		columns: 2;
		column-gap: 36px;
	}
	.groups section {
		break-inside: avoid-column;
	}
	li {
		display: grid;
		grid-template-columns: 17px 1fr;
		gap: 9px;
		padding: 4px 0;
		border-bottom: 1px solid var(--rule);
		break-inside: avoid;
	}
	.plain li {
		display: block;
	}
	.box {
		width: 15px;
		height: 15px;
		border: 1.6px solid var(--ink);
		margin-top: 4px;
	}
	.gaps {
		border: 2px solid var(--ink);
		padding: 10px 14px 12px;
	}
	footer {
		border-top: 1px solid var(--ink);
		padding-top: 8px;
	}
	@media (max-width: 700px) {
		article {
			padding: 18px 16px;
		}
		.groups {
			columns: 1;
		}
	}
	@media print {
		article {
			border: 0;
			padding: 0;
			max-width: none;
			font-size: 9.5pt;
		}
		.box {
			border-color: #000;
		}
		li {
			border-color: #999;
			padding: 1px 0;
			line-height: 1.25;
		}
		section {
			margin-bottom: 6px;
		}
	}
</style>
