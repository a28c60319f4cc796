<script lang="ts">
	import type { Loop, Phase, Sequence } from '$lib/core/document/types';
	import type { Cell } from '$lib/core/plan/conditions';
	import Field from './Field.svelte';
	import PhaseRow from './PhaseRow.svelte';
	import Self from './SequenceRows.svelte';

	interface Props {
		sequence: Sequence;
		cells: ReadonlyMap<string, Cell>;
		path: string;
		errors: Record<string, string>;
		onchange: () => void;
	}
	let { sequence = $bindable(), cells, path, errors, onchange }: Props = $props();

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
	const COLUMNS = 13;
</script>

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
		<tr class="loop">
			<td>⟲</td>
			<td colspan={COLUMNS - 2}>
				<div>
					<Field
						bare
						id="loop-{loop.id}"
						label="Name of the loop"
						bind:value={loop.name}
						error={errors[`${path}.${i}.name`]}
						{onchange}
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
						{onchange}
					/>
					<span class="small">rounds of the {loop.sequence.length} phases below</span>
				</div>
			</td>
			<td class="tools">
				<button class="quiet small" onclick={() => unroll(i)}>no loop</button>
				<button class="square" onclick={() => move(i, -1)} aria-label="{loop.name} earlier">↑</button>
				<button class="square" onclick={() => move(i, 1)} aria-label="{loop.name} later">↓</button>
				<button class="square" onclick={() => remove(i)} aria-label="Remove {loop.name} and its phases"
					>✕</button
				>
			</td>
		</tr>
		<Self bind:sequence={loop.sequence} {cells} path="{path}.{i}.sequence" {errors} {onchange} />
		<tr class="end"><td colspan={COLUMNS} class="tiny soft">end of {loop.name}, {loop.count} times</td></tr>
	{/if}
{/each}

<style>
	.loop td {
		border-top: 2px solid var(--ink);
		padding: 4px 3px;
	}
	.loop div {
		display: flex;
		align-items: center;
		gap: 10px;
	}
	.end td {
		border-bottom: 2px solid var(--ink);
		padding-bottom: 4px;
	}
	.tools {
		white-space: nowrap;
	}
</style>
