<script lang="ts">
	import type { QuestionId } from '$lib/core/questions/questions';

	/** What a question is about, drawn: one outline each, on a field of 64 by 64. */
	interface Props {
		id: QuestionId;
	}
	let { id }: Props = $props();

	const TOP =
		'M22 12 L14 16 L8 34 L15 37 L18 28 L18 54 L46 54 L46 28 L49 37 L56 34 L50 16 L42 12 Q32 20 22 12 Z';
	const HOODED =
		'M24 16 L14 19 L8 38 L15 41 L18 31 L18 56 L46 56 L46 31 L49 41 L56 38 L50 19 L40 16 Q44 5 32 5 Q20 5 24 16 Z';
	const LEGS = 'M20 8 L44 8 L48 56 L36 56 L32 24 L28 56 L16 56 Z';
	const BOOT = 'M20 8 L38 8 L38 34 L54 42 Q58 46 56 52 L20 52 Z';
	const OUTLINES: Readonly<Record<QuestionId, readonly string[]>> = {
		'base top': [TOP, 'M27 15 Q32 19 37 15'],
		'warm top': [TOP, 'M32 17 L32 54', 'M18 30 L46 30', 'M18 38 L46 38', 'M18 46 L46 46'],
		'rain with a hood': [HOODED, 'M26 14 Q32 22 38 14', 'M32 20 L32 56', 'M6 6 L4 12', 'M13 4 L11 10', 'M53 4 L51 10', 'M60 6 L58 12'],
		'big coat': ['M24 15 L12 19 L5 40 L14 43 L16 34 L16 60 L48 60 L48 34 L50 43 L59 40 L52 19 L40 15 Q44 4 32 4 Q20 4 24 15 Z', 'M32 19 L32 60', 'M16 34 Q32 38 48 34', 'M16 46 Q32 50 48 46'],
		'base legs': ['M22 8 L42 8 L43 56 L35 56 L32 24 L29 56 L21 56 Z', 'M22 13 L42 13'],
		trousers: [LEGS, 'M20 13 L44 13', 'M22 14 Q23 22 28 22', 'M42 14 Q41 22 36 22'],
		'rain on the legs': [LEGS, 'M20 13 L44 13', 'M8 10 L6 17', 'M57 10 L55 17', 'M9 30 L7 37', 'M57 30 L55 37'],
		'warm over the trousers': [LEGS, 'M19 20 L30 20', 'M34 20 L45 20', 'M18 32 L30 32', 'M34 32 L46 32', 'M17 44 L29 44', 'M35 44 L47 44'],
		'warm hands': ['M20 58 L20 40 L11 30 Q8 26 12 24 Q15 22 18 26 L21 29 L21 12 Q22 5 32 5 Q44 5 45 16 L45 58 Z', 'M20 48 L45 48'],
		'thin gloves': ['M20 58 L20 42 L11 31 Q9 27 13 26 Q16 26 21 33 L21 14 Q24 10 27 14 L27 28 L28 9 Q31 5 34 9 L34 28 L35 11 Q38 8 41 12 L40 29 L42 19 Q45 16 47 20 L45 42 L45 58 Z', 'M20 50 L45 50'],
		'warm head': ['M12 40 Q12 12 32 12 Q52 12 52 40 Z', 'M10 40 L54 40 L54 52 L10 52 Z', 'M32 12 L32 6', 'M24 14 L24 40', 'M40 14 L40 40'],
		'neck and face': ['M16 14 Q32 24 48 14 L50 48 Q32 60 14 48 Z', 'M16 24 Q32 34 48 24', 'M15 36 Q32 47 49 36'],
		eyes: ['M6 24 L28 24 Q30 42 18 42 Q6 42 6 24 Z', 'M36 24 L58 24 Q58 42 46 42 Q34 42 36 24 Z', 'M28 26 Q32 22 36 26'],
		'thick socks': ['M22 5 L42 5 L42 34 L52 44 Q58 52 50 57 Q44 60 38 54 L22 40 Z', 'M22 13 L42 13', 'M36 52 Q40 44 48 43'],
		'boots for walking': [BOOT, 'M20 46 L56 46', 'M30 14 L38 14', 'M29 21 L38 21', 'M29 28 L38 28'],
		'boots for touring skis': [BOOT, 'M18 52 L58 52 L58 57 L18 57 Z', 'M20 20 L38 17', 'M20 32 L40 29', 'M40 40 L46 36'],
		'ski boots': ['M20 5 L40 8 L38 36 L54 42 Q58 46 56 52 L20 52 Z', 'M18 52 L58 52 L58 57 L18 57 Z', 'M28 14 L44 14', 'M28 24 L44 24', 'M30 34 L46 34', 'M36 43 L50 43']
	}; // prettier-ignore
	/** Coloured by what it does for the body, as on the drawings of a plan. */
	const ROLES: Readonly<Record<QuestionId, 'skin' | 'warmth' | 'weather' | 'over'>> = {
		'base top': 'skin',
		'warm top': 'warmth',
		'rain with a hood': 'weather',
		'big coat': 'over',
		'base legs': 'skin',
		trousers: 'weather',
		'rain on the legs': 'weather',
		'warm over the trousers': 'over',
		'warm hands': 'warmth',
		'thin gloves': 'skin',
		'warm head': 'warmth',
		'neck and face': 'warmth',
		eyes: 'weather',
		'thick socks': 'warmth',
		'boots for walking': 'weather',
		'boots for touring skis': 'weather',
		'ski boots': 'weather'
	};
</script>

<svg viewBox="0 0 64 64" width="84" height="84" aria-hidden="true" style:--cloth="var(--cloth-{ROLES[id]})">
	{#each OUTLINES[id] as outline, i (i)}
		<path d={outline} class:cloth={i === 0} />
	{/each}
</svg>

<style>
	svg {
		flex: none;
	}
	path {
		fill: none;
		stroke: var(--ink);
		stroke-width: 2;
		stroke-linejoin: round;
		stroke-linecap: round;
	}
	.cloth {
		fill: var(--cloth);
		stroke: var(--ink);
	}
</style>
