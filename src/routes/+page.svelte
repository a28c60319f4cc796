<script lang="ts">
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { goto, invalidate } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import { daysBetween } from '$lib/core/patterns/edit-days';
	import FileButton from '$lib/ui/parts/FileButton.svelte';
	import { nextStep } from '$lib/formats/next-step';
	import { monthAndYear, shortDate } from '$lib/words/labels';
	import Choice from '$lib/ui/parts/Choice.svelte';
	import Field from '$lib/ui/parts/Field.svelte';
	import { listAddress, searchList } from '$lib/ui/lists/list-address';
	import Pages from '$lib/ui/lists/Pages.svelte';
	import UndoBar from '$lib/ui/parts/UndoBar.svelte';
	import { send } from '$lib/ui/parts/send';

	let { data } = $props();

	// svelte-ignore state_referenced_locally
	let search = $state(data.question.search);
	let name = $state('');
	let placeId = $state<string>();
	let likeTripId = $state<string>();
	let firstDate = $state('');
	let errors = $state<Record<string, string>>({});
	let message = $state('');
	let removed = $state<{ id: string; name: string } | null>(null);

	const over = $derived(data.question.when === 'past');

	/** Trips to start from, asked for when somebody comes to the form. */
	let past = $state.raw<{ id: string; name: string; firstDate: string }[]>([]);
	async function loadPast(): Promise<void> {
		if (past.length > 0) return;
		const response = await fetch('/api/v1/trips/past').catch(() => null);
		if (response?.ok) past = ((await response.json()) as { trips: typeof past }).trips;
	}

	async function create(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const place = data.places.find(({ id }) => id === placeId);
		const answer = await send<{ id: string }>('POST', '/api/v1/trips', {
			name,
			...(place && {
				place: place.name,
				site: {
					placeId: place.id,
					latitudeDeg: place.latitudeDeg,
					longitudeDeg: place.longitudeDeg,
					utcOffsetMin: place.utcOffsetMin
				}
			}),
			...(likeTripId && { likeTripId }),
			...(likeTripId && firstDate && { firstDate })
		});
		errors = answer.errors;
		message = answer.ok ? '' : answer.message;
		if (answer.data) await goto(`/trips/${answer.data.id}`);
	}
	/** A trip that was saved as a file becomes a new one here. */
	async function openFile(file: File): Promise<void> {
		const document = (await file
			.text()
			.then(JSON.parse)
			.catch(() => null)) as object | null;
		if (!document) {
			message = `${file.name} is no trip that was saved from here.`;
			return;
		}
		const answer = await send<{ id: string }>('POST', '/api/v1/trips/document', document);
		message = answer.ok ? '' : `${file.name} cannot be opened: ${answer.message}`;
		if (answer.data) await goto(`/trips/${answer.data.id}`);
	}
	async function remove(trip: { id: string; name: string }): Promise<void> {
		const answer = await send('DELETE', `/api/v1/trips/${trip.id}`);
		message = answer.message;
		if (answer.ok) removed = trip;
		await invalidate('app:season');
	}
	async function restore(): Promise<void> {
		if (removed) await send('POST', `/api/v1/trips/${removed.id}/restore`);
		removed = null;
		await invalidate('app:season');
	}
	/** "in 9 days", the way one counts before a departure. */
	function away(date: string): string {
		const days = daysBetween(data.question.today, date);
		if (days === 0) return 'today';
		if (days === 1) return 'tomorrow';
		if (days < 0) return over ? '' : 'under way';
		return days < 60 ? `in ${days} days` : `in ${Math.round(days / 30.4)} months`;
	}
	/** The month in which a trip leaves, said once over its trips. */
	const monthOf = (date: string | null): string => (date === null ? 'No days yet' : monthAndYear(date));
</script>

<svelte:head><title>Trips · Snug Summit</title></svelte:head>

