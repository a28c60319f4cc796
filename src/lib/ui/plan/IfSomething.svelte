<script lang="ts">
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import { Button } from 'flowbite-svelte';
	import type { Client } from '$lib/core/document/types';
	import { isFailing } from '$lib/core/document/verdict';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import { firstName, verdictSentence } from '$lib/words/labels';

	import { whyVerdict } from './why-later';

	/** What may happen and is no part of the day: folded, since it is no fault of a plan. */
	interface Props {
		phases: readonly PlannedPhase[];
		client: Client;
		open: boolean;
	}
	let { phases, client, open = $bindable() }: Props = $props();
	/** At once, and not when the browser has unfolded it: a plan that comes in meanwhile draws this anew. */
	function toggle(event: MouseEvent): void {
		event.preventDefault();
		open = !open;
	}
	const cases = $derived(phases.filter(({ cell }) => cell.kind === 'what-if'));
	const failing = $derived(cases.filter(({ verdict }) => isFailing(verdict)).length);
</script>

{#if cases.length > 0}
	<details {open}>
		<summary onclick={toggle}>{pictureMessage('if.summary', { cases: cases.length, failing })}</summary>
		<ul>
			{#each cases as phase, i (i)}
				<li>
					<strong>{phase.cell.name}:</strong>
					<Button
						class="quiet"
						aria-label="{phase.cell.name}: {verdictSentence(phase, firstName(client.name))} Why?"
						onclick={() => whyVerdict(phase, client)}>{verdictSentence(phase, firstName(client.name))}</Button
					>
				</li>
			{/each}
		</ul>
	</details>
{/if}

<style>
	summary {
		cursor: pointer;
		text-decoration: underline;
		text-underline-offset: 3px;
	}
	li {
		padding: 2px 0 2px 14px;
	}
</style>
