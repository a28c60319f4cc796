import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	PLANNED,
	type PhaseRow,
	cellOf,
	clothWorn,
	kitOf,
	stageOf,
	thingOf
} from '../../../../tests/fixtures/make';
import { CATALOGUE } from '../cloth/catalogue';
import { ROOM_PER_SIZE, loftLeft, roomOver, tooTightBy } from '../cloth/squeeze';
import { clothOf, covers } from '../cloth/things';
import { type Outfit, outfitClo, totalsOf } from '../cloth/worn';
import { PARTS } from '../document/parts';
import { VERDICTS } from '../document/verdict';
import { cellAir } from '../heat/ledger';
import { planStage } from './planner';

const FOOTWEAR = CATALOGUE.filter(({ properties }) => (properties.covers.feet ?? 0) >= 0.5);
const socks = FOOTWEAR.filter(({ properties }) => properties.positions[1] <= 2).map(({ id }) => id);
const boots = FOOTWEAR.filter(({ properties }) => properties.positions[1] >= 4).map(({ id }) => id);
const WORN_TYPES = CATALOGUE.filter(({ properties }) => Object.keys(properties.covers).length > 0).map(
	({ id }) => id
);
const COLD = cellOf(['stop', 60, 80, 'slope'], { airTempC: -8 });

const stack = (ids: readonly string[]): Outfit =>
	[...new Set(ids)]
		.map((id) => clothWorn(id, clothOf(thingOf(id)).positions[0]))
		.sort((a, b) => a.position - b.position);
const feetM2kw = (ids: readonly string[]): number => totalsOf(stack(ids), cellAir(COLD).air).feet;

describe('what is squeezed', () => {
	it('a second sock in a full boot never warms the feet', () => {
		for (const boot of boots)
			for (const first of socks)
				for (const second of socks) {
					const under = [first, second].map((id) => clothOf(thingOf(id)));
					if (first === second || tooTightBy(clothOf(thingOf(boot)), [under[0]!]) === 0) continue;
					expect(feetM2kw([first, second, boot]), `${first} ${second} ${boot}`).toBeLessThanOrEqual(
						feetM2kw([first, boot]) + 1e-9
					);
				}
	});
	it('two pairs of thick socks in a hiking boot are colder than one that fits', () => {
		expect(feetM2kw(['sock-mid', 'sock-heavy', 'boot-hiking'])).toBeLessThan(
			feetM2kw(['sock-mid', 'boot-hiking'])
		);
	});
	it('loses loft, never more than a part of it, and only under what is too tight', () => {
		fc.assert(
			fc.property(fc.subarray(WORN_TYPES, { maxLength: 6 }), (ids) => {
				const layers = stack(ids).map(({ cloth }) => cloth);
				loftLeft(layers).forEach((left) => {
					expect(left).toBeGreaterThan(0);
					expect(left).toBeLessThanOrEqual(1);
				});
				expect(loftLeft(layers).at(-1) ?? 1).toBe(1);
			})
		);
	});
	it.each([
		['L', 'M', false, ROOM_PER_SIZE],
		['S', 'M', false, -ROOM_PER_SIZE],
		['M', 'M', false, 0],
		['', 'M', false, 0],
		['S', 'M', true, 0]
	])(
		'a shell in %s over a fleece in %s, tried on %s, has %d steps more room',
		(outer, inner, tried, more) => {
			const shell = { ...clothOf(thingOf('hard-shell')), size: outer, roomIsTried: tried };
			const fleece = { ...clothOf(thingOf('fleece')), size: inner };
			expect(roomOver(shell, [fleece]) - shell.roomSteps).toBe(more);
		}
	);
});

const ROWS: PhaseRow[] = [
	['move', 60, 220, 'slope'],
	['stop', 20, 80, 'ridge']
];
describe('kits', () => {
	it('a thing more never adds a missing one', () => {
		fc.assert(
			fc.property(
				fc.subarray(WORN_TYPES, { maxLength: 9 }),
				fc.constantFrom(...WORN_TYPES),
				fc.integer({ min: -15, max: 8 }),
				(ids, more, airTempC) => {
					const missing = (kit: readonly string[]): number => {
						const client = kitOf([...new Set(kit)], { answeredParts: [...PARTS] });
						const { findings } = planStage(stageOf(ROWS, { airTempC }), PLANNED, client);
						return findings.filter(({ code }) => code === 'missing').length;
					};
					expect(missing([...ids, more])).toBeLessThanOrEqual(missing(ids));
				}
			),
			{ numRuns: 25 }
		);
	});
	it('a longer stand is never judged better by the body', () => {
		const outfits = [
			['top-wool-mid', 'fleece'],
			['top-wool-mid', 'fleece', 'coat-synthetic'],
			['top-wool-light']
		];
		const REST = ['bottoms-wool', 'trousers-soft-shell', 'sock-heavy', 'boot-pac', 'mitten', 'hat-warm'];
		fc.assert(
			fc.property(
				fc.constantFrom(...outfits),
				fc.integer({ min: 1, max: 200 }),
				fc.integer({ min: 1, max: 200 }),
				fc.integer({ min: -25, max: 9 }),
				(tops, a, b, airTempC) => {
					const ids = [...tops, ...REST];
					const peak = (minutes: number): number => {
						const worn = ids.map((thingId) => ({ thingId, opening: 'closed' as const }));
						const { phases } = planStage(
							stageOf([['stop', minutes, 78, 'lee']], { airTempC }),
							PLANNED,
							kitOf(ids),
							[{ stageId: 'stage', phaseId: 'phase-0', worn }]
						);
						expect(VERDICTS).toContain(phases[0]!.verdict);
						return phases[0]!.peakDebtWhm2;
					};
					expect(peak(Math.max(a, b))).toBeGreaterThanOrEqual(peak(Math.min(a, b)) - 1e-9);
				}
			),
			{ numRuns: 40 }
		);
	});
	it('a layer more never cools, where it has room', () => {
		const air = cellAir(COLD).air;
		fc.assert(
			fc.property(fc.subarray(WORN_TYPES, { maxLength: 6 }), fc.constantFrom(...WORN_TYPES), (ids, more) => {
				const roomy = (outfit: Outfit): Outfit =>
					outfit.map((layer) => ({ ...layer, cloth: { ...layer.cloth, roomSteps: 99, roomIsTried: true } }));
				const before = outfitClo(roomy(stack(ids)), air);
				expect(outfitClo(roomy(stack([...ids, more])), air)).toBeGreaterThanOrEqual(before - 1e-9);
			})
		);
		expect(covers(clothOf(thingOf('fleece')), 'torso')).toBe(true);
	});
});
