<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>Not found · Snug Summit</title></svelte:head>
<h1>{page.error?.message ?? 'Something went wrong.'}</h1>
<p>{page.error?.hint ?? 'It may have been deleted, or the address is wrong.'} <a href="/">All trips</a></p>
