<script lang="ts">
	import { area, line, scaleLinear } from 'd3';
	import { SOAKED_SHARE, type SimulatedDay, type BodyMinute } from '$lib/core/heat/simulation';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import { withUnit } from '$lib/words/units';
	import { clock, momentSentence } from '$lib/words/labels';
	import { columnEdges } from './plan-columns';
	import { readerUnits } from '../../parts/reader-units';
	import { why } from '../../parts/why.svelte';

	interface Props {
		course: SimulatedDay;
		phases: readonly PlannedPhase[];
		widths: readonly number[];
		gutter: number;
		/** heat debt up to which the body holds, Wh/m² */
		holdWhm2: number;
		nameOf: (thingId: string) => string;
		/** whose body it is, first name */
		who: string;
	}
	let { course, phases, widths, gutter, holdWhm2, nameOf, who }: Props = $props();

	const COLD = { top: 8, bottom: 42 };
	const SKIN = { top: 50, bottom: 76 };
	const WATER = { top: 84, bottom: 108 };
	const HEIGHT = 112;
	const COLDEST_C = 24;
	const WARMEST_C = 36;

	const units = $derived(readerUnits());
	const edges = $derived(columnEdges(widths));
	const width = $derived(edges.at(-1) ?? 0);
	const x = (at: BodyMinute): number =>
		edges[at.phase]! + (widths[at.phase]! * (at.minute - 0.5)) / phases[at.phase]!.cell.minutes;
	const skin = scaleLinear().domain([COLDEST_C, WARMEST_C]).range([SKIN.bottom, SKIN.top]).clamp(true);
	const debt = $derived(
		scaleLinear()
			.domain([0, holdWhm2 * 1.15])
			.range([COLD.top, COLD.bottom])
			.clamp(true)
	);
	const water = scaleLinear().domain([0, 1]).range([WATER.bottom, WATER.top]).clamp(true);
	/** Stretches that follow one another on paper: a what-if or a night between them is a gap. */
	const stretches = $derived.by(() => {
		const found: BodyMinute[][] = [];
		let before = -1;
		for (const at of course.minutes) {
			if (at.phase > before + 1 || before < 0) found.push([]);
			found.at(-1)!.push(at);
			before = at.phase;
		}
		return found;
	});
	const skinLine = $derived(
		line<BodyMinute>()
			.x(x)
			.y(({ skinTempC }) => skin(skinTempC))
	);
	const debtArea = $derived(
		area<BodyMinute>()
			.x(x)
			.y0(COLD.top)
			.y1(({ debtWhm2 }) => debt(debtWhm2))
	);
	const waterArea = $derived(
		area<BodyMinute>()
			.x(x)
			.y0(WATER.bottom)
			.y1(({ soaked }) => water(soaked))
	);

	const heights = $derived({
		cold: debt(holdWhm2),
		soaked: water(SOAKED_SHARE),
		sweating: SKIN.top + 8,
		hot: SKIN.top + 8,
		ended: SKIN.bottom
	});

	let at = $state(0);
	const focus = $derived(course.minutes[Math.min(at, course.minutes.length - 1)]);
	const STEP = 5;
	function onkeydown(event: KeyboardEvent): void {
		const by = { ArrowRight: STEP, ArrowUp: STEP, ArrowLeft: -STEP, ArrowDown: -STEP }[event.key];
		const end = course.minutes.length - 1;
		const next =
			event.key === 'Home' ? 0 : event.key === 'End' ? end : by === undefined ? null : Math.min(at, end) + by;
		if (next === null) return;
		event.preventDefault();
		at = Math.max(0, Math.min(end, next));
	}
	function onpointermove(event: PointerEvent & { currentTarget: SVGElement }): void {
		const px = event.clientX - event.currentTarget.getBoundingClientRect().left;
		const nearest = course.minutes.findIndex((minute) => x(minute) >= px);
		if (nearest >= 0) at = nearest;
	}
	const readout = $derived.by(() => {
		if (!focus) return '';
		const { cell } = phases[focus.phase]!;
		return `${clock(cell.startMin + focus.minute)} ${cell.name}: ${pictureMessage('body.debt', { share: Math.max(0, Math.round((100 * focus.debtWhm2) / holdWhm2)) })}, skin ${withUnit('temp', focus.skinTempC, units, 1)}, core ${withUnit('temp', focus.coreTempC, units, 1)}, layers next to the skin ${Math.round(focus.soaked * 100)} % full of water`;
	});
