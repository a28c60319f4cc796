<script lang="ts">
	import { Button, Input } from 'flowbite-svelte';
	import { guestMessage, type Language } from '$lib/words/guest/guest-words';
	import { send } from '../parts/send';

	/** Where the house may write to, and what is kept of the client. */
	interface Props {
		language: Language;
		mail: string;
	}
	let { language, mail }: Props = $props();
	const say = (id: Parameters<typeof guestMessage>[1]): string => guestMessage(language, id);
	// svelte-ignore state_referenced_locally
	let typed = $state(mail);
	let [said, wrong] = $state(['', '']);
	async function save(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const answer = await send('PUT', '/api/v1/my/address', { mail: typed.trim() });
		[said, wrong] = answer.ok
			? [say(typed.trim() === '' ? 'mail.forgotten' : 'mail.saved'), '']
			: ['', answer.status === 400 ? say('mail.bad') : answer.message];
	}
</script>

<section aria-labelledby="mail-head">
	<h2 id="mail-head">{say('mail.head')}</h2>
	<p class="small">{say('mail.hint')}</p>
	<form onsubmit={save}>
		<label class="label" for="mail">{say('mail.label')}</label>
		<Input
			id="mail"
			bind:value={typed}
			inputmode="email"
			autocomplete="email"
			maxlength={254}
			aria-invalid={wrong !== ''}
			aria-describedby="mail-said"
		/>
		<Button type="submit">{say('mail.save')}</Button>
		<p id="mail-said" role="status" class="small" class:alert={wrong !== ''}>{wrong || said}</p>
	</form>
</section>

<style>
	section {
		margin-top: 22px;
	}
	form {
		display: grid;
		gap: 8px;
		justify-items: start;
	}
	form :global(button[type='submit']) {
		min-height: 44px;
		padding: 6px 18px;
	}
</style>
