<script lang="ts">
	import { onMount, type Snippet } from 'svelte';

	/** What can be used only while the script runs, as large tables of fields: the server leaves it out, and answers sooner. */
	interface Props {
		children: Snippet;
		/** what stands there until then */
		before?: Snippet;
	}
	let { children, before }: Props = $props();
	let isLive = $state(false);
	onMount(() => {
		isLive = true;
	});
</script>

{#if isLive}{@render children()}{:else}{@render before?.()}{/if}
