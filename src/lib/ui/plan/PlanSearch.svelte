<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { PlanSession } from './plan-session.svelte';

	interface Props {
		session: PlanSession;
	}
	let { session }: Props = $props();
	const { task, done, total } = $derived(session.progress);
	const isWorking = $derived(session.state === 'working');
</script>

<!-- Its place stays empty when nothing is searched: what stands below never moves, and no other button comes under a click. -->
<div class="searching no-print" role="status" aria-label="The search">
	{#if isWorking}
		<progress max={Math.max(1, total)} value={done} aria-label="Days planned"></progress>
		<span class="small">
			{task === 'days'
				? `Planning, ${done} of ${total || '…'} days`
				: task === 'weight'
					? 'Making it lighter'
					: 'Making it fit the pack'}{session.soFar ? '. Shown is the best so far' : ''}
		</span>
		<Button class="quiet small" onclick={() => session.stop()}>Stop and keep what is there</Button>
	{/if}
</div>

<style>
	.searching {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 14px;
		align-items: center;
		min-height: 26px;
	}
	progress {
		width: 140px;
		height: 10px;
		accent-color: var(--ink);
	}
</style>
