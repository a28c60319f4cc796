<script lang="ts">
	import { dragHandle, dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import type { Stage } from '$lib/core/document/types';
	import { tempWords } from '$lib/words/units';
	import { shortDate } from '$lib/words/labels';
	import { readerUnits } from '../../parts/reader-units';
	import type { StageView } from './trip-view';

	interface Props {
		stages: Stage[];
		views: readonly StageView[];
		weather: number;
		/** stages that are shown */
		from: number;
		to: number;
		pick: (index: number) => void;
		reorder: (stages: Stage[]) => void;
		add: () => void;
	}
	let { stages, views, weather, from, to, pick, reorder, add }: Props = $props();

	const units = $derived(readerUnits());
	/** While a day is dragged the strip shows where it would go. */
	let dragged = $state.raw<Stage[] | null>(null);
	const shown = $derived(dragged ?? stages);
	type Dragged = CustomEvent<DndEvent<Stage>>;

	function finalize(event: Dragged): void {
		dragged = null;
		reorder(event.detail.items);
	}
	function onkeydown(event: KeyboardEvent, index: number): void {
		const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
		const target = index + by;
		if (by === 0 || target < 0 || target >= stages.length) return;
		event.preventDefault();
		if (event.altKey) {
			const next = [...stages];
			[next[index], next[target]] = [next[target]!, next[index]!];
			reorder(next);
		} else pick(target);
		setTimeout(() => document.getElementById(`day-${target}`)?.focus());
	}
	/** Coldest felt on the move and how many cautions, in few signs. */
	function summary(index: number): string {
		const view = views[index];
		const cells = view?.lived[weather]?.filter(({ heated, kind }) => !heated && kind !== 'sleep') ?? [];
		return cells.length === 0
			? 'nothing yet'
			: `feels ${tempWords(Math.min(...cells.map(({ feltTempC }) => feltTempC)), units)}`;
	}
</script>

<div class="strip no-print">
	<ol
		aria-label="Days"
		use:dragHandleZone={{
			items: shown,
			type: 'days',
			dropTargetStyle: {},
			flipDurationMs: 0,
			autoAriaDisabled: true
		}}
		onconsider={(event: Dragged) => (dragged = event.detail.items)}
		onfinalize={finalize}
	>
		{#each shown as stage, i (stage.id)}
			<li class:here={i >= from && i <= to}>
				<span use:dragHandle class="grip" aria-label="Drag {stage.name}" title="Drag, or Alt and an arrow"
					>⠿</span
				>
				<button
					id="day-{i}"
					aria-current={i >= from && i <= to ? 'true' : undefined}
					onclick={() => pick(i)}
					onkeydown={(event) => onkeydown(event, i)}
				>
					<span class="tiny date">{shortDate(stage.date, units)}</span>
					<span class="name">{stage.name}</span>
					<span class="tiny soft">{summary(i)}</span>
				</button>
			</li>
		{/each}
	</ol>
	<button class="add" onclick={add}>+ Add a day</button>
</div>

<style>
	.strip {
		display: flex;
		gap: 4px;
		align-items: stretch;
		margin-top: 16px;
	}
	ol {
		display: flex;
		flex-wrap: wrap;
		gap: 4px;
		min-width: 0;
	}
	li {
		display: flex;
		border: 1px solid var(--rule);
		border-radius: 3px 3px 0 0;
		background: var(--paper);
		max-width: 190px;
	}
	li.here {
		background: var(--sheet);
		box-shadow: inset 0 4px 0 var(--ink);
		border-bottom-color: var(--sheet);
	}
	li button {
		display: flex;
		flex-direction: column;
		align-items: start;
		text-align: left;
		padding: 7px 10px 5px 2px;
		cursor: pointer;
		min-width: 76px;
		line-height: 1.25;
		overflow: hidden;
	}
	.name {
		display: block;
		max-width: 100%;
		overflow: hidden;
		text-overflow: ellipsis;
		white-space: nowrap;
		font-size: 14.5px;
	}
	.here .name {
		font-weight: 600;
	}
	.grip {
		color: var(--rule-strong);
		cursor: grab;
		padding: 7px 2px 0 5px;
	}
	.add {
		border: 1px dashed var(--rule-strong);
		border-radius: 3px;
		padding: 4px 12px;
		cursor: pointer;
		white-space: nowrap;
	}
	.date {
		white-space: nowrap;
	}
	@media (max-width: 700px) {
		.strip {
			flex-direction: column;
		}
		ol {
			flex-wrap: nowrap;
			overflow-x: auto;
		}
		li {
			flex: none;
		}
		.add {
			order: -1;
			align-self: start;
			padding: 6px 12px;
		}
	}
</style>
