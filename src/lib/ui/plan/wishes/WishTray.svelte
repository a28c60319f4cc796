<script lang="ts">
	import { Button, Select } from 'flowbite-svelte';
	import type { Thing } from '$lib/core/document/types';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import type { TripSummary } from '$lib/core/plan/told/summary';
	import { isSameWish, type Wish } from '$lib/core/document/wish';
	import { massWords } from '$lib/words/units';
	import { shortName } from '$lib/words/labels';
	import { readerUnits } from '../../parts/reader-units';

	interface Props {
		things: readonly Thing[];
		summary: TripSummary;
		wishes: readonly Wish[];
		stageId: string;
		phases: readonly PlannedPhase[];
		massOf: (thingId: string) => number;
		/** the answer to what was asked last */
		asked: string | null;
		asking: string;
		onwishes: (wishes: Wish[]) => void;
		/** asks why a thing stays at home */
		onask: (thingId: string) => void;
	}
	let { things, summary, wishes, stageId, phases, massOf, asked, asking, onwishes, onask }: Props = $props();

	const units = $derived(readerUnits());
	const thingOf = (id: string): Thing | undefined => things.find((thing) => thing.id === id);
	const taken = $derived(things.filter(({ id }) => summary.takenIds.includes(id)));
	const left = $derived(things.filter(({ id }) => summary.leftIds.includes(id) || isLeft(id)));
	const isLeft = (id: string): boolean =>
		wishes.some(({ kind, thingId }) => kind === 'leave' && thingId === id);
	const wishOf = (id: string): Wish | undefined => wishes.find(({ thingId }) => thingId === id);

	const WORDS: Readonly<Record<Wish['kind'], string>> = {
		take: 'comes along, by wish',
		wear: 'worn, by wish',
		leave: 'left, by wish',
		prefer: 'liked best'
	};
	let at = $state('');
	let phaseId = $state('');
	const here = $derived(thingOf(at));

	/** One wish a thing; the same one again takes it back. */
	function wish(kind: Wish['kind'], id: string, phase = phaseId): void {
		const asked: Wish =
			kind === 'wear' ? { kind, thingId: id, stageId, phaseId: phase } : { kind, thingId: id };
		const others = wishes.filter(
			(one) => one.thingId !== id || (kind === 'wear' && one.kind === 'wear' && !isSameWish(one, asked))
		);
		onwishes(wishes.some((one) => isSameWish(one, asked)) ? others : [...others, asked]);
	}
	const lived = $derived(
		phases.filter(({ cell }) => cell.kind !== 'sleep' && cell.kind !== 'what-if' && cell.round === 1)
	);
	const KEYS: Readonly<Record<string, Wish['kind']>> = { p: 'take', l: 'leave', f: 'prefer' };
	function onkeydown(event: KeyboardEvent, id: string): void {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		const key = event.key.toLowerCase();
		if (KEYS[key]) wish(KEYS[key], id);
		else if (key === 'n' && summary.leftIds.includes(id)) onask(id);
		else if (key === 'arrowright' || key === 'arrowdown' || key === 'arrowleft' || key === 'arrowup') {
			const all = [...document.querySelectorAll<HTMLElement>('[data-chip]')];
			const step = key === 'arrowright' || key === 'arrowdown' ? 1 : -1;
			all[all.findIndex((chip) => chip.dataset['chip'] === id) + step]?.focus();
		} else return;
		event.preventDefault();
	}
	const drag = (event: DragEvent, id: string): void => event.dataTransfer?.setData('text/x-thing', id);
	function drop(event: DragEvent, kind: Wish['kind']): void {
		event.preventDefault();
		const id = event.dataTransfer?.getData('text/x-thing');
		if (!id) return;
		const isBack = kind === 'leave' ? false : isLeft(id);
		if (isBack) onwishes(wishes.filter(({ thingId }) => thingId !== id));
		else if (!wishes.some((one) => one.kind === kind && one.thingId === id)) wish(kind, id);
	}
	function dropOnPhase(event: DragEvent, phase: string): void {
		event.preventDefault();
		const id = event.dataTransfer?.getData('text/x-thing');
		if (id) wish('wear', id, phase);
	}
	const allow = (event: DragEvent): void => event.preventDefault();
	const grams = (massG: number): string => massWords(massG, units);
</script>

