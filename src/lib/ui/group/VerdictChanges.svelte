<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { Stage } from '$lib/core/document/types';
	import type { JudgedAs, VerdictChange } from '$lib/core/plan/verdict-changes';
	import { VERDICTS } from '$lib/core/document/verdict';
	import type { Comparison } from './comparison.svelte';
	import VerdictTag from '../parts/VerdictTag.svelte';

	interface Named {
		id: string;
		name: string;
	}
	interface Props {
		comparison: Comparison;
		clients: readonly Named[];
		stages: readonly Stage[];
		tripId: string;
		/** what is compared with what, in words */
		sides: string;
		weatherId: string;
	}
	let { comparison, clients, stages, tripId, sides, weatherId }: Props = $props();

	const worst = (changes: readonly VerdictChange[]): number =>
		Math.min(VERDICTS.length, ...changes.map(({ to }) => VERDICTS.indexOf(to.verdict)));
	/** Those who change, worst first. */
	const who = $derived(
		clients
			.map((client) => ({ client, changes: worstFirst(comparison.changes[client.id] ?? []) }))
			.filter(({ changes }) => changes.length > 0)
			.sort((a, b) => worst(a.changes) - worst(b.changes))
	);
	const same = $derived(clients.filter(({ id }) => !comparison.changes[id]?.length).map(({ name }) => name));
	const words = ({ verdict, holdsMinutes }: JudgedAs, minutes: number): string =>
		verdict === 'short' && holdsMinutes !== null ? `short: ${holdsMinutes} of ${minutes} min` : verdict;
	/** Changes told at once, the worst first; the others unfold. */
	const FIRST = 4;
	const keyOf = ({ stageId, phaseId, foul }: VerdictChange): string => `${stageId} ${phaseId} ${foul}`;
	const worstFirst = (changes: readonly VerdictChange[]): VerdictChange[] =>
		[...changes].sort((a, b) => VERDICTS.indexOf(a.to.verdict) - VERDICTS.indexOf(b.to.verdict));
	const dayOf = (stageId: string): number => stages.findIndex(({ id }) => id === stageId);
</script>

{#snippet told(client: Named, change: VerdictChange)}
	<li>
		<a
			href="/trips/{tripId}/plan/{client.id}?day={dayOf(change.stageId) + 1}&weather={weatherId}{change.foul
				? '&foul=1'
				: ''}"
		>
			{stages.length > 1 ? `Day ${dayOf(change.stageId) + 1}, ` : ''}{change.name}{change.round > 1
				? `, round ${change.round}`
				: ''}{change.foul ? ' (foul weather)' : ''}</a
		>
		{#if change.from}<VerdictTag
				verdict={change.from.verdict}
				text={words(change.from, change.minutes)}
			/>{:else}<span class="small soft">new</span>{/if}
		<span aria-label="becomes">→</span>
		<VerdictTag verdict={change.to.verdict} text={words(change.to, change.minutes)} />
	</li>
{/snippet}

<section class="who sheet" aria-labelledby="who-head">
	<header>
		<h2 id="who-head">Who changes</h2>
		<p class="small soft">{sides}</p>
		<p role="status" class="small">
			<!-- The button stays where it is: a click never lands on something else. -->
			<Button class="quiet" disabled={comparison.state !== 'working'} onclick={() => comparison.stop()}
				>Stop</Button
			>
			{#if comparison.state === 'working'}
				<progress max={comparison.total} value={comparison.done} aria-label="Plans compared"></progress>
				{comparison.done} of {comparison.total}
			{:else if comparison.state === 'stopped'}
				Stopped after {comparison.done} of {comparison.total}; what was found stays.
			{:else if comparison.state === 'failed'}
				That could not be worked out; a figure may be out of its range.
			{/if}
		</p>
	</header>
	{#if who.length > 0}
		<ul>
			{#each who as { client, changes } (client.id)}
				<li>
					<h3>{client.name}</h3>
					<ol>
						{#each changes.slice(0, FIRST) as change (keyOf(change))}{@render told(client, change)}{/each}
					</ol>
					{#if changes.length > FIRST}
						<details>
							<summary class="small">and {changes.length - FIRST} more</summary>
							<ol>
								{#each changes.slice(FIRST) as change (keyOf(change))}{@render told(client, change)}{/each}
							</ol>
						</details>
					{/if}
				</li>
			{/each}
		</ul>
	{/if}
	{#if comparison.state === 'done'}
		<p class="small">
			{who.length === 0
				? 'Nobody’s verdicts change.'
				: same.length > 0
					? `No change for ${same.join(', ')}.`
					: ''}
		</p>
	{/if}
</section>

<style>
	.who {
		padding: 12px 16px;
		margin-top: 12px;
	}
	header {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		align-items: baseline;
	}
	/* A row of its own, as high with words in it as without. */
	header [role='status'] {
		flex-basis: 100%;
		min-height: 30px;
	}
	progress {
		accent-color: var(--ink);
		width: 130px;
		vertical-align: middle;
	}
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(100%, 470px), 1fr));
		gap: 10px 28px;
		margin-top: 8px;
	}
	summary {
		cursor: pointer;
		padding: 3px 0;
	}
	ol li {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 8px;
		align-items: center;
		padding: 2px 0;
		border-top: 1px solid var(--rule);
		font-size: 15px;
	}
	ol a {
		flex: 1;
		min-width: 170px;
	}
</style>
