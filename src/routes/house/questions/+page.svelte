<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import Field from '$lib/ui/parts/Field.svelte';
	import { send } from '$lib/ui/parts/send';
	import UndoBar from '$lib/ui/parts/UndoBar.svelte';

	let { data } = $props();
	let [english, german] = $state(['', '']);
	let [message, wrong] = $state(['', '']);
	const canChange = $derived(data.who?.role !== 'guide');
	async function add(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const answer = await send('POST', '/api/v1/house/questions', {
			english: english.trim(),
			german: german.trim()
		});
		wrong = answer.errors['english'] ? 'Write the question first.' : '';
		message = wrong ? '' : answer.message;
		if (answer.ok) [english, german] = ['', ''];
		await invalidateAll();
	}
	let taken = $state<{ id: string; english: string } | null>(null);
	async function change(method: 'DELETE' | 'POST', question: { id: string; english: string }): Promise<void> {
		({ message } = await send(method, `/api/v1/house/questions/${question.id}`));
		taken = method === 'DELETE' && message === '' ? question : null;
		await invalidateAll();
	}
</script>

<svelte:head><title>Questions of the house · Snug Summit</title></svelte:head>

<p class="small"><a href="/house">How we do it</a></p>
<h1>Questions of the house</h1>
<p class="lead">
	What clothes decide, the app asks by itself, in the order of what each answer is worth. What else you want
	to know of every client stands here: it is asked after that, with the same four answers.
</p>
{#if message}<p role="alert" class="alert">{message}</p>{/if}
<ul>
	{#each data.questions as question (question.id)}
		<li>
			<p>{question.english}</p>
			<p class="soft small" lang={question.german ? 'de' : undefined}>
				{question.german || 'No German yet: asked in English.'}
			</p>
			{#if canChange}
				<Button class="quiet small" onclick={() => change('DELETE', question)}
					>Ask no more<span class="visually-hidden">: {question.english}</span></Button
				>
			{/if}
		</li>
	{:else}
		<li class="soft">
			Nothing is asked yet. “Do you need to charge a medical device at night?” would be one.
		</li>
	{/each}
</ul>
{#if canChange}
	<form onsubmit={add}>
		<Field
			id="english"
			label="Question"
			bind:value={english}
			placeholder="Do you bring a flask?"
			error={wrong}
		/>
		<Field
			id="german"
			label="The same in German, if you like"
			bind:value={german}
			placeholder="Bringst du eine Thermosflasche mit?"
		/>
		<Button type="submit">Ask every client</Button>
	</form>
	{#if data.taken.length > 0}
		<details>
			<summary class="small">Asked before ({data.taken.length})</summary>
			<ul>
				{#each data.taken as question (question.id)}
					<li>
						{question.english}
						<Button class="quiet small" onclick={() => change('POST', question)}
							>Ask again<span class="visually-hidden">: {question.english}</span></Button
						>
					</li>
				{/each}
			</ul>
		</details>
	{/if}
{/if}
{#if taken}
	<UndoBar text="“{taken.english}” is asked no more." undo={() => change('POST', taken!)} />
{/if}

<style>
	.lead {
		max-width: 70ch;
		margin: 4px 0 18px;
	}
	li {
		padding: 8px 0;
		border-bottom: 1px solid var(--rule);
	}
	form {
		display: grid;
		gap: 10px;
		max-width: 560px;
		margin: 18px 0;
		justify-items: start;
	}
	form :global(> div) {
		width: 100%;
	}
</style>
