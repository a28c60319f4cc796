import { describe, expect, it } from 'vitest';
import { nightVerdict } from '../../src/lib/core/body/night';
import { catalogueType } from '../../src/lib/core/cloth/catalogue';
import { clothOf } from '../../src/lib/core/cloth/things';
import { lensNeeded, rainKeptOutMin } from '../../src/lib/core/conditions/needs';
import { LOST_WHEN_FULL } from '../../src/lib/core/heat/wet-cloth';
import { coldBatteryShare, piecesFor } from '../../src/lib/core/kit/counting';
import { cellOf, thingOf } from '../fixtures/make';

const of = (typeId: string) => catalogueType(typeId).properties;
const days = (many: number) => Array.from({ length: many }, () => ({ worn: true, washed: false }));
const rain = (typeId: string): number => rainKeptOutMin(clothOf(thingOf(typeId)));

/** Facts of the trade that the core must agree with. Common practice, no published source, unless a row says more. */
const FACTS: readonly (readonly [fact: string, holds: () => boolean])[] = [
	['a repellent face keeps a shower of a quarter of an hour out', () => rain('wind-shirt') === 15],
	['a light rain jacket keeps three hours out', () => rain('rain-shell') === 180],
	['a taped shell keeps a day of rain out', () => rain('hard-shell') >= 600],
	['rubber boots and waders keep water out until they flood', () => rain('waders') === Infinity],
	['wool tops are worn four days before a wash', () => of('top-wool-mid').wearDays === 4],
	['wool socks are worn five days', () => of('sock-mid').wearDays === 5],
	['an ordinary top is worn one or two days', () => [1, 2].includes(of('top-cotton').wearDays)],
	['underwear is changed daily', () => of('briefs').wearDays === 1],
	['ten days want two pairs of wool socks', () => piecesFor(days(10), 5) === 2],
	['a battery of 10 000 mAh holds 37 Wh', () => of('power-bank').energyWh === 37],
	['it gives a heated vest three to four hours at medium', () => {
		const hours = of('vest-electric').energyWh / of('vest-electric').watts;
		return hours >= 3 && hours <= 4.2;
	}],
	['batteries lose 30 % at −10 °C and half at −20 °C', () => Math.abs(coldBatteryShare(-10) - 0.7) < 1e-9 && Math.abs(coldBatteryShare(-20) - 0.5) < 1e-9],
	['a day pack for walking from house to house holds 30 to 40 l', () => of('pack-day').holdsL >= 30 && of('pack-day').holdsL <= 40],
	['a pack for running holds 5 to 12 l', () => of('pack-small').holdsL >= 5 && of('pack-small').holdsL <= 12],
	['waders insulate nothing', () => of('waders').localClo <= 0.25],
	['wool when wet is better than cotton, and worse than dry', () => LOST_WHEN_FULL.wool < LOST_WHEN_FULL.cotton && LOST_WHEN_FULL.wool > 0],
	['synthetic fill minds water, and less than down', () => LOST_WHEN_FULL['synthetic-fill'] > 0 && LOST_WHEN_FULL['synthetic-fill'] < LOST_WHEN_FULL.down],
	['ankle socks end below the cuff of a boot', () => of('sock-light').heightCm < of('boot-hiking').heightCm],
	['over-calf socks end above every boot', () => of('sock-heavy').heightCm > of('boot-rubber').heightCm],
	['a thick hat does not go under a helmet, a thin cap does', () => !of('hat-warm').features.includes('under-helmet') && of('cap-thin').features.includes('under-helmet')],
	['rain trousers with side zips go on over boots', () => of('trousers-hard-shell').overBoots && of('trousers-rain').overBoots],
	['lens of category 4 above 4500 m on snow, 3 below (EN ISO 12312-1, from memory)', () =>
		lensNeeded(cellOf(['move', 60, 200, 'slope', { altitudeM: 4700 }], { ground: 'snow' })) === 4 &&
		lensNeeded(cellOf(['move', 60, 200, 'slope'], { ground: 'snow' })) === 3],
	['no shade is asked for in the dark', () => lensNeeded(cellOf(['move', 60, 200, 'slope', { marks: ['dark'] }], { ground: 'snow' })) === null],
	['a bag serves to its comfort, and holds some degrees below (EN ISO 23537, from memory)', () =>
		nightVerdict(-2, -2) === 'right' && nightVerdict(-5, -2) === 'cool' && nightVerdict(-20, -2) === 'short']
]; // prettier-ignore

describe('facts of the trade', () => {
	it.each(FACTS)('%s', (_, holds) => {
		expect(holds()).toBe(true);
	});
});
