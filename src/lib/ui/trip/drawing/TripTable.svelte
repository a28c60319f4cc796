<script lang="ts">
	import { Table } from 'flowbite-svelte';
	import { cellName } from '$lib/core/conditions/cell-name';
	import type { Weather } from '$lib/core/document/types';
	import { tempWords, withUnit } from '$lib/words/units';
	import { PRECIPITATION_WORDS, clock, effortWords, shortDate } from '$lib/words/labels';
	import { readerUnits } from '../../parts/reader-units';
	import { lightWords } from './trip-words';
	import type { Column } from './trip-view';

	interface Props {
		columns: readonly Column[];
		weathers: readonly Weather[];
		weather: number;
		name: string;
		/** for everybody; else for screen readers and on paper only */
		shown: boolean;
		manyDays: boolean;
	}
	let { columns, weathers, weather, name, shown, manyDays }: Props = $props();
	const units = $derived(readerUnits());
</script>

<div class={shown ? 'table sheet' : 'visually-hidden'}>
	<Table>
		<caption class={shown ? 'small' : ''}>{name}, {weathers[weather]?.name}</caption>
		<thead>
			<tr>
				<th scope="col">When</th><th scope="col">Phase</th><th scope="col">Height</th><th scope="col">Air</th>
				{#each weathers as one, i (one.id)}
					{#if i !== weather}<th scope="col">Air, {one.name.toLowerCase()}</th>{/if}
				{/each}
				<th scope="col">Feels</th><th scope="col">Wind</th><th scope="col">Falls</th><th scope="col"
					>Effort</th
				><th scope="col">Light</th>
			</tr>
		</thead>
		<tbody>
			{#each columns as column, k (k)}
				{@const { cell } = column}
				<tr>
					<td>{manyDays ? `${shortDate(column.stage.date, units)} ` : ''}{clock(cell.startMin)}</td>
					<th scope="row">{cellName(cell)}</th>
					<td>{withUnit('height', cell.altitudeM, units)}</td>
					<td>{tempWords(cell.airTempC, units)}</td>
					{#each column.others as other, i (i)}
						{#if i !== weather}<td>{tempWords(other.airTempC, units)}</td>{/if}
					{/each}
					<td>{tempWords(cell.feltTempC, units)}</td>
					<td>{cell.heated ? 'indoors' : withUnit('speed', cell.wind10mKmh, units)}</td>
					<td>{PRECIPITATION_WORDS[cell.precipitation]}</td>
					<td>{cell.kind === 'sleep' ? 'asleep' : effortWords(cell.metabolicWm2)}</td>
					<td>{lightWords(column)}</td>
				</tr>
			{/each}
		</tbody>
	</Table>
</div>

<style>
	.table {
		overflow-x: auto;
		margin-top: 10px;
		padding: 8px 12px;
		font-size: 14px;
	}
	.table :global(table) {
		width: 100%;
	}
	.table th,
	.table td {
		text-align: left;
		padding: 2px 10px 2px 0;
		border-bottom: 1px solid var(--rule);
	}
	caption {
		text-align: left;
	}
	@media print {
		.table,
		.visually-hidden {
			position: static;
			width: auto;
			height: auto;
			overflow: visible;
			clip-path: none;
			white-space: normal;
			border: 0;
			padding: 0;
			margin-top: 14px;
			font-size: 9.5pt;
		}
		.table :global(table) {
			width: 100%;
			font-weight: 400;
		}
		th,
		td {
			text-align: left;
			vertical-align: top;
			padding: 2px 8px 2px 0;
			border-bottom: 1px solid #999;
		}
		td {
			white-space: nowrap;
		}
		tr {
			break-inside: avoid;
		}
	}
</style>
