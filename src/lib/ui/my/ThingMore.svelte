<script lang="ts">
	import { Button, Input } from 'flowbite-svelte';
	import { CHECK_RESULTS, type CheckResult, type HomeCheck } from '$lib/core/kit/home-test';
	import { guestMessage, type Language } from '$lib/words/guest/guest-words';
	import type { Photos } from './photos.svelte';
	import type { Said } from './said.svelte';

	/** What a client tells of one thing of the list: its size, how it did at home, and a photo. */
	interface Props {
		language: Language;
		thingId: string;
		name: string;
		size: string;
		parts: readonly HomeCheck[];
		tests: readonly { part: HomeCheck; result: CheckResult }[];
		photoIds: readonly string[];
		said: Said;
		photos: Photos;
	}
	let { language, thingId, name, size, parts, tests, photoIds, said, photos }: Props = $props();
	const say = (id: Parameters<typeof guestMessage>[1], values = {}): string =>
		guestMessage(language, id, values);
	// svelte-ignore state_referenced_locally
	let typed = $state(size);
	const waiting = $derived(photos.waiting.filter((photo) => photo.thingId === thingId));
	const there = $derived([
		...photoIds.filter((id) => !photos.gone.has(id) && !waiting.some((one) => one.id === id)),
		...photos.sent.filter((one) => one.thingId === thingId && !photoIds.includes(one.id)).map(({ id }) => id)
	]);
	let isBad = $state(false);
	async function take(event: Event): Promise<void> {
		const input = event.currentTarget as HTMLInputElement;
		const [file] = input.files ?? [];
		input.value = '';
		if (file) isBad = !(await photos.add(thingId, file));
	}
</script>

<div class="more">
	<label>
		<span class="small">{say('thing.size')}<span class="visually-hidden">: {name}</span></span>
		<Input
			bind:value={typed}
			maxlength={20}
			placeholder={say('thing.sizeHint')}
			autocomplete="off"
			onchange={() => said.size(thingId, typed.trim())}
		/>
	</label>
	{#if parts.length > 0}
		<p class="small head">{say('thing.test')}</p>
		{#each parts as part (part)}
			<div class="test" role="group" aria-label="{say(`test.${part}`)} {name}">
				<p>{say(`test.${part}`)}</p>
				<div class="results">
					{#each CHECK_RESULTS as result (result)}
						<Button
							aria-pressed={said.testOf(thingId, part, tests) === result}
							onclick={() => said.test(thingId, part, result)}>{say(`test.${result}`)}</Button
						>
					{/each}
				</div>
			</div>
		{/each}
	{/if}
	<div class="photos">
		{#each there as id (id)}
			<figure>
				<img src="/api/v1/my/photos/{id}" alt={say('photo.of', { thing: name })} width="112" height="112" />
				<Button class="quiet small" onclick={() => void photos.drop(id)}
					>{say('photo.drop')}<span class="visually-hidden">: {name}</span></Button
				>
			</figure>
		{/each}
		{#each waiting as { id, url } (id)}
			<figure>
				<img src={url} alt={say('photo.of', { thing: name })} width="112" height="112" />
				<figcaption class="small soft">{say('photo.waiting')}</figcaption>
			</figure>
		{/each}
	</div>
	<label class="take">
		{say('photo.add')}<span class="visually-hidden">: {name}</span>
		<input class="visually-hidden" type="file" accept="image/*" onchange={(event) => void take(event)} />
	</label>
	{#if isBad}<p role="alert" class="alert">{say('photo.bad')}</p>{/if}
</div>

<style>
	.more {
		grid-column: 1 / -1;
		display: grid;
		gap: 10px;
		padding-bottom: 14px;
	}
	.take {
		font-size: 14px;
	}
	.head {
		font-weight: 700;
	}
	.test p {
		font-size: 16px;
		font-weight: 400;
		margin-bottom: 4px;
	}
	.results,
	.photos {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
	}
	.results :global(button) {
		min-height: 44px;
		padding: 6px 14px;
	}
	.results :global(button[aria-pressed='true']) {
		background: var(--ink);
		color: var(--sheet);
	}
	figure {
		display: grid;
		gap: 4px;
		justify-items: start;
		max-width: 140px;
	}
	img {
		width: 112px;
		height: 112px;
		object-fit: cover;
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
	}
	.take {
		justify-self: start;
		display: grid;
		place-items: center;
		min-height: 44px;
		padding: 6px 14px;
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
		cursor: pointer;
	}
	.take:focus-within {
		outline: 3px solid var(--focus);
		outline-offset: 2px;
	}
</style>
