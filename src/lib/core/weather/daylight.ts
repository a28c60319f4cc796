import { getPosition, getTimes } from 'suncalc';
import { inRange } from '../argument';

/** Times of the sun on one day, local minutes after midnight; null where it does not happen. */
export interface Daylight {
	/** civil twilight begins */
	dawnMin: number | null;
	sunriseMin: number | null;
	sunsetMin: number | null;
	/** civil twilight ends */
	duskMin: number | null;
	/** the sun is up all day (true), or stays down (false); null on ordinary days */
	allDay: boolean | null;
}

/**
 * Sunrise, sunset and civil twilight of a day.
 * Source: suncalc (Meeus, Astronomical Algorithms, ch. 15).
 * @param date ISO date
 * @param latitudeDeg −90…90
 * @param longitudeDeg −180…180, east positive
 * @param utcOffsetMin local time minus UTC, −720…840
 * @throws RangeError out of range, or no date
 */
export function daylightOn(
	date: string,
	latitudeDeg: number,
	longitudeDeg: number,
	utcOffsetMin: number
): Daylight {
	inRange('latitudeDeg', latitudeDeg, -90, 90);
	inRange('longitudeDeg', longitudeDeg, -180, 180);
	inRange('utcOffsetMin', utcOffsetMin, -720, 840);
	const midnight = Date.parse(`${date}T00:00:00Z`);
	if (Number.isNaN(midnight)) throw new RangeError(`date is ${date}, allowed is an ISO date`);
	const localNoon = new Date(midnight + (720 - utcOffsetMin) * 60_000);
	const times = getTimes(localNoon, latitudeDeg, longitudeDeg);
	const local = (at: Date | null): number | null =>
		at && Math.round((at.getTime() - midnight) / 60_000 + utcOffsetMin);
	return {
		dawnMin: local(times.dawn),
		sunriseMin: local(times.sunrise),
		sunsetMin: local(times.sunset),
		duskMin: local(times.dusk),
		allDay: times.sunrise ? null : times.alwaysUp === true
	};
}

export type Light = 'day' | 'twilight' | 'dark';

/** How light it is at a time of the day, minutes after midnight; times after midnight wrap around. */
export function lightAt(
	{ dawnMin, sunriseMin, sunsetMin, duskMin, allDay }: Daylight,
	timeMin: number
): Light {
	const at = ((timeMin % 1440) + 1440) % 1440;
	if (allDay === true) return 'day';
	const within = (from: number | null, to: number | null): boolean =>
		from !== null && to !== null && at >= from && at <= to;
	if (within(sunriseMin, sunsetMin)) return 'day';
	if (within(dawnMin, duskMin)) return 'twilight';
	return sunriseMin !== null && dawnMin === null ? 'twilight' : 'dark';
}

/** Height of the sun over the horizon at its highest, degrees. Source: suncalc (Meeus). */
export function noonElevationDeg(date: string, latitudeDeg: number, longitudeDeg: number): number {
	const { solarNoon } = getTimes(new Date(`${date}T12:00:00Z`), latitudeDeg, longitudeDeg);
	return getPosition(solarNoon, latitudeDeg, longitudeDeg).altitude;
}
