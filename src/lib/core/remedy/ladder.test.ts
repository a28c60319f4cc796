import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { documentOf, kitOf, type PhaseRow, stageOf, thingOf } from '../../../../tests/fixtures/make';
import { clothOf } from '../cloth/things';
import type { Client, Document, Thing } from '../document/types';
import { planDocument } from '../plan/planner';
import { finished } from '../search/steps';
import { type Candidate, clientWith } from './candidate';
import { remedies } from './ladder';
import { startNeedsOf, wrongOn } from './moments';
import type { LeftWrong, Remedies } from './remedies';
import { PRICES } from './prices';
import { usualCandidates } from './usual-candidates';

const toBuy = (typeId: string, cost: number): Candidate => ({
	thing: thingOf(typeId, { id: `buy-${typeId}` }),
	from: 'buy',
	cost,
	days: 2
});
const asked = (document: Document, candidates: readonly Candidate[]): Remedies =>
	finished(remedies(document, document.clients[0]!, candidates));
/** Moments that the client's own plan leaves wrong with some candidates. */
const leftWith = (
	document: Document,
	candidates: readonly Candidate[],
	added: Iterable<number>
): LeftWrong => {
	const client: Client = clientWith(document.clients[0]!, candidates, added);
	const wrong = planDocument({ ...document, clients: [client] }, client).flatMap(wrongOn);
	const usual = document.trip.weathers[0]!.id;
	return {
		usual: wrong.filter(({ weather }) => weather === usual).length,
		oneInTen: wrong.filter(({ weather }) => weather !== usual).length
	};
};

const DRESSED = [
	'top-wool-mid',
	'trousers-soft-shell',
	'sock-mid',
	'boot-hiking',
	'hat-warm',
	'glove-winter'
];
const WAIT: PhaseRow[] = [
	['move', 60, 250, 'slope'],
	['stop', 40, 80, 'slope']
];
const documentWith = (kit: readonly string[], rows = WAIT, airTempC = -6): Document =>
	documentOf([stageOf(rows, { airTempC, wind10mKmh: 10 })], [kitOf(kit)]);

