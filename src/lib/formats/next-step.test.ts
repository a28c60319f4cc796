import { describe, expect, it } from 'vitest';
import { nextStep, type TripState } from './next-step';

const done: TripState = {
	id: 't',
	stages: 3,
	emptyStages: 0,
	clientCount: 2,
	unaskedCount: 0,
	unasked: null,
	clients: [{ id: 'a' }, { id: 'b' }]
};

describe('what is next for a trip', () => {
	it.each([
		[{ stages: 0 }, 'Add the days', '/trips/t'],
		[{ emptyStages: 3 }, 'Say what happens on the days', '/trips/t'],
		[{ emptyStages: 1 }, 'Say what happens on 1 of 3 days', '/trips/t'],
		[{ clientCount: 0, clients: [] }, 'Put the clients on it', '/trips/t#clients'],
		[{ unaskedCount: 1, unasked: { id: 'b', name: 'Bo Lind' } }, 'Ask Bo what they own', '/clients/b'],
		[
			{ unaskedCount: 3, unasked: { id: 'b', name: 'Bo Lind' } },
			'Ask Bo and 2 more what they own',
			'/clients/b'
		],
		[{}, 'Look through the layer plans', '/trips/t/plan/a']
	] as [Partial<TripState>, string, string][])('%j: %s', (change, words, url) => {
		expect(nextStep({ ...done, ...change })).toEqual({ words, url });
	});
});