</script>

<div class="strip">
	<div class="lanes" style:width="{gutter}px" aria-hidden="true">
		<span style:top="{COLD.top}px">heat missing</span>
		<span style:top="{SKIN.top + 4}px">skin</span>
		<span style:top="{WATER.top + 4}px">water in layers</span>
	</div>
	<div
		role="slider"
		tabindex="0"
		aria-label="The body through the day"
		aria-valuemin="0"
		aria-valuemax={Math.max(0, course.minutes.length - 1)}
		aria-valuenow={at}
		aria-valuetext={readout}
		{onkeydown}
	>
		<svg {width} height={HEIGHT} aria-hidden="true" {onpointermove}>
			{#each edges as edge, i (i)}<line x1={edge} x2={edge} y2={HEIGHT} class="edge" />{/each}
			<line x2={width} y1={debt(holdWhm2)} y2={debt(holdWhm2)} class="mark" />
			<line x2={width} y1={water(SOAKED_SHARE)} y2={water(SOAKED_SHARE)} class="mark" />
			{#each stretches as stretch, i (i)}
				<path d={debtArea(stretch)} class="cold" />
				<path d={waterArea(stretch)} class="water" />
				<path d={skinLine(stretch)} class="skin" />
			{/each}
			{#if focus}
				<line x1={x(focus)} x2={x(focus)} y2={HEIGHT} class="cursor" />
			{/if}
			{#each course.moments as moment, i (i)}
				{@const left =
					edges[moment.phase]! + (widths[moment.phase]! * moment.minute) / phases[moment.phase]!.cell.minutes}
				{@const y = heights[moment.kind]}
				<circle cx={left} cy={y} r="8" class="moment" />
				<text x={left} y={y + 4} class="number">{i + 1}</text>
			{/each}
		</svg>
	</div>
</div>
<p class="small readout" style:margin-left="{gutter}px">{readout}</p>
{#if course.moments.length > 0}
	<ol class="moments" style:margin-left="{gutter}px" aria-label="What goes wrong, and when">
		{#each course.moments as moment, i (i)}
			{@const sentence = momentSentence(moment, phases[moment.phase]!.cell, nameOf, who)}
			<li>
				<span class="n" aria-hidden="true">{i + 1}</span>
				<button
					class="quiet"
					onclick={() => why.open({ title: 'The simulated day', sentence, reasons: moment.reasons })}
					>{sentence}</button
				>
			</li>
		{/each}
	</ol>
{/if}

<style>
	.strip {
		display: flex;
		border-bottom: 1px solid var(--rule-strong);
	}
	.lanes {
		position: relative;
		flex: none;
		font-size: 12.5px;
		color: var(--soft);
	}
	.lanes span {
		position: absolute;
		left: 0;
		line-height: 1.1;
	}
	[role='slider'] {
		background: var(--sheet);
	}
	svg {
		display: block;
	}
	.edge {
		stroke: var(--rule);
	}
	.mark {
		stroke: var(--soft);
		stroke-dasharray: 2 3;
	}
	.skin {
		fill: none;
		stroke: var(--ink);
		stroke-width: 1.5;
	}
	.cold {
		fill: var(--v-short);
		opacity: 0.35;
	}
	.water {
		fill: var(--cloth-weather);
		opacity: 0.75;
	}
	.cursor {
		stroke: var(--ink);
	}
	.moment {
		fill: var(--ink);
	}
	.number {
		fill: var(--sheet);
		font-size: 12px;
		font-weight: 600;
		text-anchor: middle;
	}
	.readout {
		color: var(--soft);
		min-height: 1.4em;
		margin-top: 3px;
	}
	.moments {
		margin-top: 4px;
		margin-bottom: 8px;
		max-width: 95ch;
	}
	.moments li {
		display: flex;
		gap: 8px;
		align-items: baseline;
	}
	.n {
		flex: none;
		width: 17px;
		height: 17px;
		border-radius: 50%;
		background: var(--ink);
		color: var(--sheet);
		font-size: 12px;
		line-height: 17px;
		text-align: center;
	}
	.moments .quiet {
		text-align: left;
		text-decoration: none;
		font-size: 15px;
		line-height: 1.35;
	}
	.moments .quiet:hover {
		text-decoration: underline;
	}
	@media print {
		.cursor,
		.readout {
			display: none;
		}
	}
</style>
