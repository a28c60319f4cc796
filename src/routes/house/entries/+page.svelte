<script lang="ts">
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { longDate } from '$lib/words/labels';

	let { data } = $props();
	const DONE: Readonly<Record<string, string>> = {
		POST: 'added or did',
		PUT: 'changed',
		PATCH: 'changed',
		DELETE: 'deleted'
	};
	const WAY: Readonly<Record<string, string>> = {
		'signed in': '',
		token: 'a program, by its token',
		'client link': 'by the link of the client'
	};
</script>

<svelte:head><title>Who changed what · Snug Summit</title></svelte:head>

<h1>Who changed what</h1>
<p class="lead">
	Everything that was saved, the newest first. <a href="/house/people">Who comes in</a>
	<a href="/house">How we do it</a>
</p>
<ul>
	{#each data.entries as entry (entry.id)}
		<li>
			<span class="small soft"
				>{longDate(entry.at.slice(0, 10), readerUnits())}, {entry.at.slice(11, 16)} UTC</span
			>
			<strong>{entry.who}</strong>
			<span
				>{DONE[entry.method] ?? entry.method}
				<code class="small">{entry.what.replace('/api/v1', '')}</code></span
			>
			<span class="small soft">{WAY[entry.way]}</span>
		</li>
	{:else}
		<li class="empty">Nothing was changed yet.</li>
	{/each}
</ul>
{#if data.older}<a href="?before={data.older}">Older</a>{/if}

<style>
	.lead {
		margin: 4px 0 14px;
	}
	li {
		display: grid;
		grid-template-columns: 210px 160px minmax(0, 1fr) auto;
		gap: 2px 16px;
		border-top: 1px solid var(--rule);
		padding: 5px 0;
		align-items: baseline;
	}
	li.empty {
		display: block;
	}
	code {
		overflow-wrap: anywhere;
	}
	@media (max-width: 760px) {
		li {
			grid-template-columns: 1fr;
		}
	}
</style>
