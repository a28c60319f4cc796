import { stopKeeping } from './keep-page';

/** Longest that one waits for what is being kept, ms. */
const WAIT_MS = 3000;
/** Forgets every page that this browser keeps for reading without connection; this one is not kept again. */
export async function forgetPages(): Promise<void> {
	stopKeeping();
	if (!('serviceWorker' in navigator)) return;
	const registration = await navigator.serviceWorker.getRegistration();
	const { port1, port2 } = new MessageChannel();
	const done = new Promise<void>((resolve) => {
		port1.onmessage = () => resolve();
		setTimeout(resolve, registration?.active ? WAIT_MS : 0);
	});
	registration?.active?.postMessage('forget', [port2]);
	await done;
	if ('caches' in window) for (const name of await caches.keys()) await caches.delete(name);
}

/** Before a form that ends a visit is sent, what `forget` does is done; then it is sent. */
export const forgettingFirst =
	(forget: () => Promise<void>) =>
	async (event: SubmitEvent): Promise<void> => {
		const form = event.currentTarget as HTMLFormElement;
		if (form.dataset['forgotten']) return;
		event.preventDefault();
		form.dataset['forgotten'] = 'yes';
		await forget().catch(() => undefined);
		form.requestSubmit();
	};
