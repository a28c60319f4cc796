import { planStage } from '$lib/core/plan/planner';
import { describe, expect, it } from 'vitest';
import { PLANNED, clothWorn, kitOf, stageOf } from '../../../tests/fixtures/make';
import { LateBox, type BoxModule } from './frame/late-box.svelte';
import { ChangesUnderway } from './kit/changes-underway.svelte';
import { toneOf } from './parts/tone';
import { highestOf, ribbonsOf, slabsOf, troubleOf } from './plan/drawing/cloth-stack';
import { columnEdges, columnName, columnWidths, planColumns } from './plan/drawing/plan-columns';

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

describe('loops in the plan', () => {
	const [move, stop] = phases as [(typeof phases)[0], (typeof phases)[0]];
	/** The two phases of a loop, ten rounds of them. */
	const loop = Array.from({ length: 10 }, (_, i) =>
		[move, stop].map((phase) => ({ ...phase, cell: { ...phase.cell, round: i + 1 } }))
	).flat();
	it('are one column for each phase, of which the worst round is shown', () => {
		const worse = loop.map((phase, i) =>
			i === 13
				? { ...phase, verdict: 'short' as const, holdsMinutes: 2 }
				: { ...phase, verdict: 'right' as const, holdsMinutes: null }
		);
		const columns = planColumns(worse);
		expect(columns.map(({ from, to, index }) => [from, to, index])).toEqual([
			[1, 10, 0],
			[1, 10, 13]
		]);
		expect(columnName(columns[0]!)).toBe(`${move.cell.name}, rounds 1 to 10`);
	});
	it('begin anew where something else is worn', () => {
		const changed = loop.map((phase, i) => (i >= 10 ? { ...phase, outfit: [] } : phase));
		expect(planColumns(changed).map(({ from, to, firstIndex }) => [from, to, firstIndex])).toEqual([
			[1, 5, 0],
			[1, 5, 1],
			[6, 10, 10],
			[6, 10, 11]
		]);
	});
	it('leave out what only may happen', () => {
		const whatIf = { ...stop, cell: { ...stop.cell, kind: 'what-if' as const, phaseId: 'if' } };
		expect(planColumns([move, whatIf, phases[2]!]).map(({ index }) => index)).toEqual([0, 2]);
	});
});

describe('the stack of clothes', () => {
	const short = phases[1]!;
	it('is as high as what is worn asks for: a need far over it is broken off', () => {
		const need = (needClo: number): number =>
			highestOf([{ ...short, resultantClo: 2, tooWarmAboveClo: null, band: { ...short.band!, needClo } }]);
		expect(need(1)).toBeCloseTo(2.36);
		expect(need(2.5)).toBeCloseTo(2.75);
		expect(need(9)).toBeCloseTo(3.1);
	});
	it('says what is missing, and that nothing is', () => {
		const stack = {
			...short,
			resultantClo: 1,
			tooWarmAboveClo: null,
			band: { ...short.band!, holdClo: 1.2, needClo: 1.6 }
		};
		expect(troubleOf({ ...stack, verdict: 'short' }, 1.5)).toEqual({ low: 1, high: 1.5, kind: 'short' });
		expect(troubleOf({ ...stack, resultantClo: 1.4, verdict: 'cool' }, 3)).toMatchObject({ kind: 'cool' });
		expect(troubleOf({ ...stack, resultantClo: 1.7, verdict: 'right' }, 3)).toBeNull();
		expect(troubleOf({ ...stack, tooWarmAboveClo: 0.8, verdict: 'warm' }, 3)).toEqual({
			low: 0.8,
			high: 1,
			kind: 'warm'
		});
	});
	it('is one ribbon for as long as a thing stays on', () => {
		const names = new Map([['a', 'Fleece']]);
		const slabs = slabsOf(phases, names);
		for (const run of ribbonsOf(slabs))
			run.slice(1).forEach((slab, i) => {
				expect(slab.k).toBe(run[i]!.k + 1);
				expect(slab.thingId).toBe(run[i]!.thingId);
			});
		expect(ribbonsOf(slabs).flat()).toHaveLength(slabs.length);
		expect(ribbonsOf(slabs.filter(({ k }) => k !== 1)).every((run) => run.length === 1)).toBe(true);
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

describe('a box that comes late', () => {
	it('gets what is typed while it is on its way, and no other box opens for it', async () => {
		let arrive: (box: BoxModule) => void = () => undefined;
		const finder = new LateBox('/', () => new Promise((resolve) => (arrive = resolve)));
		const check = new LateBox('c', async () => ({}) as BoxModule);
		const type = (key: string): void => {
			const event = { key, target: { closest: () => null }, preventDefault: () => undefined };
			for (const box of [check, finder]) box.onkeydown(event as unknown as KeyboardEvent);
		};
		for (const key of '/larch') type(key);
		arrive({} as BoxModule);
		await expect.poll(() => finder.open).toBe(true);
		expect(finder.typed).toBe('larch');
		expect(check.open).toBe(false);
		// The box is there, but its field has no focus yet: nothing is lost, Enter neither, and what follows Enter is not for it.
		type('c');
		expect(check.open).toBe(false);
		expect(finder.typed).toBe('larchc');
		type('Enter');
		type('x');
		expect(finder.typed).toBe('larchc\n');
		type('Tab');
		// The field has the focus: keys go there by themselves.
		const inField = { key: 'y', target: { closest: () => ({}) }, preventDefault: () => undefined };
		finder.onkeydown(inField as unknown as KeyboardEvent);
		type('z');
		expect(finder.typed).toBe('larchc\n');
		finder.open = false;
		type('c');
		await expect.poll(() => check.open).toBe(true);
	});
});

describe('changes underway', () => {
	it('are shown at once, saved one after the other, and each save has those before it', async () => {
		const changes = new ChangesUnderway();
		let stored = { id: 'client', ticked: [] as string[], version: 1 };
		const saved: { ticked: string[]; version: number }[] = [];
		const tick = (word: string): Promise<void> => {
			const ticked = [...changes.shown(stored).ticked, word];
			return changes.add('client', { ticked }, async () => {
				const row = changes.shown(stored);
				await Promise.resolve();
				saved.push({ ticked: row.ticked, version: stored.version });
				stored = { ...row, version: stored.version + 1 };
			});
		};
		void tick('head');
		void tick('hands');
		expect(changes.shown(stored).ticked).toEqual(['head', 'hands']);
		expect(changes.shown({ id: 'other', ticked: [] }).ticked).toEqual([]);
		await tick('feet');
		expect(changes.isEmpty).toBe(true);
		expect(stored).toEqual({ id: 'client', ticked: ['head', 'hands', 'feet'], version: 4 });
		expect(saved.map(({ version }) => version)).toEqual([1, 2, 3]);
	});
	it('that failed are taken back, and the next ones go on', async () => {
		const changes = new ChangesUnderway();
		const row = { id: 'thing', name: 'Fleece' };
		await changes.add('thing', { name: '' }, () => Promise.reject(new Error('no'))).catch(() => undefined);
		expect(changes.shown(row)).toEqual(row);
		let isSaved = false;
		await changes.add('thing', { name: 'Warm fleece' }, async () => void (isSaved = true));
		expect(isSaved).toBe(true);
	});
});
