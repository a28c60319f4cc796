<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { page } from '$app/state';
	import Typed from '$lib/ui/sign-in/Typed.svelte';

	let { data, form } = $props();
	const to = $derived(page.url.search ? `&${page.url.search.slice(1)}` : '');
</script>

<svelte:head><title>Sign in · Snug Summit</title></svelte:head>

<h1>Come in</h1>
<div class="doors">
	{#if data.hasDemo}
		<section class="sheet" aria-labelledby="demo-head">
			<h2 id="demo-head">Have a look around</h2>
			<p>
				A made-up outfitter with two trips, their guests and a store of things to lend. Change what you like:
				nobody’s week depends on it.
			</p>
			<form method="POST" action="?/demo{to}">
				<Button class="main" type="submit">Enter the demo</Button>
			</form>
		</section>
	{/if}
	<section class="sheet" aria-labelledby="own-head">
		{#if data.isSetUp}
			<h2 id="own-head">Your house</h2>
			<form method="POST" action="?/mine{to}">
				<Typed
					name="mail"
					label="Mail address"
					type="email"
					autocomplete="username"
					value={form?.typed['mail']}
					error={form?.errors['mail']}
				/>
				<Typed
					name="password"
					label="Password"
					type="password"
					autocomplete="current-password"
					error={form?.errors['password']}
				/>
				<Button class="main" type="submit">Sign in</Button>
			</form>
			<p class="soft small">
				Lost the password, or no account yet? The owner of your house sends you a link.
			</p>
		{:else}
			<h2 id="own-head">A house of your own</h2>
			<p>Your trips, your guests, your people. It starts empty, and only those whom you invite see it.</p>
			<a class="go" href="/set-up">Set it up</a>
		{/if}
	</section>
</div>

<style>
	.doors {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
		gap: 18px;
		max-width: 900px;
		margin-top: 14px;
	}
	h1 {
		margin-top: 7vh;
	}
	section {
		padding: 16px 20px;
		display: grid;
		gap: 10px;
		align-content: start;
	}
	.go {
		font-weight: 700;
	}
</style>
