<script lang="ts">
	import { readerUnits } from '../parts/reader-units';
	import { Button, Select } from 'flowbite-svelte';
	import {
		type DayForecast,
		type KnownBase,
		type Touch,
		TOUCHES,
		forecastBase,
		touched
	} from '$lib/core/weather/climate';
	import type { Site, Stage } from '$lib/core/document/types';
	import { longDate } from '$lib/words/labels';
	import FileButton from '../parts/FileButton.svelte';
	import { send } from '../parts/send';

	interface Props {
		tripId: string;
		stages: readonly Stage[];
		/** index of the stage that is looked at */
		at: number;
		site: Site | null;
		/** what becomes of stages, by index */
		apply: (known: Map<number, KnownBase>) => void;
	}
	let { tripId, stages, at, site, apply }: Props = $props();

	let scope = $state<'day' | 'trip'>('day');
	let message = $state('');
	let errors = $state<string[]>([]);
	const picked = $derived(scope === 'day' ? [at] : stages.map((_, i) => i));

	function touch(kind: Touch): void {
		apply(new Map(picked.map((i) => [i, touched($state.snapshot(stages[i]!.base) as Stage['base'], kind)])));
		message = '';
		errors = [];
	}
	function take(days: readonly DayForecast[], from: 'forecast' | 'file', source: string, all: boolean): void {
		const known = new Map<number, KnownBase>();
		stages.forEach(({ date }, i) => {
			const day = days.find((one) => one.date === date);
			if (day && (all || picked.includes(i))) known.set(i, forecastBase(day, from, source));
		});
		errors = [];
		if (known.size === 0) {
			message = `Nothing for these days. It speaks of ${days.map(({ date }) => longDate(date, readerUnits())).join(', ')}.`;
			return;
		}
		apply(known);
		message = `Taken for ${[...known.keys()].map((i) => stages[i]!.name).join(', ')}.`;
	}
	async function askService(): Promise<void> {
		const dates = picked.map((i) => stages[i]!.date).sort();
		const days = Math.round((Date.parse(dates.at(-1)!) - Date.parse(dates[0]!)) / 86_400_000) + 1;
		try {
			const response = await fetch(
				`/api/v1/climate/forecast?place=${site!.placeId}&from=${dates[0]}&days=${Math.min(60, days)}`
			);
			const answer = (await response.json()) as { source: string; days: DayForecast[]; message?: string };
			if (response.ok) take(answer.days, 'forecast', `of today, ${answer.source}`, false);
			else message = answer.message ?? 'No forecast.';
		} catch {
			message = 'The forecast does not answer; try again.';
		}
	}
	async function readFile(file: File): Promise<void> {
		const answer = await send<{ source: string; days: DayForecast[] }>('POST', '/api/v1/forecast', {
			text: await file.text(),
			name: file.name.slice(0, 80)
		});
		if (answer.data) take(answer.data.days, 'file', answer.data.source, true);
		else {
			message = answer.message;
			errors = Object.entries(answer.errors).map(([field, words]) => `${field}: ${words}`);
		}
	}
</script>

<div class="bar" role="group" aria-label="The forecast has changed">
	<span class="small soft">The forecast is</span>
	{#each TOUCHES as kind (kind)}<Button onclick={() => touch(kind)}>{kind}</Button>{/each}
	<Select aria-label="For which days" placeholder="" bind:value={scope}>
		<option value="day">on this day</option>
		<option value="trip">on all days</option>
	</Select>
	{#if site?.placeId}<Button onclick={askService}>Take the forecast</Button>{/if}
	<FileButton label="Read a file" accept=".csv,.json,.txt,text/csv,application/json" take={readFile} />
	<span class="small soft"
		>save as <a href="/api/v1/trips/{tripId}/forecast?as=csv" download>CSV</a>,
		<a href="/api/v1/trips/{tripId}/forecast" download>JSON</a></span
	>
	<p role="status" class="small">{message}</p>
	{#if errors.length > 0}
		<ul class="small">
			{#each errors as error (error)}<li>{error}</li>{/each}
		</ul>
	{/if}
</div>

<style>
	.bar {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 8px;
		align-items: center;
		padding: 8px 0 2px;
	}
	.bar :global(button),
	.bar :global(select) {
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
		padding: 3px 11px;
		cursor: pointer;
		font-size: 14.5px;
		background: var(--paper);
	}
	.bar :global(select) {
		padding-right: 26px;
	}
	.bar :global(button:hover) {
		background: var(--band);
	}
	p:empty {
		display: none;
	}
	ul {
		flex-basis: 100%;
		color: var(--v-short);
		font-weight: 600;
	}
</style>
