<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import Typed from '$lib/ui/sign-in/Typed.svelte';

	let { data, form } = $props();
	const errors = $derived<Record<string, string>>(form?.errors ?? {});
</script>

<svelte:head>
	<title>Choose a password · Snug Summit</title>
	<meta name="robots" content="noindex" />
</svelte:head>

{#if data.person}
	<h1>Choose a password</h1>
	<form method="POST" class="sheet">
		<p>{data.person.name}, you sign in with <strong>{data.person.mail}</strong>.</p>
		<Typed
			name="password"
			label="Password"
			type="password"
			autocomplete="new-password"
			error={errors['password']}
			note="At least {data.leastLetters} letters. A few words in a row are easy to keep in mind."
		/>
		<Button class="main" type="submit">Keep it and go in</Button>
	</form>
{:else}
	<h1>This link has been used, or is too old</h1>
	<p class="lead">
		Ask the owner of your house for a new one, or <a href="/sign-in">sign in</a> with the password that you chose.
	</p>
{/if}

<style>
	form {
		max-width: 480px;
		padding: 16px 20px;
		margin-top: 12px;
	}
	form p {
		margin-bottom: 12px;
	}
</style>
