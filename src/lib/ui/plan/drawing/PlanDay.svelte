<script lang="ts">
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import type { Finding } from '$lib/core/document/finding';
	import type { Client, Weather } from '$lib/core/document/types';
	import { isFailing, VERDICTS } from '$lib/core/document/verdict';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import type { ToldChange, ToldStart } from '$lib/core/plan/told/change-story';

	import OnceNear from '../../late/OnceNear.svelte';
	import { ladderRows } from './ladder-rows';
	import { columnWidths, planColumns } from './plan-columns';
	import PhaseReadout from './PhaseReadout.svelte';
	import PlanPlot from './PlanPlot.svelte';

	/** A day of a plan: the drawing, what is said of the phase that is pointed at, and head to toe. */
	interface Props {
		phases: readonly PlannedPhase[];
		/** the same day in other weathers */
		others: readonly { weather: Weather; phases: readonly PlannedPhase[] }[];
		told: { start: ToldStart | null; changes: readonly ToldChange[] };
		findings: readonly Finding[];
		names: ReadonlyMap<string, string>;
		client: Client;
		/** a thing was dropped on a phase */
		ondropthing: (thingId: string, phaseId: string) => void;
	}
	let { phases, others, told, findings, names, client, ondropthing }: Props = $props();

	const GUTTER = 124;
	let width = $state(1228);
	const columns = $derived(planColumns(phases));
	const shownPhases = $derived(columns.map(({ phase }) => phase));
	const widths = $derived(columnWidths(shownPhases, width - GUTTER - 2));

	/** The phase that goes worst, where one does not hold; else the first one. */
	const worst = $derived.by(() => {
		const failing = columns
			.map(({ phase }, k) => ({ k, rank: VERDICTS.indexOf(phase.verdict), fails: isFailing(phase.verdict) }))
			.filter(({ fails }) => fails)
			.sort((a, b) => a.rank - b.rank || a.k - b.k);
		return failing[0]?.k ?? 0;
	});
	/** Room that is kept for the ladder until it is loaded: one line, and what a row takes. */
	const ladderPx = $derived(27 + 42 * ladderRows(shownPhases).wrong.length);
	let showsBody = $state(false);
	let pointed = $state<number | null>(null);
	const shown = $derived(Math.min(pointed ?? worst, columns.length - 1));
	const column = $derived(columns[shown]);
</script>

<div class="scroll" bind:clientWidth={width}>
	<PlanPlot
		{columns}
		{phases}
		{widths}
		gutter={GUTTER}
		others={others.map((day) => day.phases)}
		{names}
		{client}
		{shown}
		onpoint={(k) => (pointed = k)}
		{ondropthing}
	/>
</div>
{#if column}
	<PhaseReadout {column} {phases} {others} {told} {findings} {names} {client} />
{/if}
<div class="scroll below">
	<OnceNear height={ladderPx} near="0px">
		{#await import('./CoverageLadder.svelte') then { default: CoverageLadder }}
			<CoverageLadder phases={shownPhases} {widths} {names} gutter={GUTTER} />
		{/await}
	</OnceNear>
	<details open={showsBody}>
		<summary
			onclick={(event) => {
				event.preventDefault();
				showsBody = !showsBody;
			}}>{pictureMessage('body.summary')}</summary
		>
		{#if showsBody}
			{#await import('./BodyOfDay.svelte') then { default: BodyOfDay }}
				<BodyOfDay
					{phases}
					{client}
					widths={columnWidths(phases, width - GUTTER - 2)}
					gutter={GUTTER}
					{names}
				/>
			{/await}
		{/if}
	</details>
</div>

<style>
	.scroll {
		overflow-x: auto;
		position: relative;
	}
	.below {
		margin-top: 14px;
	}
	summary {
		cursor: pointer;
		text-decoration: underline;
		text-underline-offset: 3px;
		padding: 3px 0;
	}
	@media print {
		details {
			display: none;
		}
		.scroll {
			zoom: 0.53;
			overflow: visible;
			width: 1228px;
		}
	}
</style>
