import { describe, expect, it } from 'vitest';
import { PLANNED, type PhaseRow, kitOf, phaseOf, stageOf, tripOf } from '../../../../../tests/fixtures/make';
import { shortName } from '../../../words/labels';
import { changeSentence, eveningSentence, startSentence, weatherWords } from '../../../words/plan-story';
import { wearableThings } from '../../cloth/things';
import { PARTS } from '../../document/parts';
import { phasesIn } from '../../document/sequence';
import type { Client, Phase, Stage, Weather } from '../../document/types';
import type { FixedOutfit } from '../../document/worn';
import { type PlannedStage } from '../../kit/planned-day';
import { threeWeathers } from '../../weather/climate';
import { planStage, planTrip, plannedDay } from '../planner';
import { toldDay, toldWeather } from './change-story';

const KIT = ['briefs', 'top-wool-mid', 'fleece', 'soft-shell', 'hard-shell', 'coat-synthetic', 'bottoms-wool', 'trousers-soft-shell', 'trousers-hard-shell', 'sock-mid', 'boot-hiking', 'glove-winter', 'mitten', 'hat-warm', 'neck-tube', 'pack-large']; // prettier-ignore
const guest = (kit = KIT): Client => kitOf(kit, { answeredParts: [...PARTS] });

/** A stage in some weathers, planned as a trip. */
function days(
	rows: PhaseRow[],
	base: Parameters<typeof stageOf>[1],
	{ client = guest(), weathers = [PLANNED] }: { client?: Client; weathers?: Weather[] } = {}
): { days: PlannedStage[]; nameOf: (id: string) => string; client: Client } {
	const plan = planTrip({ trip: { ...tripOf([stageOf(rows, base)]), weathers }, client });
	return {
		days: plan.problem.days.map((day) => plannedDay(plan, day)!),
		nameOf: (id) => shortName(client.things.find((thing) => thing.id === id)!.name),
		client
	};
}
const sentences = (rows: PhaseRow[], base: Parameters<typeof stageOf>[1], client = guest()): string[] => {
	const planned = days(rows, base, { client });
	const told = toldDay(planned.days[0]!, wearableThings(client));
	return [
		...(told.start ? [startSentence(told.start, planned.nameOf)] : []),
		...told.changes.map((change) => changeSentence(change, planned.nameOf))
	];
};
const named = (row: PhaseRow, name: string): PhaseRow => [
	row[0],
	row[1],
	row[2],
	row[3],
	{ ...row[4], name }
];

describe('wet in the evening', () => {
	const wetDay: PhaseRow[] = [
		named(['move', 240, 250, 'slope'], 'Walk'),
		named(['indoors', 120, 70, 'cold-in', { doing: 'lodging' }], 'Evening')
	];
	const RAIN = { airTempC: 6, precipitation: 'rain' } as const;
	const kit = ['briefs', 'top-wool-mid', 'fleece', 'wind-shirt', 'bottoms-wool', 'trousers-trek', 'sock-mid', 'boot-hiking', 'hat-warm', 'coat-synthetic', 'slippers', 'bag-dry', 'pack-large']; // prettier-ignore
	const ofEvening = (client: Client): string =>
		sentences(wetDay, RAIN, client).find((sentence) => sentence.includes('Evening'))!;
	it('a dry top is put on for the wet one, from the dry bag', () => {
		const client = guest([...kit, 'top-wool-light']);
		const stage = stageOf(wetDay, RAIN);
		const [walk, evening] = phasesIn(stage.sequence);
		const on = (phase: Phase | undefined, top: string): FixedOutfit => ({
			stageId: stage.id,
			phaseId: phase!.id,
			worn: [top, 'briefs', 'fleece', 'bottoms-wool', 'trousers-trek', 'sock-mid', 'boot-hiking'].map(
				(thingId) => ({ thingId, opening: 'closed' })
			)
		});
		const toldWith = (top: string): string => {
			const given = [on(walk, 'top-wool-mid'), on(evening, top)];
			const { changes } = toldDay(planStage(stage, PLANNED, client, given), wearableThings(client));
			return changes.map((change) => changeSentence(change, (id) => id)).join(' ');
		};
		expect(toldWith('top-wool-light')).toContain(
			'dry top-wool-light on for the wet top-wool-mid, from the dry bag'
		);
		expect(toldWith('top-wool-mid')).not.toContain('dry');
	});
	it('of two of a thing the dry one is put on', () => {
		const client = guest(kit);
		client.things = client.things.map((thing) =>
			thing.id === 'top-wool-mid' ? { ...thing, quantity: { ...thing.quantity, value: 2 } } : thing
		);
		expect(ofEvening(client)).toMatch(/dry wool top.* on instead of the wet/);
	});
	it('nothing is changed that is dry', () => {
		const dry = sentences(wetDay, { airTempC: 6 }, guest([...kit, 'top-wool-light']));
		expect(dry.join(' ')).not.toMatch(/for the wet|instead of the wet/);
	});
	it('what happens to wet things overnight is said', () => {
		const nameOf = (id: string): string => id;
		expect(eveningSentence({ where: 'bag', driedIds: ['socks'], footwearIds: ['boots'] }, nameOf)).toBe(
			'Evening: socks into bed with you, dry in one night; insoles out of the boots.'
		);
		expect(eveningSentence({ where: 'room', driedIds: ['socks'], footwearIds: [] }, nameOf)).toBe(
			'Evening: socks hung up, dry by morning.'
		);
		expect(eveningSentence({ where: 'bag', driedIds: [], footwearIds: ['boots'] }, nameOf)).toBe(
			'Evening: insoles out of the boots.'
		);
	});
});

