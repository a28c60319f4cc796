<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { copyName, dayName } from '$lib/words/days';
	import { usualNote, weatherMeaning } from '$lib/words/weathers';
	import { beforeNavigate, goto, invalidate } from '$app/navigation';
	import { onDestroy, tick } from 'svelte';
	import { type KnownBase, usualBase } from '$lib/core/weather/climate';
	import {
		copyOfStage,
		daysBetween,
		inOrder,
		nextStage,
		shifted,
		withKnown,
		type Following,
		sameFollowing
	} from '$lib/core/patterns/edit-days';
	import type { Stage, Trip } from '$lib/core/document/types';
	import { cautionsOf } from '$lib/core/rules/cautions';
	import type { Cell } from '$lib/core/conditions/cells';
	import Cautions from '$lib/ui/trip/drawing/Cautions.svelte';
	import { Comparison } from '$lib/ui/group/comparison.svelte';
	import DayStrip from '$lib/ui/trip/drawing/DayStrip.svelte';
	import TripPeople from '$lib/ui/trip/TripPeople.svelte';
	import TripHead from '$lib/ui/trip/TripHead.svelte';
	import { normalsFor } from '$lib/ui/trip/normals-for';
	import ForecastBar from '$lib/ui/trip/ForecastBar.svelte';
	import OncePageLives from '$lib/ui/late/OncePageLives.svelte';
	import StagePanel from '$lib/ui/trip/StagePanel.svelte';
	import TripClients from '$lib/ui/trip/TripClients.svelte';
	import TripDrawing from '$lib/ui/trip/drawing/TripDrawing.svelte';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { TripEditor } from '$lib/ui/trip/trip-editor.svelte';
	import { stageView, type StageView } from '$lib/ui/trip/drawing/trip-view';

	let { data } = $props();

	// The page edits a copy of its own; what the server has comes in again only when a conflict is settled.
	// svelte-ignore state_referenced_locally
	const editor = new TripEditor(data.trip, readerUnits);
	const comparison = new Comparison();
	onDestroy(() => comparison.end());

	let from = $state(0);
	let to = $state(0);
	let weather = $state(0);
	let asTable = $state(false);
	let foul = $state(false);
	let isSchoolsOpen = $state(false);
	const trip = $derived(editor.trip);
	const at = $derived(Math.min(from, trip.stages.length - 1));
	const weatherAt = $derived(Math.min(weather, trip.weathers.length - 1));

	/**
	 * What every day is like; a day that did not change is not computed again. While a figure is out of its range the last
	 * good view of the day stays.
	 */
	const known = new Map<string, { key: string; view: StageView }>();
	const views = $derived.by(() => {
		const { stages, weathers, site } = editor.now;
		return stages.flatMap((stage, i) => {
			const inFoul = foul && i === at;
			const key = JSON.stringify([stage, weathers, site, inFoul]);
			const before = known.get(stage.id);
			if (before?.key !== key) {
				try {
					known.set(stage.id, { key, view: stageView(stage, weathers, site, inFoul) });
				} catch {
					// The server names the figure when it is saved.
				}
			}
			return known.get(stage.id)?.view ?? [];
		});
	});
	const shown = $derived(views.slice(from, Math.max(from, to) + 1));
	const cells = $derived.by(() => {
		const byPhase = new Map<string, Cell>();
		for (const cell of views[at]?.cells[weatherAt] ?? []) {
			if (!byPhase.has(cell.phaseId)) byPhase.set(cell.phaseId, cell);
		}
		return byPhase;
	});
	/** Of several days together the worst of each kind is said. */
	const cautions = $derived.by(() => {
		if (shown.length <= 1) return shown[0]?.cautions[weatherAt] ?? [];
		const stage = { ...shown[0]!.stage, terrain: [...new Set(shown.flatMap((view) => view.stage.terrain))] };
		return cautionsOf({
			stage,
			site: editor.now.site,
			cells: shown.flatMap((view) => view.cells[weatherAt] ?? [])
		});
	});

	function changed(key = ''): void {
		performance.mark('edit');
		editor.changed(key);
		void tick().then(() => performance.measure('the drawing answers an edit', 'edit'));
	}
	function setStages(stages: Stage[]): void {
		editor.trip.stages = stages;
		changed();
	}
	function pick(first: number, last = first): void {
		from = first;
		to = last;
		foul = false;
	}
	function showWeather(index: number): void {
		weather = index;
		void compare();
	}

	/** The trip as it was when the page was opened, or when somebody said so: what changes are told against. */
	// svelte-ignore state_referenced_locally
	let reference = $state.raw(structuredClone(data.trip));
	let compared = $state('');
	async function compare(): Promise<void> {
		const now = $state.snapshot(editor.trip) as Trip;
		if (data.clients.length === 0 || now.stages.length === 0) return;
		compared = `Against ${reference.weathers[0]!.name.toLowerCase()} as ${referenceWords}: ${now.weathers[weatherAt]!.name.toLowerCase()} as it stands, best outfit with best outfit.`;
		const sideOf = (side: Trip, weatherId: string) => ({ trip: side, weatherId });
		await comparison.run({
			before: sideOf(reference, reference.weathers[0]!.id),
			after: sideOf(now, now.weathers[weatherAt]!.id),
			wishes: data.wishes
		});
	}
	let referenceWords = $state('the page was opened');
	function takeAsReference(): void {
		reference = $state.snapshot(editor.trip) as Trip;
		referenceWords = 'last agreed';
		comparison.reset();
		weather = 0;
	}
	/** Puts what is known of some days into them. */
	const putKnown = (known: Map<number, KnownBase>): void =>
		setStages(stagesNow().map((stage, i) => (known.has(i) ? withKnown(stage, known.get(i)!) : stage)));
	function applyKnown(known: Map<number, KnownBase>): void {
		putKnown(known);
		void compare();
	}

	const newId = (): string => crypto.randomUUID();
	const stagesNow = (): Stage[] => $state.snapshot(editor.trip.stages) as Stage[];
	function addStage(): void {
		const stages = stagesNow();
		const today = new Date().toISOString().slice(0, 10);
		const home = data.places.find(({ id }) => id === editor.trip.site?.placeId)?.altitudeM;
		setStages([
			...stages,
			nextStage({ id: newId(), name: dayName(stages.length + 1) }, stages.at(-1), today, home)
		]);
		pick(stages.length);
		if (stages.length === 0) void fillUsual([0]);
	}
	function copyStage(): void {
		const stages = stagesNow();
		const copy = copyOfStage(stages[at]!, copyName(stages[at]!.name), newId);
		setStages([...stages.slice(0, at + 1), copy, ...shifted(stages.slice(at + 1), 1)]);
		pick(at + 1);
	}
	const follow = (what: Following): void => setStages(sameFollowing(stagesNow(), at, what));
	function removeStage(): void {
		const gone = at;
		setStages(editor.trip.stages.filter((_, i) => i !== gone));
		pick(Math.max(0, gone - 1));
	}
	function reorder(stages: Stage[]): void {
		const id = editor.trip.stages[at]?.id;
		setStages(inOrder(stages, stagesNow()));
		const to = stages.findIndex((stage) => stage.id === id);
		pick(Math.max(0, to));
	}
	function startOn(date: unknown): void {
		const first = editor.trip.stages[0]?.date;
		if (!first || !/^\d{4}-\d\d-\d\d$/.test(String(date))) return;
		const days = daysBetween(first, String(date));
		if (days !== 0) setStages(shifted(stagesNow(), days));
	}
	/** Puts in what is usual at the trip's place for some days. */
	async function fillUsual(indexes: readonly number[]): Promise<void> {
		const place = data.places.find(({ id }) => id === editor.trip.site?.placeId);
		if (!place) return;
		const known = new Map<number, KnownBase>();
		for (const i of indexes) {
			const normals = await normalsFor(place, editor.trip.stages[i]!.date);
			if (normals) known.set(i, usualBase(place, normals, usualNote(place, normals, data.climateName)));
		}
		putKnown(known);
	}
	beforeNavigate(({ cancel, to: target, willUnload }) => {
		if (editor.isSaved()) return;
		cancel();
		if (willUnload || !target) return;
		void editor.save().then((saved) => {
			if (saved || confirm('This trip has changes that cannot be saved. Leave without them?')) {
				if (!saved) editor.state = 'saved';
				void goto(target.url);
			}
		});
	});
	function onkeydown(event: KeyboardEvent): void {
		if (!event.ctrlKey && !event.metaKey) return;
		const key = event.key.toLowerCase();
		if (key === 's') void editor.save();
		else if (key === 'z' && event.shiftKey) editor.redo();
		else if (key === 'z') editor.undo();
		else return;
		event.preventDefault();
	}
	/** The day in which the server found a fault is shown, and the field gets the focus. */
	$effect(() => {
		const index = Object.keys(editor.errors)
			.map((field) => /^stages\.(\d+)/.exec(field)?.[1])
			.find((found) => found !== undefined);
		if (index !== undefined && Number(index) !== at) pick(Number(index));
	});
