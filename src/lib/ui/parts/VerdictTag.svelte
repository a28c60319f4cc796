<script lang="ts">
	import type { Verdict } from '$lib/core/document/verdict';
	import { verdictClass } from '$lib/words/labels';

	interface Props {
		verdict: Verdict;
		text?: string;
		indicative?: boolean;
	}
	let { verdict, text = verdict, indicative = false }: Props = $props();
</script>

<span class="tag {verdictClass(verdict)}">{text}{indicative ? ' · indicative' : ''}</span>

<style>
	.tag {
		display: inline-block;
		font-size: 12.5px;
		line-height: 1.2;
		font-weight: 600;
		padding: 2px 7px 3px;
		border-radius: 2px;
		color: var(--on-verdict);
		background: var(--tone);
		border-left: 5px solid color-mix(in srgb, var(--tone) 60%, var(--sheet));
	}
	.right {
		--tone: var(--v-right);
	}
	.cool {
		--tone: var(--v-cool);
		border-left-style: dotted;
	}
	.short {
		--tone: var(--v-short);
		border-left-style: double;
	}
	.nothing {
		--tone: var(--v-nothing);
		border-left-style: double;
	}
	.wet {
		--tone: var(--v-wet);
		border-left-style: dashed;
	}
	.warm {
		--tone: var(--v-warm);
	}
	.open {
		background: none;
		color: var(--v-open);
		border: 1px dashed var(--v-open);
	}
	@media print {
		.tag {
			color: #000;
			background: none;
			border: 1px solid #000;
			border-left-width: 5px;
		}
	}
</style>
