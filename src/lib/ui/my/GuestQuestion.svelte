<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { type Answer, ANSWERS } from '$lib/core/kit/answers';
	import type { QuestionId } from '$lib/core/questions/questions';
	import { guestMessage, type Language } from '$lib/words/guest/guest-words';

	/** One question at a time, the one whose answer is worth most first. */
	interface Props {
		language: Language;
		/** open questions, the most worth first; null while they are worked out */
		questions: readonly { id: QuestionId; moments: number }[] | null;
		/** answered since they were worked out */
		answered: ReadonlySet<string>;
		onanswer: (id: QuestionId, answer: Answer) => void;
	}
	let { language, questions, answered, onanswer }: Props = $props();
	const say = (id: Parameters<typeof guestMessage>[1], values = {}): string =>
		guestMessage(language, id, values);
	const next = $derived(questions?.find(({ id }) => !answered.has(id)) ?? null);
	let isWhyOpen = $state(false);
	function answer(id: QuestionId, given: Answer): void {
		isWhyOpen = false;
		onanswer(id, given);
	}
</script>

<section class="sheet" aria-labelledby="ask-head">
	<h2 id="ask-head">{say('ask.head')}</h2>
	<div aria-live="polite">
		{#if next}
			<p class="question">{say(`ask.${next.id}`)}</p>
			<div class="answers">
				{#each ANSWERS as one (one)}
					<Button onclick={() => answer(next.id, one)}>{say(`ask.${one}`)}</Button>
				{/each}
			</div>
			<Button class="quiet small" aria-expanded={isWhyOpen} onclick={() => (isWhyOpen = !isWhyOpen)}
				>{say('ask.why')}</Button
			>
			{#if isWhyOpen}<p class="small">{say('ask.because', { moments: next.moments })}</p>{/if}
		{:else if questions === null || answered.size > 0}
			<p>{say(questions === null ? 'ask.waiting' : 'ask.noted')}</p>
		{:else}
			<p>{say('ask.enough')}</p>
		{/if}
	</div>
</section>

<style>
	section {
		padding: 14px 18px;
		margin-top: 18px;
	}
	.question {
		font-size: 20px;
		line-height: 1.3;
		margin: 6px 0 10px;
	}
	.answers {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 8px;
		margin-bottom: 8px;
	}
	.answers :global(button) {
		min-height: 48px;
		padding: 6px 10px;
	}
</style>
