<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { boundWords } from '$lib/words/plan-story';
	import type { PlanSession } from './plan-session.svelte';

	interface Props {
		session: PlanSession;
		onagain: () => void;
	}
	let { session, onagain }: Props = $props();

	const { task, done, total } = $derived(session.progress);
	const isWorking = $derived(session.state === 'working');
</script>

<!-- Both buttons stay where they are, whatever the search does: a click never lands on the other one. -->
<div class="searching no-print" role="status" aria-label="The search">
	<Button onclick={() => session.stop()} disabled={!isWorking}>Stop and keep what is there</Button>
	<Button onclick={onagain} disabled={isWorking}>Work it out again</Button>
	{#if isWorking}
		<progress max={Math.max(1, total)} value={done} aria-label="Days planned"></progress>
		<span>
			{task === 'days'
				? `Planning, ${done} of ${total || '…'} days`
				: task === 'weight'
					? 'Making it lighter'
					: 'Making it fit the pack'}{session.soFar ? '. Shown is the best so far' : ''}
		</span>
	{:else if session.summary}
		<span class="soft small"
			>{boundWords(session.summary)}
			{session.isKept
				? 'Nothing has changed since it was worked out.'
				: `Worked out in ${(session.took / 1000).toFixed(1)} s.`}</span
		>
	{/if}
</div>

<style>
	.searching {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 14px;
		align-items: center;
		min-height: 34px;
	}
	progress {
		width: 180px;
		height: 10px;
		accent-color: var(--ink);
	}
</style>
