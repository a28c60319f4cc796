import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { documentOf, kitOf, type PhaseRow, stageOf, thingOf } from '../../../../../tests/fixtures/make';
import type { Client, Document } from '../../document/types';
import { finished } from '../../search/steps';
import type { Candidate } from '../candidate';
import { Trials } from '../trials';
import { type Lending, lending, type SettledLoan } from './lending';
import { canBeLent, lentId, stockKind, type StockKind } from './stock';

const BARE = ['top-wool-mid', 'trousers-soft-shell', 'sock-mid', 'boot-hiking', 'hat-warm', 'glove-winter'];
const WAIT: PhaseRow[] = [
	['move', 60, 250, 'slope'],
	['stop', 40, 80, 'slope']
];
const size = (value: string) => ({ size: { value, source: 'guide', state: 'has' } as const });
const kind = (typeId: string, count: number, change: Partial<StockKind> = {}): StockKind => ({
	id: typeId,
	thing: thingOf(typeId),
	count,
	cost: 0,
	...change
});
const guest = (id: string, kit = BARE, change: Partial<Client> = {}): Client => ({
	...kitOf(kit, change),
	id,
	name: id
});
const tripOf = (clients: Client[], rows = WAIT, airTempC = -6): Document =>
	documentOf([stageOf(rows, { airTempC, wind10mKmh: 10 })], clients);
const lent = (document: Document, stock: StockKind[], settled: SettledLoan[] = []): Lending =>
	finished(lending(document, stock, settled));
const loansOf = ({ clients }: Lending): Record<string, string[]> =>
	Object.fromEntries(clients.map(({ clientId, loans }) => [clientId, loans.map(({ kindId }) => kindId)]));

type ScoreWith = (loans: readonly number[]) => readonly number[];

