<script lang="ts">
	import { Button, Input } from 'flowbite-svelte';
	import { EXTRAS, PATTERNS } from '$lib/core/patterns';
	import type { Untyped } from '$lib/core/patterns/edit-days';
	import { withNewIds, withPace, type Unfolded } from '$lib/core/patterns/pattern';
	import { patternName, patternOf, unfoldNamed } from '$lib/words/patterns';
	import { PACES, type Pace, type Phase, type Sequence, type Stage } from '$lib/core/document/types';
	import { PACE_WORDS, duration } from '$lib/words/labels';
	import { rolledOut } from '$lib/core/document/sequence';
	import Choice from '../../parts/Choice.svelte';

	interface HousePattern {
		id: string;
		name: string;
		content: Omit<Unfolded, 'patternId'>;
	}
	interface Props {
		house: readonly HousePattern[];
		stage: Stage;
		/** a whole day, and what the pattern that the day has now gives it */
		take: (unfolded: Unfolded, given: Untyped | null) => void;
		add: (phase: Phase) => void;
		drop: (id: string) => void;
		/** whether the day is still empty, so that choosing replaces nothing */
		empty: boolean;
	}
	let { house, stage, take, add, drop, empty }: Props = $props();

	const newId = (): string => crypto.randomUUID();
	// svelte-ignore state_referenced_locally
	let chosenPace = $state<Pace>(stage.pace);
	let query = $state('');

	/** Minutes outdoors, nights and houses apart. */
	const minutesOf = (sequence: Sequence): number =>
		rolledOut(sequence)
			.filter(({ phase }) => phase.kind !== 'what-if' && phase.place !== 'in' && phase.place !== 'bed')
			.reduce((sum, { phase }) => sum + phase.minutes, 0);
	const whatIfs = (sequence: Sequence): number =>
		sequence.filter((item) => item.type === 'phase' && item.kind === 'what-if').length;
	const all = $derived([
		...house.map(({ id, name, content }) => ({ id, name, own: true, sequence: content.sequence })),
		...PATTERNS.map((pattern) => ({
			id: pattern.id,
			name: patternName(pattern.id),
			own: false,
			sequence: unfoldNamed(pattern, chosenPace, () => 'x').sequence
		}))
	]);
	const shown = $derived(all.filter(({ name }) => name.toLowerCase().includes(query.trim().toLowerCase())));

	/** What the pattern of now gives: only what differs from it was typed. */
	function given(): Untyped | null {
		const pattern = PATTERNS.find(({ id }) => id === stage.patternId);
		if (pattern) return unfoldNamed(pattern, stage.pace, () => '');
		return house.find(({ id }) => id === stage.patternId)?.content ?? null;
	}
	function choose(id: string, own: boolean): void {
		if (!own) {
			take(unfoldNamed(patternOf(id), chosenPace, newId), given());
			return;
		}
		const { content } = house.find((pattern) => pattern.id === id)!;
		const paced = (sequence: Sequence): Sequence =>
			withNewIds(withPace(sequence, content.pace, chosenPace), newId);
		const taken = {
			...content,
			pace: chosenPace,
			patternId: id,
			sequence: paced(content.sequence),
			foul: content.foul && { ...content.foul, sequence: paced(content.foul.sequence) }
		};
		take(taken, given());
	}
	const extras = unfoldNamed(
		{ id: 'extras', doing: 'hike', startMin: 0, bed: 'none', day: EXTRAS },
		'guided',
		() => 'x'
	).sequence as Phase[];
	const addExtra = (phase: Phase): void => add({ ...structuredClone(phase), id: newId() });
</script>

<div class="picker">
	<div class="top">
		<label class="small soft" for="pattern-search">A pattern for this day</label>
		<Input id="pattern-search" bind:value={query} placeholder="ski, coast, ride …" autocomplete="off" />
		<Choice id="pattern-pace" label="Pace" bare bind:value={chosenPace} options={PACES} words={PACE_WORDS} />
		{#if !empty}<span class="tiny soft"
				>It takes the place of the phases below. What you typed in phases of the same name stays; undo brings
				back the rest.</span
			>{/if}
	</div>
	<ul aria-label="Patterns">
		{#each shown as pattern (pattern.id)}
			<li>
				<Button class={['pattern', pattern.own && 'own']} onclick={() => choose(pattern.id, pattern.own)}>
					<span>{pattern.name}</span>
					<span class="tiny soft"
						>{pattern.own ? 'our own · ' : ''}out {duration(minutesOf(pattern.sequence))}{whatIfs(
							pattern.sequence
						) > 0
							? ` · ${whatIfs(pattern.sequence)} what-ifs`
							: ''}</span
					>
				</Button>
				{#if pattern.own}<Button
						class="quiet small"
						aria-label="Drop the pattern {pattern.name}"
						onclick={() => drop(pattern.id)}>drop</Button
					>{/if}
			</li>
		{:else}
			<li class="soft">
				No pattern of that name. Build the day from single phases, then keep it as a pattern of your own.
			</li>
		{/each}
	</ul>
	<div class="extras" role="group" aria-label="Add a phase">
		<span class="small soft">Or one phase at a time</span>
		{#each extras as phase (phase.name)}
			<Button onclick={() => addExtra(phase)}>{phase.name}</Button>
		{/each}
	</div>
</div>

<style>
	.picker {
		padding: 12px 0;
	}
	.top {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 12px;
		align-items: center;
	}
	.top :global(#pattern-search) {
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
		background: var(--sheet);
		padding: 5px 9px;
		width: 200px;
	}
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
		gap: 0 18px;
		margin: 8px 0;
	}
	li {
		display: flex;
		border-bottom: 1px solid var(--rule);
	}
	:global(.button.pattern) {
		flex: 1;
		display: flex;
		flex-direction: column;
		text-align: left;
		padding: 5px 2px;
		cursor: pointer;
		line-height: 1.25;
	}
	:global(.button.pattern:hover) {
		background: var(--band);
	}
	:global(.button.pattern.own span:first-child) {
		font-weight: 700;
	}
	.extras {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		align-items: center;
	}
	.extras :global(button) {
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
		padding: 3px 10px;
		cursor: pointer;
		font-size: 14px;
		background: var(--paper);
	}
	.extras :global(button:hover) {
		background: var(--band);
	}
</style>
