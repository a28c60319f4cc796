import type { Cell } from '../conditions/cells';
import type { FactsOfClient } from '../document/types';
import { ROOFED } from '../weather/wind';

/** Small things that are no clothes and that a day asks for (common practice, no source). */
export const SMALL_THINGS = [
	'sun cream',
	'lip balm',
	'first aid',
	'toilet kit',
	'repair kit',
	'flask',
	'blister kit',
	'spare glasses'
] as const;
export type SmallThing = (typeof SMALL_THINGS)[number];

/** From so high on the sun burns even without snow, m (common practice, no source). */
const HIGH_M = 2000;
/** Below this a drink freezes in a bottle, °C (common practice, no source). */
const FREEZES_C = -5;
const AWAY_MIN = 240;
const LONG_SUN_MIN = 120;

const isOutside = ({ place, heated, kind }: Cell): boolean =>
	!ROOFED.has(place) && !heated && kind !== 'what-if';
const minutesOf = (cells: readonly Cell[]): number => cells.reduce((sum, { minutes }) => sum + minutes, 0);

/**
 * Small things that a trip asks for.
 * @param days cells of each day
 * @param nightsOut nights in tents, huts without a keeper or bags
 * @param client what is known of whom the list is for
 */
export function smallThingsFor(
	days: readonly (readonly Cell[])[],
	nightsOut: number,
	client: Pick<FactsOfClient, 'glasses' | 'blisters'>
): SmallThing[] {
	const outside = days.map((cells) => cells.filter(isOutside));
	const all = outside.flat();
	const inSun = all.filter(({ light }) => light === 'day');
	const isBright = inSun.some(({ ground, altitudeM }) => ground === 'snow' || altitudeM >= HIGH_M);
	const asked: Record<SmallThing, boolean> = {
		'sun cream': isBright || minutesOf(inSun) > LONG_SUN_MIN,
		'lip balm': isBright,
		'first aid': all.length > 0,
		'toilet kit': outside.some((cells) => minutesOf(cells) > AWAY_MIN) || nightsOut > 0,
		'repair kit': nightsOut > 0 || outside.filter((cells) => minutesOf(cells) > AWAY_MIN).length > 1,
		flask: all.some(({ airTempC, kind }) => airTempC < FREEZES_C && kind !== 'sleep'),
		'blister kit': client.blisters.value === true && all.some(({ kind }) => kind === 'move'),
		'spare glasses': client.glasses.value === true && all.length > 0
	};
	return SMALL_THINGS.filter((thing) => asked[thing]);
}
