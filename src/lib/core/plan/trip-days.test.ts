import { describe, expect, it } from 'vitest';
import { documentOf, kitOf, PLANNED, stageOf } from '../../../../tests/fixtures/make';
import { findingSentence } from '../../words/findings';
import { METRIC } from '../../words/units';
import { PARTS } from '../document/parts';
import type { Bed, Client, Stage } from '../document/types';
import { planDocument, planStage } from './planner';

const TENT: Bed = { kind: 'tent', washing: false, drying: 'nothing' };
const ROOM: Bed = { kind: 'heated', washing: true, drying: 'everything' };
const KIT = ['briefs', 'top-wool-mid', 'fleece', 'wind-shirt', 'bottoms-wool', 'trousers-trek', 'sock-mid', 'shoe-trail', 'glove-light']; // prettier-ignore
const guest = (ids = KIT): Client => kitOf(ids, { answeredParts: [...PARTS] });
const rainy = (bed: Bed, change: Partial<Stage> = {}): Stage =>
	stageOf([['move', 180, 200, 'slope']], { airTempC: 6, precipitation: 'rain' }, { bed, ...change });

describe('the next day', () => {
	const days = (bed: Bed): Stage[] => [
		rainy(bed, { id: 'one', date: '2027-03-01' }),
		stageOf(
			[
				['move', 60, 200, 'slope'],
				['stop', 30, 75, 'lee']
			],
			{ airTempC: 2 },
			{ id: 'two', date: '2027-03-02', bed }
		)
	];
	const planned = (bed: Bed) => {
		return planDocument(documentOf(days(bed)), guest());
	};
	it('begins with what is still wet, and says so', () => {
		const [, second] = planned(TENT);
		expect(second!.morning.length).toBeGreaterThan(0);
		const found = second!.findings.find(({ code }) => code === 'wet-morning')!;
		expect(found.thingIds.length).toBeGreaterThan(0);
		expect(found.values).toEqual({ feet: 'no' });
		expect(findingSentence(found, { who: 'Teo', nameOf: (id) => id, units: METRIC })).toMatch(
			/^Teo starts with wet things, since nothing dries there: .+\. They warm less today\.$/
		);
		expect(planned(ROOM)[1]!.morning).toEqual([]);
		const colder = (stage: typeof second) => stage!.phases[1]!.peakDebtWhm2;
		expect(colder(second)).toBeGreaterThan(colder(planned(ROOM)[1]!));
	});
	it('follows from what is worn on the day before', () => {
		const [, two] = days(TENT);
		const [, second] = planned(TENT);
		const wet = new Map(second!.morning.map(({ thingId, share }) => [thingId, share]));
		// A stage by itself that begins wet is judged as the second one of a trip.
		const alone = planStage(two!, PLANNED, guest(), [], null, wet);
		expect(alone.morning).toEqual(second!.morning);
		expect(alone.phases.map(({ verdict }) => verdict)).toEqual(second!.phases.map(({ verdict }) => verdict));
	});
	it('does not speak of a damp shell', () => {
		const client = guest([...KIT, 'hard-shell', 'trousers-hard-shell']);
		const [, second] = planDocument(documentOf(days(TENT)), client);
		expect(second!.findings.map(({ code }) => code)).not.toContain('wet-morning');
	});
});
