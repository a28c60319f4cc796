<script lang="ts">
	import type { Weather } from '$lib/core/document/types';
	import type { ToldChange, ToldStart, ToldWeather } from '$lib/core/trip/told';
	import { changeSentence, fromWords, startSentence, weatherSentences } from '$lib/formats/plan-words';

	interface Props {
		name: string;
		start: ToldStart | null;
		changes: readonly ToldChange[];
		others: readonly ToldWeather[];
		weathers: readonly Weather[];
		nameOf: (thingId: string) => string;
	}
	let { name, start, changes, others, weathers, nameOf }: Props = $props();
	const weatherOf = (id: string): Weather => weathers.find((weather) => weather.id === id)!;
</script>

<section class="say" aria-label="What to say to {name}">
	<h2>Say to {name}</h2>
	<ol>
		{#if start}<li class="start">{startSentence(start, nameOf)}</li>{/if}
		{#each changes as change (change.phase)}
			{@const from = fromWords(change, nameOf)}
			<li>
				{changeSentence(change, nameOf)}
				{#if from}<span class="tiny soft">({from})</span>{/if}
			</li>
		{:else}
			<li>Nothing changes all day.</li>
		{/each}
	</ol>
	{#each others as told (told.weather)}
		{@const [lead, ...rest] = weatherSentences(told, weatherOf(told.weather), nameOf)}
		<div class="if" role="group" aria-label={lead}>
			<p><strong>{lead}</strong> {rest.length === 1 ? rest[0] : ''}</p>
			{#if rest.length > 1}
				<ul>
					{#each rest as sentence (sentence)}<li>{sentence}</li>{/each}
				</ul>
			{/if}
		</div>
	{/each}
</section>

<style>
	h2 {
		margin-bottom: 4px;
	}
	ol li {
		padding: 3px 0 3px 14px;
		border-left: 3px solid var(--rule-strong);
		line-height: 1.32;
	}
	ol li.start {
		border-left-color: var(--ink);
	}
	.if {
		margin-top: 8px;
		font-size: 15px;
		line-height: 1.3;
	}
	.if ul {
		padding-left: 14px;
	}
	.if li::before {
		content: '· ';
	}
</style>
