<script lang="ts">
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import { Button } from 'flowbite-svelte';
	import { factorOf, type Factor } from '$lib/core/cloth/factors';
	import type { Client } from '$lib/core/document/types';
	import { isFailing } from '$lib/core/document/verdict';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import type { ToldChange, ToldStart } from '$lib/core/plan/told/change-story';
	import {
		clock,
		duration,
		feltWords,
		firstName,
		shortName,
		verdictSentence,
		verdictTag
	} from '$lib/words/labels';

	import { momentToSay } from '$lib/words/plan-story';
	import { tempWords } from '$lib/words/units';
	import DressedFigure from '../figure/DressedFigure.svelte';
	import Choice from '../parts/Choice.svelte';
	import { readerUnits } from '../parts/reader-units';
	import { toneOf } from '../parts/tone';
	import VerdictTag from '../parts/VerdictTag.svelte';
	import { columnName, type PlanColumn, planColumns, wornBefore } from './drawing/plan-columns';

	/** The plan on a phone: one phase on the screen, what is on in it, and what changes next. */
	interface Props {
		phases: readonly PlannedPhase[];
		told: { start: ToldStart | null; changes: readonly ToldChange[] };
		client: Client;
		nameOf: (thingId: string) => string;
		onwhy: (phase: PlannedPhase) => void;
	}
	let { phases, told, client, nameOf, onwhy }: Props = $props();
	const units = $derived(readerUnits());
	const who = $derived(firstName(client.name));
	const columns = $derived(planColumns(phases));
	const ROWS: readonly (readonly [string, ...Factor[]])[] = [
		['Head', 'head', 'eyes'],
		['Torso', 'trunk'],
		['Hands', 'hands'],
		['Legs', 'legs'],
		['Feet', 'feet']
	];

	let chosen = $state(0);
	const at = $derived(Math.min(chosen, columns.length - 1));
	const column = $derived(columns[at]);
	const phase = $derived(column?.phase);
	const next = $derived(columns[at + 1]);
	const before = $derived(column ? wornBefore(phases, column) : null);
	const now = $derived(column ? momentToSay(told, column.firstIndex, nameOf) : null);
	const layers = (factors: readonly Factor[]): PlannedPhase['outfit'] =>
		phase?.outfit.filter(({ cloth }) => factors.some((factor) => factorOf(cloth) === factor)) ?? [];

	const jumpWords = (one: PlanColumn): string => {
		const { cell, verdict } = one.phase;
		return `${clock(cell.startMin)} ${columnName(one)}${isFailing(verdict) ? `: ${verdict}` : ''}`;
	};

	let panel = $state<HTMLElement>();
	function go(to: number): void {
		chosen = Math.max(0, Math.min(columns.length - 1, to));
		panel?.scrollIntoView({ block: 'start' });
	}
	const SWIPE_PX = 60;
	let touchedAt: { x: number; y: number } | null = null;
	function ontouchend(event: TouchEvent): void {
		const end = event.changedTouches[0];
		if (!touchedAt || !end) return;
		const [dx, dy] = [end.clientX - touchedAt.x, end.clientY - touchedAt.y];
		touchedAt = null;
		if (Math.abs(dx) > SWIPE_PX && Math.abs(dx) > 2 * Math.abs(dy)) go(at + (dx < 0 ? 1 : -1));
	}
</script>

