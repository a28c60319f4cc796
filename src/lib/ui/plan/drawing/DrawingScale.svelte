<script lang="ts">
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import { clo } from '$lib/words/labels';

	import type { ScaleLinear } from 'd3';
	import { spread, wrapped } from '../../figure/figure-labels';
	import type { Slab } from './cloth-stack';

	/** Left of the drawing: which way is thicker, and the names of what is too thin to bear them. */
	interface Props {
		/** things of the first column, as they lie */
		slabs: readonly Slab[];
		/** clo to px */
		y: ScaleLinear<number, number>;
		gutter: number;
		height: number;
		top: number;
	}
	let { slabs, y, gutter, height, top }: Props = $props();
	const CHARACTER_PX = 6.8;
	const LINE_PX = 13;
	/** Between a thing and its place in the first column. */
	const INTO_PX = 7;
	const names = $derived.by(() => {
		const letters = Math.floor((gutter - 34) / CHARACTER_PX);
		const texts = slabs.map((slab) => ({ slab, lines: wrapped(slab.name, letters) }));
		const middle = ({ low, high }: Slab): number => y((low + high) / 2);
		const ys = spread(
			texts.map(({ slab, lines }) => ({ y: middle(slab), height: LINE_PX * lines.length })),
			height
		);
		return texts.map((one, i) => ({ ...one, at: ys[i]!, from: middle(one.slab) }));
	});
</script>

<g aria-hidden="true">
	<line x1={gutter - 5} x2={gutter - 5} y1={top} y2={height} />
	<path d="M{gutter - 9},{top + 7} l4,-8 l4,8" />
	<text x={gutter - 12} y={top + 8} text-anchor="end" class="end"
		>{pictureMessage('scale.thick')}<title>{clo(y.domain()[1]!)} clo</title></text
	>
	{#each names as { slab, lines, at, from } (slab.thingId)}
		<polyline points="{gutter - 14},{at} {gutter - 8},{from} {gutter + INTO_PX},{from}" />
		{#each lines as line, i (i)}
			<text x={gutter - 18} y={at + 4 + (i - (lines.length - 1) / 2) * LINE_PX} text-anchor="end">{line}</text
			>
		{/each}
	{/each}
</g>

<style>
	line,
	path,
	polyline {
		fill: none;
		stroke: var(--rule-strong);
	}
	text {
		font-size: 12px;
		fill: var(--ink);
	}
	.end {
		fill: var(--soft);
	}
</style>
