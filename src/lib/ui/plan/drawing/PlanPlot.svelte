<script lang="ts">
	import { clock, duration, feltWords, firstName, verdictSentence } from '$lib/words/labels';
	import type { Client } from '$lib/core/document/types';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import { tempWords } from '$lib/words/units';
	import PlanDrawing from './PlanDrawing.svelte';
	import FigureRow from './FigureRow.svelte';
	import DrawingLegend from './DrawingLegend.svelte';
	import VerdictTag from '../../parts/VerdictTag.svelte';
	import { columnName, type PlanColumn } from './plan-columns';
	import { whyFelt, whyVerdict } from '../why-later';
	import { readerUnits } from '../../parts/reader-units';

	interface Props {
		columns: readonly PlanColumn[];
		phases: readonly PlannedPhase[];
		widths: readonly number[];
		gutter: number;
		/** the same day in other weathers */
		others: readonly (readonly PlannedPhase[])[];
		names: ReadonlyMap<string, string>;
		client: Client;
		/** column that is told of below */
		shown: number;
		onpoint: (column: number) => void;
		/** a thing was dropped on a phase */
		ondropthing: (thingId: string, phaseId: string) => void;
	}
	let { columns, phases, widths, gutter, others, names, client, shown, onpoint, ondropthing }: Props =
		$props();

	const units = $derived(readerUnits());
	const first = $derived(firstName(client.name));
	const shownPhases = $derived(columns.map(({ phase }) => phase));
	const degrees = (tempC: number): string => tempWords(tempC, units);
	function drop(event: DragEvent, { cell }: PlannedPhase): void {
		event.preventDefault();
		const thingId = event.dataTransfer?.getData('text/x-thing');
		if (thingId) ondropthing(thingId, cell.phaseId);
	}
</script>

<div class="columns" style:padding-left="{gutter}px">
	{#each columns as column, k (k)}
		{@const { phase } = column}
		<div
			class="column"
			class:shown={k === shown}
			style:width="{widths[k]}px"
			role="group"
			aria-label={columnName(column)}
			onmouseenter={() => onpoint(k)}
			onfocusin={() => onpoint(k)}
			ondragover={(event) => event.preventDefault()}
			ondrop={(event) => drop(event, phase)}
		>
			<p class="tiny soft time">
				<span>{clock(phase.cell.startMin)}</span><span>{duration(phase.cell.minutes)}</span>
			</p>
			<p class="name">{columnName(column)}</p>
			<button
				class="temp"
				onclick={() => whyFelt(phase, readerUnits())}
				aria-label="{phase.cell.name}: {degrees(phase.cell.airTempC)}, feels like {degrees(
					phase.cell.feltTempC
				)}. Why?"
			>
				{degrees(phase.cell.airTempC)}
				{#if feltWords(phase.cell, units)}<span class="tiny">{feltWords(phase.cell, units)}</span>{/if}
			</button>
			<button
				class="verdict"
				onclick={() => whyVerdict(phase, client)}
				aria-label="{phase.cell.name}: {verdictSentence(phase, first)} Why?"
			>
				<VerdictTag verdict={phase.verdict} indicative={phase.indicative} />
			</button>
		</div>
	{/each}
</div>
<FigureRow {columns} {phases} {widths} {names} clientName={first} {gutter} {onpoint} />
<PlanDrawing
	phases={shownPhases}
	{widths}
	{names}
	{gutter}
	clientName={first}
	{shown}
	{onpoint}
	others={others.map((day) => columns.flatMap(({ index }) => day[index] ?? []))}
/>
<DrawingLegend phases={shownPhases} />

<style>
	.columns {
		display: flex;
		align-items: stretch;
	}
	.column {
		flex: none;
		padding: 0 4px 6px 5px;
		display: flex;
		flex-direction: column;
		gap: 2px;
		border-left: 1px solid var(--rule);
		border-top: 3px solid transparent;
	}
	.shown {
		border-top-color: var(--focus);
	}
	.time {
		display: flex;
		flex-wrap: wrap;
		column-gap: 8px;
		height: 18px;
		overflow: hidden;
	}
	.name {
		font-weight: 600;
		font-size: 13.5px;
		line-height: 1.15;
		flex: 1;
		overflow-wrap: break-word;
		hyphens: auto;
	}
	.temp {
		font-size: 20px;
		font-weight: 700;
		line-height: 1.05;
		text-align: left;
		cursor: pointer;
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		column-gap: 5px;
	}
	.temp .tiny {
		color: var(--soft);
		font-weight: 400;
	}
	.temp:hover {
		text-decoration: underline;
	}
	.verdict {
		text-align: left;
		cursor: pointer;
		min-height: 22px;
	}
</style>
