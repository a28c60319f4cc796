<script lang="ts">
	import { ROOFED } from '$lib/core/weather/wind';
	import { EFFORT, effortScale } from './trip-scales';
	import type { Column } from './trip-view';

	let { columns }: { columns: readonly Column[] } = $props();
	const effortHeight = effortScale();
</script>

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

<style>
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
</style>
