<script lang="ts">
	import { goto } from '$app/navigation';
	import { tick } from 'svelte';

	let open = $state(false);
	let query = $state('');
	let at = $state(0);
	let box = $state<HTMLDialogElement>();
	let input = $state<HTMLInputElement>();

	interface Target {
		label: string;
		kind: string;
		url: string;
	}
	const PAGES: Target[] = [
		{ label: 'All trips', kind: 'page', url: '/' },
		{ label: 'All clients', kind: 'page', url: '/clients' },
		{ label: 'Keys', kind: 'page', url: '/keys' }
	];
	let places = $state.raw<Target[]>([]);
	const words = (text: string): string[] => text.toLowerCase().split(/\s+/);
	const fitting = (targets: Target[], text: string): Target[] =>
		targets.filter(({ label, kind }) =>
			words(text).every((word) => `${label} ${kind}`.toLowerCase().includes(word))
		);
	const found = $derived([...places, ...fitting(PAGES, query)].slice(0, 9));

	interface Found {
		kind: 'trip' | 'layer plan' | 'kit';
		id: string;
		name: string;
		tripId: string | null;
	}
	const targetOf = ({ kind, id, name, tripId }: Found): Target => ({
		label: name,
		kind,
		url: kind === 'trip' ? `/trips/${id}` : kind === 'kit' ? `/clients/${id}` : `/trips/${tripId}/plan/${id}`
	});
	let asked = 0;
	/** The answer that is on its way; Enter waits for it, so that it never goes where an older question led. */
	let coming: Promise<void> = Promise.resolve();
	/** Asks the server; an answer that comes after a newer question is dropped. */
	const look = (): Promise<void> => (coming = ask());
	async function ask(): Promise<void> {
		at = 0;
		const mine = ++asked;
		const response = await fetch(`/api/v1/find?q=${encodeURIComponent(query)}`).catch(() => null);
		if (!response?.ok || mine !== asked) return;
		const answer = (await response.json()) as { found: Found[] };
		if (mine === asked) places = answer.found.map(targetOf);
	}

	async function show(): Promise<void> {
		query = '';
		at = 0;
		open = true;
		void look();
		await tick();
		box?.showModal();
		input?.focus();
	}
	function go(url: string): void {
		box?.close();
		void goto(url);
	}
	function onkeydown(event: KeyboardEvent): void {
		if (event.key === 'ArrowDown') at = Math.min(at + 1, found.length - 1);
		else if (event.key === 'ArrowUp') at = Math.max(at - 1, 0);
		else if (event.key === 'Enter') void coming.then(() => go(found[at]?.url ?? '/'));
		else return;
		event.preventDefault();
	}
	function onwindowkeydown(event: KeyboardEvent): void {
		const target = event.target as HTMLElement;
		if (event.key !== '/' || target.closest('input, textarea, select, [contenteditable]')) return;
		event.preventDefault();
		void show();
	}
</script>

<svelte:window onkeydown={onwindowkeydown} />

<button class="find no-print" onclick={show}>Find a client or trip <kbd>/</kbd></button>

{#if open}
	<dialog bind:this={box} onclose={() => (open = false)} aria-label="Find a client or trip">
		<input
			bind:this={input}
			bind:value={query}
			oninput={look}
			{onkeydown}
			role="combobox"
			aria-expanded="true"
			aria-controls="go-to-list"
			aria-activedescendant={found.length > 0 ? `go-to-${at}` : undefined}
			aria-label="Name of a client or trip"
			placeholder="Name of a client or trip"
		/>
		<ul id="go-to-list" role="listbox" aria-label="Places">
			{#each found as place, i (place.url)}
				<!-- svelte-ignore a11y_click_events_have_key_events -->
				<li id="go-to-{i}" role="option" aria-selected={i === at} onclick={() => go(place.url)}>
					<span>{place.label}</span><span class="soft small">{place.kind}</span>
				</li>
			{:else}
				<li class="soft" role="option" aria-selected="false">Nothing of that name.</li>
			{/each}
		</ul>
	</dialog>
{/if}

<style>
	.find {
		border: 1px solid var(--rule-strong);
		background: var(--sheet);
		border-radius: 3px;
		padding: 5px 10px;
		font-size: 14px;
		cursor: pointer;
	}
	@media (max-width: 640px) {
		.find kbd {
			display: none;
		}
	}
	dialog {
		margin: 12vh auto auto;
		width: min(560px, 92vw);
		padding: 0;
		border: 2px solid var(--ink);
		background: var(--sheet);
		color: var(--ink);
	}
	dialog::backdrop {
		background: rgb(27 42 39 / 0.35);
	}
	input {
		width: 100%;
		border: 0;
		border-bottom: 1px solid var(--rule);
		padding: 14px 18px;
		font-size: 19px;
		background: transparent;
	}
	input:focus {
		box-shadow: none;
	}
	li {
		display: flex;
		justify-content: space-between;
		gap: 12px;
		padding: 9px 18px;
		cursor: pointer;
	}
	li[aria-selected='true'] {
		background: var(--ink);
		color: var(--sheet);
	}
	li[aria-selected='true'] .soft {
		color: var(--band);
	}
</style>
