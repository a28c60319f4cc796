import { schooled } from '$lib/core/conditions/person';
import type { Client } from '$lib/core/document/types';
import { type Tomorrow, toldTomorrow, toldTonight, type Tonight } from '$lib/core/plan/told/tomorrow';
import { getDocument } from '../db/clients';
import { inSnapshot } from '../db/pool';
import { wishesOfTrip } from '../db/wishes';
import { keptPlan } from './keep';

/** One client on the evening before a day. */
export interface ClientsTomorrow {
	client: { id: string; name: string };
	/** names of things by id */
	names: Record<string, string>;
	state: 'there' | 'unasked' | 'waiting';
	tonight: Tonight | null;
	tomorrow: Tomorrow | null;
}

/** The day after a date on a trip; the first one where the trip has not begun, and the last one once it is over. */
export function dayAfter(dates: readonly string[], today: string): number {
	const next = dates.findIndex((date) => date > today);
	return next >= 0 ? next : Math.max(0, dates.length - 1);
}

/**
 * The evening before a day of a trip, for all of its clients, in the usual weather: from plans that are there.
 * @param day from 0; null for the day after today
 * @param today ISO date
 */
export async function tomorrowOnTrip(houseId: string, tripId: string, day: number | null, today: string) {
	const { document, wishes } = await inSnapshot(async (db) => ({
		document: await getDocument(houseId, tripId, db),
		wishes: await wishesOfTrip(tripId, db)
	}));
	const { trip, clients } = document;
	const usual = trip.weathers[0]!.id;
	const last = Math.max(0, trip.stages.length - 1);
	const at = Math.min(
		last,
		day ??
			dayAfter(
				trip.stages.map(({ date }) => date),
				today
			)
	);
	const [before, stage] = [at > 0 ? trip.stages[at - 1] : undefined, trip.stages[at]];
	const told = async (own: Client): Promise<ClientsTomorrow> => {
		const client = schooled(own, document);
		const names = Object.fromEntries(own.things.map(({ id, name }) => [id, name]));
		const base = { client: { id: own.id, name: own.name }, names, tonight: null, tomorrow: null };
		if (own.things.length === 0) return { ...base, state: 'unasked' };
		const kept = stage && (await keptPlan(document, own, wishes.get(own.id) ?? {}));
		const dayOf = (id: string | undefined) =>
			kept?.days.find(({ stageId, weather, foul }) => stageId === id && weather === usual && !foul) ?? null;
		const planned = dayOf(stage?.id);
		if (!planned) return { ...base, state: 'waiting' };
		return {
			...base,
			state: 'there',
			tonight: toldTonight(dayOf(before?.id), planned, client),
			tomorrow: toldTomorrow(planned, client)
		};
	};
	return { trip, day: at, people: await Promise.all(clients.map(told)) };
}
