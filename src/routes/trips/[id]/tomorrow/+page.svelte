<script lang="ts">
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import { Button } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import { onMount } from 'svelte';
	import { PlansUnderway } from '$lib/ui/group/plans-underway.svelte';
	import DressedFigure from '$lib/ui/figure/DressedFigure.svelte';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { airWords, clock, firstName, longDate, shortDate, shortName } from '$lib/words/labels';
	import {
		shared,
		tomorrowAddress,
		tomorrowSentences,
		tonightSentences
	} from '$lib/words/figure/tomorrow-story';
	import { listed } from '$lib/words/message';

	let { data } = $props();
	const units = $derived(readerUnits());
	const stage = $derived(data.trip.stages[data.day]);
	const isFirst = $derived(data.day === 0);

	const people = $derived(
		data.people.map(({ client, names, state, tonight, tomorrow }) => {
			const first = firstName(client.name);
			const isTwice = data.people.some(
				(one) => one.client.id !== client.id && firstName(one.client.name) === first
			);
			const who = isTwice ? client.name : first;
			const nameOf = (id: string): string => shortName(names[id] ?? id);
			return {
				client,
				who,
				state,
				nameOf,
				phase: tomorrow?.phase ?? null,
				isRight: tomorrow !== null && tomorrow.wrong.length === 0,
				tonight: tonight ? tonightSentences(tonight, nameOf) : [],
				told: tomorrow ? tomorrowSentences(tomorrow, who, nameOf, units) : null
			};
		})
	);
	const tonight = $derived(shared(people.map(({ who, tonight: sentences }) => ({ who, sentences }))));
	const start = $derived(people.find(({ phase }) => phase)?.phase ?? null);

	// Plans that are not there yet are worked out in the background, and shown as they come.
	const POLL_MS = 1500;
	const isWaiting = (): boolean => data.people.some(({ state }) => state === 'waiting');
	let known = 0;
	onMount(() => {
		const underway = new PlansUnderway(data.trip.id, POLL_MS, async (plans) => {
			const there = plans.filter(({ state, isCurrent }) => state === 'there' && isCurrent).length;
			if (there > known) {
				known = there;
				await invalidateAll();
			}
			return isWaiting();
		});
		if (isWaiting()) void underway.look();
		return () => underway.end();
	});
</script>

<svelte:head><title>Tonight and tomorrow · {data.trip.name} · Snug Summit</title></svelte:head>

<div class="head">
	<h1>Tonight and tomorrow</h1>
	<p class="soft"><a href="/trips/{data.trip.id}">{data.trip.name}</a></p>
	<Button class="no-print" onclick={() => window.print()}>Print it for the wall</Button>
</div>
<nav class="days no-print" aria-label="Days">
	{#each data.trip.stages as one, i (one.id)}
		<a href={tomorrowAddress(data.trip, i)} aria-current={i === data.day ? 'page' : undefined}
			><span class="tiny">{shortDate(one.date, units)}</span> {one.name}</a
		>
	{/each}
</nav>

{#if !stage}
	<p class="empty">This trip has no days yet. <a href="/trips/{data.trip.id}">Add the first one</a>.</p>
{:else if data.people.length === 0}
	<p class="empty">
		Nobody is on this trip yet. <a href="/trips/{data.trip.id}#clients">Say who comes along</a>.
	</p>
{:else}
	<section aria-labelledby="tonight">
		<h2 id="tonight">{isFirst ? 'The evening before, at home' : 'Tonight'}</h2>
		<ul class="tonight">
			{#each tonight as { who, what } (what)}
				<li>
					<strong>{who.length === people.length && who.length > 1 ? 'Everybody' : listed(who)}:</strong>
					{what}
				</li>
			{:else}
				<li>{pictureMessage('tonight.nothing')}</li>
			{/each}
		</ul>
	</section>
	<section aria-labelledby="tomorrow">
		<h2 id="tomorrow">{longDate(stage.date, units)}: {stage.name}</h2>
		{#if start}
			<p class="soft">
				Off at {clock(start.cell.startMin)}, {airWords(start.cell, units)}
			</p>
		{/if}
		<ul class="people">
			{#each people as { client, who, state, told, phase, nameOf, isRight }, i (client.id)}
				<li class:bad={told && !isRight} class:open={!told}>
					<div class="figure">
						{#if phase}<DressedFigure {phase} {nameOf} {who} height={104} id="tomorrow-{i}" />{/if}
					</div>
					<a class="name" href="/trips/{data.trip.id}/plan/{client.id}?day={data.day + 1}">{who}</a>
					<div class="told">
						{#if told}
							<p>{told.start}</p>
							{#if told.top}<p>{told.top}</p>{/if}
						{:else}
							<p class="soft">
								{pictureMessage(state === 'unasked' ? 'tomorrow.unasked' : 'tomorrow.waiting', { who })}
							</p>
						{/if}
					</div>
					<div class="watch">
						{#if told}
							{#each told.wrong as sentence (sentence)}<p class:wrong={!isRight}>{sentence}</p>{/each}
							{#each told.watch as sentence (sentence)}<p class="soft">{sentence}</p>{/each}
						{/if}
					</div>
				</li>
			{/each}
		</ul>
	</section>
	<p class="tiny soft">
		In the usual weather. A plan is advice for a guide who is there: local rules and the guide come first.
	</p>
{/if}

<style>
	.head {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 22px;
		align-items: baseline;
	}
	.head :global(button) {
		margin-left: auto;
	}
	.days {
		display: flex;
		gap: 2px;
		margin: 4px 0 8px -10px;
		overflow-x: auto;
	}
	.days a {
		text-decoration: none;
		white-space: nowrap;
		padding: 3px 10px 4px;
		border-bottom: 3px solid transparent;
	}
	.days a[aria-current] {
		border-bottom-color: var(--ink);
		font-weight: 600;
	}
	h2 {
		margin-top: 12px;
	}
	.tonight li {
		padding: 3px 0 3px 12px;
		border-left: 3px solid var(--ink);
		line-height: 1.3;
	}
	.people > li {
		display: grid;
		grid-template-columns: 76px 110px minmax(0, 1fr) minmax(0, 1.1fr);
		gap: 4px 16px;
		align-items: start;
		border-top: 1px solid var(--rule-strong);
		border-left: 6px solid var(--v-right);
		padding: 6px 0 6px 8px;
		line-height: 1.3;
		break-inside: avoid;
	}
	.people > li.bad {
		border-left-color: var(--v-short);
	}
	.people > li.open {
		border-left-color: var(--v-open);
	}
	.figure {
		min-height: 20px;
	}
	.name {
		font-size: 18px;
		font-weight: 600;
	}
	.wrong {
		font-weight: 600;
	}
	@media (max-width: 760px) {
		.people > li {
			grid-template-columns: 76px minmax(0, 1fr);
		}
		.figure {
			grid-row: 1 / span 3;
		}
		.name {
			font-size: 20px;
		}
		.watch {
			grid-column: 2;
		}
	}
	@media print {
		.people > li {
			font-size: 9pt;
			padding: 2px 0 2px 6px;
		}
		h2 {
			break-after: avoid;
		}
	}
</style>
