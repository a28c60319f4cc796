import { describe, expect, it } from 'vitest';
import { phaseOf, stageOf } from '../../../../tests/fixtures/make';
import { dayRemarks } from './day-remarks';

const ROUTE = { startM: 1000, highM: 1000, lowM: 1000, bedM: 1000 };
const day = (change: Parameters<typeof stageOf>[2] = {}): ReturnType<typeof stageOf> =>
	stageOf([['move', 300, 250, 'slope']], {}, { date: '2027-01-23', ...change });
const codes = (stage: ReturnType<typeof stageOf>, before: string | null = null): string[] =>
	dayRemarks(stage, before ? { date: before, route: ROUTE } : null).map(
		({ field, code }) => `${field} ${code}`
	);

describe('what looks like a slip in a day', () => {
	it('is nothing in an ordinary day, the first one and the one after it', () => {
		expect(codes(day())).toEqual([]);
		expect(codes(day(), '2027-01-22')).toEqual([]);
	});
	it('is a gap in the dates, and a day before the one before', () => {
		expect(dayRemarks(day(), { date: '2027-01-20', route: ROUTE })).toEqual([
			{ field: 'date', code: 'gap', days: 2 }
		]);
		expect(dayRemarks(day(), { date: '2027-01-24', route: ROUTE })).toEqual([
			{ field: 'date', code: 'before', days: 1 }
		]);
		expect(codes(day(), '2027-01-23')).toEqual(['date before']);
	});
	it('is a start somewhere else than where people slept', () => {
		const route = { ...ROUTE, bedM: 1800 };
		expect(dayRemarks(day(), { date: '2027-01-22', route })).toEqual([
			{ field: 'startM', code: 'notFromBed', bedM: 1800 }
		]);
	});
	it('is a high point under the start, and a low one over it', () => {
		const route = { startM: 1200, highM: 900, lowM: 1000, bedM: 1000 };
		expect(codes(day({ route }))).toEqual(['highM highUnderStart', 'lowM lowOverHigh']);
	});
	it('is a day of more than sixteen hours, nights and what-ifs apart', () => {
		const of = (minutes: number): string[] =>
			codes(
				day({
					sequence: [
						{
							type: 'loop',
							id: 'l',
							name: 'Lap',
							count: 2,
							sequence: [phaseOf(['move', minutes / 2, 250, 'slope'])]
						},
						phaseOf(['sleep', 540, 45, 'bed'], 1),
						phaseOf(['what-if', 120, 75, 'slope'], 2)
					]
				})
			);
		expect(of(960)).toEqual([]);
		expect(of(962)).toEqual(['startMin longDay']);
	});
});
