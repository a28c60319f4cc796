<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { CheckResult, HomeCheck } from '$lib/core/kit/home-test';
	import { guestMessage, type Language } from '$lib/words/guest/guest-words';
	import type { Said } from './said.svelte';

	/** Everything on at once, at home: one thing after the other, and what was tried counts. */
	interface Props {
		language: Language;
		/** things of the list that there is something to try of */
		things: readonly {
			id: string;
			name: string;
			parts: readonly HomeCheck[];
			tests: readonly { part: HomeCheck; result: CheckResult }[];
		}[];
		said: Said;
	}
	let { language, things, said }: Props = $props();
	const say = (id: Parameters<typeof guestMessage>[1], values = {}): string =>
		guestMessage(language, id, values);
	const all = $derived(
		things.flatMap(({ id, name, parts, tests }) => parts.map((part) => ({ id, name, part, tests })))
	);
	const isDone = ({ id, part, tests }: (typeof all)[number]): boolean =>
		said.testOf(id, part, tests) !== 'not done';
	const done = $derived(all.filter(isDone).length);
	/** put off until the page is opened again */
	let later = $state.raw<ReadonlySet<string>>(new Set());
	const next = $derived(all.find((one) => !isDone(one) && !later.has(`${one.id} ${one.part}`)) ?? null);
	let isOpen = $state(false);
	function tell(result: 'pass' | 'fail'): void {
		if (next) said.test(next.id, next.part, result);
	}
	function putOff(): void {
		if (next) later = new Set([...later, `${next.id} ${next.part}`]);
	}
</script>

{#if all.length > 0}
	<section class="sheet" aria-labelledby="home-head">
		<h2 id="home-head">{say('home.head')}</h2>
		<p class="small">{say('home.why')}</p>
		<p class="small soft" role="status">{say('home.done', { done, all: all.length })}</p>
		{#if !isOpen && next}
			<Button onclick={() => (isOpen = true)}>{say(done > 0 ? 'home.on' : 'home.begin')}</Button>
		{:else if next}
			<p class="thing">{next.name}</p>
			<p class="question">{say(`test.${next.part}`)}</p>
			<div class="answers">
				<Button onclick={() => tell('pass')}>{say('test.pass')}</Button>
				<Button onclick={() => tell('fail')}>{say('test.fail')}</Button>
				<Button class="quiet" onclick={putOff}>{say('home.later')}</Button>
			</div>
		{/if}
	</section>
{/if}

<style>
	section {
		padding: 14px 18px;
		margin-top: 22px;
	}
	.thing {
		font-weight: 700;
		margin-top: 8px;
	}
	.question {
		font-size: 18px;
		line-height: 1.3;
		margin-bottom: 10px;
	}
	section :global(button) {
		min-height: 44px;
		padding: 6px 18px;
	}
	.answers {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
	}
</style>
