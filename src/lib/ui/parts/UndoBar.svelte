<script lang="ts">
	import { Button, Toast } from 'flowbite-svelte';

	interface Props {
		text: string;
		undo: () => void;
	}
	let { text, undo }: Props = $props();
</script>

<!-- Tells politely, and stays until the next change: what can be undone must not slip away. -->
<Toast role="status" dismissable={false} class="no-print">
	{text}
	<Button class="quiet" onclick={undo}>Undo</Button>
</Toast>
