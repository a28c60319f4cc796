<script lang="ts">
	import { area, curveBumpX, scaleLinear } from 'd3';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import { verdictSentence } from '$lib/words/labels';
	import { stackTag } from '$lib/words/figure/stack-words';
	import { wrapped } from '../../figure/figure-labels';
	import { DAMP_FROM, WET_FROM } from '$lib/core/heat/wet-cloth';
	import ClothPatterns from '../../figure/ClothPatterns.svelte';
	import { columnEdges } from './plan-columns';
	import {
		clearOf,
		highestOf,
		ribbonsOf,
		type Slab,
		slabsOf,
		sweatAt,
		toldKind,
		troubleOf
	} from './cloth-stack';
	import DrawingScale from './DrawingScale.svelte';
	import { whyLayer } from '../why-later';

	interface Props {
		phases: readonly PlannedPhase[];
		widths: readonly number[];
		names: ReadonlyMap<string, string>;
		clientName: string;
		/** px, left of the first column, for the scale and the names of what is too thin to bear them */
		gutter: number;
		height?: number;
		/** column that is told of below; null where none is */
		shown: number | null;
		onpoint: (column: number) => void;
		/** the same day in the other weathers: their lines are whiskers on these */
		others?: readonly (readonly PlannedPhase[])[];
	}
	let {
		phases,
		widths,
		names,
		clientName,
		gutter,
		height = 184,
		others = [],
		shown,
		onpoint
	}: Props = $props();

	const GAP = 7;
	const TOP = 14;
	const edges = $derived(columnEdges(widths));
	const highest = $derived(highestOf(phases));
	const y = $derived(scaleLinear([0, highest], [height - 1, TOP]));

	const clamped = (value: number): number => y(Math.min(value, highest));

	/** How far a line of a phase moves in the other weathers: lowest and highest, beside its own. */
	function whisker(
		k: number,
		own: number,
		of: (phase: PlannedPhase) => number | null
	): [number, number] | null {
		const values = others.map((day) => day[k]).flatMap((phase) => (phase ? (of(phase) ?? []) : []));
		if (values.length === 0) return null;
		const low = Math.min(own, ...values);
		const high = Math.max(own, ...values);
		return high - low > 0.02 ? [low, high] : null;
	}
	const needOf = ({ band }: PlannedPhase): number | null => band?.needClo ?? null;
	const sweatOf = ({ tooWarmAboveClo }: PlannedPhase): number | null => tooWarmAboveClo;

	const left = (k: number): number => edges[k]! + GAP / 2;
	const right = (k: number): number => edges[k + 1]! - GAP / 2;

	const slabs = $derived(slabsOf(phases, names));
	const ribbons = $derived(ribbonsOf(slabs));
	const shape = $derived(
		area<{ x: number; low: number; high: number }>()
			.x((point) => point.x)
			.y0((point) => y(point.low))
			.y1((point) => y(point.high))
			.curve(curveBumpX)
	);
	const path = (run: readonly Slab[]): string =>
		shape(
			run.flatMap(({ k, low, high }) => [
				{ x: left(k), low, high },
				{ x: right(k), low, high }
			])
		) ?? '';

	/** Heights of all lines that are drawn in some columns, px. */
	const linesIn = (from: number, to: number): number[] =>
		phases.slice(from, to + 1).flatMap((phase) => {
			const sweat = sweatAt(phase);
			return [...(phase.band ? [phase.band.needClo] : []), ...(sweat === null ? [] : [sweat])].map(clamped);
		});
	const LABEL_PX = 14;
	const CHARACTER_PX = 6.8;
	/** Where a name fits: the widest stretch of columns through which one line of text stays inside the ribbon. */
	function labelIn(run: readonly Slab[]): { x: number; y: number; text: string } | null {
		let best = { width: 0, x: 0, low: 0, high: 0, from: 0, to: 0 };
		run.forEach((start, i) => {
			let low = y(start.low);
			let high = y(start.high);
			for (let j = i; j < run.length; j++) {
				low = Math.min(low, y(run[j]!.low));
				high = Math.max(high, y(run[j]!.high));
				if (low - high < LABEL_PX) break;
				const width = right(run[j]!.k) - left(start.k) - 10;
				if (width > best.width)
					best = { width, x: left(start.k) + 6, low, high, from: start.k, to: run[j]!.k };
			}
		});
		const { name } = run[0]!;
		return name.length * CHARACTER_PX > best.width
			? null
			: { x: best.x, y: clearOf(linesIn(best.from, best.to), best.low, best.high), text: name };
	}
	const named = $derived(ribbons.map((run) => ({ run, label: labelIn(run) })));
	const besides = $derived(
		named.filter(({ run, label }) => !label && run[0]!.k === 0).map(({ run }) => run[0]!)
	);
	/** What a stack comes to in words, and where they stand. */
	function stackWords(
		phase: PlannedPhase,
		k: number
	): { text: string; x: number; y: number; kind: string } | null {
		const text = stackTag(phase);
		if (!text) return null;
		const gap = troubleOf(phase, highest);
		const middle = (left(k) + right(k)) / 2;
		const at = gap && gap.kind !== 'warm' ? (y(gap.low) + y(gap.high)) / 2 + 4 : y(phase.resultantClo) - 6;
		return { text, x: middle, y: Math.max(TOP + 8, at), kind: toldKind(phase.verdict) };
	}
	const isBroken = ({ band }: PlannedPhase): boolean => band !== null && band.needClo > highest;

	const whyCloth = (slab: Slab): void => whyLayer(phases[slab.k]!, slab);
	const summary = $derived(
		phases
			.map((phase) => {
				const wet = phase.wet
					.filter(({ share }) => share >= DAMP_FROM)
					.map(({ thingId }) => names.get(thingId));
				const wetWords = wet.length > 0 ? ` Wet: ${wet.join(', ')}.` : '';
				return `${phase.cell.name}: ${verdictSentence(phase, clientName)}${wetWords}`;
			})
			.join(' ')
	);
