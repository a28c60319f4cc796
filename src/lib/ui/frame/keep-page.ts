/** Asks the service worker to keep the page that is open, with what it was made of, for reading without connection. */
export function keepPage(): void {
	if (!('serviceWorker' in navigator)) return;
	const parts = performance.getEntriesByType('resource').map(({ name }) => name);
	const page = location.href;
	void navigator.serviceWorker.ready.then(({ active }) => active?.postMessage({ page, parts }));
}
