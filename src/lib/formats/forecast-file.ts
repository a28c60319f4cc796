import Papa from 'papaparse';
import type { Trip } from '../core/document/types';
import { type Precipitation, PRECIPITATIONS } from '../core/document/weather';
import type { DayForecast } from '../core/weather/climate';
import { check, type Checked, type FieldError } from './check';
import { forecastFileSchema } from './schema/forecast';

/**
 * Forecasts in and out, as JSON and CSV in a form of our own (docs/api.md). A JSON file has one entry a day; a CSV file
 * has one row for each day and height: the first row of a day is its main height and carries wind, humidity and hours of
 * rain, further rows of the same day are forecasts for other heights.
 */
export const FORECAST_FORMAT = 'snug-summit/forecast';
export interface ForecastFile {
	format: typeof FORECAST_FORMAT;
	formatVersion: 1;
	source: string;
	days: DayForecast[];
}

const COLUMNS = ['date', 'altitude_m', 'low_c', 'high_c', 'wind_10m_kmh', 'humidity_pct', 'wet'] as const;
type Column = (typeof COLUMNS)[number];
type Row = Partial<Record<Column, string>>;

const hhmm = (minutes: number): string =>
	`${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
/** "09:00-12:30 rain; 14:00-15:00 drizzle" */
const spellsText = (spells: DayForecast['wetSpells']): string =>
	spells.map(({ fromMin, toMin, kind }) => `${hhmm(fromMin)}-${hhmm(toMin)} ${kind}`).join('; ');

function spellsFrom(text: string): DayForecast['wetSpells'] | null {
	const spells: DayForecast['wetSpells'] = [];
	for (const part of text.split(';').map((one) => one.trim())) {
		if (part === '') continue;
		const found = /^(\d{1,2}):(\d\d)\s*[-–]\s*(\d{1,2}):(\d\d)\s+([a-z-]+)$/.exec(part);
		if (!found || !(PRECIPITATIONS as readonly string[]).includes(found[5]!)) return null;
		const [, h1, m1, h2, m2, kind] = found;
		spells.push({
			fromMin: Number(h1) * 60 + Number(m1),
			toMin: Number(h2) * 60 + Number(m2),
			kind: kind as Precipitation
		});
	}
	return spells;
}

const trouble = (field: string, value: unknown, message: string): FieldError => ({
	field,
	value,
	allowed: message,
	message
});

/** Numbers of a row; an empty cell is left out, and what is no number is reported with its line. */
function numberIn(row: Row, column: Column, line: number, errors: FieldError[]): number | null {
	const text = (row[column] ?? '').trim().replace('−', '-');
	if (text === '') return null;
	const value = Number(text);
	if (Number.isFinite(value)) return value;
	errors.push(trouble(`line ${line}, ${column}`, text, 'must be a number such as -3.5'));
	return null;
}

function fromCsv(text: string): { days: unknown[]; errors: FieldError[] } {
	const parsed = Papa.parse<Row>(text.trim(), {
		header: true,
		skipEmptyLines: 'greedy',
		delimitersToGuess: [',', ';', '\t'],
		transformHeader: (head) => head.trim().toLowerCase()
	});
	const missing = ['date', 'altitude_m', 'low_c', 'high_c'].filter(
		(column) => !parsed.meta.fields?.includes(column)
	);
	if (missing.length > 0) {
		return {
			days: [],
			errors: [
				trouble(
					'line 1',
					parsed.meta.fields?.join(', ') ?? '',
					`the first line must name ${missing.join(', ')}`
				)
			]
		};
	}
	const errors: FieldError[] = [];
	const days = new Map<string, Record<string, unknown> & { heights: unknown[] }>();
	parsed.data.forEach((row, index) => {
		const line = index + 2;
		const date = (row.date ?? '').trim();
		const figures = {
			altitudeM: numberIn(row, 'altitude_m', line, errors),
			lowTempC: numberIn(row, 'low_c', line, errors),
			highTempC: numberIn(row, 'high_c', line, errors)
		};
		const wind10mKmh = numberIn(row, 'wind_10m_kmh', line, errors);
		const known = days.get(date);
		if (known) {
			known.heights.push({ ...figures, wind10mKmh });
			return;
		}
		const wetSpells = spellsFrom(row.wet ?? '');
		if (!wetSpells)
			errors.push(
				trouble(`line ${line}, wet`, row.wet, 'must be hours and a kind, such as 09:00-12:30 rain')
			);
		const humidityPct = numberIn(row, 'humidity_pct', line, errors);
		days.set(date, {
			date,
			...figures,
			...(wind10mKmh !== null && { wind10mKmh }),
			...(humidityPct !== null && { humidityPct }),
			wetSpells: wetSpells ?? [],
			heights: []
		});
	});
	return { days: [...days.values()], errors };
}

/**
 * A forecast file, JSON or CSV by its look, checked. Errors name the field, or line and column.
 * @param text content of the file
 * @param source what to call it beside the figures, the file's name as a rule
 */
export function readForecast(text: string, source: string): Checked<ForecastFile> {
	let input: unknown;
	if (/^\s*[{[]/.test(text)) {
		try {
			input = JSON.parse(text);
		} catch {
			return { value: null, errors: [trouble('', '', 'is not readable JSON')] };
		}
	} else {
		const { days, errors } = fromCsv(text);
		if (errors.length > 0) return { value: null, errors };
		input = { format: FORECAST_FORMAT, formatVersion: 1, source, days };
	}
	return check<ForecastFile>(forecastFileSchema, input);
}

/** The same as CSV. */
export function forecastCsv({ days }: Pick<ForecastFile, 'days'>): string {
	const rows = days.flatMap((day) => [
		[
			day.date,
			day.altitudeM,
			day.lowTempC,
			day.highTempC,
			day.wind10mKmh,
			day.humidityPct,
			spellsText(day.wetSpells)
		],
		...day.heights.map((height) => [
			day.date,
			height.altitudeM,
			height.lowTempC,
			height.highTempC,
			height.wind10mKmh ?? '',
			'',
			''
		])
	]);
	return Papa.unparse({ fields: [...COLUMNS], data: rows }, { newline: '\n' }) + '\n';
}

/** What a trip says of its air, day by day; of two stages on a day the first. */
export function forecastOfTrip({ stages }: Pick<Trip, 'stages'>): DayForecast[] {
	const days = new Map<string, DayForecast>();
	for (const { date, base } of stages) {
		const { altitudeM, lowTempC, highTempC, wind10mKmh, humidityPct, wetSpells, heights } = base;
		if (!days.has(date))
			days.set(date, { date, altitudeM, lowTempC, highTempC, wind10mKmh, humidityPct, wetSpells, heights });
	}
	return [...days.values()];
}
