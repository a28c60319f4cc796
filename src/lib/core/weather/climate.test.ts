import { describe, expect, it } from 'vitest';
import { stageOf } from '../../../../tests/fixtures/make';
import { METRIC } from '../../words/units';
import { usualNote, weatherMeaning } from '../../words/weathers';
import { type DayForecast, forecastBase, threeWeathers, touched, usualBase } from './climate';

describe('three weathers', () => {
	it('are one day in ten on either side, said in plain words', () => {
		const [typical, cold, mild] = threeWeathers(5);
		expect([typical!.tempOffsetK, cold!.tempOffsetK, mild!.tempOffsetK]).toEqual([0, -6.5, 5]);
		expect(weatherMeaning(cold!)).toContain('1 day in 10 is this cold: 6.5 K colder');
		expect(weatherMeaning(cold!, { ...METRIC, temp: 'F' })).toContain('11.7 °F colder');
		expect(weatherMeaning({ ...cold!, meaning: 'As I say.' })).toBe('As I say.');
		expect(mild!.wetSpells).toHaveLength(1);
	});
});

describe('figures of a stage', () => {
	const { base } = stageOf([], { airTempC: -4 });
	it('say that they are usual, and where and when', () => {
		const place = {
			id: 'p', name: 'Vessel valley', words: '', altitudeM: 900, latitudeDeg: 0, longitudeDeg: 0, utcOffsetMin: 0
		}; // prettier-ignore
		const normals = {
			placeId: 'p', month: 1, lowTempC: -8.26, highTempC: 0.9, spreadK: 5, lapseKPerKm: 6, wind10mKmh: 14.4,
			humidityPct: 80.2, wetDays: 9, wetHours: 4, ground: 'snow' as const
		}; // prettier-ignore
		const known = usualBase(place, normals, usualNote(place, normals, 'a service'));
		expect(known.base).toMatchObject({ lowTempC: -8.5, highTempC: 1, altitudeM: 900, wind10mKmh: 14 });
		expect(known.origins.lowTempC).toEqual({ from: 'usual', note: 'Vessel valley in January, a service' });
		expect(known.base.wetSpells).toEqual([]);
		expect(usualBase(place, { ...normals, wetDays: 22, highTempC: 8 }, 's').base.wetSpells).toEqual([
			{ fromMin: 600, toMin: 840, kind: 'drizzle' }
		]);
		expect(usualBase(place, { ...normals, wetDays: 16 }, 's').base.wetSpells![0]!.kind).toBe('dry-snow');
	});
	it('are replaced by a forecast, the inversion too', () => {
		const day: DayForecast = {
			date: '2027-01-23', altitudeM: 900, lowTempC: -3, highTempC: 2, wind10mKmh: 30, humidityPct: 80, wetSpells: [], heights: []
		}; // prettier-ignore
		const known = forecastBase(day, 'file', 'valley.csv');
		expect(known.base).not.toHaveProperty('date');
		expect(known.base.inversion).toBeNull();
		expect(known.origins.wind10mKmh).toEqual({ from: 'file', note: 'valley.csv' });
	});
	it('change by three touches, within what a document takes', () => {
		const warmer = { ...base, heights: [{ altitudeM: 2000, lowTempC: -9, highTempC: -6, wind10mKmh: null }] };
		const colder = touched(warmer, 'colder');
		expect(colder.base).toMatchObject({
			lowTempC: -7,
			highTempC: -7,
			heights: [{ lowTempC: -12, highTempC: -9 }]
		});
		expect(colder.origins.lowTempC).toEqual({ from: 'touch', note: 'colder' });
		expect(touched(base, 'windier').base.wind10mKmh).toBe(35);
		expect(touched({ ...base, wind10mKmh: 199 }, 'windier').base.wind10mKmh).toBe(200);
		const wetter = touched(base, 'wetter').base.wetSpells!;
		expect(wetter).toEqual([{ fromMin: 540, toMin: 720, kind: 'rain' }]);
		expect(touched({ ...base, wetSpells: wetter }, 'wetter').base.wetSpells).toHaveLength(2);
		const full = [{ fromMin: 0, toMin: 1440, kind: 'drizzle' as const }];
		expect(touched({ ...base, wetSpells: full }, 'wetter').base.wetSpells).toEqual(full);
		expect(touched({ ...base, lowTempC: -59 }, 'colder').base.lowTempC).toBe(-60);
	});
});
