import { LIMITS } from '$lib/formats/limits';

/**
 * By which names the app may be asked for, before anybody signs in: those of the loopback address of this machine. SNUG_HOSTS
 * names others, with commas between them.
 */
const OURS = ['127.0.0.1', 'localhost', '[::1]'];
const hosts = (): string[] => [
	...OURS,
	...(process.env.SNUG_HOSTS ?? '')
		.split(',')
		.map((host) => host.trim().toLowerCase())
		.filter((host) => host !== '')
];
const withoutPort = (host: string): string => host.toLowerCase().replace(/:\d+$/, '');

/** Whether a host is this machine by a name of its loopback address. */
export const isLoopback = (host: string | null): boolean => host !== null && OURS.includes(withoutPort(host));

function isOurs(host: string | null): boolean {
	if (!host) return false;
	const allowed = hosts();
	return allowed.includes(withoutPort(host)) || allowed.includes(host.toLowerCase());
}

/** Host of an origin, such as `localhost:5180`; null where there is none. */
function hostOfOrigin(origin: string): string | null {
	try {
		const { host, protocol } = new URL(origin);
		return protocol === 'http:' || protocol === 'https:' ? host : null;
	} catch {
		return null;
	}
}

/** Whether a request comes from where it may: asked for by a name of ours, and not sent by a page of somebody else. */
export function mayComeIn({ headers, method }: Pick<Request, 'headers' | 'method'>): boolean {
	if (!isOurs(headers.get('host'))) return false;
	const origin = headers.get('origin');
	if (origin !== null && !isOurs(hostOfOrigin(origin))) return false;
	// A browser says so itself where it sends no origin.
	const isRead = method === 'GET' || method === 'HEAD';
	return isRead || origin !== null || headers.get('sec-fetch-site') !== 'cross-site';
}

/** The address that takes a copy of the whole house. */
const ARCHIVE = '/api/v1/archive';

/**
 * Why what is sent is not even read: it is too long, or does not say how long it is. Null where it may be.
 */
export function notRead(
	{ headers, method }: Pick<Request, 'headers' | 'method'>,
	path: string
): Response | null {
	if (method === 'GET' || method === 'HEAD' || path === ARCHIVE) return null;
	if (headers.has('transfer-encoding'))
		return Response.json({ message: 'Say how long it is: send it with a content-length.' }, { status: 411 });
	if (Number(headers.get('content-length') ?? 0) <= LIMITS.body) return null;
	return Response.json(
		{ message: `This is too long: at most ${LIMITS.body / 1e6} MB are taken at once.` },
		{ status: 413 }
	);
}

/** What every answer carries, whatever it is. */
export const GUARDS: Readonly<Record<string, string>> = {
	'x-content-type-options': 'nosniff',
	'referrer-policy': 'same-origin',
	'x-frame-options': 'DENY',
	'cache-control': 'no-store'
};
