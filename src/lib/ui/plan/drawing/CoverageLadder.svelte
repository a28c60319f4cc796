<script lang="ts">
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import { Button } from 'flowbite-svelte';
	import { listed, small } from '$lib/words/message';
	import { ROW_NAMES, WHERE_WORDS, coverageWords } from '$lib/words/labels';
	import type { Row } from '$lib/core/document/parts';
	import type { CoverageCell } from '$lib/core/judge/coverage';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import { type Where, WATER_AND_FOOD } from '$lib/core/kit/pack';
	import { toneOf } from '../../parts/tone';
	import { massWords, tempWords } from '$lib/words/units';
	import { reason } from '$lib/core/document/reasons';
	import { readerUnits } from '../../parts/reader-units';
	import { why } from '../../parts/why.svelte';
	import { ladderRows } from './ladder-rows';

	interface Props {
		phases: readonly PlannedPhase[];
		widths: readonly number[];
		names: ReadonlyMap<string, string>;
		gutter: number;
	}
	let { phases, widths, names, gutter }: Props = $props();

	interface Run {
		row: Row;
		from: number;
		span: number;
		/** everything that is there, and the outermost with how many are under it */
		words: string;
		short: string;
		tone: string;
	}
	/** All parts and the pack, or only what is wrong somewhere. */
	let showsAll = $state(false);
	const { rows, wrong } = $derived(ladderRows(phases));
	const fine = $derived(rows.filter((row) => !wrong.includes(row)));

	function cellTone(phase: PlannedPhase, { state, thingIds }: CoverageCell): string {
		if (state === 'missing' || state === 'not asked' || state === 'not needed')
			return state.replace(' ', '-');
		const top = phase.outfit.filter(({ cloth }) => thingIds.includes(cloth.thingId)).at(-1);
		return top ? toneOf(top) : 'skin';
	}
	const withTrouble = (words: string, { trouble }: CoverageCell): string =>
		trouble ? `${words}: ${trouble}` : words;
	const CHARACTER_PX = 6.3;
	const fits = (run: Run): boolean =>
		run.words.length * CHARACTER_PX <
		1.9 * (widths.slice(run.from, run.from + run.span).reduce((a, b) => a + b, 0) - 22);
	/** Equal neighbours are one cell, so that a row reads as a bar from on to off. */
	function runsOf(row: Row): Run[] {
		const runs: Run[] = [];
		phases.forEach((phase, k) => {
			const cell = phase.coverage.find((one) => one.row === row)!;
			const worn = cell.thingIds.map((id) => names.get(id) ?? '');
			const words = withTrouble(coverageWords(cell, worn, true), cell);
			const short = withTrouble(coverageWords(cell, worn, false), cell);
			const tone =
				cell.trouble === 'short' || cell.trouble === 'nothing suffices' || cell.trouble === 'wet through'
					? 'missing'
					: cellTone(phase, cell);
			const last = runs.at(-1);
			if (last && last.words === words && last.tone === tone) last.span++;
			else runs.push({ row, from: k, span: 1, words, short, tone });
		});
		return runs;
	}
	const grid = $derived(
		rows.filter((row) => showsAll || !fine.includes(row)).map((row) => ({ row, runs: runsOf(row) }))
	);

	let at = $state({ row: 0, k: 0 });
	let table = $state<HTMLTableElement>();
	const isAt = (row: number, run: Run): boolean =>
		at.row === row && at.k >= run.from && at.k < run.from + run.span;

	function onkeydown(event: KeyboardEvent): void {
		const here = grid[at.row]!.runs.find((run) => isAt(at.row, run))!;
		const next = { ...at };
		if (event.key === 'ArrowRight') next.k = Math.min(phases.length - 1, here.from + here.span);
		else if (event.key === 'ArrowLeft') next.k = Math.max(0, here.from - 1);
		else if (event.key === 'ArrowDown') next.row = Math.min(grid.length - 1, at.row + 1);
		else if (event.key === 'ArrowUp') next.row = Math.max(0, at.row - 1);
		else return;
		event.preventDefault();
		at = next;
		const run = grid[at.row]!.runs.find((one) => isAt(at.row, one))!;
		table?.querySelector<HTMLElement>(`[data-cell="${at.row}-${run.from}"]`)?.focus();
	}
	function open(row: number, run: Run): void {
		at = { row, k: run.from };
		const phase = phases[run.from]!;
		const cell = phase.coverage.find((one) => one.row === run.row)!;
		const local = run.row === 'hands' ? phase.fingers : run.row === 'feet' ? phase.toes : null;
		why.open({
			title: `${ROW_NAMES[run.row]}, ${phase.cell.name}`,
			sentence: run.words,
			lines: [
				...cell.thingIds.map((id) => ({ label: 'On', text: names.get(id) ?? '' })),
				...(local && !phase.cell.heated
					? [
							{
								label: run.row === 'hands' ? 'Fingers' : 'Toes',
								text: `${tempWords(local.startC, readerUnits())} at the start, ${tempWords(local.endC, readerUnits())} at the end`
							}
						]
					: [])
			],
			reasons: [...cell.reasons, ...(cell.trouble && phase.limitedBy === run.row ? phase.reasons : [])]
		});
	}

	const carried = (phase: PlannedPhase, where: Where): string[] =>
		phase.carried.filter((one) => one.where === where).map((one) => names.get(one.thingId) ?? '');
	function openPack(phase: PlannedPhase, where: Where): void {
		why.open({
			title: `${WHERE_WORDS[where]}, ${phase.cell.name}`,
			sentence: carried(phase, where).join(', ') || 'Nothing.',
			reasons: []
		});
	}
	const packWords = ({ pack }: PlannedPhase): string =>
		`${Math.ceil(pack.litres)}${pack.bag ? ` of ${pack.bag.holdsL}` : ''} l, ${massWords(pack.massG, readerUnits())}`;
	function openLitres(phase: PlannedPhase): void {
		const { litres, bag } = phase.pack;
		why.open({
			title: `The pack, ${phase.cell.name}`,
			sentence: bag
				? `${packWords(phase)} in ${bag.name}.`
				: `${packWords(phase)}. No bag is known of: add one to the kit.`,
			lines: phase.pack.wetIds.map((id) => ({ label: 'Wet, kept apart', text: names.get(id) ?? '' })),
			reasons: [
				reason('pack', [
					['clothesAndThings', litres - WATER_AND_FOOD.litres, 'l'],
					['waterAndFood', WATER_AND_FOOD.litres, 'l']
				])
			]
		});
	}
	const PACKED: readonly Where[] = ['top', 'pack', 'pocket'];
