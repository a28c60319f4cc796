import type { Measure } from '../core/document/finding';
import type { Unit } from '../core/document/reasons';

/**
 * Units as a person reads and types them. The document and the core keep SI (°C, m, km/h as forecasts say, m/s, g);
 * figures are converted where they are shown and where they are typed, never in between, so that switching back and forth
 * changes nothing.
 */
export const UNIT_CHOICES = {
	temp: ['C', 'F'],
	height: ['m', 'ft'],
	speed: ['kmh', 'ms', 'mph'],
	mass: ['kg', 'lb'],
	date: ['dm', 'md']
} as const;
export interface Units {
	temp: 'C' | 'F';
	height: 'm' | 'ft';
	speed: 'kmh' | 'ms' | 'mph';
	mass: 'kg' | 'lb';
	/** the day before its month, or after it */
	date: 'dm' | 'md';
}
export const METRIC: Units = { temp: 'C', height: 'm', speed: 'kmh', mass: 'kg', date: 'dm' };

export const UNIT_WORDS = {
	C: '°C',
	F: '°F',
	m: 'm',
	ft: 'ft',
	kmh: 'km/h',
	ms: 'm/s',
	mph: 'mph',
	kg: 'kg',
	lb: 'lb',
	dm: '23 Jan',
	md: 'Jan 23'
} as const;

/** What is measured: a temperature, a difference of temperatures, a lapse (K per 1000 m), a height, a speed in km/h. */
export type Quantity = 'temp' | 'difference' | 'lapse' | 'height' | 'speed';

const FOOT_M = 0.3048;
const MILE_KM = 1.609344;
const KMH_PER: Readonly<Record<Units['speed'], number>> = { kmh: 1, ms: 3.6, mph: MILE_KM };
const POUND_G = 453.59237;

/** Factor and offset from SI to a unit: shown = SI · factor + offset. */
function scaleOf(quantity: Quantity, { temp, height, speed }: Units): { factor: number; offset: number } {
	const degree = temp === 'F' ? 1.8 : 1;
	switch (quantity) {
		case 'temp':
			return { factor: degree, offset: temp === 'F' ? 32 : 0 };
		case 'difference':
			return { factor: degree, offset: 0 };
		case 'lapse':
			return { factor: degree * (height === 'ft' ? FOOT_M : 1), offset: 0 };
		case 'height':
			return { factor: height === 'ft' ? 1 / FOOT_M : 1, offset: 0 };
		case 'speed':
			return { factor: 1 / KMH_PER[speed], offset: 0 };
	}
}

/** A figure in the unit of the reader. @param si °C, K, K per 1000 m, m or km/h */
export function toUnit(quantity: Quantity, si: number, units: Units): number {
	const { factor, offset } = scaleOf(quantity, units);
	return si * factor + offset;
}
/** A typed figure as °C, K, K per 1000 m, m or km/h. Tiny remains of the conversion are rounded away. */
export function fromUnit(quantity: Quantity, typed: number, units: Units): number {
	const { factor, offset } = scaleOf(quantity, units);
	return Math.round(((typed - offset) / factor) * 1e6) / 1e6;
}
/** Decimals that a field shows at most. */
const DECIMALS: Readonly<Record<Quantity, number>> = {
	temp: 1,
	difference: 1,
	lapse: 2,
	height: 0,
	speed: 1
};
/** A figure for a field: rounded for reading; what is stored stays as it is until somebody types. */
export function forField(quantity: Quantity, si: number, units: Units): number {
	const scale = 10 ** DECIMALS[quantity];
	return Math.round(toUnit(quantity, si, units) * scale) / scale + 0;
}
export const unitWord = (quantity: Quantity, { temp, height, speed }: Units): string => {
	const degree = temp === 'F' ? '°F' : 'K';
	switch (quantity) {
		case 'temp':
			return UNIT_WORDS[temp];
		case 'difference':
			return degree;
		case 'lapse':
			return `${degree} per 1000 ${height}`;
		case 'height':
			return UNIT_WORDS[height];
		case 'speed':
			return UNIT_WORDS[speed];
	}
};

