import type Joi from 'joi';
import { check } from '$lib/formats/check';

/** A row whose JSON is not what the app writes: the database was changed by other means, or by a newer version. */
export class StoredDataError extends Error {
	constructor(
		readonly what: string,
		readonly field: string,
		reason: string
	) {
		super(`The stored ${what} cannot be read: ${field || 'it'} ${reason}.`);
	}
}

/** Text of a JSON column. @throws StoredDataError when it is no JSON */
export function parsed(what: string, column: string, text: string): unknown {
	try {
		return JSON.parse(text) as unknown;
	} catch {
		throw new StoredDataError(what, column, 'is not JSON');
	}
}

/** What is read from JSON columns, checked by the rules by which it came in. @throws StoredDataError */
export function checked<T>(what: string, schema: Joi.Schema, value: unknown): T {
	const { value: good, errors } = check<T>(schema, value);
	if (!errors) return good;
	throw new StoredDataError(what, errors[0]!.field, errors[0]!.message);
}
