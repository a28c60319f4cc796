import { describe, expect, it } from 'vitest';
import { type PhaseRow, PLANNED, stageOf, thingOf } from '../../../../tests/fixtures/make';
import type { Factor } from '../cloth/factors';
import { placementsOf, type Stack, stackOf } from '../cloth/stacks';
import { clothOf } from '../cloth/things';
import { cellsOf } from '../conditions/cells';
import type { Mark } from '../document/types';
import { changeBetween, changeCost, changePlace } from './change-cost';

const ORDER = [
	'top-wool-mid',
	'fleece',
	'hard-shell',
	'coat-synthetic',
	'bottoms-wool',
	'trousers-trek',
	'trousers-rain',
	'sock-mid',
	'boot-hiking'
];
const stack = (...ids: string[]): Stack =>
	stackOf(ids.map((id) => placementsOf(clothOf(thingOf(id)), ORDER.indexOf(id))[0]!))!;

function cost(
	factor: Factor,
	from: string[],
	to: string[],
	options: {
		wet?: boolean;
		marks?: Mark[];
		place?: 'in' | 'slope';
		airTempC?: number;
		bootsStayOn?: boolean;
	} = {}
): number {
	const phase: PhaseRow = ['stop', 20, 80, options.place ?? 'slope', { marks: options.marks ?? [] }];
	const stage = stageOf([phase, phase], {
		precipitation: options.wet ? 'rain' : 'dry',
		airTempC: options.airTempC ?? 5
	});
	const [before, after] = cellsOf(stage, PLANNED);
	return changeCost(
		changeBetween(factor, stack(...from), stack(...to)),
		changePlace(before!, after!, options.bootsStayOn)
	);
}

describe('cost of changes, in hundredths', () => {
	it.each<[string, Factor, string[], string[], object, number]>([
		['nothing', 'trunk', ['top-wool-mid'], ['top-wool-mid'], {}, 0],
		['outermost on', 'trunk', ['top-wool-mid'], ['top-wool-mid', 'hard-shell'], {}, 100],
		['outermost on, in rain', 'trunk', ['top-wool-mid'], ['top-wool-mid', 'hard-shell'], { wet: true }, 200],
		[
			'under the shell',
			'trunk',
			['top-wool-mid', 'hard-shell'],
			['top-wool-mid', 'fleece', 'hard-shell'],
			{},
			300
		],
		['two at once', 'trunk', ['top-wool-mid'], ['top-wool-mid', 'fleece', 'hard-shell'], {}, 200],
		['side zips over boots', 'legs', ['trousers-trek'], ['trousers-trek', 'trousers-rain'], {}, 100],
		['trousers, boots off', 'legs', ['trousers-trek'], ['trousers-trek', 'bottoms-wool'], {}, 800],
		['socks, boots off', 'feet', ['boot-hiking'], ['sock-mid', 'boot-hiking'], {}, 800],
		[
			'heated, as good as free',
			'legs',
			['trousers-trek'],
			['trousers-trek', 'bottoms-wool'],
			{ place: 'in' },
			1
		],
		[
			'boots stay on',
			'legs',
			['trousers-trek'],
			['trousers-trek', 'bottoms-wool'],
			{ marks: ['boots-on'] },
			Infinity
		],
		[
			'boots off with trouble',
			'feet',
			['boot-hiking'],
			['sock-mid', 'boot-hiking'],
			{ bootsStayOn: true },
			4000
		],
		[
			'boots off with trouble, under a roof',
			'feet',
			['boot-hiking'],
			['sock-mid', 'boot-hiking'],
			{ bootsStayOn: true, place: 'in' },
			1
		],
		[
			'trousers, where boots come off with trouble',
			'legs',
			['trousers-trek'],
			['trousers-trek', 'bottoms-wool'],
			{ bootsStayOn: true },
			Infinity
		],
		[
			'side zips, where boots come off with trouble',
			'legs',
			['trousers-trek'],
			['trousers-trek', 'trousers-rain'],
			{ bootsStayOn: true },
			100
		],
		['bare skin in the cold', 'trunk', ['fleece'], ['top-wool-mid', 'fleece'], { airTempC: -18 }, Infinity],
		[
			'legs under a harness',
			'legs',
			['trousers-trek'],
			['trousers-trek', 'trousers-rain'],
			{ marks: ['harness'] },
			Infinity
		],
		[
			'the pack is not at hand',
			'trunk',
			['top-wool-mid'],
			['top-wool-mid', 'coat-synthetic'],
			{ marks: ['pack-away'] },
			Infinity
		],
		[
			'off without the pack',
			'trunk',
			['top-wool-mid', 'coat-synthetic'],
			['top-wool-mid'],
			{ marks: ['pack-away'] },
			100
		]
	])('%s', (_, factor, from, to, options, expected) => {
		expect(cost(factor, from, to, options)).toBe(expected);
	});
});