const MINUS = '−';
const rounded = (value: number, digits: number): string => {
	const text = Math.abs(value).toFixed(digits);
	return value < 0 && Number(text) !== 0 ? MINUS + text : text;
};
/** A temperature with its degree sign, and the letter where it is not °C. */
export const tempWords = (tempC: number, units: Units): string =>
	`${rounded(toUnit('temp', tempC, units), 0)}°${units.temp === 'F' ? 'F' : ''}`;
/** A figure with its unit, rounded to whole units. */
export const withUnit = (quantity: Quantity, si: number, units: Units, digits = 0): string =>
	`${rounded(toUnit(quantity, si, units), digits)} ${unitWord(quantity, units)}`;
/** Weight with its unit: grams and kilograms, or ounces and pounds. */
export function massWords(massG: number, { mass }: Units): string {
	if (mass === 'lb') {
		return massG < POUND_G
			? `${Math.round((massG / POUND_G) * 16)} oz`
			: `${(massG / POUND_G).toFixed(1)} lb`;
	}
	return massG < 1000 ? `${Math.round(massG)} g` : `${(massG / 1000).toFixed(1)} kg`;
}

/** Weight as it is typed: kilograms or pounds, to two digits. */
export const massForField = (massG: number, { mass }: Units): number =>
	Number((massG / (mass === 'lb' ? POUND_G : 1000)).toFixed(2));
/** What was typed so, in whole grams. */
export const massFromField = (typed: number, { mass }: Units): number =>
	Math.round(typed * (mass === 'lb' ? POUND_G : 1000));

/** A reason's figure in the unit of the reader. Units that have no choice stay. */
export function valueInUnits(value: number, unit: string, units: Units): { value: number; unit: string } {
	// Air past the body is told in m/s beside km/h, and in mph to those who read mph.
	if (unit === 'm/s' && units.speed === 'mph')
		return { value: Math.round(toUnit('speed', value * 3.6, units) * 10) / 10, unit: UNIT_WORDS.mph };
	const quantity: Quantity | undefined = (
		{ '°C': 'temp', K: 'difference', 'K per 1000 m': 'lapse', m: 'height', 'km/h': 'speed' } as const
	)[unit];
	if (!quantity) return { value, unit };
	const digits = quantity === 'height' ? 0 : 2;
	const scale = 10 ** digits;
	return {
		value: Math.round(toUnit(quantity, value, units) * scale) / scale,
		unit: unitWord(quantity, units)
	};
}

/** What a figure of a sentence is measured in. */
export type MeasureUnit = Unit | Measure['unit'];
const LONG_UNITS: Readonly<Record<string, string>> = { l: 'litres' };
/** A figure of a sentence with its unit, in the units of the reader; whole where nothing smaller is meant. */
export function measureWords({ value, unit }: { value: number; unit: MeasureUnit }, units: Units): string {
	const shown = valueInUnits(value, unit, units);
	const fine = unit === 'K' || unit === 'K per 1000 m' || unit === 'h';
	const digits = fine ? 1 : 0;
	const figure = rounded(shown.value, digits).replace(/\.0$/, '');
	return `${figure} ${LONG_UNITS[shown.unit] ?? shown.unit}`;
}

/** Readers of English who write the month first; all others write the day first. */
const MONTH_FIRST = /^en-US\b/i;

/** Units as they are kept in a cookie, and back; what is not understood is metric. */
export const unitsCookie = ({ temp, height, speed, mass, date }: Units): string =>
	[temp, height, speed, mass, date].join('.');
/** @param language what the browser says of its reader's language, where nothing has been chosen */
export function unitsFrom(cookie: string | undefined, language = ''): Units {
	const parts = (cookie ?? '').split('.');
	const usual: Units = { ...METRIC, date: MONTH_FIRST.test(language) ? 'md' : 'dm' };
	const chosen = Object.entries(UNIT_CHOICES).map(([key, choices], i) => [
		key,
		(choices as readonly string[]).includes(parts[i] ?? '') ? parts[i] : usual[key as keyof Units]
	]);
	return Object.fromEntries(chosen) as Units;
}
