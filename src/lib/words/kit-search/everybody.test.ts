import { describe, expect, it } from 'vitest';
import { EACH_THEIR_OWN } from '../../core/kit/own-lines';
import { everybodyRows } from './everybody';

const rows = (text: string) => {
	let made = 0;
	return everybodyRows(text, () => `row-${++made}`).map(({ what, typeId, many, why }) => ({
		what,
		typeId,
		many,
		why
	}));
};

describe('the operator’s own list', () => {
	it('is read line by line, with how many and why', () => {
		expect(
			rows('Everybody brings:\n\n- 2 head torch, it is dark at five\n☐ passport\n3. water bottle')
		).toEqual([
			{ what: 'Head torch', typeId: 'torch', many: 2, why: 'it is dark at five' },
			{ what: 'Passport', typeId: null, many: 1, why: '' },
			expect.objectContaining({ what: 'Water bottle', many: 1, why: '' })
		]);
	});
	it('is read from columns of a table in any order of figure and words', () => {
		expect(rows('head torch\t2\tdark at five\n4; warm hat; one gets wet')).toEqual([
			{ what: 'Head torch', typeId: 'torch', many: 2, why: 'dark at five' },
			{ what: 'Warm hat', typeId: 'hat-warm', many: 4, why: 'one gets wet' }
		]);
	});
	it('keeps what is long or large within bounds', () => {
		const [row] = rows(`0 ${'x'.repeat(300)}`);
		expect(row!.what.length).toBeLessThanOrEqual(120);
		expect(row!.many).toBe(1);
	});
	it('is brought by each for themselves at first', () => {
		expect(everybodyRows('stove', () => 'stove')[0]).toMatchObject(EACH_THEIR_OWN);
	});
});
