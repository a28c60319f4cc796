import { planStage } from '$lib/core/plan/planner';
import { describe, expect, it } from 'vitest';
import { PLANNED, clothWorn, kitOf, stageOf } from '../../../tests/fixtures/make';
import { toneOf } from './parts/tone';
import { columnEdges, columnWidths } from './plan/drawing/plan-columns';

const phases = planStage(
	stageOf([
		['move', 240, 250, 'slope'],
		['stop', 5, 80, 'lee'],
		['move', 60, 250, 'slope']
	]),
	PLANNED,
	kitOf(['fleece', 'trousers-trek'])
).phases;

describe('columns of the plan', () => {
	it('grow slower than minutes, and are never slivers', () => {
		const [long, short, middle] = columnWidths(phases, 900) as [number, number, number];
		expect(long).toBeGreaterThan(middle);
		expect(middle).toBeGreaterThan(short);
		expect(long / short).toBeLessThan(4);
		expect(short).toBeGreaterThanOrEqual(72);
	});
	it('fill what there is, and not more, unless they would become slivers', () => {
		expect(columnEdges(columnWidths(phases, 900)).at(-1)).toBeLessThanOrEqual(900);
		expect(columnEdges(columnWidths(phases, 900)).at(-1)).toBeGreaterThan(890);
		// Where there is little room they are narrow, but can still be read.
		expect(columnWidths(phases, 100)).toEqual([54, 54, 54]);
		expect(columnWidths(phases, 190).every((width) => width >= 60)).toBe(true);
	});
	it('have one edge more than columns', () => {
		expect(columnEdges([10, 20, 30])).toEqual([0, 10, 30, 60]);
		expect(columnEdges([])).toEqual([0]);
	});
});

describe('toneOf', () => {
	it.each([
		['top-wool-mid', 1, 'skin'],
		['fleece', 2, 'warmth'],
		['hard-shell', 4, 'weather'],
		['coat-synthetic', 5, 'over'],
		['jacket-down-light', 3, 'warmth'],
		['jacket-down-light', 5, 'over']
	])('%s at position %d is coloured as %s', (typeId, position, tone) => {
		expect(toneOf(clothWorn(typeId, position))).toBe(tone);
	});
});
