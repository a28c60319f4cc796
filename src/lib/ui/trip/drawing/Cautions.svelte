<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { Caution } from '$lib/core/rules/cautions';
	import { cautionSentence, cautionWords } from '$lib/words/cautions';
	import { readerUnits } from '../../parts/reader-units';
	import { why } from '../../parts/why.svelte';

	interface Props {
		cautions: readonly Caution[];
		label: string;
	}
	let { cautions, label }: Props = $props();
	const units = $derived(readerUnits());

	function open(caution: Caution): void {
		const { phases, parts, reason } = caution;
		why.open({
			title: 'Caution',
			sentence: cautionSentence(caution, units),
			lines: [
				...(phases.length > 0 ? [{ label: 'Where', text: phases.map(({ name }) => name).join(', ') }] : []),
				...(parts.length > 0 ? [{ label: 'What it hurts', text: parts.join(', ') }] : [])
			],
			reasons: [reason]
		});
	}
</script>

{#if cautions.length > 0}
	<ul aria-label={label}>
		{#each cautions as caution (caution.code + caution.stageId)}
			{@const words = cautionWords(caution, units)}
			<li>
				<Button class="plain" onclick={() => open(caution)}
					><span class="mark" aria-hidden="true">!</span><span
						><strong>{words.lead}</strong> {words.rest}</span
					></Button
				>
			</li>
		{/each}
	</ul>
{/if}

<style>
	ul {
		columns: 2;
		column-gap: 30px;
		margin: 8px 0 4px;
	}
	li {
		break-inside: avoid;
		padding-bottom: 4px;
	}
	li :global(.button) {
		display: flex;
		gap: 9px;
		text-align: left;
		font-size: 14px;
		line-height: 1.3;
		cursor: pointer;
	}
	li :global(.button:hover strong) {
		text-decoration: underline;
	}
	.mark {
		flex: none;
		width: 18px;
		height: 18px;
		color: var(--v-warm);
		font-weight: 700;
		text-align: center;
		font-size: 13px;
		position: relative;
		margin: 2px 2px 0 3px;
		border: 0;
		line-height: 18px;
	}
	.mark::before {
		content: '';
		position: absolute;
		inset: 2px;
		border: 2px solid var(--v-warm);
		transform: rotate(45deg);
	}
	@media (max-width: 860px) {
		ul {
			columns: 1;
		}
	}
</style>
