<script lang="ts">
	import { Button } from 'flowbite-svelte';
	// eslint-disable-next-line import-x/no-duplicates
	import { onDestroy, onMount, untrack } from 'svelte';
	// eslint-disable-next-line import-x/no-duplicates -- two doors whose types stand in one file
	import { MediaQuery } from 'svelte/reactivity';
	import { clothOf, wearableThings } from '$lib/core/cloth/things';
	import { isNotAllRight, worstPhase } from '$lib/core/plan/told/summary';
	import { toldDay, toldWeather } from '$lib/core/plan/told/change-story';
	import type { Wish } from '$lib/core/document/wish';
	import { allRightSentence, boundWords, phaseWords, placeWords } from '$lib/words/plan-story';
	import { firstName, longDate, shortName } from '$lib/words/labels';
	import PlanHead from '$lib/ui/plan/PlanHead.svelte';
	import PlanSearch from '$lib/ui/plan/PlanSearch.svelte';
	import OnceNear from '$lib/ui/late/OnceNear.svelte';
	import PlanDay from '$lib/ui/plan/drawing/PlanDay.svelte';
	import DayInWords from '$lib/ui/plan/DayInWords.svelte';
	import { PlanSession } from '$lib/ui/plan/plan-session.svelte';
	import { whyVerdict } from '$lib/ui/plan/why-later';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { send } from '$lib/ui/parts/send';

	let { data } = $props();

	const units = $derived(readerUnits());

	/** On a phone the drawings become one column of phases, which only a phone loads. Until the page stands it is what the server took it for. */
	const query = new MediaQuery('max-width: 760px');
	let stands = $state(false);
	onMount(() => (stands = true));
	const narrow = $derived(stands ? query.current : data.isPhone);
	// A kept plan is drawn by the server already; later ones come with their question.
	// svelte-ignore state_referenced_locally
	const session = new PlanSession(data.kept);
	onDestroy(() => session.end());
	let wishes = $state.raw<Wish[]>([]);
	let spareChanges = $state(0);
	/** Wishes are folded away until there are some, or one is to be made. Kept here, so that a plan that comes in folds nothing. */
	const unfolded = $state({ wishes: false, emergencies: false });
	function toggleWishes(event: MouseEvent): void {
		event.preventDefault();
		unfolded.wishes = !unfolded.wishes;
	}
	let version = 0;
	let trouble = $state('');
	const stage = $derived(data.trip.stages[data.day]);
	const hasKit = $derived(data.client.things.length > 0);
	// What a plan is made of; a look at another day or weather is no new question.
	const question = $derived(JSON.stringify([data.trip, data.client]));
	$effect(() => {
		void question;
		untrack(() => {
			({ wishes, spareChanges, version } = data.wished);
			unfolded.wishes ||= wishes.length > 0 || spareChanges > 0;
			if (!stage || !hasKit) return;
			session.open($state.snapshot(data.trip), $state.snapshot(data.client));
			if (data.kept) session.show(data.kept, wishes, spareChanges);
			else session.plan(wishes, spareChanges);
		});
	});
	$effect(() => {
		if (data.kept) session.showDays(data.kept.days);
		if (stage && session.summary) session.look(stage.id, data.foul);
	});

	let saving: Promise<void> = Promise.resolve();
	/** Plans at once, and keeps what was wished for. */
	function wish(next: Wish[], spare = spareChanges): void {
		const isOtherSetting = spare !== spareChanges;
		wishes = next;
		spareChanges = spare;
		session.trade = isOtherSetting ? session.trade : null;
		session.plan(next, spare);
		const url = `/api/v1/trips/${data.trip.id}/plans/${data.client.id}`;
		saving = saving.then(async () => {
			const answer = await send<{ version: number }>('PUT', url, {
				wishes: next,
				spareChanges: spare,
				version
			});
			trouble = answer.ok ? '' : answer.message;
			if (answer.data) version = answer.data.version;
		});
	}
	function wear(thingId: string, phaseId: string): void {
		if (!stage) return;
		const asked: Wish = { kind: 'wear', thingId, stageId: stage.id, phaseId };
		wish([...wishes.filter((one) => one.thingId !== thingId || one.kind === 'wear'), asked]);
	}

	const planned = $derived(session.days.find((day) => day.weather === data.weather.id) ?? null);
	/** A plan has been drawn once: what is asked below it stays while the next one is worked out. */
	let hasDrawn = $state(false);
	$effect(() => {
		if (planned) hasDrawn = true;
	});
	const phases = $derived(planned?.phases ?? []);
	const names = $derived(new Map(data.client.things.map((thing) => [thing.id, shortName(thing.name)])));
	const nameOf = (id: string): string => names.get(id) ?? id;
	const findings = $derived(planned?.findings ?? []);
	const others = $derived(session.days.filter((day) => day !== planned));
	const first = $derived(firstName(data.client.name));

	const kit = $derived(wearableThings(data.client));
	const told = $derived(planned ? toldDay(planned, kit) : { start: null, changes: [] });
	const toldOthers = $derived(
		planned
			? others.map((other) =>
					toldWeather(planned, other, {
						first: data.weather,
						other: data.trip.weathers.find(({ id }) => id === other.weather)!
					})
				)
			: []
	);

	/** Whether this client is all right, in one sentence. */
	const verdict = $derived.by(() => {
		const { summary } = session;
		if (!summary) return null;
		const bad = summary.phases.filter(isNotAllRight);
		const worst = worstPhase(bad);
		if (!worst) return { ok: true, text: allRightSentence(first) };
		const count = new Set(bad.map(({ stageId, phaseId }) => `${stageId} ${phaseId}`)).size;
		return {
			ok: false,
			text: allRightSentence(first, {
				phase: phaseWords(worst, first),
				place: placeWords(worst, data.trip),
				more: count - 1
			})
		};
	});
	const massOf = (id: string): number => {
		const thing = data.client.things.find((one) => one.id === id);
		return thing ? clothOf(thing).massG : 0;
	};