</script>

{#snippet level(k: number, value: number, kind: 'sweat' | 'need')}
	<g class="moves" style:transform="translateY({clamped(value)}px)">
		<line x1={left(k)} x2={right(k)} class="halo under-{kind}" />
		<line x1={left(k)} x2={right(k)} class={kind} />
	</g>
{/snippet}
{#snippet range(k: number, reach: [number, number] | null, inset: number, kind: 'sweat' | 'need')}
	{#if reach && reach[0] < highest}
		{@const x = right(k) - inset}
		<g class="whisker whisker-{kind}">
			<line x1={x} x2={x} y1={clamped(reach[0])} y2={clamped(reach[1])} />
			<line x1={x - 4} x2={x + 4} y1={clamped(reach[0])} y2={clamped(reach[0])} />
			<line x1={x - 4} x2={x + 4} y1={clamped(reach[1])} y2={clamped(reach[1])} />
		</g>
	{/if}
{/snippet}

<svg
	width={gutter + edges.at(-1)!}
	{height}
	role="img"
	aria-label="What {clientName} wears against what each phase needs. {summary}"
>
	<ClothPatterns />
	<DrawingScale slabs={besides} {y} {gutter} {height} top={TOP} />
	<g transform="translate({gutter},0)">
		<rect width={edges.at(-1)} {height} class="ground-area" />
		{#each phases as phase, k (k)}
			{@const band = phase.band}
			<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
			<rect
				x={edges[k]}
				width={widths[k]}
				{height}
				class="column"
				class:shown={k === shown}
				onmouseenter={() => onpoint(k)}
				onclick={() => onpoint(k)}
			/>
			<line x1={edges[k]} x2={edges[k]} y1="0" y2={height} class="edge" />
			{#if band && band.needClo < highest}
				{@const sweat = sweatAt(phase)}
				{@const roof = sweat === null ? TOP : clamped(sweat)}
				<rect
					x={left(k)}
					width={right(k) - left(k)}
					y={roof}
					height={Math.max(0, clamped(band.needClo) - roof)}
					class="comfort"
					class:fades={sweat === null}
				/>
			{/if}
		{/each}
		{#each ribbons as run (run[0]!.thingId + run[0]!.k)}
			<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
			<path d={path(run)} fill="url(#cloth-{run[0]!.tone})" class="cloth" onclick={() => whyCloth(run[0]!)}>
				<title>{run[0]!.name}</title>
			</path>
		{/each}
		{#each slabs as slab (slab.thingId + slab.k)}
			{#if slab.wet >= DAMP_FROM}
				<rect
					class="wet"
					x={left(slab.k)}
					width={right(slab.k) - left(slab.k)}
					y={y(slab.high)}
					height={y(slab.low) - y(slab.high)}
					fill="url(#wet-{slab.wet >= WET_FROM ? 'soaked' : 'damp'})"
				/>
			{/if}
		{/each}
		{#each phases as phase, k (k)}
			{@const gap = troubleOf(phase, highest)}
			{@const band = phase.band}
			{#if gap}
				<rect
					class="wet"
					x={left(k)}
					width={right(k) - left(k)}
					y={y(gap.high)}
					height={Math.max(2, y(gap.low) - y(gap.high))}
					fill="url(#hatch-{gap.kind})"
				/>
			{/if}
			{@const sweat = sweatAt(phase)}
			{#if sweat !== null && sweat < highest}
				{@render range(k, whisker(k, sweat, sweatOf), 16, 'sweat')}
				{@render level(k, sweat, 'sweat')}
			{/if}
			{#if band && !isBroken(phase)}
				{@render range(k, whisker(k, band.needClo, needOf), 7, 'need')}
				{@render level(k, band.needClo, 'need')}
			{:else if band}
				<path
					class="broken"
					d="M{left(k)},{TOP + 5} l{(right(k) - left(k)) / 2 - 5},0 l4,-7 l4,12 l4,-5 L{right(k)},{TOP + 5}"
				/>
			{/if}
		{/each}
		{#each named as { run, label } (run[0]!.thingId + run[0]!.k)}
			{#if label}
				<text
					x={label.x}
					y={label.y}
					class="name on-{run[0]!.tone}"
					style:stroke="var(--cloth-{run[0]!.tone})">{label.text}</text
				>
			{/if}
		{/each}
		{#each phases as phase, k (k)}
			{@const words = stackWords(phase, k)}
			{#if words}
				<text x={words.x} y={words.y} text-anchor="middle" class="told told-{words.kind}"
					>{#each wrapped(words.text, Math.floor((widths[k]! - 4) / 6.4)) as line, i (i)}<tspan
							x={words.x}
							dy={i === 0 ? 0 : 13}>{line}</tspan
						>{/each}</text
				>
			{/if}
		{/each}
		{#if shown !== null}
			<rect x={edges[shown]} width={widths[shown]} y="1" height={height - 2} class="frame" />
		{/if}
		<line x1="0" x2={edges.at(-1)} y1={height - 0.5} y2={height - 0.5} class="ground" />
	</g>
</svg>

<style>
	.wet {
		pointer-events: none;
	}
	svg {
		display: block;
	}
	.ground-area {
		fill: var(--sheet);
	}
	.column {
		fill: transparent;
		cursor: pointer;
	}
	@media print {
		.frame {
			display: none;
		}
	}
	.frame {
		fill: none;
		stroke: var(--focus);
		stroke-width: 2;
		pointer-events: none;
	}
	.broken {
		fill: none;
		stroke: var(--ink);
		stroke-width: 2.4;
	}
	.told {
		font-weight: 700;
		stroke: var(--sheet);
	}
	.told-short {
		fill: var(--v-short);
	}
	.told-cool {
		fill: var(--v-cool);
	}
	.told-warm {
		fill: var(--v-warm);
	}
	.told-right {
		fill: var(--v-right);
	}
	.moves {
		transition: transform 0.35s ease;
	}
	@media (prefers-reduced-motion: reduce) {
		.moves {
			transition: none;
		}
	}
	.whisker line {
		stroke: var(--ink);
		stroke-width: 1.2;
	}
	.whisker-sweat line {
		stroke-dasharray: 2 2;
	}
	.edge {
		stroke: var(--rule);
	}
	.ground {
		stroke: var(--ink);
		stroke-width: 2;
	}
	.comfort {
		fill: var(--band);
	}
	.fades {
		opacity: 0.55;
	}
	.cloth {
		stroke: var(--sheet);
		stroke-width: 1.2;
		cursor: pointer;
	}
	.cloth:hover {
		stroke: var(--ink);
	}
	.need {
		stroke: var(--ink);
		stroke-width: 3;
	}
	.sweat {
		stroke: var(--ink);
		stroke-width: 1.6;
		stroke-dasharray: 2 4;
	}
	.halo {
		stroke: var(--sheet);
		stroke-width: 3.4;
		stroke-opacity: 0.8;
	}
	.under-need {
		stroke-width: 6;
	}
	text {
		font-size: 12.5px;
		pointer-events: none;
		fill: var(--ink);
		font-weight: 600;
		paint-order: stroke;
		stroke-width: 4px;
		stroke-linejoin: round;
	}
	.on-over {
		fill: var(--on-over);
	}
</style>
