<script lang="ts">
	import { WETTING_SHARE } from '$lib/core/weather/precipitation';
	import { LIGHT, WET } from './trip-scales';
	import { lightParts, sunMarks } from './trip-shapes';
	import type { Column } from './trip-view';

	interface Props {
		byView: readonly Column[][];
		columns: readonly Column[];
		/** how a text at x stands so that it stays in the drawing */
		anchorOf: (x: number) => 'start' | 'middle' | 'end';
	}
	let { byView, columns, anchorOf }: Props = $props();
</script>

<defs>
	<pattern id="falling-snow" width="7" height="7" patternUnits="userSpaceOnUse">
		<circle cx="2" cy="2" r="1.3" fill="var(--water)" /><circle
			cx="5.5"
			cy="5.5"
			r="1.3"
			fill="var(--water)"
		/>
	</pattern>
	<pattern id="falling-rain" width="5" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(14)">
		<line x1="1.5" y1="0" x2="1.5" y2="5.5" stroke="var(--water)" stroke-width="1.7" />
	</pattern>
</defs>
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
	{#each byView.length > 3 ? [] : sunMarks(stage) as mark (mark.text)}
		<text x={mark.x} y={WET.top + 13} text-anchor={anchorOf(mark.x)} class="sun">{mark.text}</text>
		<line x1={mark.x} x2={mark.x} y1={LIGHT.top} y2={LIGHT.top + LIGHT.height} class="sun-line" />
	{/each}
{/each}

<style>
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
</style>
