import type { Part } from '../core/document/parts';
import type { Document, Stage } from '../core/document/types';
import { DOCUMENT_FORMAT, DOCUMENT_VERSION } from '../core/document/types';
import type { WetSpell } from '../core/document/weather';
import { coastOrHillWalk } from '../core/patterns/days/coast-or-hill-walk';
import { unfoldNamed } from '../words/patterns';
import { usualWeathers } from '../words/weathers';
import { EVERYTHING_ANSWERED, client } from './demo';

/**
 * The second demo trip: five days along an invented coast in late autumn, with ferries between the islands, huts without
 * heating, a night in the village when the weather is foul, and six invented clients.
 */
interface Day {
	name: string;
	high: number;
	bed: number;
	low: [lowTempC: number, highTempC: number];
	wind10mKmh: number;
	wet: WetSpell[];
}
const at = (from: number, to: number, kind: WetSpell['kind']): WetSpell => ({
	fromMin: from * 60,
	toMin: to * 60,
	kind
});
const DAYS: Day[] = [
	{ name: 'Ferry to Little Skarn, and the north shore', high: 120, bed: 20, low: [4, 9], wind10mKmh: 32, wet: [at(13, 15, 'drizzle')] },
	{ name: 'Over the Gannet Stair', high: 380, bed: 35, low: [3, 8], wind10mKmh: 45, wet: [at(9, 12, 'rain')] },
	{ name: 'By boat to Holm, the long beach', high: 60, bed: 10, low: [2, 8], wind10mKmh: 28, wet: [] },
	{ name: 'The Lamp Hill round', high: 510, bed: 10, low: [1, 6], wind10mKmh: 50, wet: [at(11, 16, 'rain')] },
	{ name: 'Back over the sound', high: 90, bed: 5, low: [3, 8], wind10mKmh: 24, wet: [at(8, 9, 'drizzle')] }
]; // prettier-ignore

const stages = DAYS.map((day, index): Stage => {
	let made = 0;
	const unfolded = unfoldNamed(coastOrHillWalk, 'guided', () => `coast-${index + 1}-${++made}`);
	const last = index === DAYS.length - 1;
	const before = DAYS[index - 1]?.bed ?? 5;
	return {
		id: `demo-coast-${index + 1}`,
		name: day.name,
		date: `2027-11-0${index + 4}`,
		startMin: unfolded.startMin,
		base: {
			lowTempC: day.low[0],
			highTempC: day.low[1],
			altitudeM: 10,
			lapseKPerKm: 6.5,
			inversion: null,
			heights: [],
			wind10mKmh: day.wind10mKmh,
			humidityPct: 85,
			wetSpells: day.wet,
			ground: 'bare'
		},
		route: { startM: before, highM: day.high, lowM: 5, bedM: day.bed },
		bed: { kind: last ? 'heated' : 'hut', washing: last, drying: last ? 'everything' : 'nothing' },
		provided: [
			{ id: 'hut', name: 'Mattresses, gas rings and pots in the huts', typeId: null, quantity: 1 },
			{ id: 'shelter', name: 'Group shelter', typeId: null, quantity: 1 }
		],
		terrain: ['deep-water'],
		pace: 'guided',
		patternId: coastOrHillWalk.id,
		sequence: unfolded.sequence,
		foul: last ? null : unfolded.foul,
		origins: {
			lowTempC: { from: 'usual', note: 'Skarn Islands in November, simulated climate' },
			highTempC: { from: 'usual', note: 'Skarn Islands in November, simulated climate' },
			wind10mKmh: { from: 'forecast', note: 'two days ahead, simulated climate' },
			wetSpells: { from: 'forecast', note: 'two days ahead, simulated climate' }
		}
	};
});

const WALKING: [string, number?, string?][] = [
	['briefs', 4],
	['trousers-trek'],
	['boot-hiking'],
	['sock-mid', 3],
	['hat-warm'],
	['neck-tube']
];
const BODY_ANSWERED: Part[] = ['torso', 'arms', 'hands', 'thighs', 'calves', 'feet', 'ears', 'neck'];

/** The second demo trip with its clients. */
export const COAST_DOCUMENT: Document = {
	format: DOCUMENT_FORMAT,
	formatVersion: DOCUMENT_VERSION,
	trip: {
		id: 'demo-coast',
		name: 'Five days along the Skarn shore',
		place: 'Skarn Islands',
		site: { placeId: 'skarn-islands', latitudeDeg: 57.9, longitudeDeg: -6.6, utcOffsetMin: 0 },
		weathers: usualWeathers(3.1),
		stages,
		version: 1,
		deletedAt: null
	},
	clients: [
		client('demo-bram', 'Bram Vesterhav', -0.15, [
			...WALKING, ['top-synthetic', 3], ['fleece-thin'], ['rain-shell'], ['trousers-hard-shell'],
			['glove-light'], ['bag-summer']
		], EVERYTHING_ANSWERED, ['XL', 'L', 'L', 45]),
		client('demo-isa', 'Isa Holm', 0, [
			...WALKING, ['top-wool-mid', 2], ['fleece'], ['coat-synthetic'], ['hard-shell'], ['bottoms-wool'],
			['trousers-hard-shell'], ['glove-light'], ['glove-winter'], ['bag-three-season']
		], EVERYTHING_ANSWERED, ['S', 'M', 'S', 38]),
		client('demo-jonas', 'Jonas Rill', 0, [
			['briefs', 3], ['top-cotton', 3, 'Cotton shirts'], ['sweater-wool', 1, 'Knitted pullover'], ['rain-shell', 1, 'Light rain jacket'],
			['jeans', 1, 'Jeans'], ['trousers-hard-shell', 0], ['shoe-trail', 1, 'Running shoes'], ['sock-mid', 2], ['hat-warm']
		], BODY_ANSWERED, ['L', 'L', 'L', 43]),
		client('demo-kato', 'Kato Lind', 0, [], []),
		client('demo-merle', 'Merle Ostby', 0, [
			...WALKING, ['top-wool-mid', 2], ['fleece'], ['hard-shell'], ['trousers-hard-shell'], ['glove-light']
		], ['torso', 'arms', 'thighs', 'calves', 'feet']),
		client('demo-odile', 'Odile Krag', 0.2, [
			...WALKING, ['top-wool-mid', 2], ['fleece'], ['fleece-thin'], ['coat-down'], ['hard-shell'], ['bottoms-wool'],
			['trousers-hard-shell'], ['glove-winter'], ['mitten'], ['bag-three-season']
		], EVERYTHING_ANSWERED)
	]
}; // prettier-ignore
