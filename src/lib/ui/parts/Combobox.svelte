<script lang="ts" generics="T">
	import { Input } from 'flowbite-svelte';
	import { type Snippet, untrack } from 'svelte';

	interface Props {
		id: string;
		/** for screen readers: the field has a placeholder */
		label: string;
		/** of the list */
		listLabel: string;
		placeholder: string;
		value: string;
		options: readonly T[];
		keyOf: (option: T) => string;
		pick: (option: T) => void;
		/** with every key */
		ontype?: () => void;
		/** Enter waits for this: an answer that is on its way must not be overtaken by what stood there before */
		settled?: () => Promise<void>;
		option: Snippet<[T]>;
		/** what the list says when nothing fits */
		none: string;
		/** a frame of its own, or a line in a box */
		framed?: boolean;
		/** on a page, too, it is what one came for: one types at once */
		focused?: boolean;
	}
	let {
		id,
		label,
		listLabel,
		placeholder,
		value = $bindable(),
		options,
		keyOf,
		pick,
		ontype,
		settled,
		option,
		none,
		framed = false,
		focused = false
	}: Props = $props();

	let at = $state(0);
	let field = $state<HTMLInputElement>();
	let list = $state<HTMLElement>();
	const here = $derived(Math.min(at, options.length - 1));

	// In a box the field is what one came for; on a page most wait.
	$effect(() => {
		if (!framed || untrack(() => focused)) field?.focus();
	});
	$effect(() => {
		list?.querySelector(`#${id}-${here}`)?.scrollIntoView({ block: 'nearest' });
	});
	function take(chosen: T | undefined): void {
		if (chosen === undefined) return;
		at = 0;
		pick(chosen);
	}
	function onkeydown(event: KeyboardEvent): void {
		if (event.key === 'ArrowDown') at = Math.min(here + 1, options.length - 1);
		else if (event.key === 'ArrowUp') at = Math.max(here - 1, 0);
		else if (event.key === 'Enter') {
			if (settled) void settled().then(() => take(options[here]));
			else take(options[here]);
		} else return;
		event.preventDefault();
	}
</script>

<div class="combobox" class:framed>
	<Input
		{id}
		bind:elementRef={field}
		bind:value
		oninput={() => {
			at = 0;
			ontype?.();
		}}
		{onkeydown}
		role="combobox"
		aria-expanded="true"
		aria-controls="{id}-list"
		aria-activedescendant={options.length > 0 ? `${id}-${here}` : undefined}
		aria-label={label}
		{placeholder}
		autocomplete="off"
		data-autofocus
	/>
	<ul id="{id}-list" role="listbox" aria-label={listLabel} bind:this={list}>
		{#each options as one, i (keyOf(one))}
			<!-- svelte-ignore a11y_click_events_have_key_events -->
			<li id="{id}-{i}" role="option" aria-selected={i === here} onclick={() => take(one)}>
				{@render option(one)}
			</li>
		{:else}
			<li class="soft" role="option" aria-selected="false">{none}</li>
		{/each}
	</ul>
</div>

<style>
	.combobox :global(input) {
		width: 100%;
		border: 0;
		border-bottom: 1px solid var(--rule);
		padding: 14px 18px;
		font-size: 19px;
		background: transparent;
	}
	.framed :global(input) {
		border: 2px solid var(--ink);
		border-radius: 3px;
		padding: 9px 12px;
		font-size: 17px;
		background: var(--sheet);
	}
	ul {
		max-height: 340px;
		overflow-y: auto;
	}
	.framed ul {
		margin: 6px 0;
		border: 1px solid var(--rule);
	}
	li {
		display: flex;
		gap: 10px;
		align-items: center;
		justify-content: space-between;
		padding: 9px 18px;
		cursor: pointer;
	}
	.framed li {
		padding: 6px 10px;
		font-size: 15px;
	}
	li[aria-selected='true'] {
		background: var(--band);
		box-shadow: inset 4px 0 0 var(--ink);
	}
</style>
