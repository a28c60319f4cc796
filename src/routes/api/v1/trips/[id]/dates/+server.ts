import { calendarOf } from '$lib/server/files/calendar';
import { dueOnTrip } from '$lib/server/plans/due';
import { api, file, param } from '$lib/server/http';

/** When a trip is, and what is due before it, as a calendar file. */
export const GET = api(async (event) => {
	const { trip, due } = await dueOnTrip(event.locals.houseId, param(event, 'id'));
	const days = [
		...(trip.firstDate !== null && trip.lastDate !== null
			? [
					{
						uid: `${trip.id}@snug-summit`,
						title: trip.name,
						note: trip.place,
						from: trip.firstDate,
						to: trip.lastDate
					}
				]
			: []),
		...due.map(({ clientId, typeId, title, note, on }) => ({
			uid: `${trip.id}-${clientId}-${typeId}@snug-summit`,
			title,
			note,
			from: on,
			to: on
		}))
	];
	return file(calendarOf(days), `${trip.name}.ics`, 'text/calendar; charset=utf-8');
});
