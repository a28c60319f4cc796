<script lang="ts">
	import { page } from '$app/state';

	const error = $derived(page.error);
</script>

<svelte:head><title>{error?.title ?? 'Not found'} · Snug Summit</title></svelte:head>
<h1>{error?.message}</h1>
<p>{error?.hint} <a href="/">All trips</a></p>
{#if error?.id}<p>Request {error.id}</p>{/if}
