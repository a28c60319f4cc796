<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { dragHandle, dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import type { Loop, Phase, Sequence } from '$lib/core/document/types';
	import type { Cell } from '$lib/core/conditions/cells';
	import Field from '../../parts/Field.svelte';
	import PhaseRow from './PhaseRow.svelte';
	import Self from './SequenceRows.svelte';

	interface Props {
		sequence: Sequence;
		cells: ReadonlyMap<string, Cell>;
		path: string;
		errors: Record<string, string>;
		onchange: (key?: string) => void;
		label: string;
	}
	let { sequence = $bindable(), cells, path, errors, onchange, label }: Props = $props();

	function move(index: number, by: -1 | 1): void {
		const to = index + by;
		if (to < 0 || to >= sequence.length) return;
		const next = [...sequence];
		[next[index], next[to]] = [next[to]!, next[index]!];
		sequence = next;
		onchange();
	}
	function remove(index: number): void {
		sequence = sequence.filter((_, i) => i !== index);
		onchange();
	}
	/** Takes the phases out of a loop and puts them in its place. */
	function unroll(index: number): void {
		const loop = sequence[index] as Loop;
		sequence = [...sequence.slice(0, index), ...loop.sequence, ...sequence.slice(index + 1)];
		onchange();
	}
	type Dragged = CustomEvent<DndEvent<Sequence[number]>>;
	function dragging(event: Dragged): void {
		sequence = event.detail.items;
	}
	function dropped(event: Dragged): void {
		sequence = event.detail.items;
		onchange();
	}
</script>

<ol
	class="sequence"
	aria-label={label}
	use:dragHandleZone={{
		items: sequence,
		type: path,
		dropTargetStyle: {},
		flipDurationMs: 0,
		autoAriaDisabled: true
	}}
	onconsider={dragging}
	onfinalize={dropped}
>
	{#each sequence as item, i (item.id)}
		{#if item.type === 'phase'}
			<PhaseRow
				bind:phase={() => sequence[i] as Phase, (value) => (sequence[i] = value)}
				cell={cells.get(item.id)}
				path="{path}.{i}"
				{errors}
				{onchange}
				move={(by) => move(i, by)}
				remove={() => remove(i)}
			/>
		{:else}
			{@const loop = item}
			<li class="loop">
				<div class="head">
					<span use:dragHandle class="grip" aria-label="Drag {loop.name}">⠿</span>
					<span aria-hidden="true">⟲</span>
					<Field
						bare
						id="loop-{loop.id}"
						label="Name of the loop"
						bind:value={loop.name}
						error={errors[`${path}.${i}.name`]}
						onchange={() => onchange(`${loop.id} name`)}
					/>
					<Field
						bare
						id="loop-{loop.id}-count"
						type="number"
						label="Rounds"
						min={1}
						max={30}
						bind:value={loop.count}
						error={errors[`${path}.${i}.count`]}
						onchange={() => onchange(`${loop.id} count`)}
					/>
					<span class="small"
						>rounds of {loop.sequence.length === 1
							? 'this phase'
							: `these ${loop.sequence.length} phases`}</span
					>
					<span class="tools">
						<Button class="quiet small" onclick={() => unroll(i)}>no loop</Button>
						<Button class="square" onclick={() => move(i, -1)} aria-label="{loop.name} earlier">↑</Button>
						<Button class="square" onclick={() => move(i, 1)} aria-label="{loop.name} later">↓</Button>
						<Button class="square" onclick={() => remove(i)} aria-label="Remove {loop.name} and its phases"
							>✕</Button
						>
					</span>
				</div>
				<Self
					bind:sequence={loop.sequence}
					{cells}
					path="{path}.{i}.sequence"
					{errors}
					{onchange}
					label="Phases of {loop.name}"
				/>
			</li>
		{/if}
	{/each}
</ol>

<style>
	ol {
		padding: 0;
	}
	.loop {
		list-style: none;
		border: 2px solid var(--ink);
		border-right-width: 0;
		padding: 5px 0 5px 6px;
		margin: 3px 0;
	}
	.head {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 4px 10px;
		padding-right: 4px;
	}
	.grip {
		cursor: grab;
		color: var(--rule-strong);
	}
	.tools {
		margin-left: auto;
		white-space: nowrap;
	}
</style>
