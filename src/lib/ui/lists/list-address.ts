import { goto } from '$app/navigation';
import { page } from '$app/state';

/** The address of this list with some of its questions changed; null takes one away. */
export function listAddress(change: Readonly<Record<string, string | null>>): string {
	const query = new URLSearchParams(page.url.searchParams);
	for (const [key, value] of Object.entries(change)) {
		if (value) query.set(key, value);
		else query.delete(key);
	}
	const text = query.toString();
	return page.url.pathname + (text ? `?${text}` : '');
}

const SEARCH_AFTER_MS = 180;
let timer: ReturnType<typeof setTimeout> | undefined;
/** Shows what fits, a moment after the last key. */
export function searchList(words: string): void {
	clearTimeout(timer);
	timer = setTimeout(
		() =>
			void goto(listAddress({ q: words.trim(), page: null }), {
				keepFocus: true,
				replaceState: true,
				noScroll: true
			}),
		SEARCH_AFTER_MS
	);
}
