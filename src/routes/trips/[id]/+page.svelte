<script lang="ts">
	import { beforeNavigate, invalidateAll } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import type { Loop, Phase, Stage } from '$lib/core/document/types';
	import { GROUNDS } from '$lib/core/document/types';
	import { cellsOf, type Cell } from '$lib/core/plan/conditions';
	import { PRECIPITATIONS } from '$lib/core/weather/precipitation';
	import { PRECIPITATION_WORDS, clock, longDate } from '$lib/formats/words';
	import Choice from '$lib/ui/Choice.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SequenceRows from '$lib/ui/SequenceRows.svelte';
	import TripClients from '$lib/ui/TripClients.svelte';
	import UndoBar from '$lib/ui/UndoBar.svelte';
	import { PHASE_PRESETS } from '$lib/ui/phase-presets';
	import { send } from '$lib/ui/send';

	let { data } = $props();

	// The page edits a copy of its own; what the server has comes in again only when the page asks for it.
	// svelte-ignore state_referenced_locally
	let trip = $state(structuredClone(data.document.trip));
	let at = $state(0);
	let errors = $state<Record<string, string>>({});
	let message = $state('');
	let saved = $state<'saved' | 'unsaved' | 'saving'>('saved');
	let conflict = $state(false);
	let removed = $state<{ stage: Stage; index: number } | null>(null);
	let startError = $state<string>();

	const stage = $derived(trip.stages[at]);
	/** Conditions by phase. While a figure is out of its range the last good ones stay. */
	let lastGood: Map<string, Cell> = new Map();
	const cells = $derived.by(() => {
		if (!stage) return lastGood;
		try {
			const byPhase = new Map<string, Cell>();
			for (const cell of cellsOf(stage, trip.weathers[0]!)) {
				if (!byPhase.has(cell.phaseId)) byPhase.set(cell.phaseId, cell);
			}
			lastGood = byPhase;
		} catch {
			// The server names the figure when it is saved.
		}
		return lastGood;
	});

	function onchange(): void {
		saved = 'unsaved';
	}

	/** "7:30", "0730" and "7.30" are all half past seven. */
	function setStart(value: unknown): void {
		const [, hours, minutes] = /^\s*(\d{1,2})[:.h]?(\d\d)\s*$/.exec(String(value)) ?? [];
		const start = Number(hours) * 60 + Number(minutes);
		startError = start < 1440 && Number(minutes) < 60 ? undefined : 'a time such as 07:30';
		if (stage && !startError) stage.startMin = start;
	}
	function nextDate(): string {
		const last = trip.stages.at(-1)?.date;
		const date = last ? new Date(`${last}T12:00:00Z`) : new Date();
		if (last) date.setUTCDate(date.getUTCDate() + 1);
		return date.toISOString().slice(0, 10);
	}
	function addStage(): void {
		const last = trip.stages.at(-1);
		trip.stages.push({
			id: crypto.randomUUID(),
			name: `Day ${trip.stages.length + 1}`,
			date: nextDate(),
			startMin: last?.startMin ?? 8 * 60,
			base: last
				? { ...last.base }
				: {
						airTempC: 0,
						altitudeM: 1000,
						lapseKPerKm: 6.5,
						wind10mKmh: 20,
						humidityPct: 70,
						precipitation: 'dry',
						ground: 'bare'
					},
			sequence: []
		});
		at = trip.stages.length - 1;
		onchange();
	}
	function removeStage(): void {
		removed = { stage: $state.snapshot(trip.stages[at]!), index: at };
		trip.stages.splice(at, 1);
		at = Math.max(0, at - 1);
		onchange();
	}
	function undoRemove(): void {
		if (!removed) return;
		trip.stages.splice(removed.index, 0, removed.stage);
		at = removed.index;
		removed = null;
		onchange();
	}
	function addPhase(preset: (typeof PHASE_PRESETS)[number]): void {
		if (!stage) return;
		const phases = stage.sequence.flatMap((item) => (item.type === 'phase' ? [item] : []));
		const phase: Phase = {
			type: 'phase',
			id: crypto.randomUUID(),
			startMin: null,
			altitudeM: phases.at(-1)?.altitudeM ?? stage.base.altitudeM,
			typed: {},
			...preset,
			ownSpeedKmh: preset.ownSpeedKmh ?? 0,
			marks: [...(preset.marks ?? [])]
		};
		stage.sequence.push(phase);
		onchange();
	}
	/** Makes one repeated element of the last phases. */
	function repeatLast(count: number): void {
		if (!stage || stage.sequence.length < count) return;
		const last = stage.sequence.splice(-count, count);
		const loop: Loop = { type: 'loop', id: crypto.randomUUID(), name: 'Loop', count: 4, sequence: last };
		stage.sequence.push(loop);
		onchange();
	}

	async function save(): Promise<void> {
		saved = 'saving';
		const { name, place, weathers, stages, version } = $state.snapshot(trip);
		const answer = await send<{ version: number }>('PUT', `/api/v1/trips/${trip.id}`, {
			name,
			place,
			weathers,
			stages,
			version
		});
		errors = answer.errors;
		message = answer.message;
		conflict = answer.status === 409;
		saved = answer.ok ? 'saved' : 'unsaved';
		if (answer.data) trip.version = answer.data.version;
		else focusFirstError();
		if (answer.ok) await invalidateAll();
	}
	function focusFirstError(): void {
		const stageWithError = Object.keys(errors)
			.map((field) => /^stages\.(\d+)/.exec(field)?.[1])
			.find((index) => index !== undefined);
		if (stageWithError !== undefined) at = Number(stageWithError);
		setTimeout(() => document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
	}
	/** Keeps what is typed here and takes it for an edit of the newest version. */
	async function keepMine(): Promise<void> {
		await invalidateAll();
		trip.version = data.document.trip.version;
		await save();
	}
	async function takeTheirs(): Promise<void> {
		await invalidateAll();
		trip = structuredClone(data.document.trip);
		at = Math.min(at, Math.max(0, trip.stages.length - 1));
		conflict = false;
		message = '';
		saved = 'saved';
	}

	beforeNavigate(({ cancel }) => {
		if (saved === 'unsaved' && !confirm('This trip has changes that are not saved. Leave without them?'))
			cancel();
	});
	function onkeydown(event: KeyboardEvent): void {
		if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 's') {
			event.preventDefault();
			void save();
		}
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>{trip.name} · Snug Summit</title></svelte:head>

<h1 class="visually-hidden">{trip.name}</h1>
<div class="head">
	<div class="names">
		<Field id="name" label="Trip" bind:value={trip.name} error={errors.name} {onchange} class="wide" />
		<Field id="place" label="Where" bind:value={trip.place} error={errors.place} {onchange} />
	</div>
	<div class="save">
		<span role="status" class="small soft"
			>{saved === 'saved' ? 'All saved' : saved === 'saving' ? 'Saving …' : 'Not saved yet'}</span
		>
		<Button onclick={save} disabled={saved === 'saving'}>Save <kbd class="ml-2">Ctrl S</kbd></Button>
	</div>
</div>
{#if message}
	<div role="alert" class="alert">
		<p>{message}</p>
		{#if conflict}
			<button class="quiet" onclick={keepMine}>Save mine over it</button>
			<button class="quiet" onclick={takeTheirs}>Take what is there, drop mine</button>
		{/if}
	</div>
{/if}

<div class="days">
	<div role="tablist" aria-label="Days">
		{#each trip.stages as day, i (day.id)}
			<button
				role="tab"
				id="day-{i}"
				aria-selected={i === at}
				aria-controls="day-panel"
				onclick={() => (at = i)}
			>
				<span class="tiny">{longDate(day.date)}</span>
				<span>{day.name}</span>
			</button>
		{/each}
	</div>
	<button class="add" onclick={addStage}>+ Add a day</button>
</div>
{#if removed}<UndoBar text="“{removed.stage.name}” is taken out." undo={undoRemove} />{/if}

{#if stage}
	{@const base = `stages.${at}.base`}
	<div id="day-panel" role="tabpanel" aria-labelledby="day-{at}" class="sheet">
		<div class="base">
			<Field
				id="stage-name"
				label="Day"
				bind:value={stage.name}
				error={errors[`stages.${at}.name`]}
				{onchange}
				class="wide"
			/>
			<Field
				id="stage-date"
				type="date"
				label="Date"
				bind:value={stage.date}
				error={errors[`stages.${at}.date`]}
				{onchange}
			/>
			<Field
				id="stage-start"
				label="Start"
				placeholder="07:30"
				bind:value={() => clock(stage.startMin), setStart}
				error={startError ?? errors[`stages.${at}.startMin`]}
				{onchange}
			/>
			<Field
				id="base-temp"
				type="number"
				label="Air"
				unit="°C"
				bind:value={stage.base.airTempC}
				error={errors[`${base}.airTempC`]}
				{onchange}
			/>
			<Field
				id="base-alt"
				type="number"
				label="measured at"
				unit="m"
				bind:value={stage.base.altitudeM}
				error={errors[`${base}.altitudeM`]}
				{onchange}
			/>
			<Field
				id="base-lapse"
				type="number"
				label="colder per 1000 m"
				unit="K"
				bind:value={stage.base.lapseKPerKm}
				error={errors[`${base}.lapseKPerKm`]}
				{onchange}
			/>
			<Field
				id="base-wind"
				type="number"
				label="Wind at 10 m"
				unit="km/h"
				bind:value={stage.base.wind10mKmh}
				error={errors[`${base}.wind10mKmh`]}
				{onchange}
			/>
			<Field
				id="base-rh"
				type="number"
				label="Humidity"
				unit="%"
				bind:value={stage.base.humidityPct}
				error={errors[`${base}.humidityPct`]}
				{onchange}
			/>
			<Choice
				id="base-wet"
				label="Rain or snow"
				bind:value={stage.base.precipitation}
				options={PRECIPITATIONS}
				words={PRECIPITATION_WORDS}
				{onchange}
			/>
			<Choice
				id="base-ground"
				label="Underfoot"
				bind:value={stage.base.ground}
				options={GROUNDS}
				{onchange}
			/>
		</div>

		<table>
			<caption class="visually-hidden">Phases of {stage.name}</caption>
			<thead>
				<tr>
					<th scope="col">Start</th><th scope="col" class="name">Phase</th><th scope="col">Kind</th><th
						scope="col">Minutes</th
					>
					<th scope="col">Altitude m</th><th scope="col">Place</th><th scope="col">Effort W/m²</th><th
						scope="col">Own speed km/h</th
					>
					<th scope="col">Air °C</th><th scope="col">Wind km/h</th><th scope="col">Rain, snow</th><th
						scope="col">Feels</th
					><th scope="col">Marks, order</th>
				</tr>
			</thead>
			<tbody>
				<SequenceRows
					bind:sequence={stage.sequence}
					{cells}
					path="stages.{at}.sequence"
					{errors}
					{onchange}
				/>
			</tbody>
		</table>
		{#if stage.sequence.length === 0}
			<p class="empty">What happens on this day? Add its phases in the order in which they are lived.</p>
		{/if}
		<div class="presets" role="group" aria-label="Add a phase">
			<span class="small soft">Add</span>
			{#each PHASE_PRESETS as preset (preset.name)}
				<button onclick={() => addPhase(preset)}>{preset.name}</button>
			{/each}
			{#if stage.sequence.length >= 2}
				<span class="small soft">· repeat the last</span>
				{#each [2, 3] as count (count)}
					{#if stage.sequence.length >= count}<button onclick={() => repeatLast(count)}>{count} phases</button
						>{/if}
				{/each}
			{/if}
			<button class="quiet small remove" onclick={removeStage}>Take this day out</button>
		</div>
		<p class="tiny soft note">
			Air, wind and rain are computed from the day and the altitude until something is typed; a typed figure
			wins and is marked. Empty the field to compute it again. <kbd>Alt</kbd> <kbd>↑</kbd> <kbd>↓</kbd> moves a
			phase.
		</p>
	</div>
{:else}
	<p class="empty">No day yet. <button class="quiet" onclick={addStage}>Add the first day</button></p>
{/if}

<TripClients tripId={trip.id} clients={data.document.clients} everybody={data.clients} />

<style>
	.head {
		display: flex;
		justify-content: space-between;
		align-items: end;
		gap: 24px;
		margin-bottom: 14px;
	}
	.names {
		display: grid;
		grid-template-columns: minmax(260px, 460px) 220px;
		gap: 14px;
		flex: 1;
	}
	.names :global(.wide input) {
		font-family: var(--font-head);
		font-size: 20px;
	}
	.save {
		display: flex;
		gap: 14px;
		align-items: center;
	}
	.save :global(kbd) {
		color: var(--ink);
	}
	.alert {
		border-left: 5px solid var(--v-short);
		background: var(--sheet);
		padding: 8px 14px;
		margin-bottom: 12px;
	}
	.days,
	.days [role='tablist'] {
		display: flex;
		flex-wrap: wrap;
		gap: 4px;
		margin-bottom: -1px;
	}
	.days button {
		display: flex;
		flex-direction: column;
		align-items: start;
		border: 1px solid var(--rule);
		border-bottom-color: transparent;
		border-radius: 3px 3px 0 0;
		padding: 5px 14px 6px;
		cursor: pointer;
		background: transparent;
	}
	.days button[aria-selected='true'] {
		background: var(--sheet);
		box-shadow: inset 0 3px 0 var(--ink);
		position: relative;
	}
	.days .add {
		justify-content: center;
		border-style: dashed;
	}
	#day-panel {
		padding: 14px 16px;
	}
	.base {
		display: grid;
		grid-template-columns: minmax(180px, 2fr) 150px 76px repeat(5, minmax(84px, 1fr)) 120px 100px;
		gap: 10px;
		padding-bottom: 14px;
		border-bottom: 1px solid var(--rule);
		align-items: start;
	}
	.base :global(label) {
		display: flex;
		align-items: flex-end;
		min-height: 38px;
		line-height: 1.2;
		padding-bottom: 3px;
	}
	table {
		width: 100%;
		margin-top: 8px;
	}
	th {
		font-weight: 400;
		font-size: 12.5px;
		color: var(--soft);
		text-align: left;
		padding: 2px 4px;
		vertical-align: bottom;
	}
	th.name {
		width: 18%;
	}
	.presets {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		align-items: center;
		margin-top: 12px;
	}
	.presets button:not(.quiet) {
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
		padding: 3px 10px;
		cursor: pointer;
		font-size: 14.5px;
		background: var(--paper);
	}
	.presets button:not(.quiet):hover {
		background: var(--band);
	}
	.remove {
		margin-left: auto;
	}
	.note {
		margin-top: 8px;
	}
	.empty {
		padding: 14px 4px;
		font-size: 17px;
	}
	@media (max-width: 1100px) {
		.base {
			grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
		}
		#day-panel {
			overflow-x: auto;
		}
		.head,
		.names {
			display: grid;
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