{#if column && phase}
	<section
		class="now"
		bind:this={panel}
		aria-label="The day, phase by phase"
		ontouchstart={({ touches }) =>
			(touchedAt = touches[0] ? { x: touches[0].clientX, y: touches[0].clientY } : null)}
		{ontouchend}
	>
		<div class="jump">
			<span class="soft">{pictureMessage('phone.place', { at: at + 1, all: columns.length })}</span>
			<Choice
				id="phase-jump"
				label={pictureMessage('phone.jump')}
				bare
				bind:value={() => String(at), (value) => go(Number(value))}
				options={columns.map((_, k) => String(k))}
				words={Object.fromEntries(columns.map((one, k) => [String(k), jumpWords(one)]))}
			/>
		</div>
		<h2>{columnName(column)}</h2>
		<p class="line">
			<span>{clock(phase.cell.startMin)} · {duration(phase.cell.minutes)}</span>
			<span
				><strong>{tempWords(phase.cell.airTempC, units)}</strong>{feltWords(phase.cell, units) &&
					`, ${feltWords(phase.cell, units)}`}</span
			>
		</p>
		<div class="told">
			<Button
				class="verdict"
				onclick={() => onwhy(phase)}
				aria-label="{phase.cell.name}: {verdictSentence(phase, who)} Why?"
			>
				<VerdictTag verdict={phase.verdict} text={verdictTag(phase)} indicative={phase.indicative} />
			</Button>
			<p>{verdictSentence(phase, who)}</p>
		</div>
		{#if now}<p class="change">{now}</p>{/if}
		{#if phase.cell.kind !== 'sleep'}
			<div class="dressed">
				<DressedFigure {phase} {before} {nameOf} {who} height={330} id="phone" />
				<dl>
					{#each ROWS as [word, ...factors] (word)}
						{@const own = layers(factors)}
						{#if own.length > 0}
							<dt>{word}</dt>
							<dd>
								{#each own as layer, i (i)}<span class="thing tone-{toneOf(layer)}"
										>{shortName(layer.cloth.name)}{layer.opening === 'closed'
											? ''
											: ` (${layer.opening})`}</span
									>{/each}
							</dd>
						{/if}
					{/each}
				</dl>
			</div>
		{/if}
		{#if next}
			<p class="next">
				<strong>{pictureMessage('phone.next')}</strong>
				{momentToSay(told, next.firstIndex, nameOf) ??
					pictureMessage('phone.same', { phase: columnName(next) })}
			</p>
		{/if}
		<div class="step">
			<Button onclick={() => go(at - 1)} disabled={at === 0}>{pictureMessage('phone.back')}</Button>
			<Button class="main" onclick={() => go(at + 1)} disabled={at === columns.length - 1}
				>{pictureMessage('phone.forward')}</Button
			>
		</div>
	</section>
{/if}

<style>
	.now {
		scroll-margin-top: 4px;
		border-top: 2px solid var(--ink);
		padding-top: 8px;
	}
	.jump {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 10px;
		align-items: center;
		white-space: nowrap;
	}
	h2 {
		font-size: 25px;
		margin: 6px 0 2px;
	}
	.line {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 16px;
		font-size: 18px;
	}
	.told {
		display: flex;
		gap: 10px;
		align-items: center;
		font-size: 17px;
		line-height: 1.25;
		margin: 4px 0;
	}
	.told p {
		min-width: 0;
	}
	.change,
	.next {
		border-left: 6px solid var(--ink);
		padding: 4px 10px;
		font-size: 17px;
		line-height: 1.3;
		margin: 8px 0;
		background: var(--sheet);
	}
	.next {
		border-left-color: var(--rule-strong);
	}
	.dressed {
		display: flex;
		gap: 10px;
		align-items: start;
		flex-wrap: wrap;
		margin: 6px 0;
	}
	dl {
		flex: 1 1 132px;
		min-width: 0;
	}
	dt {
		color: var(--soft);
		font-size: 14px;
		margin-top: 4px;
		line-height: 1.15;
	}
	dd {
		display: flex;
		flex-direction: column;
		gap: 2px;
	}
	.thing {
		border-left: 7px solid var(--tone);
		background: color-mix(in srgb, var(--tone) 24%, var(--sheet));
		padding: 0 7px;
		line-height: 1.25;
		/* A long name has two lines. */
		display: -webkit-box;
		line-clamp: 2;
		-webkit-line-clamp: 2;
		-webkit-box-orient: vertical;
		overflow: hidden;
	}
	.step {
		position: sticky;
		bottom: 0;
		display: grid;
		grid-template-columns: 1fr 2fr;
		gap: 10px;
		padding: 8px 0 10px;
		background: var(--paper);
	}
	.step :global(button) {
		min-height: 56px;
		font-size: 19px;
		justify-content: center;
	}
</style>
