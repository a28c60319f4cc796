<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { onMount, untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { forgettingFirst } from '$lib/ui/frame/forget-pages';
	import { keepPage } from '$lib/ui/frame/keep-page';
	import OnceNear from '$lib/ui/late/OnceNear.svelte';
	import GuestQuestion from '$lib/ui/my/GuestQuestion.svelte';
	import GuestLine from '$lib/ui/my/GuestLine.svelte';
	import MyNotes from '$lib/ui/my/MyNotes.svelte';
	import TripWeather from '$lib/ui/my/TripWeather.svelte';
	import { forgetAll } from '$lib/ui/my/browser-store';
	import { Photos } from '$lib/ui/my/photos.svelte';
	import { Said } from '$lib/ui/my/said.svelte';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import {
		guestDate,
		guestMessage,
		guestPlace,
		guestTypeName,
		type Language
	} from '$lib/words/guest/guest-words';
	import { needWords } from '$lib/words/guest/need-words';
	import { firstName } from '$lib/words/labels';

	let { data } = $props();
	const units = $derived(readerUnits());
	const { language, trip } = $derived(data);
	// The list as it was stays readable while it is drawn up anew.
	let before = $state.raw(untrack(() => data.list));
	$effect(() => {
		if (data.list) before = data.list;
	});
	const list = $derived(data.list ?? before);
	const first = $derived(firstName(data.name));
	const say = (id: Parameters<typeof guestMessage>[1], values = {}): string =>
		guestMessage(language, id, values);
	const thingName = (name: string, typeId: string | null): string =>
		typeId ? guestTypeName(language, typeId, units) : name;

	const photos = new Photos();
	// svelte-ignore state_referenced_locally
	const said = new Said(data, () => void invalidateAll());
	$effect(() => {
		const heard = { marks: data.marks, notes: data.notes };
		untrack(() => said.hear(heard));
	});
	/** What was answered here since the page was last read: it may have been read before the answer was there. */
	const answered = $derived(new Set([...said.answered].filter((id) => !data.answered.includes(id))));
	/** What is kept for reading without connection is the page as it stands now, after so long without a change, ms. */
	const KEPT_AFTER_MS = 1500;
	$effect(() => {
		void [data, said.marks, said.notes];
		if (said.waiting.length > 0) return;
		const timer = setTimeout(keepPage, KEPT_AFTER_MS);
		return () => clearTimeout(timer);
	});
	const ON_DEMAND = [
		() => import('$lib/ui/my/ThingMore.svelte'),
		() => import('$lib/ui/my/HomeTest.svelte'),
		() => import('$lib/ui/my/OwnsMore.svelte'),
		() => import('$lib/ui/my/MyMail.svelte')
	];
	const SOON_MS = 600;
	/** A list that is not there yet is looked for again, ms. */
	const LOOK_AGAIN_MS = 3000;
	onMount(() => {
		// What is shown on demand is fetched soon: it has to be there without connection, too.
		const soon = setTimeout(() => void Promise.all(ON_DEMAND.map((fetched) => fetched())), SOON_MS);
		void said.begin();
		void photos.begin();
		const sync = (): void => void Promise.all([said.sync(), photos.sync()]);
		window.addEventListener('online', sync);
		const look = setInterval(() => {
			const isWaiting = (data.list === null && data.knowsKit) || data.asking === null;
			if (isWaiting && trip.days.length > 0 && navigator.onLine) void invalidateAll();
		}, LOOK_AGAIN_MS);
		return () => {
			clearTimeout(soon);
			said.end();
			photos.end();
			window.removeEventListener('online', sync);
			clearInterval(look);
		};
	});

	const place = $derived(
		guestPlace(
			language,
			trip.place,
			trip.days.map(({ date }) => date)
		)
	);
	const startId = (need: unknown): string => `start-${JSON.stringify(need)}`.slice(0, 100);
	/** All that can be ticked, so that one sees how far one is. */
	const lineIds = $derived(
		list === null
			? []
			: [
					...list.start.map(startId),
					...list.toGet.map(({ typeId }) => `get-${typeId}`),
					...list.rides.flatMap(({ lines }) => lines.map(({ id }) => id)),
					...list.everybody.map(({ id }) => `everybody-${id}`),
					...list.small.map((thing) => `small-${thing}`)
				]
	);
	const packed = $derived(lineIds.filter((id) => said.marks.get(id) === 'packed').length);

	const toTry = $derived(
		(list?.rides ?? []).flatMap(({ lines }) =>
			lines.flatMap(({ id, name, typeId }) => {
				const thing = data.things[id];
				return thing ? [{ id, name: thingName(name, typeId), ...thing }] : [];
			})
		)
	);

	/** Names of the things of the list, in the language of the page. */
	const nameOf = (id: string): string => {
		const line = list?.rides.flatMap(({ lines }) => lines).find((one) => one.id === id);
		return line ? thingName(line.name, line.typeId) : (list?.names[id] ?? id);
	};
	let about = $state('');
	function askAbout(thing: string): void {
		about = thing;
		document.getElementById('question')?.focus();
	}
	function speak(other: Language): void {
		document.cookie = `language=${other}; path=/; max-age=31536000; samesite=lax`;
		void invalidateAll();
	}
	const forget = forgettingFirst(forgetAll);
	const other = $derived<Language>(language === 'de' ? 'en' : 'de');
</script>

<svelte:head>
	<title>{say('page.title')} · Snug Summit</title>
	<meta name="robots" content="noindex" />
</svelte:head>

{#snippet line(id: string, name: string, many = 1, note = '')}
	{@const thing = data.things[id]}
	{#snippet more()}
		{#if thing}
			{#await import('$lib/ui/my/ThingMore.svelte') then { default: ThingMore }}
				<ThingMore
					{language}
					thingId={id}
					{name}
					size={thing.size}
					parts={thing.parts}
					tests={thing.tests}
					photoIds={thing.photos}
					{said}
					{photos}
				/>
			{/await}
		{/if}
	{/snippet}
	<GuestLine
		{language}
		{name}
		{many}
		{note}
		mark={said.marks.get(id) ?? 'none'}
		onmark={(mark) => said.mark(id, mark)}
		onask={() => askAbout(name)}
		{more}
	/>
{/snippet}

<div class="page" lang={language}>
	<p class="language">
		<Button class="quiet" lang={other} onclick={() => speak(other)}>{say('page.language')}</Button>
	</p>
	<h1>{say('page.hello', { name: first })}</h1>
	<p class="trip">
		<strong>{trip.name}</strong>{place}
	</p>
	<p class="soft small">{say('page.from', { house: data.house })}</p>
	<p role="status" class="sync small" class:kept={said.waiting.length > 0}>
		{said.refused
			? say('sync.refused', { why: said.refused })
			: said.waiting.length > 0
				? say('sync.kept', { many: said.waiting.length })
				: say(photos.waiting.length > 0 ? 'sync.photo' : 'sync.all')}
	</p>

	{#if trip.days.length > 0}
		<TripWeather {language} days={trip.days} picture={list?.picture ?? null} {nameOf} who={first} />
	{/if}

	{#if trip.days.length > 0}
		<GuestQuestion
			{language}
			asking={data.asking}
			ofHouse={data.houseQuestions}
			{answered}
			isLikely={data.isLikely}
			onanswer={(id, answer) => said.answer(id, answer)}
		/>
	{/if}

	<section aria-labelledby="list-head">
		<h2 id="list-head">{say('list.head')}</h2>
		{#if list === null}
			<p>{say(trip.days.length === 0 ? 'list.noDays' : data.knowsKit ? 'list.waiting' : 'list.noKit')}</p>
		{:else}
			{#if data.list === null}<p role="status" class="small">{say('list.anew')}</p>{/if}
			<p class="done">
				<progress max={Math.max(1, lineIds.length)} value={packed} aria-label={say('list.head')}></progress>
				{say('list.done', { packed, all: lineIds.length })}
			</p>
			{#if list.start.length > 0}
				<h3 class="must">{say('list.start')}</h3>
				<ul>
					{#each list.start as need, i (i)}
						{@render line(startId(need), needWords(language, need))}
					{/each}
				</ul>
			{/if}
			{#if list.toGet.length > 0}
				<h3>{say('list.toGet')}</h3>
				<ul>
					{#each list.toGet as one (one.typeId)}
						{@render line(
							`get-${one.typeId}`,
							guestTypeName(language, one.typeId, units),
							1,
							[
								one.way ? say(`way.${one.way}`) : '',
								one.due ? say('list.by', { date: guestDate(language, one.due) }) : ''
							]
								.filter(Boolean)
								.join(', ')
						)}
						<li class="have"><Button onclick={() => said.own(one.typeId)}>{say('list.haveOne')}</Button></li>
					{/each}
				</ul>
			{/if}
			{#each list.rides as { ride, lines } (ride)}
				<h3>{say(`list.${ride}`)}</h3>
				<ul>
					{#each lines as one (one.id)}
						{@render line(
							one.id,
							thingName(one.name, one.typeId),
							one.many,
							one.note ? say(`list.${one.note}`) : ''
						)}
					{/each}
				</ul>
			{/each}
			{#if list.everybody.length + list.brought.length > 0}
				<h3>{say('list.everybody')}</h3>
				<ul>
					{#each list.everybody as one (one.id)}{@render line(
							`everybody-${one.id}`,
							one.what,
							one.many,
							one.isForOthers ? say('list.forOthers') : ''
						)}{/each}
					{#each list.brought as { id, what, by } (id)}
						<li class="soft">{say('list.fromOthers', { thing: what, who: by })}</li>
					{/each}
				</ul>
			{/if}
			{#if list.small.length > 0}
				<h3>{say('list.small')}</h3>
				<ul>
					{#each list.small as thing (thing)}{@render line(`small-${thing}`, say(`small.${thing}`))}{/each}
				</ul>
			{/if}
		{/if}
	</section>

	<OnceNear height={160}>
		{#await import('$lib/ui/my/HomeTest.svelte') then { default: HomeTest }}
			<HomeTest {language} things={toTry} {said} />
		{/await}
	</OnceNear>

	<section aria-labelledby="own-head">
		<h2 id="own-head">{say('list.add')}</h2>
		<OnceNear height={120}>
			{#await import('$lib/ui/my/OwnsMore.svelte') then { default: OwnsMore }}
				<OwnsMore {language} onown={(typeId) => said.own(typeId)} />
			{/await}
		</OnceNear>
	</section>

	<MyNotes {language} {said} bind:about />

	<OnceNear height={160}>
		{#await import('$lib/ui/my/MyMail.svelte') then { default: MyMail }}
			<MyMail {language} mail={data.mail} />
		{/await}
	</OnceNear>

	<p class="soft small foot">{say('page.foot')}</p>
	<p class="small">{say('kept.line', data.kept)}</p>
	<p class="small"><a href="/my/kept" download>{say('page.kept')}</a></p>
	<form method="POST" action="/my/leave" onsubmit={forget}>
		<Button type="submit" class="quiet small">{say('page.bye')}</Button>
	</form>
</div>

<style>
	.page {
		max-width: 640px;
		margin: 0 auto;
	}
	.language {
		float: right;
	}
	.trip {
		margin-top: 4px;
	}
	.sync {
		min-height: 24px;
		margin-top: 6px;
	}
	.sync.kept {
		border-left: 6px solid var(--v-cool, var(--ink));
		padding-left: 8px;
	}
	section {
		margin-top: 22px;
	}
	h3 {
		margin-top: 16px;
	}
	h3.must {
		border-left: 8px solid var(--v-short);
		padding-left: 10px;
	}
	.done {
		display: flex;
		gap: 10px;
		align-items: center;
	}
	progress {
		width: 120px;
		height: 10px;
		accent-color: var(--ink);
	}
	li.have {
		padding: 2px 0 10px;
	}
	li.have :global(button) {
		min-height: 44px;
		padding: 6px 14px;
	}
	.foot {
		margin: 26px 0 10px;
	}
</style>
