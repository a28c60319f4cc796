<script lang="ts">
	import type { Caution } from '$lib/core/rules/cautions';
	import { textInUnits } from '$lib/formats/units';
	import { readerUnits } from './reader-units';
	import { why } from './why.svelte';

	interface Props {
		cautions: readonly Caution[];
		label: string;
	}
	let { cautions, label }: Props = $props();
	const units = $derived(readerUnits());

	function open({ message, phases, parts, reason }: Caution): void {
		why.open({
			title: 'Caution',
			sentence: message,
			lines: [
				...(phases.length > 0 ? [{ label: 'Where', text: phases.map(({ name }) => name).join(', ') }] : []),
				...(parts.length > 0 ? [{ label: 'What it hurts', text: parts.join(', ') }] : [])
			],
			reasons: [reason]
		});
	}
	/** The first sentence; the rest is behind the door. */
	const short = (message: string): string => /^.*?[.:;](?=\s|$)/.exec(message)?.[0] ?? message;
	const rest = (message: string): string => message.slice(short(message).length);
</script>

{#if cautions.length > 0}
	<ul aria-label={label}>
		{#each cautions as caution (caution.code + caution.stageId)}
			<li>
				<button onclick={() => open(caution)}
					><span class="mark" aria-hidden="true">!</span><span
						><strong>{textInUnits(short(caution.message), units)}</strong>{textInUnits(
							rest(caution.message),
							units
						)}</span
					></button
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
	button {
		display: flex;
		gap: 9px;
		text-align: left;
		font-size: 14px;
		line-height: 1.3;
		cursor: pointer;
	}
	button:hover strong {
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
