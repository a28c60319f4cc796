<script lang="ts">
	interface Props {
		question: { limit: number; offset: number };
		total: number;
		/** what the list holds: "trips" */
		what: string;
		/** address of a page, the first one is 1 */
		address: (page: number) => string;
	}
	let { question, total, what, address }: Props = $props();
	const pages = $derived(Math.ceil(total / question.limit));
	const at = $derived(question.offset / question.limit + 1);
</script>

{#if pages > 1}
	<nav class="pages" aria-label="Pages">
		{#if at > 1}<a href={address(at - 1)}>Earlier on the list</a>{/if}
		<span class="soft small">{at} of {pages}, {total} {what}</span>
		{#if at < pages}<a href={address(at + 1)}>Further on the list</a>{/if}
	</nav>
{/if}

<style>
	.pages {
		display: flex;
		gap: 20px;
		align-items: baseline;
		padding: 14px 0;
		border-top: 1px solid var(--rule);
	}
</style>
