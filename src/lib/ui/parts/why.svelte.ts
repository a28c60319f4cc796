import type { Reason } from '$lib/core/document/reasons';

/** What the reason panel shows. */
export interface Why {
	title: string;
	sentence: string;
	/** lines such as what is worn, before the reasons */
	lines?: { label: string; text: string }[];
	reasons: Reason[];
}

let shown = $state<Why | null>(null);
let opener: HTMLElement | null = null;

/** The one reason panel of the page: any figure or verdict opens it. */
export const why = {
	get shown(): Why | null {
		return shown;
	},
	open(next: Why): void {
		opener = document.activeElement instanceof HTMLElement ? document.activeElement : null;
		shown = next;
	},
	close(): void {
		shown = null;
		opener?.focus();
		opener = null;
	}
};
