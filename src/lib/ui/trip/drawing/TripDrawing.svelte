<script lang="ts">
	import { feltTitle, clock, duration } from '$lib/words/labels';
	import { weatherMeaning } from '$lib/words/weathers';
	import {
		area,
		brushX,
		curveBumpX,
		curveMonotoneX,
		line,
		scaleLinear,
		select,
		ticks,
		type D3BrushEvent
	} from 'd3';
	import { flushSync } from 'svelte';
	import type { Weather } from '$lib/core/document/types';
	import { WETTING_SHARE } from '$lib/core/weather/precipitation';
	import { ROOFED } from '$lib/core/weather/wind';
	import { forField, tempWords, toUnit, unitWord } from '$lib/words/units';
	import TripLegend from './TripLegend.svelte';
	import TripTable from './TripTable.svelte';
	import { readerUnits } from '../../parts/reader-units';
	import { columnWords } from './trip-words';
	import {
		dayHeads,
		groundOf,
		isOutside,
		lightParts,
		middle,
		phaseLabels,
		spans,
		stretchesOf,
		sunMarks,
		type Point,
		type Span
	} from './trip-shapes';
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
	const LEFT = 46;
	const HEIGHT = 384;
	const LIGHT = { top: 34, height: 9 };
	const WET = { top: LIGHT.top + LIGHT.height, height: 24 };
	const AIR = { top: 76, bottom: 212 };
	const LAND = { top: 246, bottom: 338 };
	const EFFORT = { top: 344, bottom: HEIGHT - 4 };

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

	const temps = $derived(
		columns
			.filter(isOutside)
			.flatMap(({ others, cell }) => [
				...others.filter(({ heated }) => !heated).map(({ airTempC }) => airTempC),
				cell.feltTempC
			])
	);
	const y = $derived.by(() => {
		const low = Math.min(0, ...temps);
		const high = Math.max(low + 8, ...temps);
		return scaleLinear([low - 1, high + 1], [AIR.bottom, AIR.top]);
	});
	/** Ticks are round in the unit of the reader. */
	const tempTicks = $derived.by(() => {
		const [low, high] = y.domain().map((tempC) => toUnit('temp', tempC, units)) as [number, number];
		return ticks(low, high, 5).map((shown) => ({
			shown,
			tempC: units.temp === 'F' ? (shown - 32) / 1.8 : shown
		}));
	});
	const freezing = $derived(y(0));

	const heights = $derived(columns.map(({ cell }) => cell.altitudeM));
	const land = $derived.by(() => {
		const low = heights.length > 0 ? Math.min(...heights) : 0;
		const high = heights.length > 0 ? Math.max(...heights) : 0;
		const spread = Math.max(150, high - low);
		return scaleLinear([low - spread * 0.25, low + spread], [LAND.bottom, LAND.top]);
	});
	const heightTicks = $derived.by(() => {
		const [low, high] = land.domain() as [number, number];
		const shown = (m: number): number => toUnit('height', m, units);
		return ticks(shown(low), shown(high), 4).map((value) => ({
			value,
			m: value / shown(1)
		}));
	});
	const groundArea = area<Point>(
		(p) => p.x,
		LAND.bottom,
		(p) => p.y
	).curve(curveMonotoneX);
	const groundLine = line<Point>(
		(p) => p.x,
		(p) => p.y
	).curve(curveMonotoneX);

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
	const heads = $derived(dayHeads(byView));
	const effortHeight = scaleLinear([40, 300], [2, EFFORT.bottom - EFFORT.top]).clamp(true);

	/** The coldest felt temperature and the highest point, said where they are. */
	const coldest = $derived(
		columns
			.filter((column) => isOutside(column) && column.cell.kind !== 'sleep')
			.reduce<Column | null>((a, b) => (!a || b.cell.feltTempC < a.cell.feltTempC ? b : a), null)
	);
	const highest = $derived(
		columns.reduce<Column | null>((a, b) => (!a || b.cell.altitudeM > a.cell.altitudeM ? b : a), null)
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
	$effect(() => {
		if (!brushLayer) return;
		const layer = select<SVGGElement, unknown>(brushLayer);
		const brush = brushX<unknown>()
			.extent([
				[0, 0],
				[Math.max(1, end), HEIGHT]
			])
			.on('end', (event: D3BrushEvent<unknown>) => {
				if (!event.sourceEvent) return;
				const selection = event.selection as [number, number] | null;
				if (!selection) {
					if (focus) openWhy(focus);
					return;
				}
				const [from, to] = selection;
				const touched = columns.filter(({ left, right }) => right > from && left < to);
				layer.call((g) => brush.clear(g));
				if (touched.length > 0 && views.length > 1) pick(touched[0]!.view, touched.at(-1)!.view);
			});
		layer.call(brush);
		layer.selectAll('.overlay').attr('cursor', views.length > 1 ? 'col-resize' : 'pointer');
		return () => void layer.on('.brush', null).selectAll('*').remove();
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
			<pattern id="falling-snow" width="7" height="7" patternUnits="userSpaceOnUse">
				<circle cx="2" cy="2" r="1.3" fill="var(--water)" /><circle
					cx="5.5"
					cy="5.5"
					r="1.3"
					fill="var(--water)"
				/>
			</pattern>
			<pattern
				id="falling-rain"
				width="5"
				height="8"
				patternUnits="userSpaceOnUse"
				patternTransform="rotate(14)"
			>
				<line x1="1.5" y1="0" x2="1.5" y2="5.5" stroke="var(--water)" stroke-width="1.7" />
			</pattern>
			<clipPath id="ground-clip">
				{#each byView as stage, i (i)}<path d={groundArea(groundOf(stage, land)) ?? ''} />{/each}
			</clipPath>
		</defs>
		<g transform="translate({LEFT} 0)">
			{#each heads as head (head.index)}
				<text x={head.x + 1} y="13" class="day">{head.text}</text>
				{#if head.index > 0}<line x1={head.x - 5} x2={head.x - 5} y1="2" y2={HEIGHT} class="between" />{/if}
			{/each}
			{#each labels as label (label.x)}<text x={label.x} y="29" class="phase">{label.text}</text>{/each}

			{#each byView as stage, i (i)}
				{#each lightParts(stage) as part, k (k)}
					<rect
						x={part.x}
						y={LIGHT.top}
						width={part.width + 0.4}
						height={LIGHT.height}
						class="light {part.light}"
					/>
				{/each}
			{/each}
			{#each columns as column, k (k)}
				{@const share = WETTING_SHARE[column.cell.precipitation]}
				{#if column.cell.precipitation !== 'dry'}
					<rect
						x={column.left + 1}
						width={Math.max(1, column.right - column.left - 2)}
						y={WET.top + 1}
						height={8 + Math.min(1, share / 2) * (WET.height - 8)}
						fill="url(#falling-{column.cell.precipitation.endsWith('snow') ? 'snow' : 'rain'})"
					/>
				{/if}
			{/each}
			{#each byView as stage, i (i)}
				{#each views.length > 3 ? [] : sunMarks(stage) as mark (mark.text)}
					<text x={mark.x} y={WET.top + 13} text-anchor={anchorOf(mark.x)} class="sun">{mark.text}</text>
					<line x1={mark.x} x2={mark.x} y1={LIGHT.top} y2={LIGHT.top + LIGHT.height} class="sun-line" />
				{/each}
			{/each}

			{#each tempTicks as tick (tick.shown)}
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

			<g clip-path="url(#ground-clip)">
				<rect
					x="0"
					y={LAND.top - 10}
					width={Math.max(0, end)}
					height={LAND.bottom - LAND.top + 10}
					class="land"
				/>
				{#if land(0) < LAND.bottom}
					<rect x="0" y={land(0)} width={Math.max(0, end)} height={LAND.bottom - land(0)} class="sea" />
				{/if}
				{#each heightTicks as tick (tick.value)}
					<line x1="0" x2={end} y1={land(tick.m)} y2={land(tick.m)} class="contour" />
				{/each}
			</g>
			{#each byView as stage, i (i)}<path d={groundLine(groundOf(stage, land)) ?? ''} class="ground" />{/each}
			{#each heightTicks as tick (tick.value)}
				<text x="-6" y={land(tick.m) + 4} text-anchor="end" class="tick">{tick.value}</text>
			{/each}
			{#if highest && highest.cell.altitudeM > Math.min(...heights)}
				{@const x = middle(highest)}
				<text {x} y={land(highest.cell.altitudeM) - 6} text-anchor={anchorOf(x)} class="mark"
					>{forField('height', highest.cell.altitudeM, units)} {unitWord('height', units)}</text
				>
			{/if}

			{#each columns as column, k (k)}
				{@const high = column.cell.kind === 'sleep' ? 2 : effortHeight(column.cell.metabolicWm2)}
				<rect
					x={column.left + 0.8}
					width={Math.max(1, column.right - column.left - 1.6)}
					y={EFFORT.bottom - high}
					height={high}
					class="effort"
					class:rests={column.cell.metabolicWm2 < 145}
					class:inside={ROOFED.has(column.cell.place)}
				/>
			{/each}

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
	text {
		font-size: 12px;
		fill: var(--ink);
		pointer-events: none;
	}
	.day {
		font-family: var(--font-head);
		font-size: 14px;
	}
	.phase,
	.tick,
	.sun {
		fill: var(--soft);
	}
	.tick {
		font-variant-numeric: tabular-nums;
	}
	.mark {
		font-weight: 700;
		font-size: 13px;
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 4px;
		stroke-linejoin: round;
	}
	.sun {
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 4px;
	}
	.between {
		stroke: var(--rule-strong);
		stroke-dasharray: 1 3;
	}
	.light.day {
		fill: var(--sun);
	}
	.light.twilight {
		fill: var(--twilight);
	}
	.light.dark {
		fill: var(--night);
	}
	.sun-line {
		stroke: var(--ink);
		stroke-width: 1.5;
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
	.land {
		fill: var(--land);
	}
	.sea {
		fill: var(--water);
		fill-opacity: 0.55;
	}
	.contour {
		stroke: var(--land-line);
		stroke-width: 1;
	}
	.ground {
		fill: none;
		stroke: var(--ink);
		stroke-width: 2.2;
		stroke-linejoin: round;
	}
	.effort {
		fill: var(--ink);
	}
	.effort.rests {
		fill: var(--rule-strong);
	}
	.effort.inside {
		fill: none;
		stroke: var(--rule-strong);
		stroke-width: 1;
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