describe('what to get', () => {
	it('finds the coat that makes a long wait right, and keeps what it promises', () => {
		const document = documentWith(DRESSED);
		const candidates = [toBuy('coat-synthetic', 200), toBuy('neck-tube', 15), toBuy('sun-cap', 10)];
		const found = asked(document, candidates);
		expect(found.now).toEqual({ usual: 1, oneInTen: 0 });
		expect(found.ladder.map(({ add }) => add)).toEqual([['buy-coat-synthetic']]);
		const [rung] = found.ladder;
		expect(rung!.leftWrong).toEqual({ usual: 0, oneInTen: 0 });
		expect(rung!.leftWrong).toEqual(leftWith(document, candidates, [0]));
		expect(rung!.solves).toEqual([
			expect.objectContaining({ stageId: 'stage', phaseId: 'phase-1', round: 1, from: 'short', to: 'right' })
		]);
		expect([rung!.cost, found.beyondClothes, found.cannotStartWithout]).toEqual([200, [], []]);
	});
	it('takes the cheaper of two that do as well, and names the other one', () => {
		const document = documentWith(DRESSED);
		const found = asked(document, [toBuy('coat-down', 300), toBuy('coat-synthetic', 200)]);
		expect(found.ladder[0]!.add).toEqual(['buy-coat-synthetic']);
		expect(found.ladder[0]!.instead).toEqual([{ thingId: 'buy-coat-synthetic', others: ['buy-coat-down'] }]);
		// What costs nothing comes before it.
		const lent = { ...toBuy('coat-down', 0), from: 'house' as const };
		expect(asked(document, [lent, toBuy('coat-synthetic', 200)]).ladder[0]!.add).toEqual(['buy-coat-down']);
	});
	it('begins with what the day cannot start without', () => {
		const document = documentWith(
			DRESSED.filter((id) => id !== 'boot-hiking' && id !== 'trousers-soft-shell')
		);
		const found = asked(document, [
			toBuy('coat-synthetic', 200),
			toBuy('trousers-trek', 80),
			toBuy('boot-hiking', 160),
			toBuy('slippers', 20)
		]);
		expect(found.cannotStartWithout.map(({ part, add }) => [part, add])).toEqual(
			expect.arrayContaining([
				['legs', 'buy-trousers-trek'],
				['feet', 'buy-boot-hiking']
			])
		);
		expect(found.ladder.at(-1)!.add).toEqual(['buy-coat-synthetic']);
		expect(found.ladder.at(-1)!.cost).toBe(440);
	});
	it('says what no clothes solve', () => {
		const document = documentWith(DRESSED, [['stop', 480, 75, 'ridge']], -30);
		const found = asked(document, [toBuy('neck-tube', 15)]);
		expect(found.ladder).toEqual([]);
		expect(found.beyondClothes).toHaveLength(1);
		expect(found.bound).toEqual(found.now);
	});
	it('asks for nothing where all is right', () => {
		const found = asked(documentWith(DRESSED, [['move', 60, 250, 'slope']], 2), [toBuy('coat-down', 300)]);
		expect([found.now.usual, found.ladder, found.cannotStartWithout]).toEqual([0, [], []]);
	});
	it('refuses a candidate that the client has already', () => {
		const document = documentWith(DRESSED);
		const own = document.clients[0]!.things[0]!.id;
		expect(() =>
			asked(document, [{ ...toBuy('coat-down', 1), thing: thingOf('coat-down', { id: own }) }])
		).toThrow(RangeError);
	});

	const POOL = [
		'coat-synthetic',
		'fleece',
		'hard-shell',
		'trousers-hard-shell',
		'mitten',
		'sock-heavy',
		'neck-tube'
	];
	it('has rungs as good as every set of their size tried, on small trips', () => {
		fc.assert(
			fc.property(
				fc.record({
					kit: fc.subarray(['fleece-thin', 'wind-shirt', 'bottoms-wool', 'glove-light'], { maxLength: 2 }),
					offered: fc.subarray(POOL, { minLength: 2, maxLength: 4 }),
					minutes: fc.integer({ min: 10, max: 60 }),
					airTempC: fc.integer({ min: -14, max: 4 })
				}),
				({ kit, offered, minutes, airTempC }) => {
					const rows: PhaseRow[] = [
						['move', 45, 230, 'slope'],
						['stop', minutes, 80, 'slope'],
						['stop', 15, 90, 'ridge']
					];
					const document = documentWith([...new Set([...DRESSED, ...kit])], rows, airTempC);
					const candidates = offered.map((typeId, i) => toBuy(typeId, 10 * (i + 1)));
					const found = asked(document, candidates);
					const sets = Array.from({ length: 2 ** candidates.length }, (_, bits) =>
						[...candidates.keys()].filter((index) => bits & (1 << index))
					);
					const tried = sets.map((set) => ({ set, left: leftWith(document, candidates, set).usual }));
					const bestOf = (size: number): number =>
						Math.min(...tried.filter(({ set }) => set.length === size).map(({ left }) => left));
					for (const rung of found.ladder) {
						const set = rung.add.map((id) => candidates.findIndex(({ thing }) => thing.id === id));
						// What is promised is what the plan says with the things, and no set of the size does better.
						expect(rung.leftWrong.usual).toBe(leftWith(document, candidates, set).usual);
						expect(rung.leftWrong.usual).toBeLessThanOrEqual(bestOf(rung.add.length));
					}
					const best = Math.min(...tried.map(({ left }) => left));
					expect(found.ladder.at(-1)?.leftWrong.usual ?? found.now.usual).toBe(best);
				}
			),
			{ numRuns: 25, seed: 17 }
		);
	});
});