{#snippet chip(thing: Thing)}
	{@const own = wishOf(thing.id)}
	<Button
		class={['kit-chip', own && 'wished', at === thing.id && 'here']}
		data-chip={thing.id}
		draggable="true"
		ondragstart={(event: DragEvent) => drag(event, thing.id)}
		onclick={() => (at = at === thing.id ? '' : thing.id)}
		onkeydown={(event: KeyboardEvent) => onkeydown(event, thing.id)}
		aria-expanded={at === thing.id}
	>
		{shortName(thing.name)} <span class="tiny soft">{grams(massOf(thing.id))}</span>
		{#if own}<span class="tiny mark">{WORDS[own.kind]}</span>{/if}
	</Button>
{/snippet}

{#snippet choices(thing: Thing)}
	{@const isHome = summary.leftIds.includes(thing.id)}
	<div class="choices">
		<Button
			class="small-button"
			aria-pressed={wishOf(thing.id)?.kind === 'take'}
			onclick={() => wish('take', thing.id)}>Comes along <kbd>P</kbd></Button
		>
		<Button
			class="small-button"
			aria-pressed={wishOf(thing.id)?.kind === 'leave'}
			onclick={() => wish('leave', thing.id)}>Stays at home <kbd>L</kbd></Button
		>
		<Button
			class="small-button"
			aria-pressed={wishOf(thing.id)?.kind === 'prefer'}
			onclick={() => wish('prefer', thing.id)}>Liked best <kbd>F</kbd></Button
		>
		<span class="wear">
			<label for="wear-{thing.id}">Wear it in</label>
			<Select
				id="wear-{thing.id}"
				placeholder=""
				bind:value={phaseId}
				onchange={() => phaseId && wish('wear', thing.id)}
			>
				<option value="">…</option>
				{#each lived as { cell } (cell.phaseId)}<option value={cell.phaseId}>{cell.name}</option>{/each}
			</Select>
		</span>
		{#if isHome}
			<Button class="small-button" onclick={() => onask(thing.id)}>Why not mine? <kbd>N</kbd></Button>
		{/if}
	</div>
{/snippet}

<section class="wishes" aria-label="What comes along, and wishes">
	<div
		class="tray"
		role="group"
		aria-label="Comes along"
		ondragover={allow}
		ondrop={(event) => drop(event, 'take')}
	>
		<h3>Comes along <span class="small soft">{grams(summary.levels.massG)}</span></h3>
		<div class="chips">
			{#each taken as thing (thing.id)}{@render chip(thing)}{/each}
		</div>
	</div>
	<div
		class="tray"
		role="group"
		aria-label="Stays at home"
		ondragover={allow}
		ondrop={(event) => drop(event, 'leave')}
	>
		<h3>Stays at home</h3>
		<div class="chips">
			{#each left as thing (thing.id)}
				{@render chip(thing)}
			{:else}<p class="small soft">Everything that can be worn is needed somewhere.</p>{/each}
		</div>
	</div>
	<div class="tray over" role="group" aria-label="Worn in a phase">
		<span class="small soft">Drop a thing here to have it worn in</span>
		{#each lived as { cell } (cell.phaseId)}
			<span
				class="target"
				role="group"
				aria-label="Wear it in {cell.name}"
				ondragover={allow}
				ondrop={(event) => dropOnPhase(event, cell.phaseId)}>{cell.name}</span
			>
		{/each}
	</div>
	{#if here}
		<div class="panel" role="group" aria-label="Wishes for {here.name}">
			<p><strong>{here.name}</strong></p>
			{@render choices(here)}
		</div>
	{/if}
	<p class="answer" role="status" aria-label="What it would cost">
		{#if asking}Trying it in the phases where it could have its place …{:else if asked}{asked}{/if}
	</p>
	{#if wishes.length > 0}
		<ul class="list" aria-label="Wishes">
			{#each wishes as one (JSON.stringify(one))}
				<li>
					<Button
						class="quiet"
						onclick={() => onwishes(wishes.filter((other) => !isSameWish(other, one)))}
						aria-label="Take back: {shortName(thingOf(one.thingId)?.name ?? 'a thing')}, {WORDS[one.kind]}"
						>✕</Button
					>
					{shortName(thingOf(one.thingId)?.name ?? 'A thing that is gone')}: {WORDS[one.kind]}
				</li>
			{/each}
			<li><Button class="quiet" onclick={() => onwishes([])}>Take all back</Button></li>
		</ul>
	{/if}
	<p class="tiny soft no-print">
		Drag a thing between the lists, or onto a phase here or in the drawing. Keys on a thing: <kbd>P</kbd>
		comes along,
		<kbd>L</kbd> stays at home, <kbd>F</kbd> liked best, <kbd>N</kbd> why not mine.
	</p>
</section>

<style>
	.wishes {
		display: grid;
		grid-template-columns: 3fr 2fr;
		gap: 6px 22px;
	}
	.tray {
		border-top: 2px solid var(--ink);
		padding: 6px 0;
	}
	.chips {
		display: flex;
		flex-wrap: wrap;
		gap: 5px;
		margin-top: 5px;
	}
	:global(.button.kit-chip) {
		border: 1px solid var(--rule-strong);
		background: var(--sheet);
		padding: 3px 8px;
		font-size: 14px;
		line-height: 1.25;
		text-align: left;
		cursor: grab;
		border-radius: 2px;
	}
	:global(.button.kit-chip.here) {
		outline: 2px solid var(--ink);
	}
	:global(.button.kit-chip.wished) {
		border-color: var(--ink);
		border-left-width: 5px;
	}
	.mark {
		font-weight: 600;
	}
	.over {
		display: flex;
		flex-wrap: wrap;
		gap: 5px 8px;
		align-items: center;
		border-top-width: 1px;
	}
	.target {
		border: 1px dashed var(--rule-strong);
		padding: 2px 9px;
		font-size: 14px;
	}
	.over,
	.panel,
	.answer,
	.list,
	.wishes > :last-child {
		grid-column: 1 / -1;
	}
	.panel {
		background: var(--sheet);
		border: 1px solid var(--ink);
		padding: 8px 12px;
	}
	.choices {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 10px;
		align-items: center;
		margin-top: 4px;
	}
	:global(.button.small-button) {
		border: 1px solid var(--rule-strong);
		padding: 3px 9px;
		cursor: pointer;
		border-radius: 2px;
		font-size: 14px;
	}
	:global(.button.small-button[aria-pressed='true']) {
		background: var(--ink);
		color: var(--sheet);
	}
	.wear :global(select) {
		font-size: 14px;
		padding: 3px 28px 3px 8px;
		background-color: var(--sheet);
		color: var(--ink);
	}
	.wear {
		font-size: 14px;
		display: inline-flex;
		gap: 6px;
		align-items: center;
	}
	.answer:empty {
		display: none;
	}
	.list {
		display: flex;
		flex-wrap: wrap;
		gap: 3px 16px;
		font-size: 15px;
	}
	@media (max-width: 760px) {
		.wishes {
			grid-template-columns: 1fr;
		}
		:global(.button.kit-chip) {
			font-size: 16px;
			padding: 7px 11px;
		}
	}
</style>
