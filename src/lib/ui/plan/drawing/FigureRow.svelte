<script lang="ts">
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import { listed, small } from '$lib/words/message';
	import DressedFigure from '../../figure/DressedFigure.svelte';
	import { type PlanColumn, wornBefore } from './plan-columns';

	interface Props {
		columns: readonly PlanColumn[];
		/** phases of the day, as they are lived through */
		phases: readonly PlannedPhase[];
		widths: readonly number[];
		names: ReadonlyMap<string, string>;
		clientName: string;
		gutter: number;
		onpoint: (column: number) => void;
	}
	let { columns, phases, widths, names, clientName, gutter, onpoint }: Props = $props();

	const FIGURE_PX = 86;
	const nameOf = (id: string): string => names.get(id) ?? id;
	interface Moment {
		k: number;
		phase: PlannedPhase;
		before: PlannedPhase['outfit'] | null;
		on: string[];
		off: string[];
		span: number;
	}
	/** The start, and every column in which something else is worn than just before. */
	const moments = $derived.by(() => {
		const found: Moment[] = [];
		columns.forEach((column, k) => {
			const { phase } = column;
			const before = wornBefore(phases, column);
			if (phase.cell.kind === 'sleep') return;
			const now = phase.outfit.map(({ cloth }) => cloth.thingId);
			const then = before?.map(({ cloth }) => cloth.thingId) ?? [];
			const on = before ? now.filter((id) => !then.includes(id)) : [];
			const off = then.filter((id) => !now.includes(id));
			if (before && on.length === 0 && off.length === 0) {
				if (found.length > 0) found.at(-1)!.span += 1;
				return;
			}
			found.push({ k, phase, before, on, off, span: 1 });
		});
		return found;
	});
	const leftOf = (k: number): number => gutter + widths.slice(0, k).reduce((a, b) => a + b, 0);
	const widthOf = ({ k, span }: Moment): number => widths.slice(k, k + span).reduce((a, b) => a + b, 0);
	/** Breadth of a figure and of a letter, px; lines that have room beside a figure. */
	const BESIDE = { figure: 60, letter: 6.4, lines: 5 } as const;
	/** Whether what changes can be read beside the figure; else it is told below, and by pointing at it. */
	const fits = (moment: Moment): boolean => {
		const room = widthOf(moment) - BESIDE.figure;
		return room > 84 && (words(moment).length * BESIDE.letter) / room <= BESIDE.lines;
	};
	const words = (moment: Moment): string =>
		moment.before === null
			? pictureMessage('figure.start')
			: pictureMessage('figure.changes', {
					on: listed(moment.on.map((id) => small(nameOf(id)))),
					off: listed(moment.off.map((id) => small(nameOf(id)))),
					what: moment.on.length === 0 ? 'off' : moment.off.length === 0 ? 'on' : 'both'
				});
</script>

<div class="row" style:height="{FIGURE_PX + 6}px" style:width="{leftOf(columns.length)}px">
	<p class="tiny soft" style:width="{gutter - 8}px">{pictureMessage('figure.row')}</p>
	{#each moments as moment (moment.k)}
		<!-- svelte-ignore a11y_no_static_element_interactions -->
		<div
			class="moment"
			style:left="{leftOf(moment.k)}px"
			style:width="{widthOf(moment)}px"
			onmouseenter={() => onpoint(moment.k)}
			title={words(moment)}
		>
			<DressedFigure
				phase={moment.phase}
				before={moment.before}
				{nameOf}
				who={clientName}
				height={FIGURE_PX}
				id="small-{moment.k}"
			/>
			{#if fits(moment)}<p class="tiny">{words(moment)}</p>{/if}
		</div>
	{/each}
</div>

<style>
	.row {
		position: relative;
	}
	.row > p {
		position: absolute;
		bottom: 6px;
		line-height: 1.15;
	}
	.moment {
		position: absolute;
		top: 2px;
		bottom: 0;
		display: flex;
		gap: 4px;
		align-items: end;
		overflow: hidden;
		border-left: 3px solid var(--ink);
		padding-left: 2px;
	}
	.moment p {
		line-height: 1.2;
		padding-bottom: 4px;
	}
</style>
