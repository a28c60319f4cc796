import type { ThemeConfig } from 'flowbite-svelte';

/**
 * How the components of the library look here. Each part gets one class of ours, and app.css says what it is; the
 * library's own shades are not built into the style sheet at all.
 */
export const LOOK: ThemeConfig = {
	button: { base: 'button' },
	checkbox: { base: 'tick', div: 'ticked' },
	input: { input: 'typed' },
	label: 'label',
	modal: { base: 'box', body: 'box-body' },
	radio: { input: 'tick', label: 'ticked' },
	select: { base: 'chosen', select: 'typed' },
	table: { div: 'table-frame', table: 'data-table' },
	// The library gives the field itself no class of the theme: it takes `typed` where it stands.
	textarea: { div: 'chosen' },
	toast: { base: 'toast', content: 'toast-words' }
};
