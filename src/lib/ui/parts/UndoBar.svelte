<script lang="ts">
	interface Props {
		text: string;
		undo: () => void;
	}
	let { text, undo }: Props = $props();
</script>

<p role="status" class="no-print">
	{text} <button class="quiet" onclick={undo}>Undo</button>
</p>

<style>
	p {
		background: var(--ink);
		color: var(--sheet);
		padding: 7px 14px;
		border-radius: 3px;
		margin: 8px 0;
	}
</style>
