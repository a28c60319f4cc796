<script lang="ts">
	import { clock, duration, verdictSentence, verdictTag } from '$lib/words/labels';
	import type { Client } from '$lib/core/document/types';
	import { cellName } from '$lib/core/conditions/cell-name';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import { tempWords } from '$lib/words/units';
	import CoverageLadder from './CoverageLadder.svelte';
	import PlanDrawing from './PlanDrawing.svelte';
	import OnceNear from '../../late/OnceNear.svelte';
	import VerdictTag from '../../parts/VerdictTag.svelte';
	import { columnWidths } from './plan-columns';
	import { DAMP_FROM } from '$lib/core/heat/wet-cloth';
	import { whyFelt, whyVerdict } from '../why-later';
	import { readerUnits } from '../../parts/reader-units';

	interface Props {
		phases: readonly PlannedPhase[];
		/** the same day in other weathers */
		others: readonly (readonly PlannedPhase[])[];
		names: ReadonlyMap<string, string>;
		client: Client;
		/** a thing was dropped on a phase */
		ondropthing: (thingId: string, phaseId: string) => void;
	}
	let { phases, others, names, client, ondropthing }: Props = $props();

	const GUTTER = 118;
	const STRIP_PX = 150;
	let width = $state(1228);
	const units = $derived(readerUnits());
	const widths = $derived(columnWidths(phases, width - GUTTER - 2));
	const first = $derived(client.name.split(' ')[0]!);
	const degrees = (tempC: number): string => tempWords(tempC, units);
	function drop(event: DragEvent, { cell }: PlannedPhase): void {
		event.preventDefault();
		const thingId = event.dataTransfer?.getData('text/x-thing');
		if (thingId) ondropthing(thingId, cell.phaseId);
	}
</script>

<div class="scroll" bind:clientWidth={width}>
	<div class="columns" style:padding-left="{GUTTER}px">
		{#each phases as phase, k (k)}
			<div
				class="column"
				style:width="{widths[k]}px"
				role="group"
				aria-label="{phase.cell.name}, {phase.cell.round}"
				ondragover={(event) => event.preventDefault()}
				ondrop={(event) => drop(event, phase)}
			>
				<p class="tiny soft time">
					<span>{duration(phase.cell.minutes)}</span><span>{clock(phase.cell.startMin)}</span>
				</p>
				<p class="name">{cellName(phase.cell)}</p>
				<button
					class="temp"
					onclick={() => whyFelt(phase, readerUnits())}
					aria-label="{phase.cell.name}: {degrees(phase.cell.airTempC)}, feels like {degrees(
						phase.cell.feltTempC
					)}. Why?"
				>
					{degrees(phase.cell.airTempC)}
					{#if Math.round(phase.cell.feltTempC) !== Math.round(phase.cell.airTempC)}<span class="tiny"
							>feels {degrees(phase.cell.feltTempC)}</span
						>{/if}
				</button>
				<button
					class="verdict"
					onclick={() => whyVerdict(phase, client)}
					aria-label="{phase.cell.name}: {verdictSentence(phase, first)} Why?"
				>
					<VerdictTag verdict={phase.verdict} text={verdictTag(phase)} indicative={phase.indicative} />
				</button>
			</div>
		{/each}
	</div>
	<div class="drawing">
		<div class="legend tiny" style:width="{GUTTER}px">
			<span class="key hold">holds these minutes</span>
			<span class="key need">comfortable</span>
			<span class="key sweat">sweating starts</span>
			<span class="key cloth tone-skin">next to skin</span>
			<span class="key cloth tone-warmth">warmth</span>
			<span class="key cloth tone-weather">wind and wet</span>
			<span class="key cloth tone-over">over everything</span>
			{#if phases.some(({ wet }) => wet.some(({ share }) => share >= DAMP_FROM))}
				<span class="key wet">damp or soaked</span>
			{/if}
		</div>
		<PlanDrawing {phases} {widths} {names} clientName={first} {others} />
	</div>
	<OnceNear height={STRIP_PX}>
		{#await import('./BodyOfDay.svelte') then { default: BodyOfDay }}
			<BodyOfDay {phases} {client} {widths} gutter={GUTTER} {names} />
		{/await}
	</OnceNear>
	<CoverageLadder {phases} {widths} {names} gutter={GUTTER} />
</div>

<style>
	.scroll {
		overflow-x: auto;
		position: relative;
	}
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
	.drawing {
		display: flex;
		border-top: 2px solid var(--ink);
	}
	.legend {
		flex: none;
		display: flex;
		flex-direction: column;
		justify-content: end;
		gap: 4px;
		padding: 0 6px 8px 0;
		line-height: 1.1;
	}
	.key {
		display: grid;
		grid-template-columns: 20px 1fr;
		gap: 6px;
		align-items: center;
	}
	.key::before {
		content: '';
		height: 0;
		border-top: 4px solid var(--ink);
	}
	.need::before {
		border-top-width: 1.4px;
	}
	.sweat::before {
		border-top: 2px dotted var(--ink);
	}
	.wet::before {
		border: 0;
		width: 8px;
		height: 8px;
		margin: 0 auto;
		border-radius: 0 50% 50% 50%;
		transform: rotate(45deg);
		background: var(--ink);
	}
	.cloth::before {
		height: 11px;
		border: 1px solid var(--ink);
		background: var(--tone);
	}
	@media (max-width: 760px) {
		.scroll {
			display: none;
		}
	}
	@media print {
		.scroll {
			zoom: 0.53;
			overflow: visible;
			width: 1228px;
		}
		.scroll :global(:is(.moments, .readout)) {
			display: none;
		}
	}
</style>
