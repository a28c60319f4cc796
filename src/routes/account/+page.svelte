<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import Typed from '$lib/ui/sign-in/Typed.svelte';

	import { forgetPages, forgettingFirst } from '$lib/ui/frame/forget-pages';

	let { data, form } = $props();
	const errors = $derived<Record<string, string>>(form?.errors ?? {});
	const ROLE_WORDS = {
		owner: 'Owner: everything, and who else comes in.',
		planner: 'Planner: trips, clients and how the house does it.',
		guide: 'Guide: reads everything; planners change it.'
	};

	/** What this browser kept for reading without connection goes before one leaves: the next person at it is another. */
	const forget = forgettingFirst(forgetPages);
</script>

<svelte:head><title>You · Snug Summit</title></svelte:head>

<h1>{data.who?.name ?? 'You'}</h1>
{#if data.isTurnedAway}
	<p role="alert" class="alert">That page is for the owner of the house.</p>
{/if}
{#if data.who}
	<p class="lead">{data.who.house}. {ROLE_WORDS[data.who.role]}</p>
	<div class="leave">
		<form method="POST" action="?/out" onsubmit={forget}><Button type="submit">Sign out</Button></form>
		{#if !data.who.isDemo}
			<form method="POST" action="?/everywhere" onsubmit={forget}>
				<Button type="submit" class="quiet">Sign out on every device</Button>
			</form>
		{/if}
	</div>
	{#if !data.who.isDemo}
		<form method="POST" action="?/password" class="sheet" aria-labelledby="password-head">
			<h2 id="password-head">Another password</h2>
			<p role="status" class="small">
				{data.isChanged ? 'It is changed. Your other devices are signed out.' : ''}
			</p>
			<Typed
				name="old"
				label="The one that you have"
				type="password"
				autocomplete="current-password"
				error={errors['old']}
			/>
			<Typed
				name="password"
				label="The new one"
				type="password"
				autocomplete="new-password"
				error={errors['password']}
				note="At least {data.leastLetters} letters."
			/>
			<Button type="submit">Change it</Button>
		</form>
	{/if}
{/if}

<style>
	.leave {
		display: flex;
		gap: 14px;
		margin: 12px 0 20px;
	}
	.sheet {
		max-width: 480px;
		padding: 14px 20px;
	}
</style>
