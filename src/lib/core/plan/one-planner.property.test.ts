import { describe, it } from 'vitest';
import { asksInEveryWay, caseOf } from '../../../../tests/fixtures/every-way';

describe('one planner', () => {
	it('answers alike in every way for 200 small documents', () => {
		for (let seed = 1; seed <= 200; seed++) asksInEveryWay(caseOf(seed));
	});
});
