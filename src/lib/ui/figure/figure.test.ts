import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PlannedPhase } from '$lib/core/kit/planned-day';
import { CATALOGUE } from '$lib/core/cloth/catalogue';
import { planStage } from '$lib/core/plan/planner';
import { clothWorn, kitOf, PLANNED, stageOf } from '../../../../tests/fixtures/make';
import { UNITS_PER_CLO } from './body-shapes';
import { drawnFigure, type Figure } from './drawn-figure';
import { figureLabels, LABEL_PX, spread, wrapped } from './figure-labels';

const [bare] = planStage(
	stageOf([['stop', 30, 80, 'slope']], { airTempC: -8 }),
	PLANNED,
	kitOf(['fleece'])
).phases;
/** A phase in which some things are worn, in this order from the skin. */
const wearing = (...worn: ReturnType<typeof clothWorn>[]): PlannedPhase => ({
	...bare!,
	outfit: worn,
	wet: [],
	wetness: {}
});
const points = (d: string): { x: number; y: number }[] =>
	[...d.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }));
/** How far out a layer reaches at a height. */
const reachAt = ({ outside }: Figure, index: number, atY: number): number =>
	Math.max(
		0,
		...outside[index]!.d.split('M')
			.map(points)
			.flatMap((outline) =>
				outline.flatMap((from, i) => {
					const to = outline[(i + 1) % outline.length]!;
					if (Math.min(from.y, to.y) > atY || Math.max(from.y, to.y) < atY || from.y === to.y) return [];
					return from.x + ((to.x - from.x) * (atY - from.y)) / (to.y - from.y);
				})
			)
	);
const warmer = (layer: ReturnType<typeof clothWorn>, times: number): ReturnType<typeof clothWorn> => ({
	...layer,
	cloth: { ...layer.cloth, localClo: layer.cloth.localClo * times }
});

describe('the dressed figure', () => {
	it('draws twice the insulation twice as thick', () => {
		const trousers = clothWorn('trousers-trek', 3);
		const skin = reachAt(drawnFigure(wearing(warmer(trousers, 0))), 0, 230);
		const once = reachAt(drawnFigure(wearing(trousers)), 0, 230) - skin;
		const twice = reachAt(drawnFigure(wearing(warmer(trousers, 2))), 0, 230) - skin;
		expect(once).toBeCloseTo(trousers.cloth.localClo * UNITS_PER_CLO, 0);
		expect(twice / once).toBeCloseTo(2, 1);
	});
	it('lies layer on layer', () => {
		const [under, over] = [clothWorn('bottoms-wool', 1), clothWorn('trousers-trek', 3)];
		const both = drawnFigure(wearing(under, over));
		expect(reachAt(both, 1, 230)).toBeGreaterThan(reachAt(both, 0, 230));
		expect(reachAt(both, 1, 230)).toBeGreaterThan(reachAt(drawnFigure(wearing(over)), 0, 230));
		expect(both.cut.map(({ thingId }) => thingId)).toEqual(
			both.outside.map(({ thingId }) => thingId).reverse()
		);
	});
	it('draws no cloth on a part that is not covered', () => {
		const { outside } = drawnFigure(wearing(clothWorn('tshirt-cotton', 1), clothWorn('shorts', 3)));
		const all = outside.flatMap(({ d }) => points(d));
		// Nothing below the thighs, nothing over the neck, nothing on the forearms.
		expect(Math.max(...all.map(({ y }) => y))).toBeLessThan(274);
		expect(Math.min(...all.map(({ y }) => y))).toBeGreaterThan(57);
		expect(Math.max(...all.filter(({ y }) => y > 150).map(({ x }) => x))).toBeLessThan(50);
	});
	it('runs every outline of a layer the same way round, so that they are one shape, and holes the other way', () => {
		const area = (d: string): number => {
			const all = points(d);
			return all.reduce((sum, { x, y }, i) => {
				const next = all[(i + 1) % all.length]!;
				return sum + x * next.y - next.x * y;
			}, 0);
		};
		for (const { id, slot } of CATALOGUE.filter((type) => type.slot !== 'eyes')) {
			const [layer] = drawnFigure(wearing(clothWorn(id, 2))).outside;
			const outlines = (layer?.d ?? '').split('M').filter(Boolean);
			const holes = outlines.filter((d) => area(d) <= 0).length;
			expect(holes, `${id} in ${slot}`).toBeLessThanOrEqual(1);
			if (holes === 1) expect(Math.max(...outlines.map(area)), id).toBeGreaterThan(0);
		}
		const [tube] = drawnFigure(wearing(clothWorn('neck-tube', 2))).outside;
		expect(tube!.d.split('M').filter((d) => d !== '' && area(d) <= 0)).toEqual([]);
	});
	it('tells what is put on at this moment', () => {
		const [top, shell] = [clothWorn('top-wool-mid', 1), clothWorn('hard-shell', 4)];
		const isNew = (before: PlannedPhase['outfit'] | null): boolean[] =>
			drawnFigure(wearing(top, shell), before).outside.map((layer) => layer.isNew);
		expect(isNew([top])).toEqual([false, true]);
		expect(isNew(null)).toEqual([false, false]);
	});
	it('marks what is bare and needed, and what gets cold', () => {
		const marksOf = (phase: PlannedPhase): Map<string, string> =>
			new Map(drawnFigure(phase).marks.map(({ part, kind }) => [part, kind]));
		expect(marksOf(bare!).get('feet')).toMatch(/missing|not asked/);
		// The body gets cold where least is on it.
		const cold = {
			...wearing(clothWorn('top-wool-mid', 1), clothWorn('fleece', 2), clothWorn('bottoms-wool', 1)),
			verdict: 'short' as const,
			limitedBy: 'body' as const,
			coverage: []
		};
		expect([...marksOf(cold)]).toEqual([
			['thighs', 'short'],
			['calves', 'short']
		]);
		const right = { ...bare!, verdict: 'right' as const, coverage: [] };
		expect(drawnFigure(right).marks).toEqual([]);
	});
	it('has a shape for everything of the catalogue that is worn', () => {
		for (const { id, properties } of CATALOGUE) {
			if (Object.keys(properties.covers).length === 0) continue;
			const [layer] = drawnFigure(wearing(clothWorn(id, 2))).outside;
			expect(layer!.d.length, id).toBeGreaterThan(0);
			expect(layer!.d, id).not.toMatch(/NaN|Infinity/);
		}
	});
});

