<script lang="ts">
	import { area, curveMonotoneX, line } from 'd3';
	import { forField, unitWord } from '$lib/words/units';
	import { readerUnits } from '../../parts/reader-units';
	import { heightTicks, LAND, landScale } from './trip-scales';
	import { groundOf, middle, type Point } from './trip-shapes';
	import type { Column } from './trip-view';

	interface Props {
		byView: readonly Column[][];
		columns: readonly Column[];
		/** where the drawing ends, px */
		end: number;
		/** how a text at x stands so that it stays in the drawing */
		anchorOf: (x: number) => 'start' | 'middle' | 'end';
	}
	let { byView, columns, end, anchorOf }: Props = $props();

	const units = $derived(readerUnits());
	const land = $derived(landScale(columns));
	const heightMarks = $derived(heightTicks(land, units));
	const groundArea = area<Point>(
		(p) => p.x,
		LAND.bottom,
		(p) => p.y
	).curve(curveMonotoneX);
	const groundLine = line<Point>(
		(p) => p.x,
		(p) => p.y
	).curve(curveMonotoneX);
	const lowest = $derived(Math.min(...columns.map(({ cell }) => cell.altitudeM)));
	/** The highest point is said where it is. */
	const highest = $derived(
		columns.reduce<Column | null>((a, b) => (!a || b.cell.altitudeM > a.cell.altitudeM ? b : a), null)
	);
</script>

<defs>
	<clipPath id="ground-clip">
		{#each byView as stage, i (i)}<path d={groundArea(groundOf(stage, land)) ?? ''} />{/each}
	</clipPath>
</defs>
<g clip-path="url(#ground-clip)">
	<rect x="0" y={LAND.top - 10} width={Math.max(0, end)} height={LAND.bottom - LAND.top + 10} class="land" />
	{#if land(0) < LAND.bottom}
		<rect x="0" y={land(0)} width={Math.max(0, end)} height={LAND.bottom - land(0)} class="sea" />
	{/if}
	{#each heightMarks as tick (tick.shown)}
		<line x1="0" x2={end} y1={land(tick.altitudeM)} y2={land(tick.altitudeM)} class="contour" />
	{/each}
</g>
{#each byView as stage, i (i)}<path d={groundLine(groundOf(stage, land)) ?? ''} class="ground" />{/each}
{#each heightMarks as tick (tick.shown)}
	<text x="-6" y={land(tick.altitudeM) + 4} text-anchor="end" class="tick">{tick.shown}</text>
{/each}
{#if highest && highest.cell.altitudeM > lowest}
	{@const x = middle(highest)}
	<text {x} y={land(highest.cell.altitudeM) - 6} text-anchor={anchorOf(x)} class="mark"
		>{forField('height', highest.cell.altitudeM, units)} {unitWord('height', units)}</text
	>
{/if}

<style>
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
</style>
