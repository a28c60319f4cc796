import { describe, expect, it } from 'vitest';
import { kitOf, type PhaseRow, PLANNED, stageOf } from '../../../../tests/fixtures/make';
import { CLIENT_FACT_NAMES, NOT_PLANNED_WITH } from '../document/client-facts';
import type { Client, FactsOfClient } from '../document/types';
import { smallThingsFor } from '../kit/small-things';
import { cellsOf } from '../conditions/cells';
import { planStage } from './planner';

const said = <T>(value: T) => ({ value, source: 'client', state: 'has' }) as const;
const KIT = [
	'top-wool-mid',
	'fleece',
	'hard-shell',
	'coat-synthetic',
	'bottoms-wool',
	'trousers-soft-shell',
	'trousers-rain',
	'sock-mid',
	'boot-winter',
	'glove-light',
	'hat-warm',
	'neck-tube',
	'sunglasses'
];
const planOf = (rows: PhaseRow[], facts: Partial<FactsOfClient>, base = {}, kit = KIT) =>
	planStage(stageOf(rows, base), PLANNED, kitOf(kit, facts as Partial<Client>));
const STAND: PhaseRow[] = [['stop', 40, 90, 'lee']];

describe('cold hands and cold feet', () => {
	it.each([
		['coldHands', 'fingers', 'toes'],
		['coldFeet', 'toes', 'fingers']
	] as const)('%s cool the %s sooner, and leave the %s as they were', (fact, own, other) => {
		const usual = planOf(STAND, {}, { airTempC: -4 }).phases[0]!;
		const cold = planOf(STAND, { [fact]: said(true) }, { airTempC: -4 }).phases[0]!;
		expect(cold[own].endC).toBeLessThan(usual[own].endC - 1);
		expect(cold[other].endC).toBeCloseTo(usual[other].endC, 1);
	});
	it('are a reason of the verdict, and not where the hands are as most hands are', () => {
		const reasons = (facts: Partial<FactsOfClient>) =>
			planOf(STAND, facts, { airTempC: -12 }).phases[0]!.reasons.map(({ rule }) => rule);
		expect(reasons({ coldHands: said(true) })).toContain('coldLimb');
		expect(reasons({ coldHands: said(false) })).not.toContain('coldLimb');
	});
});

describe('boots that stay on', () => {
	const legs = (bootsStayOn: boolean) =>
		planOf(
			[
				['move', 60, 280, 'slope'],
				['stop', 180, 70, 'lee']
			],
			{ bootsStayOn: said(bootsStayOn) },
			{ airTempC: -6, precipitation: 'rain' }
		).phases.map(({ outfit }) => outfit.map(({ cloth }) => cloth.typeId).includes('bottoms-wool'));
	it('have long underpants on from the start, which others put on at the stop', () => {
		expect(legs(false)).toEqual([false, true]);
		const [moving, standing] = legs(true);
		expect(moving).toBe(standing);
	});
});

describe('relief outside', () => {
	const LONG: PhaseRow[] = [['move', 260, 160, 'slope']];
	const WET = { airTempC: 2, precipitation: 'rain' } as const;
	const found = (facts: Partial<FactsOfClient>, kit = KIT) =>
		planOf(LONG, facts, WET, kit).findings.filter(({ part }) => part === 'access');
	it('is found wrong where the trousers must open and none does', () => {
		expect(found({ relief: said('opening') })).toMatchObject([{ code: 'no-opening', severity: 'warning' }]);
	});
	it('is right with trousers that open, and where it does not matter', () => {
		const kit = [...KIT.filter((id) => id !== 'trousers-rain'), 'trousers-hard-shell'];
		expect(found({ relief: said('opening') }, kit)).toEqual([]);
		expect(found({ relief: said('any') })).toEqual([]);
	});
});

describe('what nothing works for', () => {
	const wrong = (facts: Partial<FactsOfClient>) =>
		planOf([['move', 30, 200, 'slope']], facts).findings.filter(({ code }) => code === 'nothing-works');
	it('is wrong on every day until it is solved', () => {
		expect(wrong({ nothingWorks: said(['feet'] as const) })).toMatchObject([
			{ severity: 'blocker', part: 'feet', thingIds: ['sock-mid', 'boot-winter'] }
		]);
		expect(wrong({})).toEqual([]);
	});
});

describe('wool at the neck', () => {
	const neck = (facts: Partial<FactsOfClient>) =>
		planOf([['stop', 30, 80, 'ridge']], facts, { airTempC: -12 }, [
			...KIT.filter((id) => id !== 'neck-tube'),
			'scarf'
		]).phases[0]!.outfit.map(({ cloth }) => cloth.typeId);
	it('is worn by who does not mind, and not by whom it itches', () => {
		expect(neck({})).toContain('scarf');
		expect(neck({ itchyCollar: said(true) })).not.toContain('scarf');
	});
});

describe('small things', () => {
	const cells = [cellsOf(stageOf([['move', 60, 200, 'slope']]), PLANNED)];
	const known = kitOf([]);
	it('ride along for who needs them', () => {
		const small = smallThingsFor(cells, 0, { ...known, glasses: said(true), blisters: said(true) });
		expect(small).toEqual(expect.arrayContaining(['blister kit', 'spare glasses']));
		expect(smallThingsFor(cells, 0, known)).not.toContain('blister kit');
		expect(smallThingsFor(cells, 0, known)).not.toContain('spare glasses');
	});
});

it('every fact that is not planned with is a fact', () => {
	expect(CLIENT_FACT_NAMES).toEqual(expect.arrayContaining([...NOT_PLANNED_WITH]));
});
