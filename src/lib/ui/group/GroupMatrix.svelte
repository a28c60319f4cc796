<script lang="ts">
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import type { GroupCell } from '$lib/core/plan/told/group';

	import { verdictClass } from '$lib/words/labels';

	/** Clients down, days or parts of the body across: the worst of each, the usual weather first. */
	interface Props {
		caption: string;
		columns: readonly { key: string; name: string; small?: string }[];
		rows: readonly { id: string; name: string; cells: readonly GroupCell[] | null }[];
		/** where a cell opens its cause */
		addressOf: (clientId: string, column: number, cell: GroupCell) => string;
		weatherName: (weather: string) => string;
		/** what stands where a column decides nothing */
		nothing: string;
	}
	let { caption, columns, rows, addressOf, weatherName, nothing }: Props = $props();

	function cellWords(name: string, column: number, { usual, rare }: GroupCell): string {
		return pictureMessage('group.cell', {
			who: name,
			column: columns[column]!.name,
			usual: usual?.verdict ?? nothing,
			rare: rare?.verdict ?? 'none',
			weather: rare ? weatherName(rare.weather) : ''
		});
	}
</script>

<div class="frame">
	<table>
		<caption class="visually-hidden">{caption}</caption>
		<thead>
			<tr>
				<th scope="col"><span class="visually-hidden">Client</span></th>
				{#each columns as column (column.key)}
					<th scope="col"
						>{#if column.small}<span class="tiny soft">{column.small}</span>{/if}{column.name}</th
					>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each rows as { id, name, cells } (id)}
				<tr>
					<th scope="row">{name}</th>
					{#if cells}
						{#each cells as cell, k (columns[k]!.key)}
							<td>
								{#if cell.usual || cell.rare}
									<a
										class="cell {cell.usual ? verdictClass(cell.usual.verdict) : 'nothing-here'}"
										href={addressOf(id, k, cell)}
										aria-label={cellWords(name, k, cell)}
									>
										<span>{cell.usual?.verdict ?? nothing}</span>
										{#if cell.rare}<span class="rare {verdictClass(cell.rare.verdict)}"
												>{weatherName(cell.rare.weather)}: {cell.rare.verdict}</span
											>{/if}
									</a>
								{:else}<span class="nothing-here">{nothing}</span>{/if}
							</td>
						{/each}
					{:else}
						<td colspan={columns.length} class="soft">not asked yet</td>
					{/if}
				</tr>
			{/each}
		</tbody>
	</table>
</div>

<style>
	.frame {
		overflow-x: auto;
	}
	table {
		border-collapse: separate;
		border-spacing: 3px;
	}
	th {
		text-align: left;
		font-weight: 600;
		font-size: 14px;
		line-height: 1.15;
		vertical-align: bottom;
		max-width: 130px;
		padding: 2px 4px;
	}
	th .tiny {
		display: block;
		font-weight: 400;
	}
	th[scope='row'] {
		position: sticky;
		left: 0;
		background: var(--paper);
		vertical-align: middle;
		min-width: 96px;
	}
	td {
		min-width: 84px;
		font-size: 13px;
		line-height: 1.2;
		vertical-align: top;
		height: 1px;
	}
	.cell {
		display: block;
		height: 100%;
		min-height: 30px;
		text-decoration: none;
		padding: 4px 6px 4px 8px;
		border-left: 6px solid var(--tone);
		background: color-mix(in srgb, var(--tone) 16%, var(--sheet));
	}
	.cell:hover span:first-child {
		text-decoration: underline;
	}
	.cell > span:first-child {
		font-weight: 600;
		color: var(--tone);
	}
	.rare {
		display: block;
		color: var(--tone);
		border-top: 1px dotted var(--tone);
		font-size: 12px;
	}
	.right {
		--tone: var(--v-right);
	}
	.cool {
		--tone: var(--v-cool);
		border-left-style: dotted;
	}
	.short {
		--tone: var(--v-short);
		border-left-style: double;
	}
	.nothing {
		--tone: var(--v-nothing);
		border-left-style: double;
	}
	.wet {
		--tone: var(--v-wet);
		border-left-style: dashed;
	}
	.warm {
		--tone: var(--v-warm);
	}
	.open {
		--tone: var(--v-open);
	}
	.nothing-here {
		color: var(--soft);
		padding: 4px 6px;
		--tone: var(--rule-strong);
	}
	@media print {
		.cell {
			background: none;
			border: 1px solid #000;
		}
	}
</style>
