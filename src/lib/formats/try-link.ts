import { isCatalogueId } from '../core/cloth/catalogue';
import type { PhasePlace } from '../core/document/types';
import { type Precipitation, PRECIPITATIONS } from '../core/document/weather';
import { type Tried, TRIED_PERSONS } from '../core/plan/told/try-it';

/** What is tried, as a link keeps it. */
export const FIRST_TRY: Tried = {
	airTempC: -6,
	wind10mKmh: 20,
	precipitation: 'dry',
	effortWm2: 75,
	minutes: 25,
	place: 'slope',
	afterClimb: true,
	person: 'usual',
	typeIds: ['briefs', 'top-wool-mid', 'fleece', 'soft-shell', 'bottoms-wool', 'trousers-soft-shell', 'sock-mid', 'boot-hiking', 'glove-winter', 'hat-warm']
}; // prettier-ignore

/** Days to start from: the weather and the work of each, worn by whoever is chosen. */
export const TRY_DAYS = {
	top: { airTempC: -6, wind10mKmh: 25, precipitation: 'dry', effortWm2: 75, minutes: 20, place: 'ridge', afterClimb: true },
	lift: { airTempC: -10, wind10mKmh: 30, precipitation: 'dry-snow', effortWm2: 65, minutes: 12, place: 'slope', afterClimb: false },
	belay: { airTempC: -8, wind10mKmh: 10, precipitation: 'dry', effortWm2: 95, minutes: 40, place: 'slope', afterClimb: true },
	rain: { airTempC: 8, wind10mKmh: 20, precipitation: 'rain', effortWm2: 170, minutes: 120, place: 'slope', afterClimb: false },
	hide: { airTempC: -2, wind10mKmh: 10, precipitation: 'dry', effortWm2: 65, minutes: 180, place: 'lee', afterClimb: false },
	evening: { airTempC: -4, wind10mKmh: 6, precipitation: 'dry', effortWm2: 80, minutes: 40, place: 'lee', afterClimb: false }
} as const satisfies Record<string, Omit<Tried, 'person' | 'typeIds'>>; // prettier-ignore
export type TryDay = keyof typeof TRY_DAYS;

export const TRY_PLACES = [
	'lee',
	'forest',
	'trees',
	'slope',
	'ridge'
] as const satisfies readonly PhasePlace[];

export const tryQuery = (tried: Tried): string =>
	new URLSearchParams({
		t: String(tried.airTempC),
		w: String(tried.wind10mKmh),
		p: tried.precipitation,
		e: String(tried.effortWm2),
		m: String(tried.minutes),
		at: tried.place,
		climb: tried.afterClimb ? '1' : '0',
		who: tried.person,
		on: tried.typeIds.join('.')
	}).toString();

/** What a link says; what it does not say, or says wrongly, is as at first. */
export function triedFrom(query: URLSearchParams): Tried {
	const number = (key: string, low: number, high: number, usual: number): number => {
		const value = Number(query.get(key) ?? NaN);
		return Number.isFinite(value) ? Math.min(high, Math.max(low, Math.round(value))) : usual;
	};
	const oneOf = <T extends string>(key: string, values: readonly T[], usual: T): T =>
		values.find((value) => value === query.get(key)) ?? usual;
	const on = query.get('on');
	return {
		airTempC: number('t', -40, 30, FIRST_TRY.airTempC),
		wind10mKmh: number('w', 0, 100, FIRST_TRY.wind10mKmh),
		precipitation: oneOf<Precipitation>('p', PRECIPITATIONS, FIRST_TRY.precipitation),
		effortWm2: number('e', 65, 290, FIRST_TRY.effortWm2),
		minutes: number('m', 5, 240, FIRST_TRY.minutes),
		place: oneOf('at', TRY_PLACES, 'slope'),
		afterClimb: query.has('climb') ? query.get('climb') === '1' : FIRST_TRY.afterClimb,
		person: oneOf('who', TRIED_PERSONS, 'usual'),
		typeIds: on === null ? FIRST_TRY.typeIds : [...new Set(on.split('.').filter(isCatalogueId))]
	};
}
