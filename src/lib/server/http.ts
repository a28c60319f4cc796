import { check, type FieldError } from '$lib/formats/check';
import { error, json, type RequestEvent } from '@sveltejs/kit';
import type Joi from 'joi';
import { ConflictError, NotFoundError, TakenError } from './db/pool';
import { ArchiveError, BusyError, DatabaseDownError, DiskFullError, TooLargeError } from './errors';
import { log } from './log';
import { LIMITS } from '$lib/formats/limits';
import { type Units, unitsFrom } from '$lib/words/units';
import { type Read, read } from './work/asked';

/** An input that cannot be used, field by field. */
export class InputError extends Error {
	constructor(
		readonly errors: FieldError[],
		/** 413 where it asks for too much */
		readonly status: 400 | 413 = 400
	) {
		const [only] = errors;
		super(
			errors.length === 1
				? `${only!.field || 'The input'} ${only!.message}`
				: `${errors.length} fields need another look`
		);
	}
}

/**
 * The checked body of a request.
 * @param upgrade brings what an older version wrote to the shape of this one
 * @throws InputError with field, value and allowed range
 */
export async function bodyOf<T>(
	request: Request,
	schema: Joi.Schema,
	upgrade: (body: unknown) => unknown = (body) => body
): Promise<T> {
	return goodOf(read<T>(await request.text(), schema, upgrade));
}

/** What was read in a thread. @throws InputError */
export function goodOf<T>(sent: Read<T>): T {
	if ('good' in sent) return sent.good;
	throw new InputError(sent.errors, sent.status);
}

/** JSON that was written in a thread, as an answer. @throws TooLargeError */
export function jsonText(text: string): Response {
	if (text.length > LIMITS.answer)
		throw new TooLargeError('The answer would be too long: ask for fewer days or weathers.');
	return new Response(text, { headers: { 'content-type': 'application/json' } });
}

/** The checked query of an address; figures are numbers. @throws InputError */
export function queryOf<T>(url: URL, schema: Joi.Schema): T {
	const input = Object.fromEntries(
		[...url.searchParams].map(([key, text]) => [
			key,
			text !== '' && Number.isFinite(Number(text)) ? Number(text) : text
		])
	);
	const { value, errors } = check<T>(schema, input);
	if (errors) throw new InputError(errors);
	return value;
}

/** Status and body for an error that a person can do something about; null for the rest. */
function knownTrouble(trouble: unknown): {
	status: number;
	headers?: Record<string, string>;
	body: { message: string; errors?: FieldError[]; current?: unknown };
} | null {
	if (trouble instanceof InputError)
		return { status: trouble.status, body: { message: trouble.message, errors: trouble.errors } };
	if (trouble instanceof ConflictError)
		return { status: 409, body: { message: trouble.message, current: trouble.current } };
	if (trouble instanceof TakenError) return { status: 409, body: { message: trouble.message } };
	if (trouble instanceof BusyError)
		return {
			status: 503,
			headers: { 'retry-after': String(trouble.retryAfterS) },
			body: { message: `${trouble.message} Try again in a moment.` }
		};
	if (trouble instanceof DatabaseDownError)
		return {
			status: 503,
			headers: { 'retry-after': '5' },
			body: { message: `${trouble.message} Nothing was saved; what you typed is kept here.` }
		};
	if (trouble instanceof DiskFullError)
		return {
			status: 507,
			body: { message: `${trouble.message} Nothing was saved; what you typed is kept here.` }
		};
	if (trouble instanceof ArchiveError) return { status: 400, body: { message: trouble.message } };
	if (trouble instanceof TooLargeError) return { status: 413, body: { message: trouble.message } };
	if (trouble instanceof NotFoundError) return { status: 404, body: { message: trouble.message } };
	if (trouble instanceof RangeError) {
		const field = /^(\w+) is (.*), allowed (?:is|are) (.*)$/.exec(trouble.message);
		const errors = field
			? [{ field: field[1]!, value: field[2], allowed: field[3]!, message: trouble.message }]
			: [];
		return { status: 400, body: { message: trouble.message, errors } };
	}
	return null;
}

/** Makes an API handler from work that returns the body of its answer. Errors become JSON, never a stack trace. */
export function api(
	work: (event: RequestEvent) => Promise<unknown>,
	status = 200
): (event: RequestEvent) => Promise<Response> {
	return async (event) => {
		// Who is gone before the answer is there has closed the line.
		const socket = event.platform?.req?.socket;
		const gone = new AbortController();
		const hangUp = (): void => gone.abort();
		socket?.once('close', hangUp);
		event.locals.gone = gone.signal;
		try {
			const answer = await work(event);
			return answer instanceof Response ? answer : json(answer ?? {}, { status });
		} catch (trouble) {
			if (gone.signal.aborted) return json({ message: 'Nobody waits for this any more.' }, { status: 499 });
			const known = knownTrouble(trouble);
			if (known) return json(known.body, { status: known.status, headers: known.headers });
			log.error({ id: event.locals.requestId, route: event.route.id, err: trouble }, 'failed');
			return json(
				{
					message: `Something went wrong on the server. Nothing was saved; try again. This was request ${event.locals.requestId}.`
				},
				{ status: 500 }
			);
		} finally {
			socket?.off('close', hangUp);
		}
	};
}

/** Runs the work of a page's load; what does not exist becomes a 404 page. */
export async function orNotFound<T>(work: Promise<T>): Promise<T> {
	try {
		return await work;
	} catch (trouble) {
		if (trouble instanceof NotFoundError) error(404, trouble.message);
		throw trouble;
	}
}

/** A part of the path. Routes guarantee that it is there. */
export const param = ({ params }: Pick<RequestEvent, 'params'>, name: string): string =>
	(params as Record<string, string | undefined>)[name] ?? '';

/** A file to be saved under a name of its own. */
export const file = (body: string | Uint8Array, name: string, type: string): Response =>
	new Response(typeof body === 'string' ? body : new Uint8Array(body), {
		headers: {
			'content-type': type,
			// What a name may hold, and what no file system takes.
			'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name.replace(/[\\/:*?"<>|]/g, ' '))}`
		}
	});

/** A photo: shown as a picture and as nothing else, and kept by the browser that asked only. */
export const picture = (image: Buffer): Response =>
	new Response(new Uint8Array(image), {
		headers: {
			'content-type': 'image/jpeg',
			'content-security-policy': "default-src 'none'; sandbox",
			'cache-control': 'private, max-age=31536000, immutable'
		}
	});

/** Units and dates of whoever asks: as chosen in their browser, else as usual for its language. */
export const unitsOf = ({ cookies, request }: Pick<RequestEvent, 'cookies' | 'request'>): Units =>
	unitsFrom(cookies.get('units'), request.headers.get('accept-language') ?? '');
