<script lang="ts">
	import { feltTitle, clock, duration } from '$lib/words/labels';
	import { weatherMeaning } from '$lib/words/weathers';
	import { area, curveBumpX, line } from 'd3';
	import { flushSync } from 'svelte';
	import type { Weather } from '$lib/core/document/types';
	import { tempWords } from '$lib/words/units';
	import TripEffort from './TripEffort.svelte';
	import TripLand from './TripLand.svelte';
	import TripSky from './TripSky.svelte';
	import { AIR, EFFORT, HEIGHT, LEFT, airScale, tempTicks } from './trip-scales';
	import TripLegend from './TripLegend.svelte';
	import TripTable from './TripTable.svelte';
	import { readerUnits } from '../../parts/reader-units';
	import { columnWords } from './trip-words';
	import { dayHeads, isOutside, middle, phaseLabels, spans, stretchesOf, type Span } from './trip-shapes';
	import { columnsOf, type Column, type StageView } from './trip-view';
	import { why } from '../../parts/why.svelte';

	interface Props {
		views: readonly StageView[];
		weathers: readonly Weather[];
		/** index of the weather that is drawn in full */
		weather: number;
		name: string;
		/** a stretch of stages was brushed, or one was picked */
		pick: (from: number, to: number) => void;
		asTable: boolean;
	}
	let { views, weathers, weather, name, pick, asTable }: Props = $props();

	const units = $derived(readerUnits());
	/** Width on paper, px: the drawing then fills the sheet, upright or across, with letters that can be read. */
	const PAPER = 720;
	let clientWidth = $state(1228);
	let onPaper = $state(false);
	const width = $derived(onPaper ? PAPER : clientWidth);
	function print(begins: boolean): void {
		onPaper = begins;
		flushSync();
	}
	let at = $state(0);
	let isOver = $state(false);
	let brushLayer = $state<SVGGElement>();

	const columns = $derived(columnsOf(views, weather, width - LEFT - 4));
	const end = $derived(columns.at(-1)?.right ?? 0);
	const focus = $derived(columns[Math.min(at, columns.length - 1)]);
	const byView = $derived(views.map((_, index) => columns.filter((column) => column.view === index)));

	const y = $derived(airScale(columns));
	const freezing = $derived(y(0));

	const bandShape = area<Span>(
		(s) => s.x,
		(s) => s.low,
		(s) => s.high
	).curve(curveBumpX);
	const topLine = line<Span>(
		(s) => s.x,
		(s) => s.high
	).curve(curveBumpX);
	const airRange = ({ others }: Column): [number, number] => {
		const all = others.filter(({ heated }) => !heated).map(({ airTempC }) => airTempC);
		return [y(Math.min(...all)), y(Math.max(...all))];
	};
	const airOf = ({ cell }: Column): [number, number] => [y(cell.feltTempC), y(cell.airTempC)];
	const feltOf = ({ cell }: Column): [number, number] => [y(cell.airTempC), y(cell.feltTempC)];

	const stretches = $derived(stretchesOf(columns));
	const labels = $derived(views.length > 1 ? [] : phaseLabels(columns));
	const heads = $derived(dayHeads(byView, units));

	/** The coldest felt temperature is said where it is. */
	const coldest = $derived(
		columns
			.filter((column) => isOutside(column) && column.cell.kind !== 'sleep')
			.reduce<Column | null>((a, b) => (!a || b.cell.feltTempC < a.cell.feltTempC ? b : a), null)
	);
	const anchorOf = (x: number): 'start' | 'middle' | 'end' =>
		x < 60 ? 'start' : x > end - 60 ? 'end' : 'middle';

	const words = (column: Column): string => columnWords(column, units, views.length > 1);
	function openWhy({ cell, stage }: Column): void {
		why.open({
			title: feltTitle(cell, units),
			sentence: `${stage.name}, ${clock(cell.startMin)}, ${duration(cell.minutes)}. ${weathers[weather] ? weatherMeaning(weathers[weather], units) : ''}`,
			reasons: [
				cell.reasons.airTempC,
				cell.reasons.feltTempC,
				cell.reasons.wind,
				cell.reasons.wet,
				cell.reasons.altitude,
				cell.reasons.effort
			]
		});
	}

	function over(event: PointerEvent & { currentTarget: Element }): void {
		const x = event.clientX - event.currentTarget.getBoundingClientRect().left - LEFT;
		const found = columns.findIndex(({ right }) => x <= right);
		if (found >= 0) at = found;
		isOver = true;
	}
	function move(to: number): void {
		at = Math.max(0, Math.min(columns.length - 1, to));
	}
	/** First column of the stage so many stages on. */
	function moveDay(by: number): void {
		const target = Math.max(0, Math.min(views.length - 1, (focus?.view ?? 0) + by));
		const first = columns.findIndex((column) => column.view === target);
		if (first >= 0) move(first);
	}
	function onkeydown(event: KeyboardEvent): void {
		const moves: Record<string, () => void> = {
			ArrowRight: () => move(at + 1),
			ArrowLeft: () => move(at - 1),
			Home: () => move(0),
			End: () => move(columns.length - 1),
			PageDown: () => moveDay(1),
			PageUp: () => moveDay(-1),
			Enter: () => focus && openWhy(focus),
			' ': () => focus && views.length > 1 && pick(focus.view, focus.view)
		};
		if (!moves[event.key]) return;
		event.preventDefault();
		moves[event.key]!();
	}

	/** Brushing over days picks them; a click opens the reason of the phase under it. */
	let brushing = $state.raw<typeof import('./day-brush')>();
	const loadBrush = async (): Promise<void> => {
		brushing ??= await import('./day-brush');
	};
	$effect(() => {
		if (!brushLayer || !brushing) return;
		return brushing.layBrush(brushLayer, {
			width: Math.max(1, end),
			height: HEIGHT,
			cursor: views.length > 1 ? 'col-resize' : 'pointer',
			clicked: () => focus && openWhy(focus),
			brushed: (from, to) => {
				const touched = columns.filter(({ left, right }) => right > from && left < to);
				if (touched.length > 0 && views.length > 1) pick(touched[0]!.view, touched.at(-1)!.view);
			}
		});
	});