</script>

<svelte:window {onkeydown} />
<svelte:head><title>{trip.name} · Snug Summit</title></svelte:head>

<TripPeople tripId={trip.id} clients={data.clients} />
<TripHead {editor} places={data.places} {changed} {startOn} />

<OncePageLives>
	{#snippet before()}<div class="later soft">{trip.stages.map(({ name }) => name).join(' · ')}</div>{/snippet}
	{#if trip.stages.length > 0}
		<section class="picture sheet" aria-label="What it will be like">
			<div class="switches">
				<div class="weathers" role="radiogroup" aria-label="Weather">
					{#each trip.weathers as one, i (one.id)}
						<Button role="radio" aria-checked={i === weatherAt} onclick={() => showWeather(i)}
							>{one.name}</Button
						>
					{/each}
				</div>
				<p class="small soft meaning">{weatherMeaning(trip.weathers[weatherAt]!, readerUnits())}</p>
				<div class="views no-print">
					{#if trip.stages.length > 1}
						<Button
							class="quiet small"
							aria-pressed={from === 0 && to === trip.stages.length - 1}
							onclick={() => pick(0, trip.stages.length - 1)}>Whole trip</Button
						>
					{/if}
					<Button class="quiet small" aria-pressed={asTable} onclick={() => (asTable = !asTable)}
						>As a table</Button
					>
				</div>
			</div>
			<TripDrawing
				views={shown}
				weathers={trip.weathers}
				weather={weatherAt}
				name={shown.length === 1 ? shown[0]!.stage.name : trip.name}
				pick={(first, last) => pick(from + first, from + last)}
				{asTable}
			/>
			<Cautions {cautions} label="Cautions" />
		</section>
	{/if}

	<DayStrip
		stages={trip.stages}
		{views}
		weather={weatherAt}
		{from}
		{to}
		pick={(index) => pick(index)}
		{reorder}
		add={addStage}
	/>
	{#if trip.stages[at]}
		<StagePanel
			bind:stage={() => editor.trip.stages[at]!, (stage) => (editor.trip.stages[at] = stage)}
			before={trip.stages[at - 1] ?? null}
			path="stages.{at}"
			errors={editor.errors}
			{cells}
			bind:foul
			house={data.patterns}
			onchange={changed}
			copy={copyStage}
			remove={removeStage}
			follow={at < trip.stages.length - 1 ? follow : null}
			usual={trip.site?.placeId ? () => void fillUsual([at]) : null}
			patternsChanged={() => invalidate('app:trip')}
		>
			<ForecastBar tripId={trip.id} stages={trip.stages} {at} site={trip.site} apply={applyKnown} />
		</StagePanel>
	{:else}
		<p class="empty">
			No day yet. <Button class="quiet" onclick={addStage}>Add the first day</Button>, then choose a pattern
			for it.
		</p>
	{/if}

	<details class="schools no-print" bind:open={isSchoolsOpen}>
		<summary
			>How this trip does it
			<span class="small soft"
				>{Object.keys(trip.schools ?? {}).length === 0 ? 'as the house' : 'in its own way'}, where good guides
				disagree</span
			></summary
		>
		<!-- Few open this: what it needs is loaded then. -->
		{#if isSchoolsOpen}
			{#await import('$lib/ui/parts/SchoolChoices.svelte') then { default: SchoolChoices }}
				<SchoolChoices
					chosen={trip.schools ?? {}}
					inherited={data.house}
					from="the house"
					choose={(schools) => {
						editor.trip.schools = schools;
						changed('schools');
					}}
				/>
			{/await}
		{/if}
	</details>
</OncePageLives>
<TripClients tripId={trip.id} clients={data.clients} />
{#if comparison.state !== 'idle'}
	{#await import('$lib/ui/group/WhoChanges.svelte') then { default: WhoChanges }}
		<WhoChanges
			{comparison}
			clients={data.clients}
			stages={trip.stages}
			tripId={trip.id}
			sides={compared}
			weatherId={trip.weathers[weatherAt]!.id}
			onagreed={takeAsReference}
		/>
	{/await}
{/if}

<style>
	.later {
		min-height: 70vh;
	}
	.schools {
		margin-top: 22px;
	}
	.schools summary {
		cursor: pointer;
		font-weight: 600;
		margin-bottom: 10px;
	}
	@media print {
		.picture {
			border: 0;
			padding: 0;
		}
		.weathers :global(button:not([aria-checked='true'])) {
			display: none;
		}
	}
	.picture {
		padding: 10px 14px 12px 6px;
	}
	.switches {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
		align-items: center;
		padding: 0 0 6px 8px;
	}
	.weathers {
		display: flex;
		border: 1px solid var(--ink);
		border-radius: 3px;
	}
	.weathers :global(button) {
		padding: 4px 14px;
		cursor: pointer;
	}
	.weathers :global(button + button) {
		border-left: 1px solid var(--ink);
	}
	.weathers :global([aria-checked='true']) {
		background: var(--ink);
		color: var(--sheet);
	}
	.meaning {
		flex: 1;
		min-width: 200px;
	}
	.views :global([aria-pressed='true']) {
		font-weight: 700;
		text-decoration-thickness: 3px;
	}
	.empty {
		padding: 14px 4px;
		font-size: 17px;
	}
</style>
