<script lang="ts">
	import '../app.css';
	import { Button, ThemeProvider } from 'flowbite-svelte';
	import { afterNavigate } from '$app/navigation';
	import { navigating, page } from '$app/state';
	import { LOOK } from '$lib/ui/parts/look';
	import LateBox from '$lib/ui/frame/LateBox.svelte';
	import type ReasonPanel from '$lib/ui/parts/ReasonPanel.svelte';
	import { why } from '$lib/ui/parts/why.svelte';
	import { keepPage } from '$lib/ui/frame/keep-page';
	import ThemeSwitch from '$lib/ui/frame/ThemeSwitch.svelte';
	import UnitsMenu from '$lib/ui/frame/UnitsMenu.svelte';
	import { FRAME, type FrameWords } from '$lib/words/guest/frame-words';

	let { children, data } = $props();
	const words = $derived<FrameWords>(page.data['frame'] ?? FRAME);

	// Says that the page answers now; what drives it from outside can wait for this.
	$effect(() => {
		document.documentElement.dataset.ready = 'true';
	});

	// All rules and sources come when the first figure is opened.
	let panel = $state.raw<typeof ReasonPanel>();
	$effect(() => {
		if (why.shown && !panel)
			void import('$lib/ui/parts/ReasonPanel.svelte').then((part) => (panel = part.default));
	});

	// What a trip's page was made of is kept for reading it without connection, once it stands.
	const KEPT_AFTER_MS = 2500;
	afterNavigate(() => {
		const { href } = location;
		if (!page.url.pathname.startsWith('/trips/')) return;
		setTimeout(() => {
			if (location.href === href) keepPage();
		}, KEPT_AFTER_MS);
	});

	/** On a phone everything but the name is folded into a menu. */
	let isOpen = $state(false);
	afterNavigate(() => (isOpen = false));

	const sections = [
		{ name: 'Trips', url: '/' },
		{ name: 'Clients', url: '/clients' },
		{ name: 'Try it', url: '/try' },
		{ name: 'Settings', url: '/house' },
		{ name: 'Shortcuts', url: '/keys' }
	];
	const isHere = (url: string): boolean =>
		url === '/'
			? page.url.pathname === '/' || page.url.pathname.startsWith('/trips')
			: page.url.pathname.startsWith(url);
</script>

<ThemeProvider theme={LOOK}>
	<a class="skip" href="#main" lang={page.data['language']}>{words.skip}</a>
	<header class="top no-print">
		<a class="brand" href="/">
			<svg viewBox="0 0 34 26" width="34" height="26" aria-hidden="true">
				<path d="M1 25h32v-5H1z" fill="var(--cloth-skin)" />
				<path d="M4 20h26l-4-6H8z" fill="var(--cloth-warmth)" />
				<path d="M9 14h16L17 2z" fill="var(--cloth-weather)" />
			</svg>
			Snug Summit
		</a>
		<Button class="menu" aria-expanded={isOpen} aria-controls="menu" onclick={() => (isOpen = !isOpen)}
			>{words.menu}</Button
		>
		<div id="menu" class="rest" class:open={isOpen}>
			<nav aria-label="Sections">
				{#each data.who ? sections : [] as section (section.url)}
					<a href={section.url} aria-current={isHere(section.url) ? 'page' : undefined}>{section.name}</a>
				{/each}
			</nav>
			<ThemeSwitch {words} />
			<UnitsMenu {words} />
			{#if data.who}
				<LateBox key="c" words="Is this all right?" get={() => import('$lib/ui/kit/QuickCheck.svelte')} />
				<LateBox key="/" words="Find a client or trip" get={() => import('$lib/ui/frame/GoToBox.svelte')} />
				<a class="who small" href="/account" aria-label="You: {data.who.name}, {data.who.house}"
					>{data.who.isDemo ? 'Demo' : data.who.name}</a
				>
			{/if}
		</div>
	</header>
	<noscript>
		<p class="no-script">
			This page needs scripts: it plans, draws and saves with them. Allow them in the browser and load it
			again.
		</p>
	</noscript>
	<p role="status" class="going no-print">{navigating.to ? words.going : ''}</p>
	<main id="main">
		{@render children()}
	</main>
	{#if panel}
		{@const Panel = panel}
		<Panel />
	{/if}
</ThemeProvider>

<style>
	.skip {
		position: absolute;
		left: -9999px;
	}
	.skip:focus {
		left: 8px;
		top: 8px;
		background: var(--ink);
		color: var(--sheet);
		padding: 6px 12px;
		z-index: 60;
	}
	.top {
		display: flex;
		align-items: center;
		gap: 8px 20px;
		flex-wrap: wrap;
		padding: 9px 26px;
		border-bottom: 2px solid var(--ink);
	}
	.brand {
		display: flex;
		gap: 10px;
		align-items: center;
		font-family: var(--font-head);
		font-size: 20px;
		text-decoration: none;
	}
	nav {
		display: flex;
		gap: 18px;
		flex: 1;
	}
	nav a {
		text-decoration: none;
		padding: 3px 0;
	}
	nav a[aria-current] {
		border-bottom: 3px solid var(--ink);
	}
	main {
		padding: 10px 26px 24px;
		max-width: 1500px;
		margin: 0 auto;
	}
	.going {
		position: fixed;
		left: 50%;
		top: 0;
		transform: translateX(-50%);
		background: var(--ink);
		color: var(--sheet);
		padding: 3px 18px;
		z-index: 50;
	}
	.going:empty {
		display: none;
	}
	.rest {
		display: contents;
	}
	.top :global(button.menu) {
		display: none;
	}
	.no-script {
		padding: 10px 26px;
		font-weight: 600;
	}
	@media (max-width: 1100px) {
		.top {
			gap: 6px 12px;
			padding: 9px 16px;
		}
		nav {
			gap: 12px;
		}
	}
	@media (max-width: 640px) {
		.top {
			gap: 10px 16px;
			padding: 6px 14px;
			justify-content: space-between;
		}
		.top :global(button.menu) {
			display: inline-flex;
			min-height: 44px;
			padding: 4px 18px;
		}
		.rest {
			display: none;
		}
		.rest.open {
			display: flex;
			flex-wrap: wrap;
			gap: 12px 20px;
			width: 100%;
			padding-bottom: 8px;
		}
		.rest nav {
			flex: 1 1 100%;
			flex-wrap: wrap;
			gap: 8px 22px;
			font-size: 19px;
		}
		main {
			padding: 8px 14px 50px;
		}
	}
	@media print {
		main {
			padding: 0;
		}
	}
</style>
