<script lang="ts">
	import { Button, Textarea } from 'flowbite-svelte';
	import { guestMessage, type Language } from '$lib/words/guest/guest-words';
	import type { Said } from './said.svelte';

	/** What the client asks, and what is answered. */
	interface Props {
		language: Language;
		said: Said;
		/** what a question is about, as it stands on the list; empty where it is about nothing of it */
		about: string;
	}
	let { language, said, about = $bindable() }: Props = $props();
	const say = (id: Parameters<typeof guestMessage>[1], values = {}): string =>
		guestMessage(language, id, values);
	let question = $state('');
	function sendQuestion(event: SubmitEvent): void {
		event.preventDefault();
		if (question.trim() === '') return;
		said.ask(question.trim(), about);
		[question, about] = ['', ''];
	}
</script>

<section aria-labelledby="notes-head">
	<h2 id="notes-head">{say('note.head')}</h2>
	<ul class="notes">
		{#each said.notes as note (note.id)}
			<li class={note.saidBy}>
				<p class="small soft">
					{note.saidBy === 'client' ? say('note.you') : note.who}{note.about
						? ` · ${say('note.about', { thing: note.about })}`
						: ''}
				</p>
				<p>{note.text}</p>
			</li>
		{:else}
			<li class="soft">{say('note.none')}</li>
		{/each}
	</ul>
	<form onsubmit={sendQuestion}>
		<label class="label" for="question">
			{say('note.label')}{about ? ` · ${say('note.about', { thing: about })}` : ''}
		</label>
		<Textarea class="typed" id="question" rows={3} maxlength={1000} bind:value={question} />
		<Button type="submit">{say('note.send')}</Button>
	</form>
</section>

<style>
	section {
		margin-top: 22px;
	}
	.notes li {
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
		padding: 6px 12px;
		margin-bottom: 8px;
	}
	.notes li.soft {
		border: 0;
		padding: 0;
	}
	.notes li.house {
		background: var(--sheet);
		border-width: 2px;
	}
	form {
		display: grid;
		gap: 8px;
		justify-items: start;
	}
	form :global(textarea) {
		width: 100%;
	}
	form :global(> div) {
		width: 100%;
	}
	form :global(button[type='submit']) {
		min-height: 44px;
		padding: 6px 18px;
	}
</style>
