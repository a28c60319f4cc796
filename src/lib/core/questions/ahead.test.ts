import { describe, expect, it } from 'vitest';
import { documentOf, kitOf, stageOf } from '../../../../tests/fixtures/make';
import { thingOfType } from '../cloth/things';
import type { Client, Document, FactSource, FactState, Thing } from '../document/types';
import { planTrip } from '../plan/planner';
import { tripSummary } from '../plan/told/summary';
import { foreseeing } from './ahead';
import { groundKey, groundOf, toldKey, toldMore } from './ground';
import { type Interview, Interviewer } from './interview';
import { whatItDoes } from './moments';

const day = stageOf(
	[
		['move', 60, 230, 'slope', { name: 'Climb' }],
		['stop', 30, 75, 'ridge', { name: 'Top' }],
		['move', 40, 200, 'slope', { name: 'Down' }]
	],
	{ airTempC: -6, wind10mKmh: 20 }
);
const KIT = ['briefs', 'top-wool-light', 'fleece', 'bottoms-wool', 'trousers-soft-shell', 'sock-heavy', 'boot-winter', 'hat-warm', 'glove-winter', 'neck-tube']; // prettier-ignore
/** What is known of the kit, as the house typed it. */
const known = (typeIds: readonly string[]): Client => {
	const client = kitOf([...typeIds]);
	return {
		...client,
		things: client.things.map((thing) => ({
			...thing,
			quantity: { value: 1, source: 'guide', state: 'has' }
		}))
	};
};
const thing = (typeId: string, source: FactSource, state: FactState, value = 1): Thing =>
	thingOfType(`${typeId}-${source}`, typeId, typeId, { value, source, state });
const withThings = (client: Client, ...things: Thing[]): Client => ({
	...client,
	things: [...client.things, ...things]
});
const NONE: ReadonlySet<string> = new Set();
const documentFor = (client: Client): Document => documentOf([day], [client]);

/** All that is foreseen, and what was worked out on the way. */
function foreseen(
	client: Client,
	states = new Map<string, Interview>(),
	memory: Parameters<typeof foreseeing>[3] = []
) {
	const document = documentFor(client);
	const ground = groundOf(document, client, NONE, true);
	const found = [...foreseeing({ ...document, clients: [] }, ground, states, memory)];
	return { ground, found, memory: found.flatMap(({ days }) => days) };
}

describe('the ground of an interview', () => {
	const client = known(KIT);
	const ground = (one: Client, unknown = NONE) => groundOf(documentFor(one), one, unknown, true);
	it('stays as it is when a question is answered, whatever the answer', () => {
		const before = groundKey(ground(client));
		const coat = ground(client).asked.findIndex(({ question }) => question.id === 'big coat');
		for (const [answered, told] of [
			[thing('coat-synthetic', 'client', 'has'), toldMore(ground(client).told, coat, true)],
			[thing('coat-synthetic', 'client', 'assumed'), toldMore(ground(client).told, coat, true)],
			[thing('coat-synthetic', 'client', 'has not', 0), toldMore(ground(client).told, coat, false)]
		] as const) {
			const now = ground(withThings(client, answered));
			expect(groundKey(now)).toBe(before);
			expect(toldKey(now.told)).toBe(toldKey(told));
		}
		expect(toldKey(ground(client, new Set(['big coat'])).told)).toBe(
			toldKey(toldMore(ground(client).told, coat, false))
		);
	});
	it('takes what is only likely as open, and who does not know has it all the same', () => {
		const likely = withThings(client, thing('coat-down', 'guess', 'assumed'));
		const now = ground(likely);
		const coat = now.asked.findIndex(({ question }) => question.id === 'big coat');
		expect(now.asked[coat]).toMatchObject({ isAssumed: true });
		expect(now.told.there.has(coat)).toBe(false);
		expect(ground(likely, new Set(['big coat'])).told.there.has(coat)).toBe(true);
		expect(now.candidates[now.asked[coat]!.tries[0]!]!.thing.typeId).toBe('coat-down');
		// Another thing of the kit is another ground.
		expect(groundKey(now)).not.toBe(groundKey(ground(withThings(client, thing('poncho', 'guide', 'has')))));
	});
});

describe('what is foreseen', () => {
	it('is what an interview says after each answer, without working it out again', () => {
		const client = known(KIT);
		const { ground, found, memory } = foreseen(client);
		expect(found[0]!.key).toBe(toldKey(ground.told));
		const [first] = found[0]!.interview.questions;
		const at = ground.asked.findIndex(({ question }) => question.id === first!.id);
		for (const isThere of [true, false]) {
			const told = toldMore(ground.told, at, isThere);
			const ahead = found.find(({ key }) => key === toldKey(told))!;
			const anew = new Interviewer({ ...documentFor(client), clients: [] }, ground).next(told);
			expect(ahead.interview).toEqual(anew);
		}
		const states = new Map(found.map(({ key, interview }) => [key, interview]));
		expect(foreseen(client, states, memory).found.length).toBeLessThan(found.length);
		// What is remembered gives the same answers.
		expect(memory.length).toBeGreaterThan(10);
		expect(foreseen(client, new Map(), memory).found[0]).toEqual({ ...found[0], days: [] });
	});
	it('ends where the plan is that of the full answers', () => {
		const owns = new Set(['rain with a hood', 'eyes', 'thin gloves']);
		const start = known(KIT);
		const document = documentFor(start);
		const ground = groundOf(document, start, NONE);
		const interviewer = new Interviewer(document, ground);
		let told = ground.told;
		for (;;) {
			const [first] = interviewer.next(told).questions;
			if (!first) break;
			const at = ground.asked.findIndex(({ question }) => question.id === first.id);
			told = toldMore(told, at, owns.has(first.id));
		}
		const words = (has: (at: number, id: string) => boolean): string[] =>
			tripSummary(
				planTrip({
					trip: document.trip,
					client: withThings(
						start,
						...ground.asked.flatMap(({ question, tries }, at) =>
							has(at, question.id) ? tries.map((one) => ground.candidates[one]!.thing) : []
						)
					)
				})
			).phases.map(({ phaseId, verdict }) => `${phaseId} ${verdict}`);
		expect(words((at) => told.there.has(at))).toEqual(words((_, id) => owns.has(id)));
	});
});

describe('what an answer does', () => {
	it('is told by the kind of moment, right where all of them are', () => {
		const evening = stageOf([
			['move', 60, 200, 'slope'],
			['stop', 60, 75, 'lee'],
			['stop', 60, 75, 'lee'],
			['sleep', 480, 45, 'tent']
		]);
		const trip = documentOf([{ ...evening, startMin: 15 * 60 }], [known(KIT)]).trip;
		const change = (at: number, without: 'short' | 'cool' | 'right', there: 'cool' | 'right') => ({
			weather: trip.weathers[0]!.id,
			stageId: evening.id,
			foul: false,
			phaseId: `phase-${at}`,
			round: 1,
			without,
			with: there
		});
		expect(whatItDoes([change(0, 'cool', 'right'), change(2, 'short', 'cool')], trip)).toEqual({
			right: ['move'],
			better: ['evening']
		});
		expect(whatItDoes([change(1, 'short', 'right'), change(3, 'cool', 'right')], trip)).toEqual({
			right: ['night', 'stop'],
			better: []
		});
		expect(whatItDoes([change(0, 'right', 'cool')], trip)).toEqual({ right: [], better: [] });
	});
});
