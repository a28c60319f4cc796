import { clothOf } from '$lib/core/cloth/things';
import type { Client, Stage } from '$lib/core/document/types';
import { checksOf } from '$lib/core/kit/home-test';
import { RIDES } from '$lib/core/kit/list';
import { typeName } from '$lib/words/garments';
import { firstName } from '$lib/words/labels';
import { getDocument } from '../db/clients';
import { addressOf } from '../db/guests/addresses';
import { type HomeTest, homeTestsOf } from '../db/guests/home-tests';
import { houseQuestions } from '../db/guests/house-questions';
import type { Guest } from '../db/guests/links';
import { type PhotoOf, photosOf } from '../db/guests/photos';
import { answersOf } from '../db/guests/questions';
import { ENOUGH_ANSWERS } from '../db/guests/told';
import { marksOn, notesOn } from '../db/guests/said';
import { clientList } from './client-list';
import { askingOf } from './guest-questions';
import { planGroup } from './work';

/** What the page of a client is made of: facts only, since its words are those of a language. */

/** What a day will be like, as far as a client asks. */
const dayOf = ({ id, name, date, base, route }: Stage) => ({
	id,
	name,
	date,
	lowC: base.lowTempC,
	highC: base.highTempC,
	windKmh: base.wind10mKmh,
	/** hours of snow or rain; null on a dry day */
	wet: wetOf(base.wetSpells),
	highM: route.highM
});
function wetOf(spells: Stage['base']['wetSpells']): { kind: 'snow' | 'rain'; hours: number } | null {
	const minutes = spells.reduce((sum, { fromMin, toMin }) => sum + Math.max(0, toMin - fromMin), 0);
	if (minutes < 30) return null;
	const isSnow = spells.every(({ kind }) => kind.includes('snow'));
	return { kind: isSnow ? 'snow' : 'rain', hours: Math.max(1, Math.round(minutes / 60)) };
}

/** A thing that keeps the name of its type is called by it in every language. */
const typeIfPlain = (thing: { typeId: string; name: string } | undefined): string | null =>
	thing && thing.name === typeName(thing.typeId) ? thing.typeId : null;

async function listOf(guest: Guest, typeOf: (thingId: string) => string | null) {
	const list = await clientList(guest.houseId, guest.tripId, guest.clientId);
	return {
		start: list.cannotStart.map(({ code, part, about }) => ({ code, part, about })),
		toGet: list.toGet.map(({ typeId, name, way, due }) => ({ typeId, name, way, due })),
		rides: RIDES.map((ride) => ({
			ride,
			lines: list.lines
				.filter(({ rides }) => rides === ride)
				.map(({ thingId, name, many, spare, assumed }) => ({
					id: thingId,
					name,
					typeId: typeOf(thingId),
					many,
					note: list.lentIds.includes(thingId)
						? ('lent' as const)
						: assumed
							? ('assumed' as const)
							: spare
								? ('spare' as const)
								: null
				}))
		})).filter(({ lines }) => lines.length > 0),
		everybody: list.asked
			.filter(({ sharing }) => sharing !== 'from others')
			.map(({ id, what, many, sharing }) => ({ id, what, many, isForOthers: sharing === 'for others' })),
		/** what somebody else brings for the client */
		brought: list.asked
			.filter(({ sharing }) => sharing === 'from others')
			.map(({ id, what, broughtBy }) => ({ id, what, by: firstName(list.people[broughtBy!]!) })),
		small: list.small,
		picture: list.start,
		names: list.names
	};
}

/** What can be told of each thing of the kit, by its id. */
function thingsOf({ things }: Client, tests: readonly HomeTest[], photos: readonly PhotoOf[]) {
	const there = things.filter(
		({ deletedAt, quantity }) => deletedAt === null && quantity.state !== 'not asked'
	);
	return Object.fromEntries(
		there.map((thing) => [
			thing.id,
			{
				size: thing.facts.size?.value ?? '',
				parts: checksOf(clothOf(thing)),
				tests: tests.filter(({ thingId }) => thingId === thing.id),
				photos: photos.filter(({ thingId }) => thingId === thing.id).map(({ id }) => id)
			}
		])
	);
}

/** @throws NotFoundError when the client is no longer on the trip */
export async function guestPage(guest: Guest) {
	const { houseId, tripId, clientId } = guest;
	const [document, marks, notes, answers, asked, tests, photos, mail] = await Promise.all([
		getDocument(houseId, tripId),
		marksOn(tripId, clientId),
		notesOn(tripId, clientId),
		answersOf(tripId, clientId),
		houseQuestions(houseId),
		homeTestsOf([clientId]),
		photosOf([clientId]),
		addressOf(clientId)
	]);
	const { trip, clients } = document;
	const client = clients.find(({ id }) => id === clientId)!;
	const things = new Map(client.things.map((thing) => [thing.id, thing]));
	const days = [...trip.stages].sort((a, b) => a.date.localeCompare(b.date));
	const isPlannable = trip.stages.length > 0 && client.things.length > 0;
	const asking = trip.stages.length > 0 ? await askingOf(document, client, answers) : null;
	const [plan] = isPlannable ? await planGroup(houseId, tripId, [clientId]) : [];
	const [own, said] = [marks.get(clientId) ?? [], notes.get(clientId) ?? []];
	return {
		house: guest.house,
		name: client.name,
		reads: client.language.value,
		trip: { name: trip.name, place: trip.place, days: days.map(dayOf) },
		knowsKit: client.things.length > 0,
		list:
			plan?.state === 'there' && plan.isCurrent
				? await listOf(guest, (id) => typeIfPlain(things.get(id)))
				: null,
		things: thingsOf(client, tests.get(clientId)!, photos.get(clientId)!),
		asking,
		/** questions that were answered on this trip */
		answered: [...answers.keys()],
		/** whether the rest can be taken as likely by now */
		isLikely: answers.size >= ENOUGH_ANSWERS,
		houseQuestions: asked.filter(({ id }) => !answers.has(id)),
		marks: own,
		notes: said,
		mail: mail ?? '',
		kept: {
			things: client.things.length,
			said: own.length + answers.size,
			notes: said.length,
			photos: photos.get(clientId)!.length,
			mail: mail ? 'yes' : 'no'
		}
	};
}
