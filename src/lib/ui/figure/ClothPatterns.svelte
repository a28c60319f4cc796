<!-- Patterns of the drawings: what is missing or too much, kinds of cloth, and what is wet. -->
<script lang="ts">
	/** what their names begin with, where a page has several drawings */
	let { prefix = '' }: { prefix?: string } = $props();
</script>

<defs>
	{#each ['short', 'cool', 'warm'] as kind (kind)}
		<pattern
			id="{prefix}hatch-{kind}"
			width="6"
			height="6"
			patternUnits="userSpaceOnUse"
			patternTransform="rotate({kind === 'cool' ? -45 : 45})"
		>
			<line x1="0" y1="0" x2="0" y2="6" stroke="var(--v-{kind})" stroke-width={kind === 'short' ? 3 : 1.6} />
		</pattern>
	{/each}
	<pattern id="{prefix}cloth-weather" width="5" height="5" patternUnits="userSpaceOnUse">
		<rect width="5" height="5" fill="var(--cloth-weather)" /><line
			x1="0"
			y1="2.5"
			x2="5"
			y2="2.5"
			stroke="var(--ink)"
			stroke-opacity="0.16"
		/>
	</pattern>
	<pattern id="{prefix}cloth-warmth" width="6" height="6" patternUnits="userSpaceOnUse">
		<rect width="6" height="6" fill="var(--cloth-warmth)" /><circle
			cx="2"
			cy="2"
			r="0.8"
			fill="var(--ink)"
			fill-opacity="0.2"
		/>
	</pattern>
	<pattern id="{prefix}cloth-skin" width="4" height="4" patternUnits="userSpaceOnUse"
		><rect width="4" height="4" fill="var(--cloth-skin)" /></pattern
	>
	<pattern id="{prefix}cloth-over" width="14" height="14" patternUnits="userSpaceOnUse">
		<rect width="14" height="14" fill="var(--cloth-over)" /><line
			x1="0"
			y1="13"
			x2="14"
			y2="13"
			stroke="#fff"
			stroke-opacity="0.22"
			stroke-width="1.5"
		/>
	</pattern>
	{#each [{ kind: 'damp', size: 13 }, { kind: 'soaked', size: 7 }] as { kind, size } (kind)}
		<pattern id="{prefix}wet-{kind}" width={size} height={size} patternUnits="userSpaceOnUse">
			<path d="M3 0.8 L4.7 4 A1.9 1.9 0 1 1 1.3 4 Z" class="drop" />
		</pattern>
	{/each}
</defs>

<style>
	.drop {
		fill: var(--ink);
		stroke: var(--sheet);
		stroke-width: 0.7;
	}
</style>
