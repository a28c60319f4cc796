import type { Precipitation, WetSpell } from '$lib/core/document/weather';
import { seeded } from '$lib/core/seeded';
import type { ClimatePlace, ClimateService, DayForecast, MonthNormals } from '$lib/core/weather/climate';

/**
 * A stand-in for a climate service: invented places whose months follow from a few figures, and forecasts that are drawn
 * by seed, place and date. The same question always gets the same answer. It knows no real weather.
 */
interface Station extends ClimatePlace {
	/** mean of the year and half the swing over the year, °C and K */
	meanC: number;
	swingK: number;
	/** half the difference between low and high of a day, K */
	halfDayK: number;
	spreadK: number;
	windKmh: number;
	humidityPct: number;
	/** share of wet days: driest and wettest month, and the wettest month */
	wetShare: [number, number];
	wettest: number;
	lapseKPerKm: number;
}

const STATIONS: readonly Station[] = [
	{ id: 'vessel-valley', name: 'Vessel valley', words: 'a mountain valley with snow from December to April', altitudeM: 900, latitudeDeg: 46.9, longitudeDeg: 10.8, utcOffsetMin: 60, meanC: 5.5, swingK: 9.5, halfDayK: 4.5, spreadK: 4.7, windKmh: 14, humidityPct: 74, wetShare: [0.3, 0.48], wettest: 7, lapseKPerKm: 6 },
	{ id: 'skarn-islands', name: 'Skarn Islands', words: 'a windy northern shore', altitudeM: 10, latitudeDeg: 57.9, longitudeDeg: -6.6, utcOffsetMin: 0, meanC: 8.4, swingK: 4.6, halfDayK: 2.4, spreadK: 3.1, windKmh: 32, humidityPct: 84, wetShare: [0.42, 0.72], wettest: 12, lapseKPerKm: 6.5 },
	{ id: 'oru-range', name: 'Oru range', words: 'high lodges under higher passes', altitudeM: 3400, latitudeDeg: 27.9, longitudeDeg: 86.4, utcOffsetMin: 345, meanC: 5, swingK: 7, halfDayK: 6, spreadK: 2.8, windKmh: 16, humidityPct: 55, wetShare: [0.06, 0.8], wettest: 7, lapseKPerKm: 6 },
	{ id: 'brenka-plain', name: 'Brenka plain', words: 'hot summers and cold, foggy winters', altitudeM: 120, latitudeDeg: 46.2, longitudeDeg: 20.3, utcOffsetMin: 60, meanC: 11.5, swingK: 11.5, halfDayK: 5.5, spreadK: 4.4, windKmh: 13, humidityPct: 70, wetShare: [0.2, 0.34], wettest: 6, lapseKPerKm: 7 },
	{ id: 'hollin-forest', name: 'Hollin forest', words: 'boreal forest with long winters', altitudeM: 280, latitudeDeg: 63.1, longitudeDeg: 14.9, utcOffsetMin: 60, meanC: 2.5, swingK: 11.5, halfDayK: 4.5, spreadK: 6.2, windKmh: 11, humidityPct: 80, wetShare: [0.3, 0.5], wettest: 8, lapseKPerKm: 5.5 },
	{ id: 'lowmere', name: 'Lowmere', words: 'a town near the sea', altitudeM: 40, latitudeDeg: 52.3, longitudeDeg: 4.1, utcOffsetMin: 60, meanC: 10.2, swingK: 7.4, halfDayK: 3.6, spreadK: 3.6, windKmh: 18, humidityPct: 80, wetShare: [0.35, 0.6], wettest: 11, lapseKPerKm: 6.5 }
]; // prettier-ignore

const SNOW_COVER_BELOW_C = -0.5;

/** Uniform numbers in 0…1 from a seed text, by its hash (FNV-1a). */
function draws(seed: string): () => number {
	let state = 0x811c9dc5;
	for (const char of seed) state = Math.imul(state ^ char.charCodeAt(0), 0x01000193) >>> 0;
	return seeded(state);
}
/** A standard normal number, by Box and Muller. */
const normal = (draw: () => number): number =>
	Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw());

const round = (value: number, step: number): number => Math.round(value / step) * step;

