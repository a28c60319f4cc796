<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { Count } from '$lib/core/kit/counting';
	import type { Finding } from '$lib/core/document/finding';
	import { longDate, shortName } from '$lib/words/labels';
	import { findingSentence } from '$lib/words/findings';
	import { countWords } from '$lib/words/plan-story';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { why } from '$lib/ui/parts/why.svelte';

	let { data } = $props();
	function hasWords({ needed, has }: Count): string {
		if (has === null) return 'nobody has asked yet';
		if (has >= needed) return `has ${has}`;
		return `has ${has}: ${needed - has} to get`;
	}
	const sentenceOf = (finding: Finding): string =>
		findingSentence(finding, {
			who: first,
			nameOf: (id) => shortName(data.names[id] ?? id),
			units: readerUnits()
		});

	const first = $derived(data.client.name.split(' ')[0]!);
	const dates = $derived(data.trip.stages.map(({ date }) => date).sort());
	const onlyOn = (stageIds: string[]): string =>
		stageIds.length === data.trip.stages.length
			? ''
			: `for ${data.trip.stages
					.filter(({ id }) => stageIds.includes(id))
					.map(({ name }) => name)
					.join(', ')}`;
	const dayOf = (finding: Finding): string =>
		data.trip.stages.find(({ id }) => id === finding.stageId)?.name ?? '';
</script>

<svelte:head><title>{data.client.name}, list · Snug Summit</title></svelte:head>

<div class="no-print bar">
	<a href="/trips/{data.trip.id}/plan/{data.client.id}">Layer plan</a>
	<a href="/trips/{data.trip.id}">Trip</a>
	<a href="/clients/{data.client.id}">Kit</a>
	<Button onclick={() => window.print()}>Print <kbd class="ml-2 text-(--ink)">Ctrl P</kbd></Button>
</div>

<article class="sheet">
	<header>
		<p class="small">{data.trip.name}{data.trip.place ? ` · ${data.trip.place}` : ''}</p>
		<h1>What {data.client.name} brings</h1>
		{#if dates.length > 0}<p class="small">
				{longDate(dates[0]!)}{dates.length > 1 ? ` to ${longDate(dates.at(-1)!)}` : ''}
			</p>{/if}
	</header>

	{#if data.trip.stages.length === 0 || !data.client.knowsKit}
		<p>
			{data.client.knowsKit ? 'The trip has no days yet.' : `Nothing is known of ${first}’s kit yet.`}
			<a href={data.client.knowsKit ? `/trips/${data.trip.id}` : `/clients/${data.client.id}`}
				>Add it first.</a
			>
		</p>
	{:else}
		{#if data.list.gaps.length > 0}
			<section class="gaps" aria-labelledby="gaps-head">
				<h2 id="gaps-head">Still to solve</h2>
				<ul>
					{#each data.list.gaps as gap, i (i)}
						<li>
							<span class="box" aria-hidden="true"></span>
							<span>
								{sentenceOf(gap)}
								<span class="small soft">{dayOf(gap)}</span>
								<Button
									class="quiet small no-print"
									onclick={() =>
										why.open({ title: 'Still to solve', sentence: sentenceOf(gap), reasons: gap.reasons })}
									>why</Button
								>
							</span>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		{#if data.list.questions.length > 0}
			<section aria-labelledby="questions-head">
				<h2 id="questions-head">Still to ask</h2>
				<ul>
					{#each data.list.questions as question, i (i)}
						<li><span class="box" aria-hidden="true"></span><span>{sentenceOf(question)}</span></li>
					{/each}
				</ul>
			</section>
		{/if}
		<div class="groups">
			{#if data.list.counts.length > 0}
				<section aria-labelledby="counts-head">
					<h2 id="counts-head">How many</h2>
					<ul>
						{#each data.list.counts as count (count.kind)}
							<li class:few={count.has !== null && count.has < count.needed}>
								<span class="box" aria-hidden="true"></span>
								<span>
									<strong>{count.needed}</strong>
									{countWords(count)}
									<span class="small soft">{hasWords(count)}</span>
									<Button
										class="quiet small no-print"
										onclick={() =>
											why.open({
												title: `${count.needed} ${countWords(count)}`,
												sentence: hasWords(count),
												reasons: count.reasons
											})}>why</Button
									>
								</span>
							</li>
						{/each}
					</ul>
				</section>
			{/if}
			{#each data.list.groups as { group, lines } (group)}
				<section aria-label={group}>
					<h2>{group}</h2>
					<ul>
						{#each lines as line (line.thingId)}
							<li>
								<span class="box" aria-hidden="true"></span>
								<span>
									{line.name}
									<span class="small soft">
										{[
											line.wornAtStart ? 'wear it at the start' : '',
											onlyOn(line.stageIds),
											line.assumed ? 'please check that it is there' : ''
										]
											.filter(Boolean)
											.join(' · ')}
									</span>
								</span>
							</li>
						{/each}
					</ul>
				</section>
			{/each}
		</div>
		<footer class="small">
			Start a little cool; the rest rides in the pack. The big coat goes on at the stop, before the chill,
			over everything. Local rules and your guide come first; with an illness, ask a doctor.
		</footer>
	{/if}
</article>

<style>
	.few strong {
		color: var(--v-short);
	}
	.bar {
		display: flex;
		gap: 20px;
		align-items: center;
		max-width: 860px;
		margin: 0 auto 14px;
	}
	.bar :global(button) {
		margin-left: auto;
	}
	article {
		max-width: 860px;
		margin: 0 auto;
		padding: 34px 44px;
	}
	header {
		border-bottom: 3px solid var(--ink);
		padding-bottom: 10px;
		margin-bottom: 16px;
	}
	h1 {
		margin: 2px 0;
	}
	h2 {
		margin-bottom: 5px;
	}
	section {
		margin-bottom: 18px;
		break-inside: avoid;
	}
	.groups {
		columns: 2;
		column-gap: 36px;
	}
	li {
		display: grid;
		grid-template-columns: 17px 1fr;
		gap: 9px;
		padding: 4px 0;
		border-bottom: 1px solid var(--rule);
	}
	.box {
		width: 15px;
		height: 15px;
		border: 1.6px solid var(--ink);
		margin-top: 4px;
	}
	.gaps {
		border: 2px solid var(--ink);
		padding: 10px 14px 12px;
	}
	footer {
		border-top: 1px solid var(--ink);
		padding-top: 8px;
	}
	@media (max-width: 700px) {
		article {
			padding: 18px 16px;
		}
		.groups {
			columns: 1;
		}
	}
	@media print {
		article {
			border: 0;
			padding: 0;
			max-width: none;
		}
		.box {
			border-color: #000;
		}
		li {
			border-color: #999;
			padding: 1px 0;
			line-height: 1.25;
		}
		section {
			margin-bottom: 6px;
		}
		article {
			font-size: 9.5pt;
		}
	}
</style>