</script>

<p class="fold">
	{#if !showsAll && fine.length > 0}{pictureMessage('ladder.rest', {
			parts: listed(fine.map((row) => small(ROW_NAMES[row])))
		})}{/if}
	<Button
		class="quiet no-print"
		aria-expanded={showsAll}
		onclick={() => {
			showsAll = !showsAll;
			at = { row: 0, k: 0 };
		}}>{pictureMessage('ladder.show', { all: showsAll ? 'yes' : 'no' })}</Button
	>
</p>
<table bind:this={table} style:width="{gutter + widths.reduce((a, b) => a + b, 0)}px">
	<caption class="visually-hidden"
		>Head to toe: what covers each part of the body in each phase. Arrow keys move, Enter opens the reason.</caption
	>
	<colgroup>
		<col style:width="{gutter}px" />
		{#each widths as width, k (k)}<col style:width="{width}px" />{/each}
	</colgroup>
	<thead class="visually-hidden">
		<tr>
			<th scope="col">Part</th>
			{#each phases as phase, k (k)}<th scope="col">{phase.cell.name}</th>{/each}
		</tr>
	</thead>
	<tbody>
		{#each grid as { row, runs }, r (row)}
			<tr>
				<th scope="row">{ROW_NAMES[row]}</th>
				{#each runs as run (run.from)}
					<td colspan={run.span}>
						<button
							class="cell tone-{run.tone}"
							data-cell="{r}-{run.from}"
							aria-label="{ROW_NAMES[row]}, {phases[run.from]!.cell.name}{run.span > 1
								? ` to ${phases[run.from + run.span - 1]!.cell.name}`
								: ''}: {run.words}"
							tabindex={isAt(r, run) ? 0 : -1}
							onclick={() => open(r, run)}
							{onkeydown}>{fits(run) ? run.words : run.short}</button
						>
					</td>
				{/each}
			</tr>
		{/each}
	</tbody>
	<tbody class="packs" hidden={!showsAll}>
		{#each PACKED as where (where)}
			<tr>
				<th scope="row">{WHERE_WORDS[where]}</th>
				{#each phases as phase, k (k)}
					{@const list = carried(phase, where)}
					<td>
						{#if list.length > 0}
							<button
								class="quiet tiny"
								onclick={() => openPack(phase, where)}
								aria-label="{WHERE_WORDS[where]} in {phase.cell.name}: {list.join(', ')}"
							>
								{where === 'top'
									? list.join(', ')
									: `${list.length} ${list.length === 1 ? 'thing' : 'things'}`}
							</button>
						{/if}
					</td>
				{/each}
			</tr>
		{/each}
		<tr>
			<th scope="row">The pack</th>
			{#each phases as phase, k (k)}
				{@const isTight = phase.pack.bag !== null && phase.pack.litres > phase.pack.bag.holdsL}
				<td>
					{#if phase.cell.kind !== 'sleep'}
						<button
							class="quiet tiny"
							class:tight={isTight}
							onclick={() => openLitres(phase)}
							aria-label="The pack in {phase.cell.name}: {packWords(phase)}">{packWords(phase)}</button
						>
					{/if}
				</td>
			{/each}
		</tr>
	</tbody>
</table>

<style>
	.fold {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		padding: 3px 0;
	}
	table {
		table-layout: fixed;
		border-collapse: separate;
		border-spacing: 0;
		background: var(--sheet);
	}
	th[scope='row'] {
		position: sticky;
		left: 0;
		background: var(--paper);
		text-align: left;
		font-weight: 600;
		font-size: 13.5px;
		padding: 3px 8px 3px 0;
		z-index: 2;
		line-height: 1.15;
	}
	td {
		padding: 1px 3px;
		vertical-align: middle;
		border-top: 1px solid var(--rule);
		height: 30px;
	}
	.cell {
		display: block;
		width: 100%;
		min-height: 26px;
		text-align: left;
		font-size: 12.5px;
		line-height: 1.15;
		padding: 3px 2px 3px 4px;
		border-left: 6px solid var(--tone, transparent);
		background: color-mix(in srgb, var(--tone, #fff) 24%, var(--sheet));
		cursor: pointer;
		overflow-wrap: break-word;
		hyphens: auto;
		border-radius: 2px;
	}
	.tight {
		color: var(--v-short);
		font-weight: 700;
	}
	.tone-missing {
		background: var(--sheet);
		border: 2px solid var(--v-short);
		border-left-width: 6px;
		color: var(--v-short);
		font-weight: 700;
	}
	.tone-not-asked {
		background: var(--sheet);
		border: 1.5px dashed var(--ink);
		font-style: italic;
	}
	.tone-not-needed {
		background: none;
		color: var(--soft);
		border-left-color: transparent;
	}
	.packs td {
		vertical-align: top;
		height: auto;
	}
	.packs tr:first-child :is(td, th) {
		border-top: 2px solid var(--ink);
	}
	.packs .quiet {
		font-size: 12.5px;
		text-align: left;
		text-decoration: none;
		padding: 2px 3px;
		line-height: 1.2;
		overflow-wrap: break-word;
		max-width: 100%;
	}
	.packs .quiet:hover {
		text-decoration: underline;
	}
	@media print {
		.cell {
			border: 1px solid #000;
			background: #fff;
			color: #000;
		}
		th[scope='row'] {
			background: #fff;
		}
	}
</style>
