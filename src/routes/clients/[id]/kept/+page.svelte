<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { goto } from '$app/navigation';
	import Field from '$lib/ui/parts/Field.svelte';
	import { send } from '$lib/ui/parts/send';

	let { data } = $props();
	/** What the tables hold, in words; one that comes later is told by its name. */
	const WORDS: Readonly<Record<string, string>> = {
		client_answers: 'answers to questions',
		client_facts: 'facts: sizes, warm or cold by nature, what they do not wear',
		client_links: 'private links, when they were made and opened',
		client_marks: 'ticks on lists',
		client_notes: 'questions, and what the house said',
		client_questions: 'questions that are worth asking',
		decisions: 'decisions about things to get',
		brought_for_others: 'things that one brings for others',
		list_edits: 'lines of lists changed by hand',
		loans: 'loans from the house',
		plan_wishes: 'wishes for plans',
		plan_work: 'plans that are being worked out',
		stored_plans: 'plans',
		things: 'things of the kit',
		trip_clients: 'trips'
	};
	let name = $state('');
	let errors = $state<Record<string, string>>({});
	let message = $state('');

	async function erase(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const answer = await send('POST', `/api/v1/clients/${data.id}/erase`, { name });
		errors = answer.errors;
		message = answer.ok || Object.keys(answer.errors).length > 0 ? '' : answer.message;
		if (answer.ok) await goto('/clients');
	}
</script>

<svelte:head><title>{data.name}, what is kept · Snug Summit</title></svelte:head>

<p class="small"><a href="/clients/{data.id}">{data.name}</a></p>
<h1>What is kept of {data.name}</h1>
{#if message}<p role="alert" class="alert">{message}</p>{/if}
<ul>
	<li>the name</li>
	{#each data.counts as { name, many } (name)}
		<li>{many} {WORDS[name] ?? name}</li>
	{/each}
</ul>
<p><a href="/api/v1/clients/{data.id}/kept" download>Save all of it as one file</a></p>

<form class="sheet" onsubmit={erase} aria-labelledby="erase-head">
	<h2 id="erase-head">Erase {data.name} for good</h2>
	<p>
		All of the above goes at once, with plans and links, and with the copies that are set aside in the app. It
		cannot be undone. A copy of the house that is put back later leaves {data.name} out; files that you took elsewhere
		are yours to delete.
	</p>
	<Field id="erase-name" label="Type the whole name" bind:value={name} error={errors['name']} />
	<Button type="submit">Erase for good</Button>
</form>

<style>
	ul {
		margin: 10px 0 14px;
		padding-left: 20px;
		list-style: disc;
	}
	form {
		max-width: 560px;
		padding: 14px 20px;
		margin-top: 20px;
		display: grid;
		gap: 10px;
		justify-items: start;
	}
</style>
