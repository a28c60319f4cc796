import { check, type FieldError } from '$lib/formats/check';
import { error, json, type RequestEvent } from '@sveltejs/kit';
import type Joi from 'joi';
import { ConflictError, NotFoundError } from './db/pool';

/** An input that cannot be used, field by field. */
export class InputError extends Error {
	constructor(readonly errors: FieldError[]) {
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
	let input: unknown;
	try {
		input = await request.json();
	} catch {
		throw new InputError([{ field: '', value: null, allowed: 'a JSON object', message: 'is not JSON' }]);
	}
	const { value, errors } = check<T>(schema, upgrade(input));
	if (errors) throw new InputError(errors);
	return value;
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
function knownTrouble(
	trouble: unknown
): { status: number; body: { message: string; errors?: FieldError[]; current?: unknown } } | null {
	if (trouble instanceof InputError)
		return { status: 400, body: { message: trouble.message, errors: trouble.errors } };
	if (trouble instanceof ConflictError)
		return { status: 409, body: { message: trouble.message, current: trouble.current } };
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
		try {
			return json((await work(event)) ?? {}, { status });
		} catch (trouble) {
			const known = knownTrouble(trouble);
			if (known) return json(known.body, { status: known.status });
			console.error(trouble);
			return json(
				{ message: 'Something went wrong on the server. Nothing was saved; try again.' },
				{ status: 500 }
			);
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