describe('a climb-and-stand day, told', () => {
	const rows: PhaseRow[] = [
		named(['move', 75, 280, 'slope'], 'Climb'),
		named(['stop', 30, 75, 'ridge', { marks: ['harness'] }], 'The col'),
		named(['move', 40, 250, 'slope'], 'Way down')
	];
	const told = sentences(rows, { airTempC: -8, wind10mKmh: 25 });
	it('begins with what is worn, from outside, and no underwear', () => {
		expect(told[0]).toMatch(/^08:00 start in .*soft shell trousers/);
		expect(told[0]).not.toContain('underpants, ');
	});
	it('says at the col that the big coat goes over everything, and where it rides after', () => {
		const col = told.find((line) => line.includes('The col'))!;
		expect(col).toMatch(/^09:15 The col: .*big coat on over everything/);
		const down = told.find((line) => line.includes('Way down'))!;
		expect(down).toMatch(/big coat off, (on top of the pack|into the pack)/);
	});
});

describe('a sit-still day, told', () => {
	it('says after how long the coat comes out', () => {
		const told = sentences(
			[named(['move', 60, 200, 'lee'], 'Walk in'), named(['stop', 20, 80, 'lee'], 'Sit')],
			{ airTempC: 1, wind10mKmh: 5 },
			guest([...KIT.filter((id) => id !== 'soft-shell')])
		);
		expect(told.length).toBeGreaterThan(0);
		for (const line of told) expect(line).toMatch(/^\d\d:\d\d .+\.( A little cool .+\.)?$/);
	});
});