describe('names beside the figure', () => {
	it('never touch each other and stay within the picture, as far as there is room', () => {
		fc.assert(
			fc.property(
				fc.array(
					fc.record({ y: fc.double({ min: 0, max: 300, noNaN: true }), height: fc.constantFrom(15, 30) }),
					{
						maxLength: 8
					}
				),
				(wanted) => {
					const placed = spread(wanted, 320);
					const boxes = placed
						.map((y, i) => [y - wanted[i]!.height / 2, y + wanted[i]!.height / 2] as const)
						.sort((a, b) => a[0] - b[0]);
					boxes.forEach(([top, end], i) => {
						expect(end).toBeLessThanOrEqual(320);
						expect(top).toBeGreaterThanOrEqual(-1e-9);
						if (i > 0) expect(top).toBeGreaterThanOrEqual(boxes[i - 1]![1] - 1e-9);
					});
				}
			)
		);
	});
	it('are apart for the fullest outfit', () => {
		const kit = [
			clothWorn('top-wool-mid', 1),
			clothWorn('bottoms-wool', 1),
			clothWorn('sock-heavy', 1),
			clothWorn('glove-liner', 1),
			clothWorn('fleece', 2),
			clothWorn('trousers-soft-shell', 3),
			clothWorn('hat-warm', 2),
			clothWorn('neck-tube', 2),
			clothWorn('goggles', 2),
			clothWorn('mitten', 2),
			clothWorn('boot-hiking', 4),
			clothWorn('hard-shell', 4),
			clothWorn('coat-down', 5)
		];
		const labels = figureLabels(
			drawnFigure(wearing(...kit)),
			(id) => `A name of forty letters, ${id}`,
			() => 'mark',
			{
				scale: 0.5,
				middleX: 230,
				width: 460,
				height: 260
			}
		);
		for (const side of ['cut', 'outside'] as const) {
			const own = labels.filter((one) => one.side === side).sort((a, b) => a.to.y - b.to.y);
			own.slice(1).forEach((label, i) => {
				const before = own[i]!;
				const room = label.to.y - before.to.y;
				expect(room).toBeGreaterThanOrEqual(((label.lines.length + before.lines.length) / 2) * LABEL_PX);
			});
		}
		expect(labels).toHaveLength(kit.length + drawnFigure(wearing(...kit)).marks.length);
	});
	it('are lines of whole words', () => {
		expect(wrapped('Long underpants', 9)).toEqual(['Long', 'underpants']);
		expect(wrapped('Long underpants', 30)).toEqual(['Long underpants']);
		expect(wrapped('One two three four five six', 9)).toEqual(['One two', 'three …']);
	});
});
