let isForgotten = false;
/** Nothing is kept from now on: the page is about to be forgotten. */
export const stopKeeping = (): void => void (isForgotten = true);
/** Asks the service worker to keep the page that is open, with what it was made of, for reading without connection. */
export function keepPage(): void {
	if (isForgotten || !('serviceWorker' in navigator)) return;
	const parts = performance.getEntriesByType('resource').map(({ name }) => name);
	const page = location.href;
	void navigator.serviceWorker.ready.then(({ active }) => active?.postMessage({ page, parts }));
}
