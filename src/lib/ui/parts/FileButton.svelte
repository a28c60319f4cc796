<script lang="ts">
	interface Props {
		label: string;
		/** kinds of files, as an input names them */
		accept: string;
		disabled?: boolean;
		take: (file: File) => void;
	}
	let { label, accept, disabled = false, take }: Props = $props();

	function chosen(input: HTMLInputElement): void {
		const [file] = input.files ?? [];
		// The same file chosen again is read again.
		input.value = '';
		if (file) take(file);
	}
</script>

<label class="button" class:disabled
	>{label}
	<input type="file" {accept} {disabled} onchange={(event) => chosen(event.currentTarget)} /></label
>

<style>
	label {
		position: relative;
	}
	label:focus-within {
		outline: 3px solid var(--focus);
	}
	label.disabled {
		cursor: default;
		color: var(--soft);
	}
	input {
		position: absolute;
		width: 1px;
		height: 1px;
		overflow: hidden;
		clip-path: inset(50%);
	}
</style>
