import { describe, expect, it } from 'vitest';
import { EFFORT_CLASSES, effortClass, pumpingSpeedMs } from '../../src/lib/core/body/effort';
import { STILL_AIR_M2KW } from '../../src/lib/core/body/insulation';
import { nightVerdict } from '../../src/lib/core/body/night';
import { catalogueType } from '../../src/lib/core/cloth/catalogue';
import { AREA_SHARE, REGIONS } from '../../src/lib/core/cloth/parts';
import { airInUse, regionTotalM2kw } from '../../src/lib/core/cloth/supply';
import { bloodHeatWm2, minutesUntilC, settledTempC } from '../../src/lib/core/heat/extremities';
import { planStage } from '../../src/lib/core/plan/planner';
import { CLO_M2KW } from '../../src/lib/core/units';
import { PLANNED, type PhaseRow, kitOf, stageOf } from '../fixtures/make';

/** Minutes until a hand or foot in some things is at 15 °C, from 33 °C. */
function minutesTo15(
	part: 'fingers' | 'toes',
	typeIds: string[],
	airTempC: number,
	metabolicWm2: number,
	windMs: number
): number | null {
	const layers = typeIds.map((id) => {
		const { localClo, airPermeability } = catalogueType(id).properties;
		return { localClo, share: 1, airPermeability };
	});
	const total = regionTotalM2kw(layers, airInUse(windMs, pumpingSpeedMs(metabolicWm2)));
	return minutesUntilC(
		33,
		settledTempC(airTempC, bloodHeatWm2(part, metabolicWm2, COMFORTABLE_WHM2, 1), total),
		total,
		15
	);
}

/** Debt of a body that is just comfortable, Wh/m²: fingers and toes have their usual blood. */
const COMFORTABLE_WHM2 = 40;

describe('fingers and toes (common practice, no source)', () => {
	it('bare hands at −10 °C, standing, fail in about 10 minutes', () => {
		const minutes = minutesTo15('fingers', [], -10, 80, 0.4)!;
		expect(minutes).toBeGreaterThan(7);
		expect(minutes).toBeLessThan(15);
	});
	it('a light glove on a climb at −10 °C does not fail', () => {
		expect(minutesTo15('fingers', ['glove-light'], -10, 280, 1)).toBeNull();
	});
	it('hiking boots with good socks serve a moving person to −10 °C', () => {
		expect(minutesTo15('toes', ['sock-mid', 'boot-hiking'], -10, 230, 1)).toBeNull();
	});
	it('standing still, the same boots fail there', () => {
		expect(minutesTo15('toes', ['sock-mid', 'boot-hiking'], -10, 80, 1)).toBeLessThan(120);
	});
	it('pac boots serve a moving person to −20 °C', () => {
		expect(minutesTo15('toes', ['sock-heavy', 'boot-pac'], -20, 200, 1)).toBeNull();
	});
});

describe('EN 511 classes of thermal insulation, air layer included (from memory)', () => {
	const CLASSES: [typeId: string, leastM2kw: number][] = [
		['glove-light', 0.15],
		['glove-winter', 0.22],
		['mitten', 0.3]
	];
	it.each(CLASSES)('%s reaches %f m²·K/W', (typeId, least) => {
		const local = catalogueType(typeId).properties.localClo * CLO_M2KW;
		expect(local + STILL_AIR_M2KW / (1 + 1.97 * local)).toBeGreaterThanOrEqual(least);
	});
});

describe('EN ISO 23537: comfort and limit of a sleeping bag (from memory)', () => {
	it.each([
		[0, 0, -6, 0, 'right'],
		[-3, 0, -6, 0, 'cool'],
		[-3, 0, -6, 0.15, 'short'],
		[-7, 0, -6, 0, 'short']
	] as const)(
		'night %d °C, comfort %d, limit %d, offset %f clo: %s',
		(night, comfort, limit, offset, verdict) => {
			expect(nightVerdict(night, comfort, limit, offset)).toBe(verdict);
		}
	);
});

describe('ISO 8996 classes of metabolic rate (from memory)', () => {
	it.each(Object.entries(EFFORT_CLASSES))('%s is %d W/m²', (name, wm2) => {
		expect(effortClass(wm2)).toBe(name);
	});
});

describe('Hardy & DuBois area shares (from memory)', () => {
	it('sum to the whole body', () => {
		expect(REGIONS.reduce((sum, region) => sum + AREA_SHARE[region], 0)).toBeCloseTo(1, 10);
	});
	it('give the head about a tenth at most, not 70 % (Pretorius et al. 2006, from memory)', () => {
		expect(AREA_SHARE.skull + AREA_SHARE.face + AREA_SHARE.neck).toBeLessThanOrEqual(0.1);
	});
});

describe('whole kits (checks of sense, common practice)', () => {
	const KIT = [
		'briefs',
		'top-wool-mid',
		'fleece',
		'soft-shell',
		'bottoms-wool',
		'trousers-soft-shell',
		'sock-heavy',
		'boot-ski-touring',
		'glove-liner',
		'glove-winter',
		'mitten',
		'hat-warm',
		'neck-tube',
		'sunglasses'
	];
	const CLIMB_AND_STAND: PhaseRow[] = [
		['move', 90, 280, 'slope'],
		['stop', 25, 80, 'ridge']
	];
	const lastOf = (kit: string[], rows: PhaseRow[], airTempC: number, wind10mKmh: number) =>
		planStage(stageOf(rows, { airTempC, wind10mKmh }), PLANNED, kitOf(kit)).phases.at(-1)!;

	it('a rest after a climb is judged better than the same rest out of the car', () => {
		const climbed = lastOf(KIT, CLIMB_AND_STAND, -8, 35);
		const driven = lastOf(KIT, [['ride', 30, 65, 'in'], CLIMB_AND_STAND[1]!], -8, 35);
		expect(climbed.peakDebtWhm2).toBeLessThan(driven.peakDebtWhm2);
	});
	it('the stop coat makes a long stop hold that does not hold without it', () => {
		const rows: PhaseRow[] = [CLIMB_AND_STAND[0]!, ['stop', 45, 80, 'ridge']];
		expect(lastOf(KIT, rows, -10, 40).verdict).toBe('short');
		expect(
			lastOf([...KIT, 'coat-synthetic', 'overmitt-down', 'overtrousers-warm'], rows, -10, 40).peakDebtWhm2
		).toBeLessThan(70);
	});
	it('three hours sitting at −9 °C want more than 4 clo', () => {
		const sitting = lastOf(KIT, [['stop', 180, 68, 'trees']], -9, 15);
		expect(sitting.band!.neutralClo).toBeGreaterThan(4);
		expect(sitting.verdict).not.toBe('right');
	});
	it('nothing suffices for a day of standing in a storm', () => {
		expect(lastOf(KIT, [['stop', 480, 75, 'ridge']], -25, 70).verdict).toBe('nothing suffices');
	});
});