</script>

{#if columns.length === 0}
	<p class="nothing">
		Nothing happens on {views.length > 1 ? 'these days' : 'this day'} yet. Choose a pattern below, and it draws
		itself.
	</p>
{/if}
<svelte:window onbeforeprint={() => print(true)} onafterprint={() => print(false)} />

<div
	class="drawing"
	class:hidden={columns.length === 0}
	bind:clientWidth
	tabindex="0"
	role="slider"
	aria-label="What {name} will be like, phase by phase"
	aria-valuemin={1}
	aria-valuemax={Math.max(1, columns.length)}
	aria-valuenow={Math.min(at, Math.max(0, columns.length - 1)) + 1}
	aria-valuetext={focus ? words(focus) : 'nothing yet'}
	{onkeydown}
>
	<svg
		{width}
		height={HEIGHT}
		viewBox="0 0 {width} {HEIGHT}"
		aria-hidden="true"
		onpointerenter={loadBrush}
		onpointermove={over}
		onpointerleave={() => (isOver = false)}
	>
		<defs>
			<pattern
				id="wind-bite"
				width="5"
				height="5"
				patternUnits="userSpaceOnUse"
				patternTransform="rotate(28)"
			>
				<line x1="0" y1="0" x2="0" y2="5" stroke="var(--ink)" stroke-width="0.9" stroke-opacity="0.5" />
			</pattern>
		</defs>
		<g transform="translate({LEFT} 0)">
			{#each heads as head (head.index)}
				<text x={head.x + 1} y="13" class="day">{head.text}</text>
				{#if head.index > 0}<line x1={head.x - 5} x2={head.x - 5} y1="2" y2={HEIGHT} class="between" />{/if}
			{/each}
			{#each labels as label (label.x)}<text x={label.x} y="29" class="phase">{label.text}</text>{/each}

			<TripSky {byView} {columns} {anchorOf} />

			{#each tempTicks(y, units) as tick (tick.shown)}
				<line x1="0" x2={end} y1={y(tick.tempC)} y2={y(tick.tempC)} class="grid" />
				<text x="-6" y={y(tick.tempC) + 4} text-anchor="end" class="tick"
					>{String(tick.shown).replace('-', '−')}°</text
				>
			{/each}
			<line x1="0" x2={end} y1={freezing} y2={freezing} class="freezing" />
			{#each stretches as run, i (i)}
				<path d={bandShape(spans(run, airRange)) ?? ''} class="air" />
				<path d={bandShape(spans(run, airOf)) ?? ''} fill="url(#wind-bite)" />
				<path d={topLine(spans(run, airOf)) ?? ''} class="air-line" />
				<path d={topLine(spans(run, feltOf)) ?? ''} class="felt-line" />
			{/each}
			{#each columns as column, k (k)}
				{#if !isOutside(column) && column.right - column.left > 12}
					<path d="M{middle(column) - 8} {AIR.bottom - 3}v-9l8 -7l8 7v9z" class="roof" />
				{/if}
			{/each}
			{#if coldest}
				{@const x = middle(coldest)}
				<text
					{x}
					y={Math.min(AIR.bottom + 9, y(coldest.cell.feltTempC) + 17)}
					text-anchor={anchorOf(x)}
					class="mark">feels {tempWords(coldest.cell.feltTempC, units)}</text
				>
			{/if}

			<TripLand {byView} {columns} {end} {anchorOf} />

			<TripEffort {columns} />

			{#if focus}
				<rect
					x={focus.left}
					width={focus.right - focus.left}
					y="18"
					height={HEIGHT - 18}
					class="cursor"
					class:is-over={isOver}
				/>
				{#if isOutside(focus)}
					<circle cx={middle(focus)} cy={y(focus.cell.airTempC)} r="4" class="dot" />
					<circle cx={middle(focus)} cy={y(focus.cell.feltTempC)} r="4.5" class="dot felt" />
				{/if}
			{/if}
			<g bind:this={brushLayer} class="brush"></g>
		</g>
		<text x="2" y={EFFORT.bottom - 12} class="tick">effort</text>
	</svg>
	<p class="readout" aria-hidden="true">{focus ? words(focus) : ''}</p>
</div>

<TripLegend hidden={columns.length === 0} />
<TripTable {columns} {weathers} {weather} {name} shown={asTable} manyDays={views.length > 1} />

<style>
	.drawing {
		position: relative;
		min-width: 0;
	}
	svg {
		display: block;
		background: var(--sheet);
		overflow: visible;
		max-width: 100%;
	}
	.drawing :global(text) {
		font-size: 12px;
		fill: var(--ink);
		pointer-events: none;
	}
	.day {
		font-family: var(--font-head);
		font-size: 14px;
	}
	.phase,
	.drawing :global(:is(.tick, .sun)) {
		fill: var(--soft);
	}
	.drawing :global(.tick) {
		font-variant-numeric: tabular-nums;
	}
	.drawing :global(.mark) {
		font-weight: 700;
		font-size: 13px;
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 4px;
		stroke-linejoin: round;
	}
	.drawing :global(.sun) {
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 4px;
	}
	.between {
		stroke: var(--rule-strong);
		stroke-dasharray: 1 3;
	}
	.grid {
		stroke: var(--rule);
		stroke-width: 1;
	}
	.freezing {
		stroke: var(--water);
		stroke-width: 1.4;
		stroke-dasharray: 7 3;
	}
	.air {
		fill: var(--air);
	}
	.air-line {
		fill: none;
		stroke: var(--ink);
		stroke-width: 1.5;
	}
	.felt-line {
		fill: none;
		stroke: var(--ink);
		stroke-width: 3.6;
		stroke-linejoin: round;
	}
	.roof {
		fill: none;
		stroke: var(--rule-strong);
		stroke-width: 1.5;
	}
	.cursor {
		fill: var(--focus);
		fill-opacity: 0.05;
		stroke: var(--focus);
		stroke-opacity: 0.35;
		pointer-events: none;
	}
	.cursor.is-over,
	.drawing:focus-visible .cursor {
		fill-opacity: 0.1;
		stroke-opacity: 1;
	}
	.dot {
		fill: var(--sheet);
		stroke: var(--ink);
		stroke-width: 1.6;
		pointer-events: none;
	}
	.dot.felt {
		fill: var(--ink);
	}
	.drawing:focus-visible {
		outline: 3px solid var(--focus);
		outline-offset: 4px;
	}
	.brush :global(.selection) {
		fill: var(--ink);
		fill-opacity: 0.12;
		stroke: var(--ink);
	}
	.nothing {
		padding: 18px 10px;
		font-size: 17px;
	}
	.hidden {
		display: none;
	}
	.readout {
		min-height: 44px;
		padding: 6px 0 0 46px;
		font-size: 15px;
		line-height: 1.3;
	}
	@media print {
		svg {
			width: 100%;
			height: auto;
		}
		.cursor,
		.dot,
		.readout {
			display: none;
		}
	}
</style>
