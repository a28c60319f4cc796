import type { Handle, HandleServerError, RequestEvent } from '@sveltejs/kit';
import { randomUUID } from 'node:crypto';
import { noteEntry } from '$lib/server/db/accounts/entries';
import { closePool } from '$lib/server/db/pool';
import { GUARDS, mayComeIn, notRead } from '$lib/server/door';
import { BusyError, DatabaseDownError, TooLargeError } from '$lib/server/errors';
import { log } from '$lib/server/log';
import { letIn } from '$lib/server/sign-in/guard';
import { needsOf } from '$lib/server/sign-in/rights';
import { stopWork } from '$lib/server/work/workers';

process.on('sveltekit:shutdown', () => {
	void stopWork().then(closePool);
});

/** Keeps who wrote what. What computes and keeps nothing, and signing in itself, is no write. */
async function note({ locals, request, route, url }: RequestEvent, status: number): Promise<void> {
	const { who, guest } = locals;
	const isRead = request.method === 'GET' || request.method === 'HEAD';
	const doer = guest ? { houseId: guest.houseId, name: guest.name, way: 'client link' as const } : who;
	if (isRead || status >= 400 || !doer) return;
	if (['nobody', 'this machine'].includes(needsOf(route.id, request.method))) return;
	await noteEntry(doer, request.method, url.pathname).catch((trouble: unknown) =>
		log.error({ id: locals.requestId, err: trouble }, 'entry not kept')
	);
}

/** Names a request, lets it in or not, says whose data it may see, and writes a line about it. */
export const handle: Handle = async ({ event, resolve }) => {
	const begin = performance.now();
	const id = randomUUID().slice(0, 8);
	event.locals.requestId = id;
	Object.assign(event.locals, { houseId: '', by: null, who: null, guest: null });
	const answer = mayComeIn(event.request)
		? (notRead(event.request, event.url.pathname) ?? (await letIn(event)) ?? (await resolve(event)))
		: Response.json({ message: 'This address is not one that Snug Summit answers to.' }, { status: 403 });
	// A page that failed for a reason that we know says so by its status, too.
	const status = answer.status === 500 ? (event.locals.troubleStatus ?? 500) : answer.status;
	await note(event, status);
	const headers = new Headers(answer.headers);
	for (const [name, value] of Object.entries(GUARDS)) headers.set(name, value);
	// The secret of a link goes nowhere with the next request.
	if (event.url.pathname.startsWith('/c/')) headers.set('referrer-policy', 'no-referrer');
	headers.set('x-request-id', id);
	// A page that is not available just now looks again by itself.
	if (status === 503 && !event.url.pathname.startsWith('/api/')) headers.set('refresh', '3');
	const ms = Math.round(performance.now() - begin);
	log.info({ id, method: event.request.method, route: event.route.id, status, ms }, 'request');
	return new Response(answer.body, { status, headers });
};

/** A page that fails says so in plain words, with the name of the request; the details go to the log. */
export const handleError: HandleServerError = ({ error, event, status }) => {
	const { requestId: id } = event.locals;
	if (status === 404) return { message: 'There is nothing at this address.', hint: 'Go back to the trips.' };
	if (status < 500)
		return { title: 'Not done', message: 'This cannot be done.', hint: 'Go back to the trips.' };
	log.error({ id, route: event.route.id, err: error }, 'failed');
	if (error instanceof DatabaseDownError) {
		event.locals.troubleStatus = 503;
		return {
			title: 'Not available just now',
			message: 'The database does not answer.',
			hint: 'What you see and type on open pages stays; it is saved as soon as the database is back. “Try it” works without it. This page looks again by itself.',
			id
		};
	}
	if (error instanceof BusyError || error instanceof TooLargeError) {
		event.locals.troubleStatus = error instanceof BusyError ? 503 : 413;
		return { title: 'Too much at once', message: error.message, hint: 'Try again in a moment.', id };
	}
	return {
		title: 'Something went wrong',
		message: 'Something went wrong on the server.',
		hint: 'Nothing was lost; try again in a moment.',
		id
	};
};
