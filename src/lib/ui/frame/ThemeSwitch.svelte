<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { onMount } from 'svelte';
	import type { FrameWords } from '$lib/words/guest/frame-words';

	interface Props {
		words: FrameWords;
	}
	let { words }: Props = $props();
	let dark = $state(false);
	onMount(() => {
		dark = document.documentElement.classList.contains('dark');
		const system = matchMedia('(prefers-color-scheme: dark)');
		// The system is followed until somebody has chosen here.
		const follow = (): void => {
			if (!/(?:^|; )theme=/.test(document.cookie)) set(system.matches);
		};
		system.addEventListener('change', follow);
		return () => system.removeEventListener('change', follow);
	});
	function set(next: boolean): void {
		dark = next;
		document.documentElement.classList.toggle('dark', next);
	}
	const A_YEAR_S = 31_536_000;
	function choose(): void {
		set(!dark);
		document.cookie = `theme=${dark ? 'dark' : 'light'}; path=/; max-age=${A_YEAR_S}; samesite=lax`;
	}
</script>

<Button class="quiet small no-print" aria-pressed={dark} onclick={choose}
	>{dark ? words.light : words.dark}</Button
>
