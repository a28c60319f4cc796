import { upgradeDocument } from '$lib/formats/upgrade';
import { clientChanges, phasesAsPlanned } from '$lib/core/plan/verdict-changes';
import { type ChangesRequest, changesRequestSchema } from '$lib/formats/schema/plan';
import { InputError, api, bodyOf } from '$lib/server/http';
import { inTurns } from '$lib/server/plans/keep';

/** Both documents as this version writes them. */
const upgradeSides = (body: unknown): unknown => {
	if (typeof body !== 'object' || body === null) return body;
	const { before, after } = body as Record<string, unknown>;
	return { ...body, before: upgradeDocument(before), after: upgradeDocument(after) };
};

/** Whose verdicts change between two documents: client, phase, from, to. */
export const POST = api(async ({ request }) => {
	const { before, after, wishes, ...asked } = await bodyOf<ChangesRequest>(
		request,
		changesRequestSchema,
		upgradeSides
	);
	const weatherOf = (field: 'weatherBefore' | 'weatherAfter'): string => {
		const { weathers } = (field === 'weatherBefore' ? before : after).trip;
		const id = asked[field] ?? weathers[0]!.id;
		if (weathers.some((weather) => weather.id === id)) return id;
		const allowed = weathers.map((weather) => weather.id).join(', ');
		throw new InputError([{ field, value: id, allowed, message: `must be one of: ${allowed}` }]);
	};
	const from = { document: before, weatherId: weatherOf('weatherBefore') };
	const to = { document: after, weatherId: weatherOf('weatherAfter') };
	const clientIds = asked.clientIds ?? after.clients.map(({ id }) => id);
	const changes = [];
	for (const clientId of clientIds) {
		const own = await inTurns(clientChanges(from, to, clientId, phasesAsPlanned(wishes[clientId])));
		changes.push(...own.map((change) => ({ clientId, ...change })));
	}
	return { weatherBefore: from.weatherId, weatherAfter: to.weatherId, changes };
});
