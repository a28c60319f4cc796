<script lang="ts">
	import { Button, Table } from 'flowbite-svelte';
	import { REASON_WORDS } from '$lib/words/labels';
	import { reasonValueWords, ruleWords } from '$lib/words/reasons';
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import { readerUnits } from './reader-units';
	import { tick } from 'svelte';
	import { why } from './why.svelte';

	const SOURCE_KINDS = ['standard', 'practice', 'assumption'] as const;
	let panel = $state<HTMLElement>();
	const units = $derived(readerUnits());

	$effect(() => {
		if (why.shown) void tick().then(() => panel?.focus());
	});
</script>

<svelte:window onkeydown={(event) => event.key === 'Escape' && why.shown && why.close()} />

{#if why.shown}
	<aside bind:this={panel} tabindex="-1" aria-label="Why: {why.shown.title}" class="no-print">
		<header>
			<p class="tiny soft">Why</p>
			<Button class="square" onclick={() => why.close()} aria-label="Close the reasons">✕</Button>
		</header>
		<h2>{why.shown.title}</h2>
		<p class="sentence">{why.shown.sentence}</p>
		{#if why.shown.lines?.length}
			<dl class="lines">
				{#each why.shown.lines as line (line.label)}
					<dt>{line.label}</dt>
					<dd>{line.text}</dd>
				{/each}
			</dl>
		{/if}
		<ol>
			{#each why.shown.reasons as reason, i (i)}
				{@const rule = ruleWords(reason.rule, units)}
				<li>
					<p class="says">{rule.says}</p>
					{#if rule.equation}<p class="equation">{rule.equation}</p>{/if}
					{#if reason.values.length > 0}
						<Table>
							<tbody>
								{#each reason.values as value, n (n)}
									{@const words = reasonValueWords(value, units)}
									<tr>
										<th scope="row">{words.label}</th>
										<td>{words.figure}</td>
									</tr>
								{/each}
							</tbody>
						</Table>
					{/if}
					<p class="source">
						<strong class={reason.kind}>{REASON_WORDS[reason.kind]}</strong> · {rule.source}
					</p>
				</li>
			{/each}
		</ol>
		<details class="legend small">
			<summary>{pictureMessage('sources.legend')}</summary>
			<ul>
				{#each SOURCE_KINDS as kind (kind)}
					<li><strong class={kind}>{REASON_WORDS[kind]}</strong>: {pictureMessage(`sources.${kind}`)}</li>
				{/each}
				<li>{pictureMessage('sources.unchecked')}</li>
			</ul>
		</details>
	</aside>
{/if}

<style>
	aside {
		position: fixed;
		inset: 0 0 0 auto;
		width: min(420px, 100vw);
		overflow-y: auto;
		background: var(--sheet);
		border-left: 3px solid var(--ink);
		padding: 14px 22px 40px;
		z-index: 40;
		box-shadow: -12px 0 32px rgb(27 42 39 / 0.14);
	}
	aside:focus {
		outline: none;
	}
	header {
		display: flex;
		justify-content: space-between;
		align-items: center;
	}
	.sentence {
		margin: 6px 0 14px;
		font-size: 17px;
	}
	.lines {
		margin-bottom: 14px;
		font-size: 15px;
	}
	.lines {
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(0, auto);
		gap: 3px 14px;
	}
	dt {
		color: var(--soft);
	}
	dd {
		text-align: right;
		font-weight: 600;
		max-width: 230px;
	}
	li {
		border-top: 1px solid var(--rule);
		padding: 10px 0 12px;
	}
	.says {
		font-weight: 600;
		font-size: 15px;
	}
	.equation {
		font-size: 13.5px;
		background: var(--paper);
		padding: 3px 8px;
		margin: 6px 0;
		border-left: 3px solid var(--rule-strong);
	}
	aside :global(table) {
		font-size: 14px;
		width: 100%;
		margin: 4px 0;
	}
	th {
		text-align: left;
		font-weight: 400;
		color: var(--soft);
		padding-right: 10px;
	}
	td {
		text-align: right;
		white-space: nowrap;
	}
	.legend {
		border-top: 1px solid var(--rule);
		padding-top: 10px;
	}
	.legend summary {
		cursor: pointer;
		text-decoration: underline;
		text-underline-offset: 3px;
	}
	.legend li {
		border: 0;
		padding: 4px 0;
	}
	.source {
		font-size: 12.5px;
		color: var(--soft);
	}
	strong {
		color: var(--ink);
		border-bottom: 2px solid var(--rule-strong);
	}
	.standard {
		border-bottom-style: solid;
	}
	.practice {
		border-bottom-style: dashed;
	}
	.assumption {
		border-bottom-style: dotted;
	}
</style>
