// What the parts of `npm run torture` share: how they ask, and how they tell what held.
import { demoCookie, forgetDemo } from '../lib/demo-session.mjs';

export const isShort = process.argv.includes('--short');
/** `--only=load,growth` does some of the parts. */
const only = process.argv
	.find((one) => one.startsWith('--only='))
	?.slice(7)
	.split(',');
export const isWanted = (part) => !only || only.includes(part);
export const many = (short, whole) => (isShort ? short : whole);
export const broken = [];
export const check = (isGood, what) => {
	if (!isGood) broken.push(what);
	console.log(`  ${isGood ? '✓' : '✗'} ${what}`);
};
/** A figure with its limit; only told in the short form. */
export const measured = (value, limit, unit, what) => {
	if (isShort) return;
	check(value <= limit, `${what}: ${Math.round(value)} ${unit} (limit ${limit})`);
};
export const percentile = (values, share) =>
	values.length === 0 ? 0 : [...values].sort((a, b) => a - b)[Math.floor((values.length - 1) * share)];

/** A request, with its answer and how long that took. */
export async function ask(address, method, url, body, headers = {}) {
	const send = async () =>
		fetch(address + url, {
			method,
			headers: {
				...(body === undefined ? {} : { 'content-type': 'application/json' }),
				cookie: await demoCookie(address),
				...headers
			},
			...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) })
		});
	await demoCookie(address);
	let begin = performance.now();
	let response = await send();
	if (response.status === 401) {
		forgetDemo(address);
		await demoCookie(address);
		begin = performance.now();
		response = await send();
	}
	const text = await response.text();
	let data = null;
	try {
		data = JSON.parse(text);
	} catch {
		// A page, or no JSON.
	}
	return { status: response.status, data, text, ms: performance.now() - begin };
}
