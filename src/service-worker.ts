/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { version } from '$service-worker';

/**
 * The trip and the plan last opened can be read without connection. Everything is asked from the server first; only where that
 * gives no answer, what was kept is shown. Writes are never answered here: the page keeps those itself.
 */
const worker = globalThis as unknown as ServiceWorkerGlobalScope;
/** Parts of the app belong to its version, pages to none. */
const PARTS = `parts-${version}`;
const PAGES = 'pages';
/** Pages that are kept: the trip and what hangs on it, the newest ones. */
const MOST_PAGES = 12;

const isOurs = (url: URL): boolean => url.origin === worker.location.origin;
const isPart = (url: URL): boolean => url.pathname.startsWith('/_app/');
const isPage = (url: URL): boolean => url.pathname.startsWith('/trips/') || url.pathname === '/my';

worker.addEventListener('install', () => void worker.skipWaiting());
worker.addEventListener('activate', (event) => {
	const tidy = caches
		.keys()
		.then((names) =>
			Promise.all(names.filter((name) => name !== PARTS && name !== PAGES).map((name) => caches.delete(name)))
		);
	event.waitUntil(tidy.then(() => worker.clients.claim()));
});

async function keep(cacheName: string, address: string): Promise<void> {
	const answer = await fetch(address).catch(() => null);
	if (answer?.ok) await (await caches.open(cacheName)).put(address, answer);
}
/** The oldest pages go. */
async function trimmed(): Promise<void> {
	const cache = await caches.open(PAGES);
	const kept = await cache.keys();
	await Promise.all(kept.slice(0, Math.max(0, kept.length - MOST_PAGES)).map((one) => cache.delete(one)));
}

async function keepAll({ page, parts }: { page: string; parts: string[] }): Promise<void> {
	const cache = await caches.open(PARTS);
	const missing: string[] = [];
	for (const part of new Set(parts))
		if (isOurs(new URL(part)) && isPart(new URL(part)) && !(await cache.match(part))) missing.push(part);
	await Promise.all(missing.map((part) => keep(PARTS, part)));
	await (await caches.open(PAGES)).delete(page);
	await keep(PAGES, page);
	await trimmed();
}
const forgetAll = async (): Promise<void> => {
	for (const name of await caches.keys()) await caches.delete(name);
};

/** One after the other: what is being kept is kept before all is forgotten, and not after. */
let busy: Promise<void> = Promise.resolve();
/** A page says what it was made of: its parts and itself are kept. Or it says that all is to be forgotten. */
worker.addEventListener('message', (event: ExtendableMessageEvent) => {
	const said = event.data as { page: string; parts: string[] } | 'forget';
	busy = busy.then(() => (said === 'forget' ? forgetAll() : keepAll(said))).catch(() => undefined);
	event.waitUntil(busy.then(() => event.ports[0]?.postMessage('done')));
});

worker.addEventListener('fetch', (event) => {
	const url = new URL(event.request.url);
	if (event.request.method !== 'GET' || !isOurs(url)) return;
	if (isPart(url)) {
		// What belongs to a version never changes.
		event.respondWith(caches.match(event.request).then((kept) => kept ?? fetch(event.request)));
	} else if (event.request.mode === 'navigate' && isPage(url)) {
		event.respondWith(
			fetch(event.request).catch(async () => (await caches.match(event.request)) ?? Response.error())
		);
	}
});
