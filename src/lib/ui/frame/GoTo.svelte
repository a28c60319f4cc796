<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { LateBox } from './late-box.svelte';

	const late = new LateBox('/', () => import('./GoToBox.svelte'));
</script>

<svelte:window onkeydown={late.onkeydown} />

<Button class="find no-print" onclick={late.show} onpointerenter={late.load} onfocus={late.load}
	>Find a client or trip <kbd>/</kbd></Button
>
{#if late.box}
	{@const Box = late.box}
	<Box bind:open={late.open} typed={late.typed} />
{/if}

<style>
	@media (max-width: 640px) {
		:global(.button.find kbd) {
			display: none;
		}
	}
</style>
