<script lang="ts">
	import { readerUnits } from '../../parts/reader-units';
	import { Button, Checkbox } from 'flowbite-svelte';
	import { type Decision, dueOn } from '$lib/core/remedy/decision';
	import { getWords, REFUSAL_WORDS } from '$lib/words/remedy/decision-words';
	import { shortName } from '$lib/words/labels';
	import { small } from '$lib/words/message';

	/** What was decided before, and can be taken back. */
	interface Props {
		decisions: readonly Decision[];
		/** refusals that hold; of the others the reason is gone */
		declined: readonly Decision[];
		firstDate: string | null;
		busy: boolean;
		there: (typeId: string, isThere: boolean) => void;
		takeBack: (typeId: string) => void;
	}
	let { decisions, declined, firstDate, busy, there, takeBack }: Props = $props();
	const toGet = $derived(decisions.filter(({ decided }) => decided === 'get'));
	const refused = $derived(decisions.filter(({ decided }) => decided === 'decline'));
</script>

{#if decisions.length > 0}
	<ul aria-label="What was decided">
		{#each toGet as one (one.typeId)}
			<li>
				<Checkbox
					checked={one.isThere}
					disabled={busy}
					onchange={(event) => there(one.typeId, event.currentTarget.checked)}
					>{shortName(one.name)}<span class="soft"
						>{one.isThere ? 'is there' : getWords(one, dueOn(one, firstDate), readerUnits())}</span
					></Checkbox
				>
				<Button class="quiet small" disabled={busy} onclick={() => takeBack(one.typeId)}
					>take back<span class="visually-hidden">: {shortName(one.name)}</span></Button
				>
			</li>
		{/each}
		{#each refused as one (one.typeId)}
			<li class="soft">
				<span>
					Not the {small(shortName(one.name))}: {one.refusal
						? REFUSAL_WORDS[one.refusal]
						: ''}{declined.includes(one) ? '.' : '. That has changed, so it counts again.'}
				</span>
				<Button class="quiet small" disabled={busy} onclick={() => takeBack(one.typeId)}
					>ask again<span class="visually-hidden">: {shortName(one.name)}</span></Button
				>
			</li>
		{/each}
	</ul>
{/if}

<style>
	ul {
		display: grid;
		gap: 4px;
		max-width: 80ch;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 12px;
		align-items: center;
		border-top: 1px solid var(--rule);
		padding-top: 4px;
	}
	li span.soft {
		margin-left: 8px;
	}
</style>
