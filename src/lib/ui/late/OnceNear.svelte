<script lang="ts">
	import { onMount, type Snippet } from 'svelte';

	/** What is loaded only when somebody comes near it, or prints the page: it begins sooner without. */
	interface Props {
		/** room that is kept for it, px */
		height: number;
		/** how near is near enough */
		near?: string;
		children: Snippet;
	}
	let { height, near = '300px', children }: Props = $props();
	let place = $state<HTMLElement>();
	let isNear = $state(false);
	/** Its room is kept until it stands there: it must not fall together, and move what is below, while it loads. */
	let filledPx = $state(0);

	onMount(() => {
		const come = (): void => {
			isNear = true;
		};
		const observer = new IntersectionObserver((seen) => seen.some((one) => one.isIntersecting) && come(), {
			rootMargin: near
		});
		if (place) observer.observe(place);
		window.addEventListener('beforeprint', come);
		return () => {
			observer.disconnect();
			window.removeEventListener('beforeprint', come);
		};
	});
</script>

<div bind:this={place} data-once-near style:min-height={filledPx > 0 ? null : `${height}px`}>
	<div bind:clientHeight={filledPx}>
		{#if isNear}{@render children()}{/if}
	</div>
</div>
