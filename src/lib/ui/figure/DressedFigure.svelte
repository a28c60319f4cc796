<script module lang="ts">
	import { headPath, limbPath, sleeve, smallPartPath, trouserLeg, TRUNK } from './body-shapes';

	const bare = (): number => 0;
	/** The right half of the body itself, by part: each is marked where something is wrong with it. */
	const body = [
		{ parts: ['neck'], d: limbPath('neck', { fromY: 48, toY: 72 }, bare) },
		{ parts: ['arms'], d: limbPath('arm', sleeve(1), bare) },
		{ parts: ['hands'], d: smallPartPath('hands', 0) },
		{ parts: ['calves'], d: limbPath('leg', { fromY: 272, toY: 364 }, bare) },
		{ parts: ['thighs'], d: limbPath('leg', { ...trouserLeg(1, 0), toY: 276 }, bare) },
		{ parts: ['feet'], d: smallPartPath('feet', 0) },
		{ parts: ['torso'], d: limbPath('trunk', TRUNK, bare) },
		{ parts: ['ears', 'face'], d: headPath() }
	] as const;
	const wholeBody = body.map(({ d }) => d).join('');
</script>

<script lang="ts">
	import { DAMP_FROM, WET_FROM } from '$lib/core/heat/wet-cloth';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import { figureSentence, markWords } from '$lib/words/figure/figure-words';
	import ClothPatterns from './ClothPatterns.svelte';
	import { FIGURE_HEIGHT, OVER_HEAD } from './body-shapes';
	import { drawnFigure, type FigureLayer } from './drawn-figure';
	import { figureLabels, LABEL_PX, lineY } from './figure-labels';

	interface Props {
		phase: PlannedPhase;
		/** what was worn until now; null where nothing is told of it */
		before?: PlannedPhase['outfit'] | null;
		nameOf: (thingId: string) => string;
		who: string;
		/** px */
		height: number;
		/** px, with the names; the figure's own breadth where it is left out */
		width?: number | null;
		/** what the drawing shows, for whoever does not see it; in English where it is left out */
		told?: string;
		/** which figure of the page it is, since patterns are found by name */
		id: string;
	}
	let { phase, before = null, nameOf, who, height, width = null, told = '', id }: Props = $props();

	const figure = $derived(drawnFigure(phase, before));
	const scale = $derived(height / FIGURE_HEIGHT);
	const isSmall = $derived(height < 160);
	const breadth = $derived(width ?? Math.ceil(2 * figure.halfWidth * scale) + 4);
	const middleX = $derived(breadth / 2);
	const labels = $derived(
		width === null ? [] : figureLabels(figure, nameOf, markWords, { scale, middleX, width, height })
	);
	const marked = $derived(new Map(figure.marks.map(({ part, kind }) => [part, kind])));

	const markOf = (parts: readonly string[]): string | null =>
		parts.map((part) => marked.get(part as 'ears')).find((kind) => kind !== undefined) ?? null;

	const fill = ({ tone }: FigureLayer): string =>
		isSmall ? `var(--cloth-${tone})` : `url(#${id}-cloth-${tone})`;
	const sentence = $derived(
		told ||
			figureSentence(
				who,
				figure.cut.toReversed().map(({ thingId }) => nameOf(thingId)),
				figure.cut.filter(({ isNew }) => isNew).map(({ thingId }) => nameOf(thingId)),
				figure.marks
			)
	);
</script>

