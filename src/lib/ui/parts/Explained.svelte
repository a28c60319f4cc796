<script lang="ts">
	import type { Snippet } from 'svelte';

	/** A word that needs it explains itself while it has the focus or the pointer. It lies over the page and moves nothing. */
	interface Props {
		id: string;
		text: string;
		children: Snippet;
		class?: string;
	}
	let { id, text, children, class: className = '' }: Props = $props();
	/** Escape puts it away until one comes back. */
	let away = $state(false);
	/** In the right half of the page it lies to the left. */
	let leftwards = $state(false);
	function back({ currentTarget }: Event & { currentTarget: HTMLElement }): void {
		away = false;
		leftwards = currentTarget.getBoundingClientRect().left > innerWidth / 2;
	}
</script>

<div
	class={['explained', className, { away, leftwards }]}
	role="presentation"
	onpointerenter={back}
	onfocusin={back}
	onkeydown={({ key }) => key === 'Escape' && (away = true)}
>
	{@render children()}
	<span role="tooltip" id="{id}-meaning">{text}</span>
</div>

<style>
	.explained {
		position: relative;
	}
	[role='tooltip'] {
		position: absolute;
		z-index: 30;
		top: calc(100% + 2px);
		left: 0;
		width: max-content;
		max-width: 270px;
		padding: 5px 9px;
		font-size: 14px;
		line-height: 1.3;
		background: var(--ink);
		color: var(--sheet);
		border-radius: 3px;
		display: none;
		pointer-events: none;
	}
	.leftwards > [role='tooltip'] {
		left: auto;
		right: 0;
	}
	.explained:hover > [role='tooltip'],
	.explained:focus-within > [role='tooltip'] {
		display: block;
	}
	.away > [role='tooltip'] {
		display: none !important;
	}
	@media print {
		[role='tooltip'] {
			display: none;
		}
	}
</style>
