<script lang="ts">
	import type { Weather } from '$lib/core/document/types';
	import type { ToldWeather } from '$lib/core/plan/told/change-story';
	import { weatherWords } from '$lib/words/plan-story';

	interface Props {
		others: readonly ToldWeather[];
		weathers: readonly Weather[];
		nameOf: (thingId: string) => string;
		/** first name of the client */
		name: string;
	}
	let { others, weathers, nameOf, name }: Props = $props();
	const FIRST = 3;
	const told = $derived(
		others.map((one) => ({
			id: one.weather,
			...weatherWords(
				one,
				weathers.find(({ id }) => id === one.weather)!,
				nameOf,
				name
			)
		}))
	);
</script>

{#each told as { id, lead, worse, differences } (id)}
	<div class="if" role="group" aria-label={lead}>
		<p>
			<strong>{lead}:</strong>
			{worse}
			{#if differences.length === 0}{worse ? 'The clothes are the same.' : 'the same clothes.'}{/if}
		</p>
		<ul>
			{#each differences.slice(0, FIRST) as sentence (sentence)}<li>{sentence}</li>{/each}
		</ul>
		{#if differences.length > FIRST}
			<details>
				<summary
					>{differences.length - FIRST} more {differences.length - FIRST === 1
						? 'difference'
						: 'differences'}</summary
				>
				<ul>
					{#each differences.slice(FIRST) as sentence (sentence)}<li>{sentence}</li>{/each}
				</ul>
			</details>
		{/if}
	</div>
{/each}

<style>
	.if {
		margin-bottom: 8px;
		font-size: 15px;
		line-height: 1.28;
	}
	ul {
		padding-left: 12px;
	}
	li::before {
		content: '· ';
	}
	summary {
		cursor: pointer;
		padding-left: 12px;
		text-decoration: underline;
		text-underline-offset: 3px;
	}
</style>
