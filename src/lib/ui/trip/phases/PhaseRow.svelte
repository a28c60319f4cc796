<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { dragHandle } from 'svelte-dnd-action';
	import type { Phase } from '$lib/core/document/types';
	import type { Cell } from '$lib/core/conditions/cells';
	import { tempWords, withUnit } from '$lib/words/units';
	import { KIND_WORDS, MARK_WORDS, PLACE_WORDS, PRECIPITATION_WORDS, clock } from '$lib/words/labels';
	import Field from '../../parts/Field.svelte';
	import { readerUnits } from '../../parts/reader-units';
	import { why } from '../../parts/why.svelte';
	import { openedPhase } from './opened-phase.svelte';

	interface Props {
		phase: Phase;
		cell: Cell | undefined;
		path: string;
		errors: Record<string, string>;
		onchange: (key?: string) => void;
		move: (by: -1 | 1) => void;
		remove: () => void;
	}
	let { phase = $bindable(), cell, path, errors, onchange, move, remove }: Props = $props();

	const id = $derived(`phase-${phase.id}`);
	const units = $derived(readerUnits());

	function showWhy(): void {
		if (!cell) return;
		why.open({
			title: `${phase.name}: feels like ${tempWords(cell.feltTempC, units)}`,
			sentence: `Air ${tempWords(cell.airTempC, units)}, wind past the body ${withUnit('speed', cell.airVelocityMs * 3.6, units)}.`,
			reasons: [
				cell.reasons.feltTempC,
				cell.reasons.airTempC,
				cell.reasons.wind,
				cell.reasons.wet,
				cell.reasons.altitude,
				cell.reasons.effort
			]
		});
	}
	/** What is done where, in a few words: the rest is seen once it is opened. */
	const told = $derived(
		[
			KIND_WORDS[phase.kind],
			PLACE_WORDS[phase.place],
			cell ? withUnit('height', cell.altitudeM, units, 0) : '',
			cell && cell.precipitation !== 'dry' ? PRECIPITATION_WORDS[cell.precipitation] : '',
			...(phase.marks.length > 0 ? phase.marks.map((mark) => MARK_WORDS[mark]) : [])
		]
			.filter(Boolean)
			.join(' · ')
	);
	const HIDDEN = ['name', 'altitudeM', 'effortWm2', 'ownSpeedKmh', 'typed'] as const;
	/** What is wrong in a field that is folded away is shown. */
	const hasError = $derived(
		HIDDEN.some((field) => Object.keys(errors).some((key) => key.startsWith(`${path}.${field}`)))
	);
	const isOpen = $derived(openedPhase.id === phase.id || hasError);
	const feels = $derived(cell ? tempWords(cell.feltTempC, units) : '');
	function onkeydown(event: KeyboardEvent): void {
		if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
		event.preventDefault();
		move(event.key === 'ArrowUp' ? -1 : 1);
	}
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<li class="phase" class:open={isOpen} {onkeydown}>
	<div class="line">
		<span use:dragHandle class="grip" aria-label="Drag {phase.name}" title="Drag, or Alt and an arrow">⠿</span
		>
		<span class="clock">{cell && phase.kind !== 'what-if' ? clock(cell.startMin) : ''}</span>
		<Button
			class="phase-name"
			aria-label="Open {phase.name}"
			aria-expanded={isOpen}
			onclick={() => openedPhase.toggle(phase.id)}>{phase.name || 'no name'}</Button
		>
		<Field
			bare
			id="{id}-minutes"
			type="number"
			label="Minutes of {phase.name}"
			bind:value={phase.minutes}
			error={errors[`${path}.minutes`]}
			onchange={() => onchange(`${phase.id} minutes`)}
		/>
		<span class="told small soft">min · {told}</span>
		<span class="felt">
			{#if cell}<Button class="quiet" onclick={showWhy} aria-label="Why {phase.name} feels like {feels}"
					>feels {feels}</Button
				>{/if}
		</span>
		<span class="tools">
			<Button class="square" onclick={() => move(-1)} aria-label="{phase.name} earlier" title="Alt + arrow up"
				>↑</Button
			>
			<Button class="square" onclick={() => move(1)} aria-label="{phase.name} later" title="Alt + arrow down"
				>↓</Button
			>
			<Button class="square" onclick={remove} aria-label="Remove {phase.name}">✕</Button>
		</span>
	</div>
	{#if isOpen}
		{#await import('./PhaseForm.svelte') then { default: PhaseForm }}
			<PhaseForm bind:phase {cell} {path} {errors} {onchange} />
		{/await}
	{/if}
</li>

<style>
	.phase {
		background: var(--sheet);
		border-top: 1px solid var(--rule);
		list-style: none;
	}
	.phase.open {
		border-left: 4px solid var(--ink);
		padding-left: 6px;
	}
	.line {
		display: grid;
		grid-template-columns: 18px 46px minmax(120px, 250px) 72px minmax(0, 1fr) auto auto;
		gap: 4px 10px;
		align-items: center;
		padding: 2px 0;
	}
	.line :global(button.phase-name) {
		text-align: left;
		font-weight: 600;
		justify-content: start;
		min-height: 32px;
		width: 100%;
		border: 0;
		background: none;
		padding: 2px 4px;
		overflow-wrap: anywhere;
	}
	.line :global(button.phase-name:hover) {
		text-decoration: underline;
	}
	.clock {
		font-size: 14px;
		color: var(--soft);
	}
	.grip {
		cursor: grab;
		color: var(--rule-strong);
		padding: 2px;
	}
	.told {
		line-height: 1.2;
	}
	.felt {
		font-size: 15px;
		white-space: nowrap;
	}
	.tools {
		white-space: nowrap;
	}
	@media (max-width: 760px) {
		.line {
			grid-template-columns: 18px 46px minmax(0, 1fr) 72px;
		}
		.told {
			grid-column: 3 / -1;
		}
	}
</style>
