<script lang="ts">
	import { readerUnits } from '../parts/reader-units';
	import { invalidateAll } from '$app/navigation';
	import { Button, Modal } from 'flowbite-svelte';
	import FileButton from '$lib/ui/parts/FileButton.svelte';
	import UndoBar from '$lib/ui/parts/UndoBar.svelte';
	import { send, sendFile } from '$lib/ui/parts/send';
	import { shortDate } from '$lib/words/labels';

	interface Counted {
		trips: number;
		clients: number;
	}
	interface Props {
		setAside: (Counted & { id: number; at: string })[];
	}
	let { setAside }: Props = $props();

	const ADDRESS = '/api/v1/archive';
	/** A copy that was read and waits to be put back. */
	let chosen = $state.raw<{ file: File; holds: Counted } | null>(null);
	let asks = $state(false);
	let busy = $state('');
	let message = $state('');
	let said = $state('');
	/** What the last copy took the place of. */
	let undoable = $state<number | null>(null);

	const many = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;
	const held = ({ trips, clients }: Counted): string =>
		`${many(trips, 'trip')} and ${many(clients, 'client')}`;
	/** On the clock of whoever reads. */
	function when(at: string): string {
		const moment = new Date(at);
		const day = new Date(moment.getTime() - moment.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
		return `${shortDate(day, readerUnits())}, ${moment.toTimeString().slice(0, 5)}`;
	}

	async function look(file: File): Promise<void> {
		busy = 'Reading the copy';
		const answer = await sendFile<Counted>(`${ADDRESS}?look`, file);
		busy = '';
		message = answer.ok ? '' : `${answer.message} Nothing was changed.`;
		if (!answer.data) return;
		chosen = { file, holds: answer.data };
		asks = true;
	}
	async function put(
		work: () => Promise<{ ok: boolean; message: string; data: { setAside: number } | null }>,
		what: string
	): Promise<void> {
		asks = false;
		busy = 'Putting the copy back';
		const answer = await work();
		busy = '';
		message = answer.ok ? '' : `${answer.message} Nothing was changed.`;
		if (!answer.data) return;
		undoable = answer.data.setAside;
		said = `${what} is here now. What was here before is set aside.`;
		await invalidateAll();
	}
	const putChosen = (): Promise<void> =>
		put(() => sendFile(ADDRESS, chosen!.file), `The copy with ${held(chosen!.holds)}`);
	const putAside = (id: number, what: string): Promise<void> =>
		put(() => send('POST', `${ADDRESS}/${id}`), what);
	async function undo(): Promise<void> {
		const id = undoable;
		if (id === null) return;
		await putAside(id, 'What was here before');
		// Where that did not work, it can be tried again.
		if (undoable !== id) undoable = null;
	}
</script>

<section class="copies" aria-labelledby="copies">
	<h2 id="copies">A copy of everything</h2>
	<p class="lead">
		All trips, clients and kits as they are now, in one open file that a person can read too. Keep it
		somewhere else than on this machine. Put back, it takes the place of all that is here, which is set aside
		and can be brought back.
	</p>
	<p class="acts">
		<Button href={ADDRESS} download>Take a copy</Button>
		<FileButton label="Put a copy back" accept=".zip,application/zip" disabled={busy !== ''} take={look} />
		<span role="status" class="small">{busy}</span>
	</p>
	{#if message}<p role="alert" class="alert">{message}</p>{/if}
	{#if setAside.length > 0}
		<h3>Set aside</h3>
		<ul>
			{#each setAside as { id, at, ...holds } (id)}
				<li>
					<span>{when(at)}: {held(holds)}</span>
					<Button
						class="quiet"
						disabled={busy !== ''}
						aria-label="Bring back what was set aside on {when(at)}"
						onclick={() => putAside(id, `What was set aside on ${when(at)}`)}>Bring back</Button
					>
					<a href="{ADDRESS}/{id}" download>Take as a file</a>
				</li>
			{/each}
		</ul>
		<p class="small soft">The last five are kept.</p>
	{/if}
</section>

<Modal bind:open={asks} aria-label="Put this copy back?" dismissable={false}>
	<div class="ask">
		<p>
			<strong>{chosen?.file.name}</strong> holds {chosen && held(chosen.holds)}. It takes the place of
			everything that is here, for everybody who works with it. What is here now is set aside.
		</p>
		<p class="acts">
			<Button onclick={putChosen}>Put it back</Button>
			<Button class="quiet" onclick={() => (asks = false)}>Leave all as it is</Button>
		</p>
	</div>
</Modal>
{#if undoable !== null}<UndoBar text={said} {undo} />{/if}

<style>
	.copies {
		margin-top: 28px;
	}
	.lead {
		max-width: 70ch;
		margin: 4px 0 18px;
	}
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 14px;
		align-items: center;
	}
	h3 {
		margin: 16px 0 4px;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		gap: 12px;
		align-items: center;
	}
	.ask {
		padding: 16px 18px;
		display: grid;
		gap: 14px;
	}
</style>
