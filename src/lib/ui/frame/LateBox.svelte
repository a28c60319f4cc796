<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { LateBox, type BoxModule } from './late-box.svelte';

	interface Props {
		key: string;
		/** what the button says */
		words: string;
		get: () => Promise<BoxModule>;
	}
	let { key, words, get }: Props = $props();

	// svelte-ignore state_referenced_locally
	const late = new LateBox(key, get);
</script>

<svelte:window onkeydown={late.onkeydown} />

<Button class="late no-print" onclick={late.show} onpointerenter={late.load} onfocus={late.load}
	>{words} <kbd>{key.toUpperCase()}</kbd></Button
>
{#if late.box}
	{@const Box = late.box}
	<Box bind:open={late.open} typed={late.typed} />
{/if}

<style>
	@media (max-width: 640px) {
		:global(.button.late kbd) {
			display: none;
		}
	}
</style>
