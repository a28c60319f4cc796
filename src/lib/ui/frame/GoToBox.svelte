<script lang="ts">
	import { Modal } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import Combobox from '../parts/Combobox.svelte';
	import { newestAnswer } from '../lists/newest-answer';
	import type { LateBoxProps } from './late-box.svelte';

	/** Opened from outside: the page loads this when somebody asks. */
	let { open = $bindable(), typed }: LateBoxProps = $props();
	let query = $state('');

	interface Target {
		label: string;
		kind: string;
		url: string;
	}
	const PAGES: Target[] = [
		{ label: 'All trips', kind: 'page', url: '/' },
		{ label: 'All clients', kind: 'page', url: '/clients' },
		{ label: 'Settings', kind: 'page', url: '/house' },
		{ label: 'Bin: what was deleted', kind: 'page', url: '/house/bin' },
		{ label: 'Shortcuts', kind: 'page', url: '/keys' }
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
	const newest = newestAnswer<{ found: Found[] }>();
	/** The answer that is on its way; Enter waits for it, so that it never goes where an older question led. */
	let coming: Promise<void> = Promise.resolve();
	/** Asks the server; an answer that comes after a newer question is dropped. */
	const look = (): Promise<void> => (coming = ask());
	async function ask(): Promise<void> {
		const answer = await newest(`/api/v1/find?q=${encodeURIComponent(query)}`);
		if (answer) places = answer.found.map(targetOf);
	}

	$effect(() => {
		if (!open) return;
		const early = typed;
		untrack(() => {
			query = early.replace('\n', '');
			void look().then(() => {
				if (early.endsWith('\n') && found[0]) go(found[0].url);
			});
		});
	});
	function go(url: string): void {
		open = false;
		void goto(url);
	}
</script>

<Modal bind:open aria-label="Find a client or trip" dismissable={false}>
	<Combobox
		id="go-to"
		label="Name of a client or trip"
		listLabel="Places"
		placeholder="Name of a client or trip"
		bind:value={query}
		options={found}
		keyOf={({ url }) => url}
		pick={({ url }) => go(url)}
		ontype={look}
		settled={() => coming}
		none="Nothing of that name."
	>
		{#snippet option(place)}<span>{place.label}</span><span class="soft small">{place.kind}</span>{/snippet}
	</Combobox>
</Modal>
