<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import { type Answer, ANSWERS } from '$lib/core/kit/answers';
	import type { ItDoes } from '$lib/core/questions/moments';
	import type { QuestionId } from '$lib/core/questions/questions';
	import { guestListed, guestMessage, type Language } from '$lib/words/guest/guest-words';
	import ThingDrawing from './ThingDrawing.svelte';

	/** One question at a time, the one whose answer is worth most first; what an answer did is said at once. */
	interface Question {
		id: QuestionId;
		moments: number;
		does: ItDoes;
		isAssumed: boolean;
	}
	/** What is asked now, and what will be after each answer, as far as it is known. */
	interface Asking {
		questions: readonly Question[];
		after: { there: Asking | null; away: Asking | null } | null;
	}
	interface Props {
		language: Language;
		/** null while it is worked out */
		asking: Asking | null;
		/** asked by the house itself */
		ofHouse: readonly { id: string; english: string; german: string }[];
		/** answered in this browser, and not known to what came from the server yet */
		answered: ReadonlySet<string>;
		/** whether the rest can be taken as likely */
		isLikely: boolean;
		onanswer: (id: string, answer: Answer) => void;
	}
	let { language, asking, ofHouse, answered, isLikely, onanswer }: Props = $props();
	const say = (id: Parameters<typeof guestMessage>[1], values = {}): string =>
		guestMessage(language, id, values);

	/** Where the answers of this browser have led to: known ahead, or the order that was there before. */
	let ahead = $state.raw<Asking | null>(null);
	$effect(() => {
		// What is under the thumb does not change while answers are on their way.
		if (asking && (untrack(() => ahead) === null || answered.size === 0)) ahead = asking;
	});
	const open = $derived((ahead?.questions ?? []).filter(({ id }) => !answered.has(id)));
	const next = $derived(open[0] ?? null);
	const ofHouseNext = $derived(
		next || ahead === null ? null : (ofHouse.find(({ id }) => !answered.has(id)) ?? null)
	);
	const words = $derived(
		next
			? say(`ask.${next.id}`)
			: ofHouseNext
				? (language === 'de' && ofHouseNext.german) || ofHouseNext.english
				: ''
	);
	let isWhyOpen = $state(false);
	let did = $state('');

	const when = (kinds: ItDoes['right']): string =>
		guestListed(
			language,
			kinds.map((kind) => say(`when.${kind}`))
		);
	/** What an answer did, in a sentence. */
	function whatItDid({ does: { right, better }, isAssumed }: Question, given: Answer): string {
		if (given === 'unknown') return say(isAssumed ? 'did.assumed' : 'did.without');
		if (given === 'no')
			return right.length + better.length > 0
				? say('did.lacking', { when: when([...right, ...better]) })
				: say('did.noted');
		if (right.length > 0) return say('did.right', { when: when(right) });
		return better.length > 0 ? say('did.better', { when: when(better) }) : say('did.noted');
	}
	function answer(given: Answer): void {
		isWhyOpen = false;
		const [asked, asker] = [next, ofHouseNext];
		if (asked) {
			did = whatItDid(asked, given);
			const isThere = given === 'yes' || given === 'unsure' || (given === 'unknown' && asked.isAssumed);
			// The first question's answers were foreseen; else the order that is known holds until the server says more.
			const isFirst = ahead?.questions[0]?.id === asked.id;
			ahead = (isFirst && ahead?.after?.[isThere ? 'there' : 'away']) || ahead;
			onanswer(asked.id, given);
		} else if (asker) {
			did = say('did.noted');
			onanswer(asker.id, given);
		}
	}
</script>

<section class="sheet" aria-labelledby="ask-head">
	<h2 id="ask-head">{say(ofHouseNext ? 'ask.house' : 'ask.head')}</h2>
	<p class="did" role="status">{did}</p>
	<div aria-live="polite">
		{#if words}
			{#if isLikely && next}<p class="small">{say('ask.likely')}</p>{/if}
			<div class="asked">
				{#if next}<ThingDrawing id={next.id} />{/if}
				<p class="question">{words}</p>
			</div>
			<div class="answers">
				{#each ANSWERS as one (one)}
					<Button onclick={() => answer(one)}>{say(`ask.${one}`)}</Button>
				{/each}
			</div>
			{#if next}
				<Button class="quiet small" aria-expanded={isWhyOpen} onclick={() => (isWhyOpen = !isWhyOpen)}
					>{say('ask.why')}</Button
				>
				{#if isWhyOpen}<p class="small">{say('ask.because', { moments: next.moments })}</p>{/if}
			{/if}
		{:else if ahead === null}
			<p>{say('ask.waiting')}</p>
		{:else if asking === null && answered.size > 0}
			<p>{say('ask.noted')}</p>
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
	.did {
		min-height: 24px;
		font-weight: 700;
	}
	.asked {
		display: flex;
		gap: 14px;
		align-items: center;
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
