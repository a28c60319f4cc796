<script lang="ts">
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import { Button } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import { send } from '$lib/ui/parts/send';
	import { longDate } from '$lib/words/labels';

	let { data } = $props();
	let trouble = $state('');
	let told = $state('');

	async function bringBack({ kind, id, name }: (typeof data.deleted)[number]): Promise<void> {
		const answer = await send('POST', `/api/v1/${kind}s/${id}/restore`);
		trouble = answer.ok ? '' : answer.message;
		told = answer.ok ? pictureMessage('bin.back', { name }) : '';
		await invalidateAll();
	}
</script>

<svelte:head><title>Bin · Snug Summit</title></svelte:head>

<h1>Bin</h1>
<p class="soft">
	{pictureMessage('bin.lead', { days: data.days })} <a href="/house">Settings</a>
</p>
<p role="status" class="told">{told}</p>
{#if trouble}<p role="alert">{trouble}</p>{/if}

<ul>
	{#each data.deleted as one (one.kind + one.id)}
		<li>
			<span class="soft">{pictureMessage(`bin.kind.${one.kind}`)}</span>
			<strong>{one.name}{one.of ? `, ${one.of}` : ''}</strong>
			<span class="soft small">{longDate(one.deletedAt.slice(0, 10), readerUnits())}</span>
			<Button aria-label={pictureMessage('bin.restore', { name: one.name })} onclick={() => bringBack(one)}
				>Bring it back</Button
			>
		</li>
	{:else}
		<li class="empty">{pictureMessage('bin.empty')}</li>
	{/each}
</ul>

<style>
	.told {
		min-height: 24px;
	}
	li {
		display: grid;
		grid-template-columns: 80px minmax(0, 1fr) 130px auto;
		gap: 4px 16px;
		align-items: center;
		border-top: 1px solid var(--rule);
		padding: 6px 0;
	}
	li.empty {
		display: block;
	}
	@media (max-width: 640px) {
		li {
			grid-template-columns: 1fr auto;
		}
	}
</style>