{#snippet cloth(layer: FigureLayer)}
	<g class="layer" class:new={layer.isNew} class:glass={layer.isGlass}>
		<path d={layer.d} class="worn" style:fill={layer.isGlass ? 'var(--ink)' : fill(layer)} />
		{#if layer.wet >= DAMP_FROM && !isSmall}
			<path d={layer.d} style:fill="url(#{id}-wet-{layer.wet >= WET_FROM ? 'soaked' : 'damp'})" />
		{/if}
	</g>
{/snippet}
{#snippet skin(isHatched: boolean)}
	<path d={wholeBody} class="skin" />
	{#each body as { parts, d } (parts[0])}
		{@const mark = markOf(parts)}
		{#if isHatched && (mark === 'cool' || mark === 'short')}
			<path {d} style:fill={isSmall ? `var(--v-${mark})` : `url(#${id}-hatch-${mark})`} />
		{/if}
		{#if mark === 'missing' || mark === 'not asked'}<path {d} class="bare" />{/if}
	{/each}
{/snippet}

<svg width={breadth} {height} role="img" aria-label={sentence} class:small={isSmall}>
	{#if !isSmall}<ClothPatterns prefix="{id}-" />{/if}
	<defs>
		<clipPath id="{id}-half"><rect x="0" y="-40" width="400" height="480" /></clipPath>
		<!-- An open front shows what is under it; one that is vented is open at the neck. -->
		<clipPath id="{id}-open"><path d="M0,-40 H400 V440 H22 L5,66 H0 Z" /></clipPath>
		<clipPath id="{id}-vented"><path d="M0,-40 H400 V440 H0 V136 L11,66 H0 Z" /></clipPath>
	</defs>
	<g transform="translate({middleX},{OVER_HEAD * scale}) scale({scale})">
		<g clip-path="url(#{id}-half)" transform="scale(-1,1)">
			{#each figure.cut as layer (layer.thingId)}{@render cloth(layer)}{/each}
			{@render skin(true)}
		</g>
		<g clip-path="url(#{id}-half)">
			{@render skin(false)}
			{#each figure.outside as layer (layer.thingId)}
				<g clip-path={layer.opening === 'closed' ? undefined : `url(#${id}-${layer.opening})`}>
					{@render cloth(layer)}
				</g>
			{/each}
		</g>
		<line x1="0" x2="0" y1="4" y2="196" class="middle" />
	</g>
	{#each labels as label (label.key)}
		<polyline
			class="leader"
			points="{label.from.x},{label.from.y} {label.to.x + (label.side === 'cut' ? 8 : -8)},{label.to.y} {label
				.to.x},{label.to.y}"
		/>
		{#each label.lines as line, i (i)}
			<text
				x={label.to.x + (label.side === 'cut' ? -3 : 3)}
				y={lineY(label, i)}
				text-anchor={label.side === 'cut' ? 'end' : 'start'}
				class={label.mark ? `mark-${label.mark.replace(' ', '-')}` : ''}
				class:fresh={label.isNew}
				style:font-size="{LABEL_PX}px">{line}</text
			>
		{/each}
	{/each}
</svg>

<style>
	svg {
		display: block;
		flex: none;
		overflow: visible;
	}
	/* The edge lies under the cloth, so that sleeves and trunk are one. */
	.worn {
		paint-order: stroke;
		stroke: var(--ink);
		stroke-width: 2.6;
		stroke-linejoin: round;
	}
	.new .worn {
		stroke-width: 6;
	}
	.glass .worn {
		fill-opacity: 0.85;
	}
	.skin {
		paint-order: stroke;
		fill: var(--sheet);
		stroke: var(--rule-strong);
		stroke-width: 1.2;
	}
	.bare {
		fill: none;
		stroke: var(--v-short);
		stroke-width: 3;
		stroke-dasharray: 5 4;
	}
	.small .worn {
		stroke-width: 3.2;
	}
	.small .new .worn {
		stroke-width: 9;
	}
	.middle {
		stroke: var(--ink);
		stroke-width: 1.2;
	}
	.leader {
		fill: none;
		stroke: var(--ink);
		stroke-width: 1;
	}
	text {
		fill: var(--ink);
	}
	.fresh {
		font-weight: 700;
	}
	.mark-missing,
	.mark-short {
		fill: var(--v-short);
		font-weight: 700;
	}
	.mark-cool {
		fill: var(--v-cool);
		font-weight: 700;
	}
	.mark-not-asked {
		fill: var(--soft);
	}
</style>
