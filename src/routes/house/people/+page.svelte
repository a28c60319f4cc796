<script lang="ts">
	import { Button, Select } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import OncePageLives from '$lib/ui/late/OncePageLives.svelte';
	import Field from '$lib/ui/parts/Field.svelte';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { send } from '$lib/ui/parts/send';
	import { longDate } from '$lib/words/labels';

	let { data } = $props();
	type Account = (typeof data.accounts)[number];
	const ROLES = ['guide', 'planner', 'owner'] as const;
	const ROLE_WORDS = {
		guide: 'guide: reads',
		planner: 'planner: reads and changes',
		owner: 'owner: and says who comes in'
	};

	let name = $state('');
	let mail = $state('');
	let role = $state<(typeof ROLES)[number]>('planner');
	let program = $state('');
	let errors = $state<Record<string, string>>({});
	let message = $state('');
	/** a secret is shown once: only its hash is kept */
	let told = $state<{ for: string; text: string; secret: string } | null>(null);

	async function settle(answer: {
		ok: boolean;
		message: string;
		errors: Record<string, string>;
	}): Promise<void> {
		message = answer.ok || Object.keys(answer.errors).length > 0 ? '' : answer.message;
		errors = answer.errors;
		await invalidateAll();
	}
	async function invite(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const answer = await send<{ link: string }>('POST', '/api/v1/accounts', { name, mail, role });
		if (answer.data) {
			told = { for: name, text: 'chooses a password by this link', secret: answer.data.link };
			[name, mail] = ['', ''];
		}
		await settle(answer);
	}
	async function wayBack(account: Account): Promise<void> {
		const answer = await send<{ link: string }>('POST', `/api/v1/accounts/${account.id}/way-back`);
		if (answer.data)
			told = { for: account.name, text: 'chooses another password by this link', secret: answer.data.link };
		await settle(answer);
	}
	const change = async (account: Account, edit: { role?: string; closed?: boolean }): Promise<void> =>
		settle(await send('PATCH', `/api/v1/accounts/${account.id}`, edit));
	async function makeToken(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const answer = await send<{ token: string }>('POST', '/api/v1/tokens', {
			name: program,
			role: 'planner'
		});
		if (answer.data) {
			told = {
				for: program,
				text: 'sends this with every call, as “Authorization: Bearer …”',
				secret: answer.data.token
			};
			program = '';
		}
		await settle(answer);
	}
	const endToken = async (id: string): Promise<void> => settle(await send('DELETE', `/api/v1/tokens/${id}`));
</script>

<svelte:head><title>Who comes in · Snug Summit</title></svelte:head>

<h1>Who comes in</h1>
<p class="lead">
	Guides read, planners change, owners say who comes in and take copies. <a href="/house/entries"
		>Who changed what</a
	>
	<a href="/house">How we do it</a>
</p>
{#if message}<p role="alert" class="alert">{message}</p>{/if}
<div role="status">
	{#if told}
		<p class="told sheet">
			<strong>{told.for}</strong>
			{told.text}. It is shown this once{told.secret.startsWith('http')
				? ', works once, and holds for seven days. Give it to them yourself.'
				: '.'}
			<input
				class="typed"
				readonly
				value={told.secret}
				aria-label="For {told.for}"
				onfocus={(event) => event.currentTarget.select()}
			/>
		</p>
	{/if}
</div>

<ul>
	{#each data.accounts as account (account.id)}
		<li class:closed={account.closedAt}>
			<span>
				<strong>{account.name}</strong>
				<span class="soft small">{account.mail ?? 'everybody who enters the demo'}</span>
			</span>
			{#if account.mail && account.id !== data.me}
				<Select
					aria-label="What {account.name} is"
					placeholder=""
					value={account.role}
					disabled={account.closedAt !== null}
					onchange={(event: Event) =>
						void change(account, { role: (event.currentTarget as HTMLSelectElement).value })}
				>
					{#each ROLES as one (one)}<option value={one}>{ROLE_WORDS[one]}</option>{/each}
				</Select>
				<span class="soft small">
					{account.closedAt ? 'closed' : account.hasPassword ? '' : 'invited, not here yet'}
				</span>
				<span class="acts">
					{#if !account.closedAt}
						<Button class="quiet small" onclick={() => wayBack(account)}>New link</Button>
					{/if}
					<Button class="quiet small" onclick={() => change(account, { closed: account.closedAt === null })}>
						{account.closedAt ? 'Let in again' : 'No longer lets in'}
					</Button>
				</span>
			{:else}
				<span class="soft">{ROLE_WORDS[account.role]}</span>
				<span class="soft small">{account.id === data.me ? 'you' : ''}</span>
				<span></span>
			{/if}
		</li>
	{/each}
</ul>

<OncePageLives>
	<div class="forms">
		{#if data.who?.isDemo}
			<p class="sheet none">
				The demo has no people of its own: everybody who enters it is its owner. In a house of your own you
				invite planners and guides here.
			</p>
		{:else}
			<form class="sheet" onsubmit={invite} aria-labelledby="invite-head">
				<h2 id="invite-head">Invite somebody</h2>
				<Field id="name" label="Name" bind:value={name} error={errors['name']} />
				<Field
					id="mail"
					label="Mail address"
					bind:value={mail}
					error={errors['mail']}
					note="They sign in with it. Nothing is sent to it."
				/>
				<div>
					<label class="label" for="role">What they may do</label>
					<Select id="role" placeholder="" bind:value={role}>
						{#each ROLES as one (one)}<option value={one}>{ROLE_WORDS[one]}</option>{/each}
					</Select>
				</div>
				<Button type="submit">Make the link</Button>
			</form>
		{/if}
		<form class="sheet" onsubmit={makeToken} aria-labelledby="program-head">
			<h2 id="program-head">Let a program in</h2>
			<p class="small soft">
				A booking system, a spreadsheet: it reads and changes trips and clients as a planner does.
			</p>
			<Field id="program" label="What it is" bind:value={program} placeholder="booking system" />
			<Button type="submit">Make a token</Button>
			<ul>
				{#each data.tokens as token (token.id)}
					<li class="program">
						<span
							>{token.name}
							<span class="soft small">{longDate(token.createdAt.slice(0, 10), readerUnits())}</span></span
						>
						<Button
							class="quiet small"
							aria-label="Let {token.name} in no longer"
							onclick={() => endToken(token.id)}>End it</Button
						>
					</li>
				{/each}
			</ul>
		</form>
	</div>
</OncePageLives>

<style>
	.lead {
		margin: 4px 0 14px;
	}
	.told {
		padding: 10px 14px;
		margin-bottom: 12px;
	}
	.told input {
		width: 100%;
		margin-top: 6px;
		font-size: 14px;
	}
	li {
		display: grid;
		grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 0.7fr) auto;
		gap: 4px 16px;
		align-items: center;
		border-top: 1px solid var(--rule);
		padding: 7px 0;
	}
	li.program {
		grid-template-columns: minmax(0, 1fr) auto;
	}
	li.closed strong {
		text-decoration: line-through;
	}
	.acts {
		display: flex;
		gap: 10px;
	}
	.forms {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
		gap: 18px;
		margin-top: 22px;
		align-items: start;
	}
	.none {
		padding: 14px 18px;
	}
	form {
		display: grid;
		gap: 10px;
		padding: 14px 18px;
	}
	@media (max-width: 640px) {
		li {
			grid-template-columns: 1fr;
		}
	}
</style>
