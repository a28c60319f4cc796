<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { SizeFit } from '$lib/core/remedy/lending/sizes';

	/** One thing of the stock for one client. */
	export interface LoanCell {
		/** settled: lent or not to be lent; null while it is open */
		settled: boolean | null;
		proposed: boolean;
		fit: SizeFit;
	}
	interface Props {
		clients: readonly { id: string; name: string }[];
		kinds: readonly { id: string; name: string; free: number; pieces: number; elsewhere: string }[];
		cellOf: (kindId: string, clientId: string) => LoanCell;
		settle: (kindId: string, clientId: string, lend: boolean | null) => void;
		busy: boolean;
	}
	let { clients, kinds, cellOf, settle, busy }: Props = $props();

	const SIGNS = { lent: '✓', not: '✕', proposed: '+', open: '' } as const;
	const WORDS = { lent: 'lent', not: 'not to be lent', proposed: 'proposed', open: 'open' } as const;
	const stateOf = ({ settled, proposed }: LoanCell): keyof typeof SIGNS =>
		settled === true ? 'lent' : settled === false ? 'not' : proposed ? 'proposed' : 'open';
	/** Lent, not to be lent, open again. */
	const nextOf = ({ settled }: LoanCell): boolean | null =>
		settled === null ? true : settled ? false : null;
	const lentOf = (kindId: string): number =>
		clients.filter(({ id }) => cellOf(kindId, id).settled === true).length;
</script>

<div class="frame">
	<table>
		<caption class="visually-hidden">Who gets what of the house</caption>
		<thead>
			<tr>
				<th scope="col">What the house has</th>
				<th scope="col" class="count">left</th>
				{#each clients as { id, name } (id)}<th scope="col" class="who"><span>{name}</span></th>{/each}
			</tr>
		</thead>
		<tbody>
			{#each kinds as kind (kind.id)}
				{@const left = kind.free - lentOf(kind.id)}
				<tr>
					<th scope="row">
						{kind.name}
						{#if kind.elsewhere}<span class="tiny soft">{kind.elsewhere}</span>{/if}
					</th>
					<td class="count" class:over={left < 0}>{left} of {kind.pieces}</td>
					{#each clients as { id, name } (id)}
						{@const cell = cellOf(kind.id, id)}
						{@const state = stateOf(cell)}
						<td class="cell">
							<Button
								class="square {state} {cell.fit === 'does not fit' ? 'small-size' : ''}"
								disabled={busy}
								onclick={() => settle(kind.id, id, nextOf(cell))}
								aria-label="{kind.name} for {name}: {WORDS[state]}{cell.fit === 'does not fit'
									? ', wrong size'
									: ''}"
								>{SIGNS[state]}{#if state === 'open' && cell.fit === 'does not fit'}<span class="size"
										>size</span
									>{/if}</Button
							>
						</td>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</div>
<p class="small soft key">
	<span><b class="sign lent">✓</b> lent</span>
	<span><b class="sign proposed">+</b> proposed</span>
	<span><b class="sign not">✕</b> not to be lent</span>
	<span><b class="sign">size</b> too small or too large</span>
	<span>A click changes it: lent, not to be lent, open again.</span>
</p>

<style>
	.frame {
		overflow-x: auto;
	}
	table {
		border-collapse: collapse;
		font-size: 15px;
	}
	th,
	td {
		border-top: 1px solid var(--rule);
		padding: 4px 10px 4px 0;
		text-align: left;
		font-weight: 400;
	}
	thead th {
		border-top: 0;
		vertical-align: bottom;
		color: var(--soft);
		font-size: 13px;
	}
	.who {
		min-width: 58px;
		max-width: 92px;
		text-align: center;
		color: var(--ink);
		font-weight: 600;
		overflow-wrap: anywhere;
		padding-right: 6px;
	}
	tbody th .tiny {
		display: block;
	}
	.count {
		white-space: nowrap;
		color: var(--soft);
		padding-right: 18px;
	}
	.over {
		color: var(--v-short);
		font-weight: 700;
	}
	.cell {
		text-align: center;
		padding-right: 6px;
	}
	.cell :global(.square) {
		width: 44px;
		display: inline-flex;
		align-items: center;
		justify-content: center;
		vertical-align: middle;
	}
	.cell :global(.lent),
	.sign.lent {
		background: var(--v-right);
		border-color: var(--v-right);
		color: var(--on-verdict);
	}
	.cell :global(.proposed),
	.sign.proposed {
		border: 2px dashed var(--v-right);
		color: var(--v-right);
		font-weight: 700;
	}
	.cell :global(.not) {
		color: var(--soft);
	}
	.size {
		font-size: 12px;
		color: var(--soft);
	}
	.key {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		margin: 8px 0;
		/* As wide as the table, which it must not widen. */
		width: 0;
		min-width: 100%;
	}
	.sign {
		display: inline-block;
		min-width: 22px;
		padding: 0 3px;
		text-align: center;
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
		font-size: 12px;
		font-weight: 400;
	}
</style>
