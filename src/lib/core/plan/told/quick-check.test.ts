import { describe, expect, it } from 'vitest';
import { kitOf, stageOf, tripOf } from '../../../../../tests/fixtures/make';
import { FIRST_TRY, triedFrom, TRY_DAYS, tryQuery } from '../../../formats/try-link';
import { PARTS } from '../../document/parts';
import { finished } from '../../search/steps';
import { quickCheckMore, quickCheckSentence } from '../../../words/asked/quick-check';
import { quickCheck, type QuickCheckAnswer } from './quick-check';
import { tryIt, type Tried } from './try-it';

describe('the quick check', () => {
	const client = kitOf(
		['briefs', 'top-wool-mid', 'fleece', 'soft-shell', 'coat-synthetic', 'bottoms-wool', 'trousers-soft-shell', 'sock-mid', 'boot-winter', 'mitten', 'overmitt-down', 'hat-warm', 'neck-tube'],
		{ answeredParts: [...PARTS] }
	); // prettier-ignore
	const trip = tripOf([
		stageOf(
			[
				['move', 60, 280, 'slope', { name: 'Climb' }],
				['stop', 60, 75, 'slope', { name: 'Top' }]
			],
			{ airTempC: -12, wind10mKmh: 15 }
		)
	]);
	const ask = (typeId: string): QuickCheckAnswer =>
		finished(quickCheck(trip, client, { typeId, massG: null, wornOut: false }));
	it('says no to a poncho for a big coat, the phase in which it fails and how long it holds', () => {
		const poncho = ask('poncho');
		expect(poncho.yes).toBe(false);
		expect(poncho.fails!.name).toBe('Top');
		expect(poncho.fails!.holdsMinutes).toBeLessThan(60);
		expect(poncho.insteadOf).toEqual(['Big coat, synthetic, 120 g/m²']);
	});
	it('says yes to a big down coat', () => {
		const answer = ask('coat-down');
		expect(answer).toMatchObject({ yes: true, fails: null, isWorn: true, nearest: null });
		// All was right before: there was nothing to help.
		expect(answer.helps).toEqual([]);
	});
	it('names what would do where a thing does not', () => {
		const { nearest } = ask('poncho');
		expect(ask(nearest!)).toMatchObject({ failing: 0, isWorn: true });
	});
	it('says what a thing makes right, and what is still missing', () => {
		const bare = {
			...client,
			things: client.things.filter(({ typeId }) => !/^(coat|hat|neck)/.test(typeId))
		};
		const answer = finished(quickCheck(trip, bare, { typeId: 'coat-down', massG: null, wornOut: false }));
		expect([answer.insteadOf, answer.stillWrong]).toEqual([[], null]);
		expect(answer.helps.map(({ name }) => name)).toEqual(['Top']);
		const told = (one: QuickCheckAnswer): string => quickCheckSentence(one, 'the big coat', 'Teo', () => '');
		expect(told(answer)).toBe('Bring it: with the big coat, “Top” is all right.');
		// Without boots and mitts the coat is not all that is needed.
		const colder = {
			...bare,
			things: bare.things.filter(({ typeId }) => !/^(boot|overmitt|mitten)/.test(typeId))
		};
		const half = finished(quickCheck(trip, colder, { typeId: 'coat-down', massG: null, wornOut: false }));
		expect(half.stillWrong?.name).toBe('Climb');
		const hat = finished(quickCheck(trip, bare, { typeId: 'sun-cap', massG: null, wornOut: false }));
		expect(hat.helps).toEqual([]);
		expect(hat.stillWrong?.name).toBe('Top');
		const missing = { ...answer, stillWrong: hat.stillWrong, nearest: 'coat-down' };
		expect(
			quickCheckMore(
				missing,
				'Teo',
				() => 'day 2',
				() => 'Big coat'
			)
		).toEqual([
			expect.stringMatching(/^Not all is right yet: Teo stays warm for \d+ of 60 min in “Top” \(day 2\)\.$/),
			'This would do: big coat.'
		]);
	});
});

describe('trying it', () => {
	it('is more for somebody who feels cold, and stricter for somebody to be careful with', () => {
		const minutes = (person: Tried['person']): number => {
			const held = tryIt({ ...FIRST_TRY, airTempC: -18, minutes: 60, person }).planned.phases.at(-1)!;
			return held.holdsMinutes ?? Infinity;
		};
		expect(minutes('feels cold')).toBeLessThanOrEqual(minutes('usual'));
		expect(minutes('feels warm')).toBeGreaterThanOrEqual(minutes('usual'));
		expect(minutes('careful')).toBeLessThan(minutes('usual'));
	});
	it('starts from a day', () => {
		for (const day of Object.values(TRY_DAYS)) {
			const tried = { ...FIRST_TRY, ...day };
			expect(triedFrom(new URLSearchParams(tryQuery(tried)))).toEqual(tried);
			expect(tryIt(tried).planned.phases.at(-1)!.cell.minutes).toBe(day.minutes);
		}
	});
	it('is colder in the cold, and warmer with a coat', () => {
		const holds = (change: Partial<typeof FIRST_TRY>): number =>
			tryIt({ ...FIRST_TRY, ...change }).planned.phases.at(-1)!.peakDebtWhm2;
		expect(holds({ airTempC: -20 })).toBeGreaterThan(holds({}));
		expect(holds({ typeIds: [...FIRST_TRY.typeIds, 'coat-down'] })).toBeLessThan(holds({}));
		expect(tryIt(FIRST_TRY).course.minutes.length).toBe(85);
	});
	it('is kept by a link, and a link that says nonsense is as at first', () => {
		const tried = {
			...FIRST_TRY,
			airTempC: -17,
			place: 'ridge' as const,
			afterClimb: false,
			typeIds: ['coat-down']
		};
		expect(triedFrom(new URLSearchParams(tryQuery(tried)))).toEqual(tried);
		expect(triedFrom(new URLSearchParams('t=hot&w=&at=moon&on=nothing'))).toEqual({
			...FIRST_TRY,
			wind10mKmh: 0,
			typeIds: []
		});
	});
});
