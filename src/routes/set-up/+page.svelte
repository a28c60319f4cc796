<script lang="ts">
	import { Button, Checkbox } from 'flowbite-svelte';
	import Typed from '$lib/ui/sign-in/Typed.svelte';

	let { data, form } = $props();
	const typed = $derived<Record<string, string>>(form?.typed ?? {});
	const errors = $derived<Record<string, string>>(form?.errors ?? {});
	const { trips, clients } = $derived(data.entered);
</script>

<svelte:head><title>Set up your house · Snug Summit</title></svelte:head>

<h1>Set up your house</h1>
<p class="lead">
	You become its owner: you invite planners and guides, and take copies of everything. <a href="/sign-in"
		>Back</a
	>
</p>
<form method="POST" class="sheet">
	<Typed
		name="house"
		label="Name of the house"
		autocomplete="organization"
		value={typed['house']}
		error={errors['house']}
	/>
	<Typed name="name" label="Your name" autocomplete="name" value={typed['name']} error={errors['name']} />
	<Typed
		name="mail"
		label="Mail address"
		type="email"
		autocomplete="username"
		value={typed['mail']}
		error={errors['mail']}
		note="You sign in with it. Nothing is sent to it."
	/>
	<Typed
		name="password"
		label="Password"
		type="password"
		autocomplete="new-password"
		error={errors['password']}
		note="At least {data.leastLetters} letters. A few words in a row are easy to keep in mind."
	/>
	{#if trips + clients > 0}
		<Checkbox name="takesAlong" checked>
			Take along what was entered beside the demo: {trips}
			{trips === 1 ? 'trip' : 'trips'}, {clients}
			{clients === 1 ? 'client' : 'clients'}
		</Checkbox>
	{/if}
	<Button class="main" type="submit">Set it up</Button>
</form>

<style>
	form {
		max-width: 480px;
		padding: 16px 20px;
	}
	.lead {
		max-width: 70ch;
		margin: 4px 0 14px;
	}
</style>
