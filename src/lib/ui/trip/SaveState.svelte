<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { SaveState, TripEditor } from './trip-editor.svelte';

	interface Props {
		editor: TripEditor;
	}
	let { editor }: Props = $props();

	const WORDS: Readonly<Record<SaveState, string>> = {
		saved: 'All saved',
		waiting: 'Not saved yet',
		saving: 'Saving …',
		refused: 'Not saved: a figure needs another look',
		'no answer': 'The server does not answer; kept here, tried again',
		conflict: 'Not saved: somebody else changed it too'
	};
	const words = $derived(
		editor.state === 'saved' && editor.savedAt
			? `All saved, ${editor.savedAt.toTimeString().slice(0, 5)}`
			: WORDS[editor.state]
	);
</script>

<div class="state no-print">
	<span role="status" class="small {editor.state.replace(' ', '-')}">{words}</span>
	<span class="steps">
		<Button
			class="quiet small"
			disabled={!editor.undoes}
			onclick={editor.undo}
			title={editor.undoes ?? 'Nothing to undo'}>Undo <kbd>Ctrl Z</kbd></Button
		>
		<Button
			class="quiet small"
			disabled={!editor.redoes}
			onclick={editor.redo}
			title={editor.redoes ?? 'Nothing to do again'}>Redo</Button
		>
	</span>
</div>

{#if editor.state === 'refused'}
	<div role="alert" class="alert">
		<p>{editor.message} Nothing that you typed is lost.</p>
		<ul class="small">
			{#each Object.entries(editor.errors) as [field, message] (field)}<li>
					{field.replace(/^stages\.(\d+)\./, (_all, i: string) => `day ${Number(i) + 1}: `)}
					{message}
				</li>{/each}
		</ul>
	</div>
{:else if editor.conflict}
	<div role="alert" class="alert">
		<p>
			<strong>Somebody else changed this trip meanwhile.</strong> What you typed is kept here. They changed:
		</p>
		<ul>
			{#each editor.conflict.changes as change (change)}<li>{change}</li>{:else}<li>
					nothing that shows
				</li>{/each}
		</ul>
		<p>
			<Button class="keep" onclick={() => editor.settle(true)}>Keep mine, and take theirs in</Button>
			<Button class="quiet" onclick={() => editor.settle(false)}>Take theirs, drop mine</Button>
			<span class="small soft"
				>{editor.conflict.both > 0
					? `Where both changed the same figure (${editor.conflict.both}), yours stays.`
					: 'You changed different figures; both stay.'} Either can be undone.</span
			>
		</p>
	</div>
{/if}

<style>
	.state {
		display: flex;
		flex-direction: column;
		align-items: end;
		text-align: right;
		gap: 2px;
	}
	.refused,
	.no-answer,
	.conflict {
		color: var(--v-short);
		font-weight: 600;
	}
	.steps {
		white-space: nowrap;
	}
	.steps :global(button:disabled) {
		color: var(--rule-strong);
		text-decoration: none;
		cursor: default;
	}
	/* In sight wherever one is on the page. */
	.alert {
		position: fixed;
		left: 50%;
		transform: translateX(-50%);
		bottom: 14px;
		width: min(900px, calc(100vw - 28px));
		max-height: 46vh;
		overflow-y: auto;
		z-index: 35;
		border: 2px solid var(--v-short);
		box-shadow: 0 10px 34px rgb(27 42 39 / 0.25);
		border-left-width: 8px;
		background: var(--sheet);
		padding: 8px 14px;
	}
	.alert ul {
		padding-left: 18px;
		list-style: disc;
		margin: 4px 0;
		max-height: 180px;
		overflow-y: auto;
	}
	.keep {
		background: var(--ink);
		color: var(--sheet);
		border-radius: 3px;
		padding: 4px 14px;
		cursor: pointer;
	}
</style>
