<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { Snippet } from 'svelte';
	import {
		FOLLOWING,
		patternFrom,
		untyped,
		withPattern,
		type Following,
		type Untyped
	} from '$lib/core/patterns/edit-days';
	import { PACES, type Loop, type Pace, type Phase, type Stage } from '$lib/core/document/types';
	import { withPace, type Unfolded } from '$lib/core/patterns/pattern';
	import type { Cell } from '$lib/core/conditions/cells';
	import { PACE_WORDS, clock } from '$lib/words/labels';
	import Choice from '../parts/Choice.svelte';
	import Field from '../parts/Field.svelte';
	import { message } from '$lib/words/message';
	import { dayRemarks } from '$lib/core/patterns/day-remarks';
	import { remarkWords } from '$lib/words/figure/day-remark-words';
	import { openedPhase } from './phases/opened-phase.svelte';
	import SequenceRows from './phases/SequenceRows.svelte';
	import StageKnown from './StageKnown.svelte';
	import UndoBar from '../parts/UndoBar.svelte';
	import { clockFrom } from './clock-typed';
	import { readerUnits } from '../parts/reader-units';
	import { send } from '../parts/send';

	interface Props {
		stage: Stage;
		/** the day before it; null for the first one */
		before: Stage | null;
		path: string;
		errors: Record<string, string>;
		cells: ReadonlyMap<string, Cell>;
		/** the foul-weather variant is edited */
		foul: boolean;
		house: readonly { id: string; name: string; content: Omit<Unfolded, 'patternId'> }[];
		onchange: (key?: string) => void;
		copy: () => void;
		remove: () => void;
		/** gives the days after it what this one has; null for the last one */
		follow: ((what: Following) => void) | null;
		/** puts in what is usual; null where no place is chosen */
		usual: (() => void) | null;
		patternsChanged: () => void;
		children: Snippet;
	}
	let {
		stage = $bindable(),
		before,
		path,
		errors,
		cells,
		foul = $bindable(),
		house,
		onchange,
		copy,
		remove,
		follow,
		usual,
		patternsChanged,
		children
	}: Props = $props();

	let startError = $state<string>();
	let picking = $state(false);
	let keeping = $state(false);
	let patternName = $state('');
	let patternError = $state<string>();
	let kept = $state('');
	let dropped = $state<string | null>(null);

	const isFoul = $derived(foul && stage.foul !== null);
	const followingWords = Object.fromEntries(
		FOLLOWING.map((what) => [what, message(`following.${what}`)])
	) as Record<Following, string>;
	const remarks = $derived(remarkWords(dayRemarks(stage, before), readerUnits()));
	const sequence = $derived(isFoul ? stage.foul!.sequence : stage.sequence);
	const isEmpty = $derived(sequence.length === 0);
	function setSequence(next: Stage['sequence']): void {
		if (isFoul) stage.foul!.sequence = next;
		else stage.sequence = next;
	}

	function setStart(value: unknown): void {
		const time = clockFrom(value);
		startError = time === null || time === 1440 ? 'a time such as 07:30' : undefined;
		if (time !== null && !startError) stage.startMin = time;
	}
	/** @param given what the pattern of now gives */
	function take(unfolded: Unfolded, given: Untyped | null): void {
		if (isFoul) {
			stage.foul!.sequence = unfolded.sequence;
			stage.foul!.bed.kind = unfolded.bed;
		} else {
			const own = untyped(before, given);
			stage = withPattern($state.snapshot(stage) as Stage, unfolded, own);
		}
		picking = false;
		onchange();
	}
	function add(phase: Phase): void {
		setSequence([...sequence, phase]);
		openedPhase.id = phase.id;
		onchange();
	}
	/** Makes one repeated element of the last phases. */
	function repeatLast(count: number): void {
		const loop: Loop = {
			type: 'loop',
			id: crypto.randomUUID(),
			name: 'Loop',
			count: 4,
			sequence: sequence.slice(-count)
		};
		setSequence([...sequence.slice(0, -count), loop]);
		onchange();
	}
	function setPace(pace: Pace | undefined): void {
		if (!pace || pace === stage.pace) return;
		const { sequence: day, foul: variant, pace: before } = $state.snapshot(stage) as Stage;
		stage.sequence = withPace(day, before, pace);
		if (variant) stage.foul = { ...variant, sequence: withPace(variant.sequence, before, pace) };
		stage.pace = pace;
	}
	function addFoul(): void {
		stage.foul = {
			name: `${stage.name.slice(0, 100)}, in foul weather`,
			bed: { kind: 'heated', washing: false, drying: 'small things' },
			sequence: []
		};
		foul = true;
		onchange();
	}
	function dropFoul(): void {
		stage.foul = null;
		foul = false;
		onchange();
	}
	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const answer = await send('POST', '/api/v1/patterns', {
			name: patternName,
			...patternFrom($state.snapshot(stage) as Stage)
		});
		patternError = answer.ok ? undefined : (answer.errors.name ?? answer.message);
		if (!answer.ok) return;
		kept = `“${patternName}” is kept among your own patterns.`;
		keeping = false;
		patternName = '';
		patternsChanged();
	}
	async function drop(id: string): Promise<void> {
		await send('DELETE', `/api/v1/patterns/${id}`);
		dropped = id;
		patternsChanged();
	}
	async function bringBack(): Promise<void> {
		await send('POST', `/api/v1/patterns/${dropped}/restore`);
		dropped = null;
		patternsChanged();
	}
</script>

