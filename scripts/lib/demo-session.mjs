// Enters the demo, as a browser does with its button: what asks the app from outside needs a session like anybody else.
const known = new Map();

/** The cookie of somebody who entered the demo at an address; empty while the app or its database does not answer. */
export async function demoCookie(address) {
	if (known.has(address)) return known.get(address);
	const answer = await fetch(`${address}/sign-in?/demo`, {
		method: 'POST',
		redirect: 'manual',
		headers: { origin: address, 'content-type': 'application/x-www-form-urlencoded' },
		body: ''
	}).catch(() => null);
	const cookie = answer?.headers.get('set-cookie')?.split(';')[0] ?? '';
	if (cookie !== '') known.set(address, cookie);
	return cookie;
}

/** Another app, with a database of its own, may come to the same address: it knows nothing of the session before. */
export const forgetDemo = (address) => known.delete(address);

/** A request of somebody who entered the demo. */
export const fetchIn = async (url, { headers, ...request } = {}) =>
	fetch(url, { ...request, headers: { ...headers, cookie: await demoCookie(new URL(url).origin) } });

/** The same cookie, as a browser of the tests takes it. */
export async function demoCookies(address) {
	const [name, value] = (await demoCookie(address)).split('=');
	const domain = new URL(address).hostname;
	return [{ name, value, domain, path: '/', expires: -1, httpOnly: true, secure: false, sameSite: 'Lax' }];
}
