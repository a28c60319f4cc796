<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { LateBox } from './late-box.svelte';

	const late = new LateBox('c', () => import('../kit/QuickCheck.svelte'));
</script>

<svelte:window onkeydown={late.onkeydown} />

<Button class="call no-print" onclick={late.show} onpointerenter={late.load} onfocus={late.load}
	>Is this all right? <kbd>C</kbd></Button
>
{#if late.box}
	{@const Box = late.box}
	<Box bind:open={late.open} typed={late.typed} />
{/if}

<style>
	@media (max-width: 640px) {
		:global(.button.call kbd) {
			display: none;
		}
	}
</style>