describe('lending', () => {
	it('gives the coat to whoever it makes all right', () => {
		const warm = guest('warm', [...BARE, 'fleece', 'coat-down']);
		const found = lent(tripOf([warm, guest('cold')]), [kind('coat-synthetic', 1)]);
		expect(loansOf(found)).toEqual({ warm: [], cold: ['coat-synthetic'] });
		const [, cold] = found.clients;
		expect([cold!.now.usual, cold!.leftWrong.usual]).toEqual([1, 0]);
		expect(cold!.solves[0]).toMatchObject({ phaseId: 'phase-1', from: 'short' });
		expect(found.scarce).toEqual([]);
	});
	it('gives what is scarce to one, and says that more could be used', () => {
		const found = lent(tripOf([guest('one'), guest('two'), guest('three')]), [kind('coat-synthetic', 2)]);
		expect(Object.values(loansOf(found)).flat()).toEqual(['coat-synthetic', 'coat-synthetic']);
		expect(found.scarce).toEqual(['coat-synthetic']);
	});
	it('takes what costs less, and lends nothing that changes nothing', () => {
		const found = lent(tripOf([guest('cold')]), [
			kind('coat-down', 1, { cost: 20 }),
			kind('coat-synthetic', 1),
			kind('sun-cap', 3)
		]);
		expect(loansOf(found)).toEqual({ cold: ['coat-synthetic'] });
		expect(found.cost).toBe(0);
	});
	it('gives nobody what does not go over what they wear', () => {
		const small = { ...kind('coat-synthetic', 1), thing: thingOf('coat-synthetic', { facts: size('S') }) };
		const topSize = { value: 'L', source: 'client', state: 'has' } as const;
		const found = lent(tripOf([guest('large', BARE, { topSize })]), [small]);
		expect(loansOf(found)).toEqual({ large: [] });
		// Nobody has said a size: it is lent, and is to be tried on.
		expect(lent(tripOf([guest('unknown')]), [small]).clients[0]!.loans).toEqual([
			{ kindId: 'coat-synthetic', fit: 'try it on' }
		]);
	});
	it('lends nothing of what a client does not wear', () => {
		const willNotWear = { value: ['down'], source: 'client', state: 'has' } as const;
		const found = lent(tripOf([guest('kind', BARE, { willNotWear })]), [kind('coat-down', 1)]);
		expect(loansOf(found)).toEqual({ kind: [] });
	});
	it('leaves alone what is settled by hand', () => {
		const document = tripOf([guest('one'), guest('two')]);
		const stock = [kind('coat-synthetic', 1), kind('sun-cap', 1)];
		const found = lent(document, stock, [
			{ clientId: 'two', kindId: 'coat-synthetic', lend: true },
			{ clientId: 'two', kindId: 'sun-cap', lend: true }
		]);
		expect(loansOf(found)).toEqual({ one: [], two: ['coat-synthetic', 'sun-cap'] });
		const refused = lent(document, stock, [{ clientId: 'one', kindId: 'coat-synthetic', lend: false }]);
		expect(loansOf(refused)['one']).toEqual([]);
		expect(() => lent(document, stock, [{ clientId: 'one', kindId: 'tent', lend: true }])).toThrow(
			/kindId is tent, allowed is what is in stock/
		);
		const both = ['one', 'two'].map((clientId) => ({ clientId, kindId: 'coat-synthetic', lend: true }));
		expect(() => lent(document, stock, both)).toThrow(/2 of coat-synthetic are settled, allowed are 1/);
	});
	it('lends of a stock what is ready before the trip leaves', () => {
		const item = (state: 'ready' | 'wet' | 'mending', backOn: string | null = null) => ({ state, backOn });
		expect(canBeLent(item('ready'), '2027-01-23')).toBe(true);
		expect(canBeLent(item('wet'), '2027-01-23')).toBe(true);
		expect(canBeLent(item('wet', '2027-01-24'), '2027-01-23')).toBe(false);
		expect(canBeLent(item('mending', '2027-01-23'), '2027-01-23')).toBe(true);
		expect(canBeLent(item('mending'), '2027-01-23')).toBe(false);
		expect(canBeLent(item('ready', '2027-01-24'), null)).toBe(false);
		const coat = { id: 'coat', typeId: 'coat-down', name: 'Big coat', label: '', facts: {}, pieces: 3, cost: 4, version: 1, deletedAt: null, ...item('ready') }; // prettier-ignore
		expect(stockKind(coat, -1)).toMatchObject({
			id: 'coat',
			count: 0,
			cost: 4,
			thing: { id: 'lent-coat', typeId: 'coat-down' }
		});
	});

	/** How a client comes out with some of the stock, counted without the search: [is not right, needs, wrong, money, pieces]. */
	function scoreWith(document: Document, client: Client, stock: readonly StockKind[]): ScoreWith {
		const candidates = stock.map(({ id, thing, cost }): Candidate => ({
			thing: { ...thing, id: lentId(id) },
			from: 'house',
			cost,
			days: 0
		}));
		const counted = new Map<string, number[]>();
		return (loans) => {
			const key = loans.join();
			if (!counted.has(key)) {
				const trials = new Trials(document, client, candidates);
				const [day] = trials.days;
				const { wrong, needs } = trials.on(day!.index, new Set(loans));
				const missing = needs().length;
				const cost = loans.reduce((sum, one) => sum + stock[one]!.cost, 0);
				counted.set(key, [wrong + missing > 0 ? 1 : 0, missing, wrong, cost, loans.length]);
			}
			return counted.get(key)!;
		};
	}
	const added = (scores: readonly (readonly number[])[]): number[] =>
		[0, 1, 2, 3, 4].map((at) => scores.reduce((sum, score) => sum + score[at]!, 0));
	const POOL = ['coat-synthetic', 'fleece', 'hard-shell', 'mitten', 'trousers-hard-shell'];
	it('equals the best of every way to share out a small stock', () => {
		fc.assert(
			fc.property(
				fc.record({
					kits: fc.array(
						fc.subarray(['fleece-thin', 'wind-shirt', 'bottoms-wool', 'glove-light'], { maxLength: 2 }),
						{
							minLength: 2,
							maxLength: 3
						}
					),
					stock: fc.subarray(POOL, { minLength: 2, maxLength: 2 }),
					counts: fc.tuple(fc.integer({ min: 1, max: 2 }), fc.integer({ min: 1, max: 2 })),
					costs: fc.tuple(fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 3 })),
					minutes: fc.integer({ min: 10, max: 60 }),
					airTempC: fc.integer({ min: -14, max: 4 })
				}),
				({ kits, stock: types, counts, costs, minutes, airTempC }) => {
					const rows: PhaseRow[] = [
						['move', 45, 230, 'slope'],
						['stop', minutes, 80, 'slope']
					];
					const clients = kits.map((more, i) => guest(`c-${i}`, [...new Set([...BARE, ...more])]));
					const document = tripOf(clients, rows, airTempC);
					const stock = types.map((typeId, i) => kind(typeId, counts[i]!, { cost: costs[i]! }));
					const found = loansOf(lent(document, stock));
					const scores = clients.map((client) => scoreWith(document, client, stock));
					const lentTo = clients.map(({ id }) => found[id]!.map((kindId) => types.indexOf(kindId)));
					const mine = added(lentTo.map((loans, i) => scores[i]!(loans)));
					const sets = [[], [0], [1], [0, 1]];
					for (let way = 0; way < sets.length ** clients.length; way++) {
						const loans = clients.map((_, i) => sets[Math.floor(way / sets.length ** i) % sets.length]!);
						const isThere = counts.every(
							(count, one) => loans.filter((own) => own.includes(one)).length <= count
						);
						if (!isThere) continue;
						const theirs = added(loans.map((own, i) => scores[i]!(own)));
						const at = theirs.findIndex((value, i) => Math.abs(value - mine[i]!) > 1e-9);
						expect(
							at < 0 || mine[at]! < theirs[at]!,
							`${JSON.stringify(loans)}: ${theirs} against ${mine}`
						).toBe(true);
					}
				}
			),
			{ numRuns: 30, seed: 41 }
		);
	});
});