function normalsOf(station: Station, month: number, seed: string): MonthNormals {
	const draw = draws(`${seed} ${station.id} ${month}`);
	const season = -Math.cos((2 * Math.PI * (month - 1)) / 12);
	const meanC = station.meanC + station.swingK * season + (draw() - 0.5);
	const wetSeason = (1 + Math.cos((2 * Math.PI * (month - station.wettest)) / 12)) / 2;
	const [driest, wettest] = station.wetShare;
	return {
		placeId: station.id,
		month,
		lowTempC: round(meanC - station.halfDayK, 0.5),
		highTempC: round(meanC + station.halfDayK, 0.5),
		spreadK: round(station.spreadK * (1 - 0.25 * season), 0.1),
		lapseKPerKm: station.lapseKPerKm,
		wind10mKmh: Math.round(station.windKmh * (1 - 0.25 * season) + 2 * draw()),
		humidityPct: Math.round(station.humidityPct - 6 * season),
		wetDays: Math.round(30 * (driest + (wettest - driest) * wetSeason)),
		wetHours: Math.round(3 + 3 * draw()),
		ground: meanC < SNOW_COVER_BELOW_C ? 'snow' : 'bare'
	};
}

const DAY_MS = 86_400_000;
/** How much of one day's difference from the usual is left on the next. */
const PERSISTENCE = 0.7;
/** Days that a forecast looks back to settle, so that it does not depend on where it starts. */
const LOOK_BACK = 12;
const UPPER_M = 1000;

function dayOf(station: Station, date: string, seed: string): DayForecast {
	const at = Date.parse(`${date}T00:00:00Z`);
	const { lowTempC, highTempC, spreadK, wind10mKmh, humidityPct, wetDays, wetHours, lapseKPerKm } = normalsOf(
		station,
		Number(date.slice(5, 7)),
		seed
	);
	let anomaly = 0;
	for (let back = LOOK_BACK; back >= 0; back--) {
		const day = new Date(at - back * DAY_MS).toISOString().slice(0, 10);
		anomaly =
			PERSISTENCE * anomaly + Math.sqrt(1 - PERSISTENCE ** 2) * normal(draws(`${seed} ${station.id} ${day}`));
	}
	const draw = draws(`${seed} ${station.id} ${date} day`);
	const isWet = draw() < wetDays / 30;
	const shift = anomaly * spreadK;
	const narrow = isWet ? 0.6 : 1.1;
	const middle = (lowTempC + highTempC) / 2 + shift;
	const half = ((highTempC - lowTempC) / 2) * narrow;
	const windKmh = Math.round(Math.min(110, wind10mKmh * (0.6 + 0.9 * draw()) * (isWet ? 1.3 : 1)));
	const kind: Precipitation =
		middle < -2 ? 'dry-snow' : middle < 1.5 ? 'wet-snow' : draw() < 0.6 ? 'drizzle' : 'rain';
	const fromMin = Math.round((6 + 9 * draw()) * 2) * 30;
	const wetSpells: WetSpell[] = isWet
		? [{ fromMin, toMin: Math.min(1440, fromMin + wetHours * 60), kind }]
		: [];
	const upper = (tempC: number): number =>
		round(tempC - (lapseKPerKm * UPPER_M) / 1000 + (draw() - 0.5), 0.5);
	const low = round(middle - half, 0.5);
	const high = round(middle + half, 0.5);
	return {
		date,
		altitudeM: station.altitudeM,
		lowTempC: low,
		highTempC: high,
		wind10mKmh: windKmh,
		humidityPct: Math.min(98, humidityPct + (isWet ? 12 : -4)),
		wetSpells,
		heights: [
			{
				altitudeM: station.altitudeM + UPPER_M,
				lowTempC: upper(low),
				highTempC: Math.max(upper(high), upper(low)),
				wind10mKmh: Math.round(Math.min(150, windKmh * 1.6))
			}
		]
	};
}

/** @param seed another seed is another climate and other forecasts */
export function standInClimate(seed = 'snug'): ClimateService {
	const station = (placeId: string): Station | undefined => STATIONS.find(({ id }) => id === placeId);
	return {
		name: 'simulated climate',
		places: async () =>
			STATIONS.map(({ id, name, words, altitudeM, latitudeDeg, longitudeDeg, utcOffsetMin }) => ({
				id,
				name,
				words,
				altitudeM,
				latitudeDeg,
				longitudeDeg,
				utcOffsetMin
			})),
		normals: async (placeId, month) => {
			const found = station(placeId);
			return found && month >= 1 && month <= 12 ? normalsOf(found, month, seed) : null;
		},
		forecast: async (placeId, firstDate, days) => {
			const found = station(placeId);
			const first = Date.parse(`${firstDate}T00:00:00Z`);
			if (!found || Number.isNaN(first)) return null;
			return Array.from({ length: days }, (_, i) =>
				dayOf(found, new Date(first + i * DAY_MS).toISOString().slice(0, 10), seed)
			);
		}
	};
}
