import { json, redirect, type RequestEvent } from '@sveltejs/kit';
import { type Guest, guestOf } from '../db/guests/links';
import { programOf, SESSION_DAYS, type Who, whoIs } from '../db/accounts/sessions';
import { isLoopback } from '../door';
import { DatabaseDownError } from '../errors';
import { isEnough, needsOf } from './rights';

/** The secret of a session. */
export const SESSION_COOKIE = 'snug-session';
/** The secret of a client's visit, after the link was opened. */
export const VISIT_COOKIE = 'snug-visit';
/** A browser keeps a visit so long, days; the link ends before. */
const VISIT_DAYS = 365;

type Browser = Pick<RequestEvent, 'cookies' | 'url'>;
/** Leaves a secret with a browser: scripts of a page cannot read it, and pages of others do not send it with a write. */
const keep = ({ cookies, url }: Browser, name: string, secret: string, days: number): void =>
	cookies.set(name, secret, {
		path: '/',
		httpOnly: true,
		sameSite: 'lax',
		secure: url.protocol === 'https:',
		maxAge: days * 86_400
	});
export const keepSession = (browser: Browser, secret: string): void =>
	keep(browser, SESSION_COOKIE, secret, SESSION_DAYS);
export const keepVisit = (browser: Browser, secret: string): void =>
	keep(browser, VISIT_COOKIE, secret, VISIT_DAYS);

/** Who asks: by a token in the header, or by the session of the browser. */
function whoAsks({ request, cookies }: RequestEvent): Promise<Who | null> {
	const token = /^Bearer (\S{1,200})$/.exec(request.headers.get('authorization') ?? '');
	if (token) return programOf(token[1]!);
	const secret = cookies.get(SESSION_COOKIE);
	return secret ? whoIs(secret) : Promise.resolve(null);
}

const isOnThisMachine = (event: RequestEvent): boolean =>
	isLoopback(event.request.headers.get('host')) && /^(::1|(::ffff:)?127\.)/.test(event.getClientAddress());

const DOWN = 'The database does not answer. Nothing was saved; what you typed is kept here.';
const down = (): Response => json({ message: DOWN }, { status: 503, headers: { 'retry-after': '5' } });
const ROLE_WORDS = { owner: 'the owner', planner: 'planners and the owner', guide: 'people of the house' };

/** Lets in whose link was opened in this browser, and still opens. */
async function letGuestIn(event: RequestEvent, isApi: boolean): Promise<Response | null> {
	const visit = event.cookies.get(VISIT_COOKIE);
	let guest: Guest | null;
	try {
		guest = visit ? await guestOf(visit) : null;
	} catch (trouble) {
		if (!(trouble instanceof DatabaseDownError)) throw trouble;
		// What is said is kept by the page, and sent again; the page itself looks again.
		return isApi
			? down()
			: new Response(DOWN, { status: 503, headers: { 'content-type': 'text/plain', refresh: '5' } });
	}
	event.locals.guest = guest;
	if (guest) return null;
	if (isApi)
		return json({ message: 'This link opens no more: ask your guide for a new one.' }, { status: 401 });
	redirect(303, '/c/over');
}

/**
 * Says who asks, and turns away who may not.
 * @returns an answer for a program that is turned away; null where the request may go on
 * @throws a redirect to the page where one signs in
 */
export async function letIn(event: RequestEvent): Promise<Response | null> {
	const isApi = event.url.pathname.startsWith('/api/');
	const needed = needsOf(event.route.id, event.request.method);
	if (needed === 'a link') return letGuestIn(event, isApi);
	let isDown = false;
	const who = await whoAsks(event).catch((trouble: unknown) => {
		if (!(trouble instanceof DatabaseDownError)) throw trouble;
		isDown = true;
		return null;
	});
	event.locals.who = who;
	event.locals.by = who?.name ?? null;
	// Nobody's house: nothing is found in it.
	event.locals.houseId = who?.houseId ?? '';
	if (needed === 'nobody' || (needed === 'this machine' && (who || isOnThisMachine(event)))) return null;
	if (isDown) {
		// A page says so in its own words, once it misses the database itself.
		if (!isApi && event.request.method === 'GET') return null;
		return down();
	}
	if (!who) {
		if (isApi) return json({ message: 'Sign in first, or send the token of the house.' }, { status: 401 });
		redirect(303, `/sign-in?to=${encodeURIComponent(event.url.pathname + event.url.search)}`);
	}
	if (needed === 'this machine' || isEnough(who.role, needed)) return null;
	const message = `This is for ${ROLE_WORDS[needed]}: you are a ${who.role} here.`;
	if (isApi) return json({ message }, { status: 403 });
	redirect(303, '/account?not-yours');
}