<div class="page">
	<section aria-labelledby="trips-head">
		<div class="over">
			<h1 id="trips-head">{over ? 'Trips that are over' : 'What leaves next'}</h1>
			<div class="search">
				<Field
					id="trip-search"
					label="Search trip, place or client"
					bind:value={search}
					onchange={() => searchList(search)}
					placeholder="Tarn, Skarn, Runa …"
				/>
			</div>
			<nav aria-label="Which trips">
				<a href={listAddress({ when: null, page: null })} aria-current={over ? undefined : 'page'}>Ahead</a>
				<a href={listAddress({ when: 'past', page: null })} aria-current={over ? 'page' : undefined}>Over</a>
			</nav>
		</div>
		{#if removed}<UndoBar text="{removed.name} is deleted." undo={restore} />{/if}
		{#if data.trips.length === 0}
			<p class="empty">
				{#if data.question.search}
					Nothing has “{data.question.search}” in its name, place or clients.
				{:else if over}
					No trip is over yet.
				{:else}
					No trip ahead. Give the first one a name, here on the right.
				{/if}
			</p>
		{/if}
		<ol>
			{#each data.trips as trip, i (trip.id)}
				{@const step = nextStep(trip)}
				{#if i === 0 || data.trips[i - 1]!.firstDate?.slice(0, 7) !== trip.firstDate?.slice(0, 7)}
					<li class="month">{monthOf(trip.firstDate)}</li>
				{/if}
				<li class="trip">
					<div class="when">
						{#if trip.firstDate}
							<span>{shortDate(trip.firstDate, readerUnits())}</span>
							<span class="soft small">{away(trip.firstDate)}</span>
						{/if}
					</div>
					<div class="what">
						<h2><a href="/trips/{trip.id}">{trip.name}</a></h2>
						<p class="soft small">
							{[trip.place, trip.stages > 0 ? `${trip.stages} ${trip.stages === 1 ? 'day' : 'days'}` : '']
								.filter((part) => part !== '')
								.join(' · ')}
						</p>
					</div>
					<ul aria-label="Layer plans of {trip.name}">
						{#each trip.clients as client (client.id)}
							<li>
								<a href="/trips/{trip.id}/plan/{client.id}" class={client.asked ? undefined : 'unasked'}
									>{client.name}</a
								>
							</li>
						{:else}
							<li class="soft small">nobody yet</li>
						{/each}
						{#if trip.clientCount > trip.clients.length}
							<li><a href="/trips/{trip.id}#clients">{trip.clientCount - trip.clients.length} more</a></li>
						{/if}
					</ul>
					<p class="step">
						<span class="tiny soft">next</span>
						<a href={step.url}>{step.words}</a>
					</p>
					<Button class="quiet small" onclick={() => remove(trip)}
						>delete<span class="visually-hidden"> {trip.name}</span></Button
					>
				</li>
			{/each}
		</ol>
		<Pages
			question={data.question}
			total={data.total}
			what="trips"
			address={(to) => listAddress({ page: String(to) })}
		/>
	</section>

	<form
		onsubmit={create}
		onfocusin={loadPast}
		onpointerenter={loadPast}
		class="new"
		aria-labelledby="new-head"
	>
		<h2 id="new-head">A new trip</h2>
		<Field
			id="trip-name"
			label="What it is called"
			bind:value={name}
			error={errors.name}
			placeholder="Four huts in March"
		/>
		<Choice
			id="trip-place"
			label="Where"
			none="somewhere else"
			options={data.places.map(({ id }) => id)}
			words={Object.fromEntries(data.places.map((place) => [place.id, place.name]))}
			bind:value={placeId}
		/>
		<Choice
			id="trip-like"
			label="Start from"
			none="an empty trip"
			options={past.map(({ id }) => id)}
			words={Object.fromEntries(past.map((trip) => [trip.id, `${trip.name}, ${trip.firstDate.slice(0, 4)}`]))}
			bind:value={likeTripId}
		/>
		{#if likeTripId}
			<Field
				id="trip-first"
				type="date"
				label="Its first day"
				bind:value={firstDate}
				error={errors.firstDate}
			/>
		{/if}
		<Button type="submit" class="main">Make the trip</Button>
		<FileButton
			label="Open a saved trip"
			accept=".json,application/json"
			take={(file) => void openFile(file)}
		/>
		{#if message}<p role="alert" class="small">{message}</p>{/if}
	</form>
</div>

<style>
	.page {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 260px;
		gap: 40px;
		align-items: start;
	}
	.over {
		display: flex;
		flex-wrap: wrap;
		gap: 10px 24px;
		align-items: end;
		border-bottom: 2px solid var(--ink);
		padding-bottom: 12px;
	}
	.search {
		flex: 1;
		min-width: 200px;
		max-width: 360px;
		margin-left: auto;
	}
	.over nav {
		display: flex;
		border: 1px solid var(--ink);
		border-radius: 3px;
	}
	.over nav a {
		padding: 5px 14px;
		text-decoration: none;
	}
	.over nav a[aria-current] {
		background: var(--ink);
		color: var(--sheet);
	}
	.month {
		font-size: 14px;
		color: var(--soft);
		padding: 14px 0 3px;
	}
	.trip {
		display: grid;
		grid-template-columns: 104px minmax(0, 1.25fr) minmax(0, 1fr) minmax(0, 0.95fr) auto;
		gap: 4px 20px;
		padding: 10px 0;
		border-top: 1px solid var(--rule);
		align-items: start;
	}
	.when {
		display: flex;
		flex-direction: column;
		font-variant-numeric: tabular-nums;
		line-height: 1.3;
	}
	.trip ul {
		display: flex;
		flex-wrap: wrap;
		gap: 1px 14px;
		font-size: 15px;
	}
	.unasked {
		text-decoration-style: dashed;
		color: var(--soft);
	}
	.step {
		border-left: 4px solid var(--ink);
		padding-left: 10px;
		font-size: 15px;
		line-height: 1.3;
	}
	.step span {
		display: block;
	}
	.new {
		display: grid;
		gap: 12px;
		border-top: 3px solid var(--ink);
		padding-top: 12px;
	}
	.empty {
		font-size: 18px;
		max-width: 44ch;
		padding: 18px 0;
	}
	@media (max-width: 960px) {
		.page {
			grid-template-columns: minmax(0, 1fr);
		}
		.trip {
			grid-template-columns: 104px minmax(0, 1fr) auto;
		}
		.trip ul,
		.step {
			grid-column: 2 / -1;
		}
	}
	@media (max-width: 520px) {
		.trip {
			grid-template-columns: minmax(0, 1fr) auto;
		}
		.when {
			grid-column: 1 / -1;
			flex-direction: row;
			gap: 10px;
		}
		.trip ul,
		.step {
			grid-column: 1 / -1;
		}
	}
</style>
