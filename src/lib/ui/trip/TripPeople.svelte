<script lang="ts">
	import { message } from '$lib/words/message';

	/** Who comes along, at the head of the page: a new client is a few keys away from the top. */
	interface Props {
		tripId: string;
		clients: readonly { id: string; name: string }[];
	}
	let { tripId, clients }: Props = $props();
	function toNew(event: MouseEvent): void {
		event.preventDefault();
		document.getElementById('new-client')?.focus();
	}
</script>

<nav class="no-print" aria-label="Who comes along">
	<a href="#new-client" onclick={toNew}>{message('people.new')}</a>
	{#each clients as { id, name } (id)}
		<a class="name" href="/trips/{tripId}/plan/{id}" title="Layer plan">{name}</a>
	{:else}
		<span class="soft">{message('people.nobody')}</span>
	{/each}
	{#if clients.length > 0}
		<span class="group">
			<a href="/trips/{tripId}/group">{message('people.group')}</a>
			<a href="/trips/{tripId}/tomorrow">{message('people.tomorrow')}</a>
		</span>
	{/if}
</nav>

<style>
	nav {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 20px;
		align-items: baseline;
		margin-bottom: 4px;
	}
	.name {
		font-weight: 600;
	}
	.group {
		margin-left: auto;
		display: flex;
		gap: 20px;
	}
</style>
