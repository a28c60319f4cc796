import { describe, expect, it } from 'vitest';
import { METRIC } from '../units';
import { figureSentence, markWords } from './figure-words';
import { shared, tomorrowSentences, tonightSentences } from './tomorrow-story';

const nameOf = (id: string): string =>
	({ torch: 'Torch', filter: 'Water filter', coat: 'Big coat' })[id] ?? id;

describe('the figure in words', () => {
	it('says what is on, what is put on now, and what is wrong', () => {
		expect(
			figureSentence(
				'Teo',
				['Wool top', 'Big coat'],
				['Big coat'],
				[
					{ part: 'face', kind: 'missing' },
					{ part: 'feet', kind: 'cool' },
					{ part: 'hands', kind: 'short' },
					{ part: 'neck', kind: 'not asked' }
				]
			)
		).toBe(
			'Teo wears, from the skin out: wool top and big coat. Put on now: big coat. Face: nothing there, toes cool, fingers too cold and neck: not asked.'
		);
		expect(figureSentence('Teo', [], [], [])).toBe('Teo wears nothing that is known of.');
		expect(markWords({ part: 'thighs', kind: 'short' })).toBe('thighs too cold');
	});
});

describe('the evening before', () => {
	it('is a few sentences, each once for those whom it is for', () => {
		const one = tonightSentences(
			{ drying: null, chargeIds: ['torch'], intoBagIds: ['filter'], warmerIds: [] },
			nameOf
		);
		const two = tonightSentences(
			{ drying: null, chargeIds: ['torch'], intoBagIds: [], warmerIds: [] },
			nameOf
		);
		expect(one).toEqual(['Charge the torch.', 'Take the water filter into the bag: frost spoils them.']);
		expect(
			shared([
				{ who: 'Runa', sentences: one },
				{ who: 'Teo', sentences: two }
			])
		).toEqual([
			{ what: 'Charge the torch.', who: ['Runa', 'Teo'] },
			{ what: 'Take the water filter into the bag: frost spoils them.', who: ['Runa'] }
		]);
	});
	it('says that all is right, or what is not, and counts what is more', () => {
		const day = { start: null, phase: null, topIds: ['coat'], watch: [], wrong: [] };
		expect(tomorrowSentences(day, 'Teo', nameOf, METRIC)).toEqual({
			start: '',
			top: 'On top of the pack: big coat.',
			watch: [],
			wrong: ['All right all day.']
		});
		const wrong = ['a', 'b', 'c', 'c'].map((phaseId) => ({
			weather: 'w',
			stageId: 's',
			foul: false,
			phaseId,
			round: 1,
			name: `Phase ${phaseId}`,
			minutes: 20,
			verdict: 'short' as const,
			holdsMinutes: 5,
			limitedBy: 'body' as const,
			whatIf: false
		}));
		const told = tomorrowSentences({ ...day, wrong }, 'Teo', nameOf, METRIC).wrong;
		expect(told).toHaveLength(3);
		expect(told[0]).toMatch(/^Teo .*5 of 20 min.*Phase a/);
		expect(told[2]).toBe('One more phase is not all right.');
	});
});
