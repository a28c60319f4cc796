import type { RequestEvent } from '@sveltejs/kit';
import { check } from '$lib/formats/check';
import { signInSchema } from '$lib/formats/schema/people/account';
import type Joi from 'joi';
import { accountByMail, mailKey } from '../db/accounts/accounts';
import { beginSession } from '../db/accounts/sessions';
import { forgetTries, mayTry, TRIES_MINUTES } from '../db/accounts/tries';
import { keepSession, SESSION_COOKIE } from './guard';
import { isPassword } from './password';

/** Spaces around a word mean nothing; in a password they are part of it. */
const SECRETS: ReadonlySet<string> = new Set(['password', 'old']);

/** What was typed into a form, checked; messages by field where it cannot be used. */
export async function typedInto<T>(
	request: Request,
	schema: Joi.Schema
): Promise<{ typed: T; errors: null } | { typed: Record<string, string>; errors: Record<string, string> }> {
	const sent = Object.fromEntries(
		[...(await request.formData())].map(([name, value]) => {
			const text = typeof value === 'string' ? value : '';
			return [name, SECRETS.has(name) ? text : text.trim()];
		})
	);
	const { value, errors } = check<T>(schema, sent);
	if (!errors) return { typed: value, errors: null };
	const { password: _, old: _old, ...shown } = sent;
	return {
		typed: shown,
		errors: Object.fromEntries(errors.map(({ field, message }) => [field, message]))
	};
}

/** Signs an account in on the browser that asks. */
export async function enter(event: RequestEvent, accountId: string): Promise<void> {
	keepSession(event, await beginSession(accountId, event.cookies.get(SESSION_COOKIE)));
}

export const TOO_MANY = `Too many tries: wait ${TRIES_MINUTES} minutes. Who has lost a password asks the owner of the house for a new one.`;

/** Signs in with what was typed. @returns messages by field where that fails; null where it went well */
export async function signIn(
	event: RequestEvent
): Promise<{ status: 400 | 429; typed: Record<string, string>; errors: Record<string, string> } | null> {
	const { typed, errors } = await typedInto<{ mail: string; password: string }>(event.request, signInSchema);
	if (errors) return { status: 400, typed, errors };
	const { mail, password } = typed;
	const key = mailKey(mail);
	if (!(await mayTry(key, event.getClientAddress())))
		return { status: 429, typed: { mail }, errors: { password: TOO_MANY } };
	const found = await accountByMail(mail);
	if (!(await isPassword(password, found?.hash ?? null)))
		return {
			status: 400,
			typed: { mail },
			errors: { password: 'This address and this password do not belong together.' }
		};
	await forgetTries(key);
	await enter(event, found!.account.id);
	return null;
}

/** Where one wanted to go before signing in: a path of ours, and nothing else. */
export function pathWanted(url: URL): string {
	const to = url.searchParams.get('to') ?? '/';
	const at = to.startsWith('/') ? new URL(to, url.origin) : null;
	return at && at.origin === url.origin && !/^\/[/\\]/.test(to) ? at.pathname + at.search : '/';
}
