<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { Doing } from '$lib/core/document/types';
	import { usualGuest } from '$lib/core/remedy/usual-guest';
	import { type Answer, send } from '../parts/send';

	/** A kit to begin with, before anybody has asked: all of it assumed. */
	interface Props {
		clientId: string;
		settle: (answer: Answer<unknown>) => Promise<void>;
	}
	let { clientId, settle }: Props = $props();
	const KINDS: readonly { words: string; doings: Doing[] }[] = [
		{ words: 'on foot', doings: ['hike'] },
		{ words: 'on touring skis', doings: ['ski-touring'] },
		{ words: 'on pistes', doings: ['pistes'] }
	];
	const start = async (doings: readonly Doing[]): Promise<void> =>
		settle(
			await send('POST', `/api/v1/clients/${clientId}/things/many`, {
				things: usualGuest(doings).map(({ typeId, many }) => ({
					typeId,
					quantity: { value: many, source: 'guess', state: 'assumed' }
				}))
			})
		);
</script>

<p class="small">
	Nothing is known yet. Begin with what a usual guest has, and ask about each:
	{#each KINDS as { words, doings } (words)}
		<Button class="quiet" onclick={() => void start(doings)}>{words}</Button>
	{/each}
</p>