describe('what is told', () => {
	it('tells an exchange as one thing, and names nothing twice', () => {
		const {
			days: planned,
			nameOf,
			client
		} = days(
			[
				named(['move', 60, 230, 'slope'], 'Walk'),
				named(['move', 60, 230, 'slope', { typed: { precipitation: 'rain' } }], 'Rain')
			],
			{ airTempC: 4, wind10mKmh: 15 }
		);
		const { changes } = toldDay(planned[0]!, wearableThings(client));
		for (const change of changes) {
			const words = changeSentence(change, nameOf);
			for (const { instead } of change.on)
				if (instead) expect(words.split(nameOf(instead).toLowerCase()).length).toBeLessThanOrEqual(3);
		}
	});
	it('tells once what is done again in round after round', () => {
		const client = guest();
		const stage = stageOf([], { airTempC: -12, wind10mKmh: 20 });
		const lifts: Stage = {
			...stage,
			sequence: [
				{ ...phaseOf(['move', 15, 150, 'slope'], 0), name: 'Out' },
				{
					type: 'loop',
					id: 'runs',
					name: 'Runs',
					count: 8,
					sequence: [
						{ ...phaseOf(['ride', 15, 70, 'slope', { marks: ['seated'] }], 1), name: 'Lift' },
						{ ...phaseOf(['move', 20, 280, 'slope'], 2), name: 'Run' }
					]
				}
			]
		};
		const plan = planTrip({ trip: { ...tripOf([lifts]), weathers: [PLANNED] }, client });
		const [day] = plan.problem.days.map((one) => plannedDay(plan, one)!);
		const { changes } = toldDay(day!, wearableThings(client));
		const again = changes.filter(({ untilRound }) => untilRound !== null);
		expect(again.length).toBeGreaterThan(0);
		// Every round that something is done in is told, by itself or with those before it.
		const phases = day!.phases.filter(({ cell }) => cell.kind !== 'what-if' && cell.kind !== 'sleep');
		phases.slice(1).forEach((phase, i) => {
			const ids = (k: number): string => phases[k]!.outfit.map(({ cloth }) => cloth.thingId).join();
			if (ids(i) === ids(i + 1)) return;
			const { phaseId, round } = phase.cell;
			const tellers = changes.filter((change) => {
				const { cell } = day!.phases[change.phase]!;
				return cell.phaseId === phaseId && cell.round <= round && round <= (change.untilRound ?? cell.round);
			});
			expect(tellers).toHaveLength(1);
		});
		const nameOf = (id: string): string => id;
		expect(changeSentence(again[0]!, nameOf)).toMatch(
			/^\d\d:\d\d (Lift|Run)( \d)? and each time up to round \d: /
		);
	});
	it('says under the shell only where the shell stays on', () => {
		const client = guest();
		const rows: PhaseRow[] = [
			['move', 40, 250, 'slope'],
			['stop', 20, 75, 'ridge'],
			['move', 40, 200, 'slope'],
			['move', 40, 200, 'slope']
		];
		const stage = stageOf(rows, { airTempC: -8 });
		const base = ['top-wool-mid', 'bottoms-wool', 'trousers-soft-shell', 'sock-mid', 'boot-hiking'];
		const over = [
			['fleece'],
			['fleece', 'hard-shell', 'coat-synthetic'],
			['hard-shell'],
			['fleece', 'hard-shell']
		];
		const fixed = stage.sequence.map(({ id }, k) => ({
			stageId: stage.id,
			phaseId: id,
			worn: [...base, ...over[k]!].map((thingId) => ({ thingId, opening: 'closed' as const }))
		}));
		const { changes } = toldDay(planStage(stage, PLANNED, client, fixed), wearableThings(client));
		const howOf = (phase: number, thingId: string): string | undefined =>
			changes.find((change) => change.phase === phase)?.on.find((one) => one.thingId === thingId)?.how;
		// The coat goes on over the shell at the same stop: nothing has to come off for it.
		expect(howOf(1, 'hard-shell')).toBe('plain');
		expect(howOf(1, 'coat-synthetic')).toBe('over everything');
		expect(howOf(3, 'fleece')).toBe('under the shell');
	});
	it('is silent about what stays on', () => {
		const { days: planned, client } = days(
			[named(['move', 60, 200, 'lee'], 'A'), named(['move', 60, 200, 'lee'], 'B')],
			{
				airTempC: 8
			}
		);
		expect(toldDay(planned[0]!, wearableThings(client)).changes).toEqual([]);
	});
	it('says of another weather only what differs, with what makes it so', () => {
		const { days: planned, nameOf } = days(
			[named(['move', 60, 250, 'slope'], 'Climb'), named(['stop', 15, 80, 'ridge'], 'Top')],
			{ airTempC: 2, wind10mKmh: 10 },
			{ weathers: threeWeathers() }
		);
		const [first, cold, wet] = threeWeathers();
		const told = toldWeather(planned[0]!, planned[1]!, { first: first!, other: cold! });
		expect(told.because).toContain('cold');
		expect(weatherWords(told, cold!, nameOf, 'Runa').lead).toMatch(/^If it turns cold/);
		const rain = toldWeather(planned[0]!, planned[2]!, { first: first!, other: wet! });
		expect(rain.because).toContain('wet');
		const same = toldWeather(planned[0]!, planned[0]!, { first: first!, other: first! });
		expect(same.differences).toEqual([]);
		expect(same.worse).toEqual([]);
	});
});
