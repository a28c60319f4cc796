<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { Finding } from '$lib/core/document/finding';
	import { findingSentence } from '$lib/words/findings';
	import { readerUnits } from '../parts/reader-units';
	import { why } from '../parts/why.svelte';

	interface Props {
		findings: readonly Finding[];
		/** first name of the client */
		name: string;
		nameOf: (thingId: string) => string;
	}
	let { findings, name, nameOf }: Props = $props();

	const units = $derived(readerUnits());
	const KIND = { blocker: 'must be solved', warning: 'look at it', note: 'note' } as const;
	const said = $derived(
		findings.map((finding) => ({
			finding,
			sentence: findingSentence(finding, { who: name, nameOf, units })
		}))
	);
</script>

{#if findings.length > 0}
	<ul class="findings" aria-label="What to say to {name}">
		{#each said as { finding, sentence }, i (i)}
			<li class={finding.severity}>
				<Button
					class="quiet"
					onclick={() => why.open({ title: KIND[finding.severity], sentence, reasons: finding.reasons })}
					><span class="tiny">{KIND[finding.severity]}</span>{sentence}</Button
				>
			</li>
		{/each}
	</ul>
{:else}
	<p class="fine">Nothing to remark on this day with what {name} has.</p>
{/if}

<style>
	.findings {
		margin-top: 6px;
		max-height: 268px;
		overflow-y: auto;
	}
	.findings li {
		break-inside: avoid;
		border-left: 5px solid var(--rule-strong);
		margin-bottom: 4px;
		background: var(--sheet);
	}
	.findings .blocker {
		border-left-color: var(--v-short);
	}
	.findings .warning {
		border-left: 5px double var(--v-warm);
	}
	.findings :global(.quiet) {
		text-align: left;
		text-decoration: none;
		font-size: 15px;
		line-height: 1.3;
		padding: 4px 10px;
	}
	.findings :global(.quiet:hover) {
		text-decoration: underline;
	}
	.findings .tiny {
		color: var(--soft);
		margin-right: 8px;
		white-space: nowrap;
	}
	.fine {
		border-left: 5px solid var(--v-right);
		padding: 4px 12px;
		margin-bottom: 14px;
		background: var(--sheet);
	}
	@media (max-width: 760px) {
		.findings {
			max-height: none;
		}
	}
	@media print {
		.findings li.note {
			display: none;
		}
		.findings :global(.quiet) {
			padding: 1px 6px;
		}
		.findings {
			max-height: none;
			margin-top: 2px;
		}
	}
</style>