describe('what is offered without being asked', () => {
	it('is what the client does not have, for what is done on the trip', () => {
		const document = documentWith(DRESSED);
		const list = usualCandidates(document, document.clients[0]!, 'plain', (id) => id);
		const ids = list.map(({ thing }) => thing.typeId);
		expect(ids).toContain('coat-synthetic');
		for (const id of DRESSED) expect(ids).not.toContain(id);
		expect(ids).not.toContain('boot-ski');
		expect(list.find(({ thing }) => thing.typeId === 'coat-down')!.cost).toBe(PRICES['coat-down']![0]);
	});
	it('begins with what may be owned and was not asked, and what the operator provides', () => {
		const unasked = thingOf('coat-synthetic', {
			id: 'perhaps',
			quantity: { value: null, source: 'client', state: 'not asked' }
		});
		const document = documentWith(DRESSED);
		const stage = {
			...document.trip.stages[0]!,
			provided: [{ id: 'p', name: 'Mitts', typeId: 'mitten', quantity: 4 }]
		};
		const client = { ...document.clients[0]!, things: [...document.clients[0]!.things, unasked] };
		const list = usualCandidates(
			{ ...document, trip: { ...document.trip, stages: [stage] } },
			client,
			'fine',
			(id) => id
		);
		expect(list.slice(0, 2).map(({ thing, from, cost }) => [thing.typeId, from, cost])).toEqual([
			['coat-synthetic', 'own', 0],
			['mitten', 'provided', 0]
		]);
		expect(list.filter(({ thing }) => thing.typeId === 'mitten')).toHaveLength(1);
	});
	it('has a worn-out face proofed again, for little money and no more weight, and then it keeps the rain out', () => {
		const worn = thingOf('rain-shell', {
			facts: { face: { value: 'worn out', source: 'client', state: 'has' } }
		});
		const document = documentWith(DRESSED);
		const things = [...document.clients[0]!.things.filter(({ typeId }) => typeId !== 'rain-shell'), worn];
		const client = { ...document.clients[0]!, things };
		const list = usualCandidates(document, client, 'usual', (id) => id);
		const [mended] = list.filter(({ from }) => from === 'mend');
		expect(mended).toMatchObject({ cost: 15, days: 2, thing: { typeId: 'rain-shell' } });
		expect(clothOf(mended!.thing).face).toBe('fresh');
		expect(list.filter(({ from }) => from === 'mend')).toHaveLength(1);
		expect(usualCandidates(document, document.clients[0]!, 'usual', (id) => id)).not.toContainEqual(
			expect.objectContaining({ from: 'mend' })
		);
		const rows: PhaseRow[] = [
			['move', 60, 200, 'slope'],
			['stop', 20, 70, 'slope']
		];
		const dressed = kitOf([...DRESSED, 'fleece', 'trousers-rain', 'neck-tube']);
		const wet = { ...dressed, things: [...dressed.things, worn] };
		const rain = documentOf([stageOf(rows, { airTempC: 6, precipitation: 'heavy-rain' })], [wet]);
		const { ladder } = finished(remedies(rain, wet, [mended!]));
		expect(ladder[0]).toMatchObject({ add: ['mended-rain-shell'], cost: 15, massG: 0 });
	});
	it('offers another size of what was tried on and is too tight over the layers', () => {
		const document = documentWith([...DRESSED, 'fleece']);
		const [own] = document.clients[0]!.things.filter(({ typeId }) => typeId === 'fleece');
		const tight = {
			...own!,
			facts: { roomSteps: { value: 0, source: 'measured', state: 'has' } }
		} as Thing;
		const client = { ...document.clients[0]!, things: [...document.clients[0]!.things, tight] };
		const bought = (of: Client) =>
			usualCandidates(document, of, 'usual', (id) => id).filter(({ thing }) => thing.typeId === 'fleece');
		expect(bought({ ...client, things: client.things.filter((one) => one !== own) })).toHaveLength(1);
		expect(bought(document.clients[0]!)).toHaveLength(0);
	});
	it('leaves out what was declined and what is not worn, and takes the prices of the house', () => {
		const document = documentWith(DRESSED);
		const willNotWear = { value: ['down'], source: 'client', state: 'has' } as const;
		const client: Client = { ...document.clients[0]!, willNotWear };
		const list = usualCandidates(document, client, 'usual', (id) => id, {
			declined: new Set(['fleece']),
			prices: { 'coat-synthetic': [1, 2, 3], scarf: [4, 5, 6] }
		});
		const costs = new Map(list.map(({ thing, cost }) => [thing.typeId, cost]));
		expect([costs.has('fleece'), costs.has('coat-down'), costs.has('fleece-thin')]).toEqual([
			false,
			false,
			true
		]);
		expect([costs.get('coat-synthetic'), costs.get('scarf')]).toEqual([2, 5]);
	});
	it('knows the gear that a day lacks', () => {
		const document = documentWith(DRESSED.filter((id) => id !== 'boot-hiking'));
		const [day] = planDocument(document, document.clients[0]!);
		expect(startNeedsOf(day!).map(({ part }) => part)).toContain('feet');
	});
});
