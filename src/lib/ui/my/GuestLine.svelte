<script lang="ts">
	import { Button, Checkbox } from 'flowbite-svelte';
	import type { Snippet } from 'svelte';
	import type { Mark } from '$lib/core/kit/answers';
	import { guestMessage, type Language } from '$lib/words/guest/guest-words';

	/** A line of a client's list: ticked with a thumb, and more on demand. */
	interface Props {
		language: Language;
		name: string;
		many?: number;
		/** small words after the name */
		note?: string;
		mark: Mark;
		onmark: (mark: Mark) => void;
		onask: () => void;
		/** more that can be told of it, under the choices */
		more?: Snippet;
	}
	let { language, name, many = 1, note = '', mark, onmark, onask, more }: Props = $props();
	const say = (id: Parameters<typeof guestMessage>[1], values = {}): string =>
		guestMessage(language, id, values);
	let isOpen = $state(false);
	/** The same again takes it back. */
	const toggle = (one: Mark): void => onmark(mark === one ? 'none' : one);
</script>

<li class:done={mark === 'packed'}>
	<Checkbox
		checked={mark === 'packed'}
		aria-label={say('mark.tick', { thing: name })}
		onchange={() => toggle('packed')}
	>
		<span class="words">
			{#if many > 1}<strong>{many} ×</strong>{/if}
			{name}
			{#if note}<span class="soft small">{note}</span>{/if}
			{#if mark === 'have' || mark === 'to get'}<span class="said small">{say(`mark.${mark}`)}</span>{/if}
		</span>
	</Checkbox>
	<Button
		class="quiet more"
		aria-expanded={isOpen}
		aria-label={say('mark.more', { thing: name })}
		onclick={() => (isOpen = !isOpen)}>…</Button
	>
	{#if isOpen}
		<div class="choices">
			{#each ['have', 'to get'] as const as one (one)}
				<Button aria-pressed={mark === one} onclick={() => toggle(one)}>{say(`mark.${one}`)}</Button>
			{/each}
			<Button onclick={onask}>{say('mark.ask')}</Button>
		</div>
		{@render more?.()}
	{/if}
</li>

<style>
	li {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 48px;
		align-items: center;
		border-bottom: 1px solid var(--rule);
	}
	li > :global(label) {
		min-height: 48px;
		font-size: 17px;
		gap: 12px;
		cursor: pointer;
	}
	li > :global(label input) {
		width: 24px;
		height: 24px;
		flex: none;
	}
	li > :global(.more) {
		text-decoration: none;
		min-height: 48px;
		font-size: 20px;
		font-weight: 700;
	}
	.done .words {
		text-decoration: line-through;
		text-decoration-thickness: 1px;
	}
	.said {
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
		padding: 0 6px;
		white-space: nowrap;
	}
	.choices {
		grid-column: 1 / -1;
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
		padding: 4px 0 12px;
	}
	.choices :global(button) {
		min-height: 44px;
		padding: 6px 14px;
	}
	.choices :global(button[aria-pressed='true']) {
		background: var(--ink);
		color: var(--sheet);
	}
</style>
