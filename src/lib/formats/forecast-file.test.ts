import { describe, expect, it } from 'vitest';
import { standInClimate } from '../server/climate/stand-in';
import { DEMO_DOCUMENT } from './demo';
import { FORECAST_FORMAT, forecastCsv, forecastOfTrip, readForecast } from './forecast-file';

const CSV = `date,altitude_m,low_c,high_c,wind_10m_kmh,humidity_pct,wet
2027-01-23,900,-6.5,-1,25,80,09:00-12:30 wet-snow; 14:00-15:00 drizzle
2027-01-23,2000,−11,-7,60,,
2027-01-24,900,-4,2,10,,
`;

describe('a forecast file', () => {
	it('is read from CSV: the first row of a day is its main height, further rows are other heights', () => {
		const { value, errors } = readForecast(CSV, 'valley.csv');
		expect(errors).toBeNull();
		expect(value!.source).toBe('valley.csv');
		expect(value!.days).toEqual([
			{
				date: '2027-01-23', altitudeM: 900, lowTempC: -6.5, highTempC: -1, wind10mKmh: 25, humidityPct: 80,
				wetSpells: [
					{ fromMin: 540, toMin: 750, kind: 'wet-snow' },
					{ fromMin: 840, toMin: 900, kind: 'drizzle' }
				],
				heights: [{ altitudeM: 2000, lowTempC: -11, highTempC: -7, wind10mKmh: 60 }]
			},
			{ date: '2027-01-24', altitudeM: 900, lowTempC: -4, highTempC: 2, wind10mKmh: 10, wetSpells: [], heights: [] }
		]); // prettier-ignore
	});
	it('is the same after writing and reading, as CSV with commas or semicolons and as JSON', async () => {
		const days = (await standInClimate().forecast('vessel-valley', '2027-01-20', 10))!;
		const csv = forecastCsv({ days });
		expect(readForecast(csv, 's').value!.days).toEqual(days);
		const german = csv.replaceAll('; ', ' ; ').replaceAll(',', '\t');
		expect(readForecast(german, 's').value!.days).toEqual(days);
		const json = JSON.stringify({ format: FORECAST_FORMAT, formatVersion: 1, source: 's', days });
		expect(readForecast(json, 'other').value).toEqual({
			format: FORECAST_FORMAT,
			formatVersion: 1,
			source: 's',
			days
		});
	});
	it.each([
		['low_c;high_c\n1;2', 'line 1', /must name date, altitude_m/],
		[CSV.replace('-6.5', 'cold'), 'line 2, low_c', /must be a number/],
		[CSV.replace('wet-snow', 'sleet'), 'line 2, wet', /hours and a kind/],
		[CSV.replace('-6.5,-1', '-1,-6.5'), 'days.0', /the high must not be below the low/],
		[CSV.replace('2027-01-24', '24.1.'), 'days.1.date', /a date such as/],
		['{"format":', '', /not readable JSON/],
		['{"format": "other"}', 'format', /must be one of/]
	])('with a slip says where: %#', (text, field, message) => {
		const { value, errors } = readForecast(text, 'x');
		expect(value).toBeNull();
		expect(errors!.find((error) => error.field === field)?.message).toMatch(message);
	});
	it('is made of what a trip says', () => {
		const days = forecastOfTrip(DEMO_DOCUMENT.trip);
		expect(days.map(({ date, lowTempC }) => [date, lowTempC])).toEqual([
			['2027-01-23', -3],
			['2027-01-24', 1]
		]);
		expect(readForecast(forecastCsv({ days }), 's').value!.days).toEqual(days);
	});
});

describe('the simulated climate', () => {
	const climate = standInClimate();
	it('answers the same question the same, another seed otherwise, and does not depend on where one starts', async () => {
		const ask = (seed: string, from: string, days: number) =>
			standInClimate(seed).forecast('skarn-islands', from, days);
		const first = await ask('a', '2027-11-01', 5);
		expect(await ask('a', '2027-11-01', 5)).toEqual(first);
		expect(await ask('a', '2027-11-03', 1)).toEqual([first![2]]);
		expect(await ask('b', '2027-11-01', 5)).not.toEqual(first);
	});
	it('has winters colder than summers, and a spread like its own over many days', async () => {
		for (const { id } of await climate.places()) {
			const [january, july] = [(await climate.normals(id, 1))!, (await climate.normals(id, 7))!];
			expect(january.highTempC).toBeLessThan(july.lowTempC + 6);
			expect(january.lowTempC).toBeLessThan(january.highTempC);
		}
		const normals = (await climate.normals('hollin-forest', 1))!;
		const middles: number[] = [];
		for (let year = 1990; year < 2020; year++) {
			const days = (await climate.forecast('hollin-forest', `${year}-01-01`, 31))!;
			middles.push(...days.map(({ lowTempC, highTempC }) => (lowTempC + highTempC) / 2));
		}
		const mean = middles.reduce((a, b) => a + b) / middles.length;
		const sd = Math.sqrt(middles.reduce((sum, x) => sum + (x - mean) ** 2, 0) / middles.length);
		expect(Math.abs(mean - (normals.lowTempC + normals.highTempC) / 2)).toBeLessThan(1);
		expect(sd / normals.spreadK).toBeGreaterThan(0.85);
		expect(sd / normals.spreadK).toBeLessThan(1.15);
	});
	it('does not know what it does not know', async () => {
		expect(await climate.normals('nowhere', 1)).toBeNull();
		expect(await climate.normals('lowmere', 13)).toBeNull();
		expect(await climate.forecast('nowhere', '2027-01-01', 1)).toBeNull();
	});
});