<section class="panel sheet no-print" aria-label="The day {stage.name}">
	<div class="first">
		<Field
			id="stage-name"
			label="Day"
			bind:value={stage.name}
			error={errors[`${path}.name`]}
			onchange={() => onchange(`${stage.id} name`)}
		/>
		<Field
			id="stage-date"
			type="date"
			label="Date"
			bind:value={stage.date}
			error={errors[`${path}.date`]}
			note={remarks.date}
			onchange={() => onchange(`${stage.id} date`)}
		/>
		<Field
			id="stage-start"
			label="Start"
			placeholder="07:30"
			bind:value={() => clock(stage.startMin), setStart}
			error={startError ?? errors[`${path}.startMin`]}
			note={remarks.startMin}
			oncommit={() => onchange(`${stage.id} start`)}
		/>
		<Choice
			id="stage-pace"
			label="Pace"
			options={PACES}
			words={PACE_WORDS}
			bind:value={() => stage.pace, setPace}
			onchange={() => onchange()}
		/>
		<p class="acts">
			<Button class="quiet small" onclick={copy}>Copy this day</Button>
			{#if usual}<Button class="quiet small" onclick={usual}>Usual weather</Button>{/if}
			<Button class="quiet small" onclick={() => (keeping = !keeping)} disabled={isEmpty}
				>Keep as a pattern</Button
			>
			<Button class="quiet small" onclick={remove}>Take this day out</Button>
			{#if follow}
				<Choice
					id="following"
					label={message('following.label')}
					bare
					none={message('following.label')}
					options={FOLLOWING}
					words={followingWords}
					bind:value={() => undefined, (what) => what && follow(what)}
				/>
			{/if}
		</p>
	</div>
	{#if keeping}
		<form class="keep" onsubmit={keep}>
			<Field id="pattern-name" label="Name of the pattern" bind:value={patternName} error={patternError} />
			<Button type="submit" class="main">Keep it</Button>
		</form>
	{/if}
	{#if kept}<p role="status" class="small">{kept}</p>{/if}
	{#if dropped}<UndoBar text="The pattern is dropped." undo={bringBack} />{/if}

	{@render children()}
	<StageKnown bind:stage {remarks} {path} {errors} {onchange} foul={isFoul} />

	<div class="variants">
		{#if stage.foul}
			<div role="radiogroup" aria-label="Which course of the day">
				<Button role="radio" aria-checked={!isFoul} onclick={() => (foul = false)}>As planned</Button>
				<Button role="radio" aria-checked={isFoul} onclick={() => (foul = true)}>In foul weather</Button>
			</div>
			{#if isFoul}
				<Field
					bare
					id="foul-name"
					label="Name of the foul-weather variant"
					bind:value={stage.foul.name}
					error={errors[`${path}.foul.name`]}
					onchange={() => onchange(`${stage.id} foul name`)}
				/>
				<Button class="quiet small" onclick={dropFoul}>No variant</Button>
			{/if}
		{:else}
			<Button class="quiet small" onclick={addFoul}>+ what is done instead in foul weather</Button>
		{/if}
		<Button class="quiet small" aria-expanded={picking || isEmpty} onclick={() => (picking = !picking)}
			>Patterns and phases to add</Button
		>
		{#if sequence.length >= 2}
			<span class="small soft">Repeat the last</span>
			{#each [2, 3] as count (count)}
				{#if sequence.length >= count}<Button class="quiet small" onclick={() => repeatLast(count)}
						>{count} phases</Button
					>{/if}
			{/each}
		{/if}
	</div>
	{#if isEmpty}
		<p class="empty">What happens on this day? Choose a pattern; everything in it can be changed after.</p>
	{/if}
	{#if picking || isEmpty}
		{#await import('./phases/PatternPicker.svelte') then { default: PatternPicker }}
			<PatternPicker {house} {stage} {take} {add} {drop} empty={isEmpty} />
		{/await}
	{/if}
	{#if !isEmpty}
		<div>
			<SequenceRows
				bind:sequence={() => sequence, setSequence}
				{cells}
				path="{path}.{isFoul ? 'foul.' : ''}sequence"
				{errors}
				{onchange}
				label="Phases of {stage.name}"
			/>
		</div>
		<p class="tiny soft">
			Open a phase to change it: height, air, wind and rain are computed from the day until something is
			typed. A typed figure wins and is marked with a bar; empty the field to compute it again.
		</p>
	{/if}
</section>

<style>
	.panel {
		padding: 12px 16px 14px;
		margin-top: -1px;
		position: relative;
	}
	.first {
		display: grid;
		grid-template-columns: minmax(200px, 1fr) 150px 80px 140px auto;
		gap: 12px;
		align-items: end;
	}
	.acts {
		text-align: right;
	}
	.acts :global(button:disabled) {
		color: var(--rule-strong);
		text-decoration: none;
	}
	.keep {
		display: flex;
		gap: 10px;
		align-items: end;
		max-width: 460px;
		padding: 8px 0;
	}
	.keep > :global(.field) {
		flex: 1;
	}
	.keep :global(button) {
		background: var(--ink);
		color: var(--sheet);
		border-radius: 3px;
		padding: 6px 14px;
		cursor: pointer;
	}
	.variants {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 12px;
		align-items: center;
		padding: 10px 0 6px;
	}
	.variants [role='radiogroup'] {
		display: flex;
		border: 1px solid var(--ink);
		border-radius: 3px;
	}
	.variants :global([role='radio']) {
		padding: 3px 12px;
		cursor: pointer;
	}
	.variants :global([aria-checked='true']) {
		background: var(--ink);
		color: var(--sheet);
	}
	.empty {
		font-size: 17px;
		padding-top: 8px;
	}
	@media (max-width: 1000px) {
		.first {
			grid-template-columns: repeat(2, minmax(0, 1fr));
		}
		.acts {
			text-align: left;
			grid-column: 1 / -1;
		}
	}
</style>
