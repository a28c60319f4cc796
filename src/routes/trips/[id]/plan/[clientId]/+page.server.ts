import { schooled } from '$lib/core/conditions/person';
import type { PlannedStage } from '$lib/core/kit/planned-day';
import { getDocument } from '$lib/server/db/clients';
import { getHouse } from '$lib/server/db/house';
import { decisionsOf } from '$lib/server/db/lending/decisions';
import { getWishes } from '$lib/server/db/wishes';
import { orNotFound } from '$lib/server/http';
import { keptPlan } from '$lib/server/plans/keep';
import { error } from '@sveltejs/kit';

/** What the page shows of a day in other weathers than the one that is looked at: the rest would double the page. */
const glimpse = (day: PlannedStage): PlannedStage => ({
	...day,
	findings: [],
	phases: day.phases.map((phase) => ({ ...phase, coverage: [], reasons: [], carried: [], drawn: [] }))
});
/** What most telephones say of themselves. A wrong guess is mended as soon as the page stands. */
const isPhone = (headers: Headers): boolean =>
	headers.get('sec-ch-ua-mobile') === '?1' || /\bMobile\b/.test(headers.get('user-agent') ?? '');

export async function load({ params, url, locals, request }) {
	const [document, wished, decisions, house] = await Promise.all([
		orNotFound(getDocument(locals.houseId, params.id)),
		getWishes(params.id, params.clientId),
		decisionsOf(params.id, params.clientId),
		getHouse(locals.houseId)
	]);
	const own = document.clients.find(({ id }) => id === params.clientId);
	if (!own) error(404, 'This client is not on the trip.');
	const asked = Number(url.searchParams.get('day') ?? 1) - 1;
	const day = Math.min(
		Math.max(0, Number.isInteger(asked) ? asked : 0),
		Math.max(0, document.trip.stages.length - 1)
	);
	const { weathers, stages } = document.trip;
	const foul = Boolean(url.searchParams.get('foul') && stages[day]?.foul);
	const weather = weathers.find(({ id }) => id === url.searchParams.get('weather')) ?? weathers[0]!;
	const kept = own.things.length > 0 ? await keptPlan(document, own, wished) : null;
	return {
		isPhone: isPhone(request.headers),
		trip: document.trip,
		others: document.clients.map(({ id, name }) => ({ id, name })),
		client: schooled(own, document),
		wished,
		decisions,
		prices: house.prices,
		day,
		weather,
		foul,
		kept: kept && {
			summary: kept.summary,
			days: kept.days
				.filter((one) => one.stageId === stages[day]?.id && one.foul === foul)
				.map((one) => (one.weather === weather.id ? one : glimpse(one)))
		}
	};
}
