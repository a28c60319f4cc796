<script lang="ts">
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import { Button } from 'flowbite-svelte';
	import type { Finding, FindingCode } from '$lib/core/document/finding';
	import type { Client, Weather } from '$lib/core/document/types';
	import type { Verdict } from '$lib/core/document/verdict';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import type { ToldChange, ToldStart } from '$lib/core/plan/told/change-story';
	import { findingSentence } from '$lib/words/findings';
	import { airWords, clock, duration, firstName, verdictSentence } from '$lib/words/labels';

	import { momentToSay } from '$lib/words/plan-story';
	import { inWeatherSentence } from '$lib/words/figure/stack-words';
	import DressedFigure from '../../figure/DressedFigure.svelte';
	import { readerUnits } from '../../parts/reader-units';
	import { why } from '../../parts/why.svelte';
	import { whyFelt, whyVerdict } from '../why-later';
	import { columnName, type PlanColumn, wornBefore } from './plan-columns';

	interface Props {
		column: PlanColumn;
		/** phases of the day, as they are lived through */
		phases: readonly PlannedPhase[];
		/** the same day in other weathers */
		others: readonly { weather: Weather; phases: readonly PlannedPhase[] }[];
		told: { start: ToldStart | null; changes: readonly ToldChange[] };
		findings: readonly Finding[];
		names: ReadonlyMap<string, string>;
		client: Client;
	}
	let { column, phases, others, told, findings, names, client }: Props = $props();

	const units = $derived(readerUnits());
	const who = $derived(firstName(client.name));
	const nameOf = (id: string): string => names.get(id) ?? id;
	const phase = $derived(column.phase);
	const before = $derived(wornBefore(phases, column));
	const toSay = $derived(momentToSay(told, column.firstIndex, nameOf));
	/** Findings that are the verdict itself, with what helps: they stand in its place, and it is not said twice. */
	const TELLS: Partial<Record<Verdict, readonly FindingCode[]>> = {
		short: ['short', 'short-hands', 'short-feet', 'short-sleep'],
		'nothing suffices': ['nothing-suffices'],
		'wet through': ['wet-through'],
		warm: ['warm'],
		'warm before a stop': ['warm-before-stop']
	};
	const found = $derived(
		findings.filter(({ phases: its }) => its.some(({ id }) => id === phase.cell.phaseId))
	);
	// A finding tells the figures of its first phase: of the others it is no verdict.
	const telling = $derived(
		found.find(
			({ code, phases: [first] }) => first?.id === phase.cell.phaseId && TELLS[phase.verdict]?.includes(code)
		)
	);
	const here = $derived(found.filter((finding) => finding !== telling).slice(0, 2));
	const sentenceOf = (finding: Finding): string => findingSentence(finding, { who, nameOf, units });
	const elsewhere = $derived(
		others.flatMap(({ weather, phases: day }) => {
			const other = day[column.index];
			return other ? [inWeatherSentence(weather, other, phase)] : [];
		})
	);
	const isAsleep = $derived(phase.cell.kind === 'sleep');
	let room = $state(0);
</script>

<section class="readout" aria-live="polite" aria-label={columnName(column)}>
	{#if !isAsleep}
		<div class="figure" bind:clientWidth={room}>
			<DressedFigure {phase} {before} {nameOf} {who} height={206} width={Math.max(300, room)} id="readout" />
		</div>
	{/if}
	<div class="words">
		<h2>{columnName(column)}</h2>
		<p class="soft">
			{clock(phase.cell.startMin)}, {duration(phase.cell.minutes)} ·
			<Button class="quiet" onclick={() => whyFelt(phase, units)}>{airWords(phase.cell, units)}</Button>
			{#if column.from !== column.to}· {pictureMessage('rounds.worst', { round: phase.cell.round })}{/if}
		</p>
		<p class="verdict v-{phase.verdict.replaceAll(' ', '-')}">
			<Button class="quiet" onclick={() => whyVerdict(phase, client)}
				>{telling ? sentenceOf(telling) : verdictSentence(phase, who)}</Button
			>
		</p>
		{#if toSay}<p class="say"><strong>{pictureMessage('readout.say')}</strong> {toSay}</p>{/if}
		{#each here as finding, i (i)}
			{@const sentence = sentenceOf(finding)}
			<p>
				<Button class="quiet" onclick={() => why.open({ title: who, sentence, reasons: finding.reasons })}
					>{sentence}</Button
				>
			</p>
		{/each}
		{#each elsewhere as sentence (sentence)}<p class="soft">{sentence}</p>{/each}
	</div>
</section>

<style>
	.readout {
		display: grid;
		grid-template-columns: minmax(300px, 470px) minmax(0, 1fr);
		gap: 6px 26px;
		min-height: 212px;
		margin-top: 4px;
		padding-top: 4px;
		border-top: 1px solid var(--rule-strong);
	}
	.figure {
		min-width: 0;
		overflow: hidden;
	}
	.words p {
		line-height: 1.3;
		margin-bottom: 3px;
	}
	.words :global(button.quiet) {
		text-align: left;
		padding: 0;
	}
	.verdict {
		font-size: 17px;
		font-weight: 600;
	}
	@media print {
		.readout {
			display: none;
		}
	}
</style>
