import { describe, expect, it } from 'vitest';
import { documentOf, kitOf, stageOf, thingOf } from '../../../../../tests/fixtures/make';
import type { Client, Stage } from '../../document/types';
import { planDocument } from '../planner';
import { toldTomorrow, toldTonight } from './tomorrow';

const gear = ['torch', 'filter', 'power-bank', 'warmers-hand', 'insole-electric', 'pack-day'].map((typeId) =>
	thingOf(typeId)
);
const dressed = kitOf([
	'top-wool-mid',
	'fleece',
	'trousers-soft-shell',
	'sock-mid',
	'boot-hiking',
	'coat-down',
	'hard-shell',
	'hat-warm',
	'glove-winter'
]);
const client: Client = { ...dressed, things: [...dressed.things, ...gear] };
const camp = (change: Partial<Stage>): Stage =>
	stageOf(
		[
			['move', 90, 380, 'slope'],
			['stop', 40, 80, 'slope'],
			['sleep', 480, 45, 'bed']
		],
		{ airTempC: -6 },
		change
	);
const [first, second] = planDocument(
	documentOf(
		[
			camp({ id: 'one', bed: { kind: 'tent', drying: 'nothing', washing: false } as Stage['bed'] }),
			camp({ id: 'two', date: '2027-01-24' })
		],
		[client]
	),
	client
);
const typesOf = (ids: readonly string[]): string[] =>
	ids.map((id) => client.things.find((thing) => thing.id === id)!.typeId);

describe('tonight', () => {
	it('charges what has a battery, takes into the bag what frost spoils, lays out warmers', () => {
		const told = toldTonight(first!, second!, client);
		expect(typesOf(told.chargeIds)).toEqual(['torch', 'power-bank', 'insole-electric']);
		expect(typesOf(told.intoBagIds)).toEqual(['filter', 'power-bank']);
		expect(typesOf(told.warmerIds)).toEqual(['warmers-hand']);
		expect(told.drying).toEqual(first!.evening);
	});
	it('takes nothing into the bag at home, or in a night without frost', () => {
		expect(toldTonight(null, first!, client)).toMatchObject({ drying: null, intoBagIds: [] });
		const mild = {
			...first!,
			phases: first!.phases.map((phase) => ({ ...phase, cell: { ...phase.cell, airTempC: 4 } }))
		};
		expect(toldTonight(mild, second!, client).intoBagIds).toEqual([]);
	});
});

describe('tomorrow', () => {
	it('tells what to start in, what rides on top, and what is not solved', () => {
		const told = toldTomorrow(second!, client);
		expect(told.start!.thingIds.length).toBeGreaterThan(3);
		expect(told.phase!.cell.phaseId).toBe(second!.phases[told.start!.phase]!.cell.phaseId);
		expect(typesOf(told.topIds)).toContain('hard-shell');
		expect(told.watch.length).toBeLessThanOrEqual(2);
		expect(told.wrong.every(({ whatIf }) => !whatIf)).toBe(true);
		const short = {
			...second!,
			phases: second!.phases.map((phase) => ({ ...phase, verdict: 'short' as const }))
		};
		expect(toldTomorrow(short, client).wrong.map(({ name }) => name)).toContain(second!.phases[1]!.cell.name);
	});
});
