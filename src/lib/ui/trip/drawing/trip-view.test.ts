import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLANNED, stageOf } from '../../../../../tests/fixtures/make';
import { METRIC } from '../../../words/units';
import { clockFrom } from '../clock-typed';
import { dayHeads, groundOf, lightParts, phaseLabels, stretchesOf, sunMarks } from './trip-shapes';
import { columnsOf, stageView, timeAt } from './trip-view';
import { columnWords } from './trip-words';

const SITE = { placeId: null, latitudeDeg: 46.9, longitudeDeg: 10.8, utcOffsetMin: 60 };
const WEATHERS = [PLANNED, { ...PLANNED, id: 'cold', name: 'Cold', tempOffsetK: -8 }];
const stage = stageOf(
	[
		['indoors', 30, 95, 'in'],
		['move', 120, 280, 'slope', { altitudeM: 1500 }],
		['what-if', 60, 75, 'slope'],
		['stop', 10, 80, 'ridge', { altitudeM: 2000 }],
		['indoors', 200, 70, 'in']
	],
	{ airTempC: -5, ground: 'snow' },
	{ startMin: 420 }
);
const view = stageView(stage, WEATHERS, SITE, false);

describe('columns of the trip drawing', () => {
	it('leave out what-ifs, fill the width, and never overlap', () => {
		fc.assert(
			fc.property(fc.integer({ min: 200, max: 2000 }), fc.integer({ min: 1, max: 6 }), (width, days) => {
				const columns = columnsOf(
					Array.from({ length: days }, () => view),
					0,
					width
				);
				expect(columns).toHaveLength(4 * days);
				columns
					.slice(1)
					.forEach((column, i) => expect(column.left).toBeGreaterThanOrEqual(columns[i]!.right));
				if (width > 60 * days * 4) expect(columns.at(-1)!.right).toBeCloseTo(width, 6);
			})
		);
	});
	it('know the same phase in the other weathers', () => {
		const climb = columnsOf([view], 0, 800)[1]!;
		expect(climb.others.map(({ airTempC }) => airTempC)).toEqual([
			climb.cell.airTempC,
			climb.cell.airTempC - 8
		]);
	});
	it('find a time of the day, and none outside of it', () => {
		const columns = columnsOf([view], 0, 800);
		expect(timeAt(columns, 420)).toBe(columns[0]!.left);
		expect(timeAt(columns, 435)).toBeCloseTo((columns[0]!.left + columns[0]!.right) / 2, 6);
		expect(timeAt(columns, 1300)).toBeNull();
	});
	it('draw ground from edge to edge, lines outdoors only, light without holes', () => {
		const columns = columnsOf([view], 0, 800);
		const ground = groundOf(columns, (m) => m);
		expect([ground[0]!.x, ground.at(-1)!.x]).toEqual([columns[0]!.left, columns.at(-1)!.right]);
		expect(stretchesOf(columns).map((run) => run.length)).toEqual([2]);
		const parts = lightParts(columns);
		const covered = parts.reduce((sum, { width }) => sum + width, 0);
		expect(covered).toBeCloseTo(columns.at(-1)!.right - columns[0]!.left, 6);
		expect(parts.map(({ light }) => light)).toContain('twilight');
		expect(sunMarks(columns).map(({ text }) => text)).toEqual(['sun up 07:52']);
	});
	it('write names where there is room', () => {
		const columns = columnsOf([view], 0, 800);
		expect(phaseLabels(columns)).toHaveLength(4);
		expect(phaseLabels(columnsOf([view], 0, 60))).toHaveLength(0);
		expect(dayHeads([columns], METRIC)[0]!.text).toBe('Sat 23 Jan Stage');
		expect(dayHeads([columnsOf([view], 0, 110)], METRIC)[0]!.text).toBe('Sat 23');
		expect(dayHeads([[]], METRIC)).toEqual([]);
	});
	it('say everything of a phase in one line', () => {
		const words = columnWords(columnsOf([view], 0, 800)[1]!, METRIC, true);
		expect(words).toMatch(
			/^Sat 23 Jan, 07:30 to 09:30 Phase 1 · 1500 m · −8° \(−16° to −8° in the three weathers\) · feels −1\d° · wind 20 km\/h, open slope · dry · moving, effort very hard · daylight$/
		);
	});
});

describe('a time that is typed', () => {
	it.each([
		['7:30', 450],
		['0730', 450],
		['7.30', 450],
		['24:00', 1440],
		['24:01', null],
		['7:75', null],
		['soon', null]
	])('%s: %s', (text, minutes) => {
		expect(clockFrom(text)).toBe(minutes);
	});
});