</script>

<svelte:head><title>{data.client.name}, layer plan · Snug Summit</title></svelte:head>

<PlanHead
	trip={data.trip}
	client={data.client}
	others={data.others}
	day={data.day}
	weather={data.weather}
	foul={data.foul}
/>

{#snippet again()}
	<Button
		class="quiet small no-print"
		disabled={session.state === 'working'}
		onclick={() => session.plan(wishes, spareChanges)}>Work it out again</Button
	>
{/snippet}
{#if !stage}
	<p class="empty">
		There is nothing to plan yet. <a href="/trips/{data.trip.id}">Add the day and its phases</a>.
	</p>
{:else if !hasKit}
	<p class="empty">
		Nothing is known of {first}’s kit. <a href="/clients/{data.client.id}">Ask what {first} owns</a>, and the
		plan draws itself.
	</p>
{:else if session.state === 'failed'}
	<p class="empty" role="alert">
		The plan could not be worked out: {session.message}
		<Button class="quiet" onclick={() => location.reload()}>Try again</Button>
	</p>
{/if}
{#if trouble}<p class="trouble" role="alert">{trouble}</p>{/if}

{#if session.summary && stage && hasKit && planned && phases.length === 0}
	<p class="empty">
		There is nothing to plan yet. <a href="/trips/{data.trip.id}">Add the day and its phases</a>.
	</p>
{:else if session.summary && stage && hasKit && !planned}
	<p class="empty">
		{session.days.length === 0 && session.state === 'done' && session.summary.daysDone < session.summary.days
			? 'This day has no plan yet: the search was stopped before it.'
			: 'Drawing the day …'}
		{@render again()}
	</p>
	<PlanSearch {session} />
{:else if session.summary && planned}
	<div class="sentence">
		{#if verdict}
			<p class="all" class:ok={verdict.ok} role="status" aria-label="Is {first} all right?">{verdict.text}</p>
		{/if}
		<PlanSearch {session} />
	</div>
	<p class="print-only">
		{stage ? longDate(stage.date, units) : ''} · {planned.foul ? 'in foul weather' : stage?.name} · {data
			.weather.name}
	</p>
	{#snippet onPhone(Part: NonNullable<typeof data.PlanPhone>)}
		<Part {phases} {told} client={data.client} {nameOf} onwhy={(phase) => whyVerdict(phase, data.client)} />
	{/snippet}
	{#if narrow && data.PlanPhone}
		{@render onPhone(data.PlanPhone)}
	{:else if narrow}
		{#await import('$lib/ui/plan/PlanPhone.svelte') then { default: PlanPhone }}
			{@render onPhone(PlanPhone)}
		{/await}
	{:else}
		<PlanDay
			{phases}
			others={others.map((day) => ({
				weather: data.trip.weathers.find(({ id }) => id === day.weather)!,
				phases: day.phases
			}))}
			{told}
			{findings}
			{names}
			client={data.client}
			ondropthing={wear}
		/>
	{/if}
	{#snippet more()}
		<DayInWords
			{told}
			day={planned}
			others={toldOthers}
			weathers={data.trip.weathers}
			client={data.client}
			{nameOf}
			bind:emergenciesOpen={unfolded.emergencies}
		/>
	{/snippet}
	{#if narrow}
		<details class="no-print">
			<summary>The whole day in words, and what to look at</summary>
			{@render more()}
			<p class="tiny soft">{boundWords(session.summary)}</p>
		</details>
	{:else}
		{@render more()}
	{/if}
	<details class="wanted no-print" open={unfolded.wishes}>
		<summary onclick={toggleWishes}>Change what {first} wears or takes, and how light the pack is</summary>
		{#if unfolded.wishes}
			{#await Promise.all( [import('$lib/ui/plan/wishes/PlanSetting.svelte'), import('$lib/ui/plan/wishes/WishTray.svelte'), import('$lib/words/asked/price')] ) then [{ default: PlanSetting }, { default: WishTray }, { priceSentence, whyNotSentence }]}
				<PlanSetting
					{spareChanges}
					trade={session.trade}
					onset={(spare) => wish(wishes, spare)}
					onask={() => session.askTrade()}
				>
					<!-- Its line is there before it is known: what stands below must not move under a hand that is about to press. -->
					{#if wishes.length > 0}
						<p role="status" aria-label="Price of the wishes">
							<strong>What the wishes cost:</strong>
							{session.price ? priceSentence(session.price, first, units) : 'not known yet.'}
						</p>
					{/if}
					{#if session.impossible.length > 0}
						<p class="trouble" role="alert">
							Nothing can be found for: {session.impossible.map(({ thingId }) => nameOf(thingId)).join(', ')}.
							The plan is without it.
						</p>
					{/if}
				</PlanSetting>
				<WishTray
					things={data.client.things}
					summary={session.summary}
					{wishes}
					stageId={planned.stageId}
					{phases}
					{massOf}
					asked={session.asked &&
						whyNotSentence(
							nameOf(session.asked.thingId),
							session.asked.place,
							session.asked.price,
							data.trip,
							first,
							units
						)}
					asking={session.asking}
					onwishes={wish}
					onask={(thingId) => session.askWhyNot(thingId)}
				/>
			{/await}
		{/if}
	</details>
	<p class="tiny soft note">
		A plan is advice for a guide who is there: local rules, the guide and, for health, a doctor come first.
		{#if session.state !== 'working'}
			{#if !narrow}<span>{boundWords(session.summary)}</span>{/if}
			{session.isKept
				? 'Nothing has changed since it was worked out.'
				: `Worked out in ${(session.took / 1000).toFixed(1)} s.`}
		{/if}
		{@render again()}
	</p>
{:else if stage && hasKit}
	<PlanSearch {session} />
{/if}
{#snippet whatToGet()}
	<OnceNear height={36}>
		{#await import('$lib/ui/plan/WhatToGet.svelte') then { default: WhatToGet }}
			<WhatToGet trip={data.trip} client={data.client} decisions={data.decisions} prices={data.prices} />
		{/await}
	</OnceNear>
{/snippet}
{#if stage && hasKit && hasDrawn}
	{#if narrow}
		<details class="no-print">
			<summary>What to get</summary>
			{@render whatToGet()}
		</details>
	{:else}
		{@render whatToGet()}
	{/if}
{/if}

<style>
	.all {
		font-size: 20px;
		line-height: 1.25;
		border-left: 8px solid var(--v-short);
		padding: 3px 12px;
		flex: 1 1 60%;
	}
	.sentence {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 20px;
		align-items: center;
		margin: 2px 0 6px;
	}
	.all.ok {
		border-left-color: var(--v-right);
	}
	.trouble {
		border-left: 5px solid var(--v-short);
		padding: 3px 12px;
	}
	.wanted {
		margin-top: 6px;
	}
	summary {
		cursor: pointer;
		font-size: 17px;
		text-decoration: underline;
		text-underline-offset: 3px;
		padding: 4px 0;
	}
	.print-only {
		display: none;
	}
	.empty {
		font-size: 18px;
		padding: 20px 0;
	}
	/* One day, one sheet. */
	@page {
		size: A4 portrait;
		margin: 9mm;
	}
	@media print {
		.print-only {
			display: block;
			font-weight: 600;
		}
		.all {
			font-size: 11.5pt;
			margin: 2px 0 4px;
		}
		.note,
		.wanted {
			display: none;
		}
	}
</style>
