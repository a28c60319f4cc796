<script lang="ts">
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { longDate } from '$lib/words/labels';

	let { data } = $props();
	/** By date, the soonest first. */
	const days = $derived(
		[...new Set(data.due.map(({ on }) => on))].map((on) => ({
			on,
			due: data.due.filter((one) => one.on === on)
		}))
	);
</script>

<svelte:head><title>What is due · Snug Summit</title></svelte:head>

<h1>What is due</h1>
<p class="lead">
	What clients of the trips ahead still have to get, by the last day on which it can be ordered, hired or
	brought to the mender. <a href="/house">How we do it</a> · <a href="/house/stock">What we lend</a>
</p>
{#if days.length === 0}
	<p class="empty">Nothing is due. What is decided under “What to get” on a client’s plan stands here.</p>
{/if}
{#each days as { on, due } (on)}
	<section aria-labelledby="due-{on}">
		<h2 id="due-{on}" class:late={on < data.today}>
			{longDate(on, readerUnits())}{on < data.today ? ', too late by now' : ''}
		</h2>
		<ul>
			{#each due as one (one.tripId + one.clientId + one.typeId)}
				<li>
					<a href="/trips/{one.tripId}/plan/{one.clientId}">{one.title}</a>
					<span class="small soft">{[one.note, one.trip].filter(Boolean).join(' · ')}</span>
				</li>
			{/each}
		</ul>
	</section>
{/each}

<style>
	.lead {
		max-width: 80ch;
		margin: 4px 0 18px;
	}
	section {
		margin-bottom: 16px;
		max-width: 90ch;
	}
	.late {
		color: var(--v-short);
	}
	li {
		border-top: 1px solid var(--rule);
		padding: 5px 0;
		display: flex;
		flex-wrap: wrap;
		gap: 2px 14px;
	}
	.empty {
		font-size: 18px;
		padding: 20px 0;
	}
</style>
