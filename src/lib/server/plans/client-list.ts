import type { Client, Trip } from '$lib/core/document/types';
import type { PlannedPhase, PlannedStage } from '$lib/core/kit/planned-day';
import { toldTomorrow } from '$lib/core/plan/told/tomorrow';
import { schooled } from '$lib/core/conditions/person';
import { listOf } from '$lib/core/kit/list';
import { askedOf, withEdits } from '$lib/core/kit/own-lines';
import { dueOn } from '$lib/core/remedy/decision';
import { needKey, startNeedsOf } from '$lib/core/remedy/moments';
import { getDocument } from '../db/clients';
import { decisionsOf } from '../db/lending/decisions';
import { NotFoundError } from '../db/pool';
import { getEdits, getEverybody } from '../db/packing/lists';
import { getWishes } from '../db/wishes';
import { isLent } from '$lib/core/remedy/lending/stock';
import { planOfClient } from './keep';

/** The phase in which one sets out on the first day of a trip, in the usual weather. */
function startOn(trip: Trip, days: readonly PlannedStage[], client: Client): PlannedPhase | null {
	const [first] = [...trip.stages].sort((a, b) => a.date.localeCompare(b.date));
	const usual = trip.weathers[0]?.id;
	const day = days.find(({ stageId, weather, foul }) => stageId === first?.id && weather === usual && !foul);
	return day ? toldTomorrow(day, client).phase : null;
}

/** All that a client's list is made of. @throws NotFoundError when the client is not on the trip */
export async function clientList(houseId: string, tripId: string, clientId: string) {
	const [document, wished, decisions, everybody, edits] = await Promise.all([
		getDocument(houseId, tripId),
		getWishes(tripId, clientId),
		decisionsOf(tripId, clientId),
		getEverybody(houseId, tripId),
		getEdits(tripId, clientId)
	]);
	const own = document.clients.find(({ id }) => id === clientId);
	if (!own) throw new NotFoundError('client of the trip');
	const client = schooled(own, document);
	const { trip } = document;
	const { days } = await planOfClient(document, own, wished);
	const list = listOf(client, days, trip.stages);
	const firstDate = trip.stages.map(({ date }) => date).sort()[0] ?? null;
	const needs = new Map(
		days.flatMap((day) => startNeedsOf(day).map((need) => [needKey(need), { need, day }]))
	);
	return {
		trip: {
			id: trip.id,
			name: trip.name,
			place: trip.place,
			stages: trip.stages.map(({ id, name, date }) => ({ id, name, date }))
		},
		client: { id: client.id, name: client.name, knowsKit: client.things.length > 0 },
		/** everybody on the trip, by id */
		people: Object.fromEntries(document.clients.map(({ id, name }) => [id, name])),
		names: Object.fromEntries(client.things.map(({ id, name }) => [id, name])),
		/** gear that a day cannot start without, each once */
		cannotStart: [...needs.values()].map(({ need, day }) => ({
			...need,
			stageIds: [day.stageId],
			add: null
		})),
		toGet: decisions
			.filter(({ decided, isThere }) => decided === 'get' && !isThere)
			.map((one) => ({ ...one, due: dueOn(one, firstDate) })),
		lines: withEdits(list.bring, edits),
		/** worked-out lines that somebody left off */
		off: list.bring.filter(({ thingId }) => edits.some(({ lineId, isOff }) => isOff && lineId === thingId)),
		asked: askedOf(client, everybody.rows),
		leave: list.leave,
		small: list.small,
		gaps: list.gaps,
		questions: list.questions,
		counts: list.counts,
		/** how one sets out on the first day, in the usual weather; null where there is no such day */
		start: startOn(trip, days, client),
		lentIds: client.things.filter(isLent).map(({ id }) => id)
	};
}
