import { describe, expect, it } from 'vitest';
import type { PlannedStage } from '../../src/lib/core/kit/planned-day';
import { planStage } from '../../src/lib/core/plan/planner';
import { censusOf, saidOf } from '../fixtures/census';
import { clientWith, HOARD, HONEST_DAYS, type HonestDay } from '../fixtures/honest-kits';
import { PLANNED, stageOf } from '../fixtures/make';

/**
 * What a guide would wear (common practice, no source): every pattern on an ordinary day, dressed from an honest kit of about
 * thirty things, and from the whole catalogue. `npm run census` prints what is worn phase by phase, in three weathers.
 */

/** What nobody would sign. */
const LAUGHED_AT = [
	'outOfPlace',
	'wrongFootwear',
	'stopClothesInWork',
	'downInWork',
	'underwearOutside',
	'unusual',
	'squeezed',
	'underHelmet',
	'looseEnds',
	'shootingSeason',
	'inWater',
	'sockHeight',
	'downWet',
	'cottonLegs',
	'cotton-next-to-skin',
	'vapourSock',
	'underWaders'
];
/** A day on which so thin a kit is short at −14 °C, so that worse is worn for warmth, and that is not searched to its end. */
const TOO_COLD = ['lift-served-snow-day'];
const days = HONEST_DAYS.filter(({ patternId }) => !TOO_COLD.includes(patternId));
const dayOf = (patternId: string): HonestDay => HONEST_DAYS.find((one) => one.patternId === patternId)!;

const typesIn = (day: PlannedStage, name: RegExp): string[] =>
	day.phases.find(({ cell }) => name.test(cell.name))!.outfit.map(({ cloth }) => cloth.typeId);

/** A day as it is lived in the weather that is planned for; the same day is planned once. */
const known = new Map<readonly string[], Map<string, ReturnType<typeof censusOf>[number]>>();
function lived(day: HonestDay, kit: readonly string[]): ReturnType<typeof censusOf>[number] {
	const ofKit = known.get(kit) ?? new Map<string, ReturnType<typeof censusOf>[number]>();
	known.set(kit, ofKit);
	const made = ofKit.get(day.patternId) ?? censusOf(day, kit, [PLANNED])[0]!;
	ofKit.set(day.patternId, made);
	return made;
}

describe.each([
	['an honest kit', null],
	['the whole catalogue', HOARD]
] as const)('an ordinary day from %s', (_, hoard) => {
	it.each(days.map((day) => [day.patternId, day] as const))(
		'%s: nothing to laugh at, and few warnings',
		(patternId, one) => {
			const census = lived(one, hoard ?? one.kit);
			const codes = census.day.findings.map(({ code }) => code);
			expect(codes.filter((code) => LAUGHED_AT.includes(code))).toEqual([]);
			expect(saidOf(census, 'warning').length).toBeLessThanOrEqual(2);
			// Two hours by the fire at 7 °C in thin gloves: fingers are judged without pockets so far.
			if (patternId !== 'camp-craft-in-wet-forest') expect(saidOf(census, 'blocker')).toEqual([]);
		}
	);
});

describe('a guide would', () => {
	const planned = (patternId: string, kit?: readonly string[]): PlannedStage =>
		lived(dayOf(patternId), kit ?? dayOf(patternId).kit).day;

	it('tour in touring boots from the car to the car, jeans and walking boots out of it, no coat uphill', () => {
		const day = planned('ski-tour');
		const out = day.phases.filter(({ cell }) => cell.doing === 'ski-touring' && cell.kind !== 'what-if');
		expect(out.length).toBeGreaterThan(8);
		for (const { outfit, cell } of out) {
			const types = outfit.map(({ cloth }) => cloth.typeId);
			expect(types, cell.name).toContain('boot-ski-touring');
			expect(types, cell.name).not.toContain('jeans');
			if (cell.metabolicWm2 >= 165) expect(types.filter((id) => id.startsWith('coat'))).toEqual([]);
			if (cell.marks.includes('helmet')) expect(types, cell.name).toContain('helmet-ski');
		}
		expect(typesIn(day, /^Evening/)).not.toContain('boot-ski-touring');
	});
	it('wade in waders, and drive without them', () => {
		const day = planned('river-fishing-on-foot', HOARD);
		expect(typesIn(day, /^Stand and cast/)).toContain('waders');
		expect(typesIn(day, /^Drive/)).not.toContain('waders');
	});
	it('wear the bright vest outermost in every phase of the shooting season, of forty things', () => {
		const day = planned('hide-or-wildlife-watch', [
			...dayOf('hide-or-wildlife-watch').kit,
			'jacket-waxed',
			'jacket-denim',
			'poncho'
		]);
		const out = day.phases.filter(
			({ cell }) => !cell.heated && cell.kind !== 'sleep' && cell.kind !== 'what-if'
		);
		for (const { outfit, cell } of out)
			expect(outfit.filter(({ cloth }) => cloth.regions.trunk > 0.5).at(-1)!.cloth.typeId, cell.name).toBe(
				'vest-visible'
			);
	});
	it('walk in shorts and a light top at 25 °C, without a blocker for bare calves', () => {
		const day = planStage(
			stageOf(
				[
					['move', 90, 200, 'slope'],
					['stop', 20, 75, 'slope']
				],
				{ airTempC: 25, wind10mKmh: 8 }
			),
			PLANNED,
			clientWith(['briefs', 'tshirt-synthetic', 'top-wool-mid', 'fleece', 'shorts', 'trousers-soft-shell', 'sock-light', 'shoe-trail', 'slippers', 'sun-cap', 'hard-shell']) // prettier-ignore
		);
		const types = day.phases[0]!.outfit.map(({ cloth }) => cloth.typeId);
		expect(types).toEqual(expect.arrayContaining(['shorts', 'tshirt-synthetic', 'shoe-trail']));
		expect(types).not.toContain('slippers');
		expect(day.findings.filter(({ severity }) => severity === 'blocker')).toEqual([]);
		expect(day.findings.filter(({ code }) => code === 'missing')).toEqual([]);
	});
	it('keep on in an emergency what is on, and put on what is carried but not the partner’s coat', () => {
		const day = planned('ski-tour');
		const at = day.phases.findIndex(({ cell }) => /stop coat is in the partner/.test(cell.name));
		const before = day.phases
			.slice(0, at)
			.filter(({ cell }) => cell.kind !== 'what-if')
			.at(-1)!;
		const now = day.phases[at]!.outfit.map(({ cloth }) => cloth.thingId);
		// The coat is with the partner, even if it was worn just before.
		const body = before.outfit.filter(({ cloth }) => cloth.regions.hands < 0.5 && cloth.slot !== 'coat');
		for (const { cloth } of body) expect(now).toContain(cloth.thingId);
		expect(now.filter((id) => id.startsWith('coat'))).toEqual([]);
		expect(day.phases[at]!.verdict).not.toBe('short');
	});
});
