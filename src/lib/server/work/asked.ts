import type { Client, Document } from '$lib/core/document/types';
import { check, type FieldError } from '$lib/formats/check';
import { oversized, tooLong } from '$lib/formats/oversized';
import {
	type ChangesRequest,
	changesRequestSchema,
	type PlanRequest,
	planRequestSchema
} from '$lib/formats/schema/plan';
import { type LendingRequest, lendingRequestSchema } from '$lib/formats/schema/lending/lending';
import { type RemediesRequest, remediesRequestSchema } from '$lib/formats/schema/lending/remedies';
import { type QuestionsRequest, questionsRequestSchema } from '$lib/formats/schema/people/questions';
import { tripEditSchema } from '$lib/formats/schema/trip';
import { upgradeDocument, upgradeTrip } from '$lib/formats/upgrade';
import type { TripEdit } from '../db/trips';
import type Joi from 'joi';

/** What somebody sent to be worked on: read, measured, brought up and checked. */

/** What was sent, or what is wrong with it: 400 where it says something wrong, 413 where it asks for too much. */
export type Read<T> = { good: T } | { status: 400 | 413; errors: FieldError[] };

const NO_JSON: FieldError = { field: '', value: null, allowed: 'a JSON object', message: 'is not JSON' };

/** Text as JSON of a schema. @param upgrade brings what an older version wrote to the shape of this one */
export function read<T>(
	text: string,
	schema: Joi.Schema,
	upgrade = (body: unknown): unknown => body
): Read<T> {
	let input: unknown;
	try {
		input = JSON.parse(text);
	} catch {
		return { status: 400, errors: [NO_JSON] };
	}
	const large = oversized(input);
	if (large) return { status: 413, errors: [large] };
	const { value, errors } = check<T>(schema, upgrade(input));
	return errors ? { status: 400, errors } : { good: value };
}

const wrong = (error: FieldError): { status: 400; errors: FieldError[] } => ({
	status: 400,
	errors: [error]
});
const mustBeOneOf = (
	field: string,
	value: string | null,
	ids: readonly string[],
	none: string
): FieldError => {
	const allowed = ids.join(', ');
	return ids.length > 0
		? { field, value, allowed, message: `must be one of: ${allowed}` }
		: { field, value, allowed: none, message: `needs ${none}` };
};

/** A document of which something is asked for one client: the one that is named, or the first. */
function askedFor<T extends Document & { clientId?: string }>(
	text: string,
	schema: Joi.Schema
): Read<{ asked: T; client: Client }> {
	const sent = read<T>(text, schema, upgradeDocument);
	if (!('good' in sent)) return sent;
	const asked = sent.good;
	const long = tooLong(asked.trip, 'trip.stages');
	if (long) return { status: 413, errors: [long] };
	const id = asked.clientId ?? asked.clients[0]?.id;
	const client = asked.clients.find((one) => one.id === id);
	if (client) return { good: { asked, client } };
	const ids = asked.clients.map((one) => one.id);
	return wrong(mustBeOneOf('clientId', id ?? null, ids, 'a client: the document has none'));
}

/** A document to be planned, and for whom. */
export const planAsked = (text: string): Read<{ asked: PlanRequest; client: Client }> =>
	askedFor(text, planRequestSchema);

/** A document with candidates, and for whom. */
export function remediesAsked(text: string): Read<{ asked: RemediesRequest; client: Client }> {
	const sent = askedFor<RemediesRequest>(text, remediesRequestSchema);
	if (!('good' in sent)) return sent;
	const { asked, client } = sent.good;
	const has = new Set(client.things.map(({ id }) => id));
	const at = asked.candidates.findIndex(({ thing, from }) => from !== 'own' && has.has(thing.id));
	if (at < 0) return sent;
	return wrong({
		field: `candidates.${at}.thing.id`,
		value: asked.candidates[at]!.thing.id,
		allowed: 'an id that no thing of the client has',
		message: 'is the id of a thing that the client has'
	});
}

/** A document of whose client something is to be asked. */
export const questionsAsked = (text: string): Read<{ asked: QuestionsRequest; client: Client }> =>
	askedFor(text, questionsRequestSchema);

/** A document with a stock to be shared out among its clients. */
export function lendingAsked(text: string): Read<LendingRequest> {
	const sent = read<LendingRequest>(text, lendingRequestSchema, upgradeDocument);
	if (!('good' in sent)) return sent;
	const { trip, clients, stock, settled } = sent.good;
	const long = tooLong(trip, 'trip.stages');
	if (long) return { status: 413, errors: [long] };
	for (const [at, { clientId, kindId, lend }] of settled.entries()) {
		const clientIds = clients.map(({ id }) => id);
		if (!clientIds.includes(clientId))
			return wrong(mustBeOneOf(`settled.${at}.clientId`, clientId, clientIds, 'a client of the document'));
		const kind = stock.find(({ id }) => id === kindId);
		if (!kind)
			return wrong(
				mustBeOneOf(
					`settled.${at}.kindId`,
					kindId,
					stock.map(({ id }) => id),
					'a kind in stock'
				)
			);
		const many = settled.slice(0, at + 1).filter((one) => one.lend && one.kindId === kindId).length;
		if (lend && many > kind.count)
			return wrong({
				field: `settled.${at}.kindId`,
				value: kindId,
				allowed: `${kind.count} of it`,
				message: `is lent ${many} times, and there are ${kind.count}`
			});
	}
	return sent;
}

/** A trip as it is to be saved. */
export function tripEditAsked(text: string): Read<TripEdit> {
	const sent = read<TripEdit>(text, tripEditSchema, upgradeTrip);
	if (!('good' in sent)) return sent;
	const long = tooLong(sent.good);
	return long ? { status: 413, errors: [long] } : sent;
}

/** Both documents as this version writes them. */
const upgradeSides = (body: unknown): unknown => {
	if (typeof body !== 'object' || body === null) return body;
	const { before, after } = body as Record<string, unknown>;
	return { ...body, before: upgradeDocument(before), after: upgradeDocument(after) };
};

/** A comparison in which all is said. */
export type ChangesAsked = ChangesRequest &
	Required<Pick<ChangesRequest, 'weatherBefore' | 'weatherAfter' | 'clientIds'>>;
/** Two documents to be compared, in which weathers and for whom. */
export function changesAsked(text: string): Read<ChangesAsked> {
	const sent = read<ChangesRequest>(text, changesRequestSchema, upgradeSides);
	if (!('good' in sent)) return sent;
	const { before, after } = sent.good;
	const clientIds = sent.good.clientIds ?? after.clients.map(({ id }) => id);
	const long = tooLong(before.trip, 'before.trip.stages') ?? tooLong(after.trip, 'after.trip.stages');
	if (long) return { status: 413, errors: [long] };
	const own = { ...sent.good, clientIds };
	for (const [field, { trip }] of [
		['weatherBefore', before],
		['weatherAfter', after]
	] as const) {
		const ids = trip.weathers.map(({ id }) => id);
		const asked = (own[field] ??= ids[0]!);
		if (!ids.includes(asked)) return wrong(mustBeOneOf(field, asked, ids, 'a weather'));
	}
	return { good: own as ChangesAsked };
}
