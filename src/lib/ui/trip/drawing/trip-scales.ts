import { scaleLinear, ticks, type ScaleLinear } from 'd3';
import { toUnit, type Units } from '$lib/words/units';
import { isOutside } from './trip-shapes';
import type { Column } from './trip-view';

/** Where the parts of the drawing of a trip stand, px. */
export const LEFT = 46;
export const HEIGHT = 384;
export const LIGHT = { top: 34, height: 9 };
export const WET = { top: LIGHT.top + LIGHT.height, height: 24 };
export const AIR = { top: 76, bottom: 212 };
export const LAND = { top: 246, bottom: 338 };
export const EFFORT = { top: 344, bottom: HEIGHT - 4 };

export type Scale = ScaleLinear<number, number>;

/** Temperature, °C, to height: all weathers and what is felt fit in, and freezing always shows. */
export function airScale(columns: readonly Column[]): Scale {
	const temps = columns
		.filter(isOutside)
		.flatMap(({ others, cell }) => [
			...others.filter(({ heated }) => !heated).map(({ airTempC }) => airTempC),
			cell.feltTempC
		]);
	const low = Math.min(0, ...temps);
	const high = Math.max(low + 8, ...temps);
	return scaleLinear([low - 1, high + 1], [AIR.bottom, AIR.top]);
}
/** Height above the sea, m, to height; a flat day is not made to look like a mountain. */
export function landScale(columns: readonly Column[]): Scale {
	const heights = columns.map(({ cell }) => cell.altitudeM);
	const low = heights.length > 0 ? Math.min(...heights) : 0;
	const high = heights.length > 0 ? Math.max(...heights) : 0;
	const spread = Math.max(150, high - low);
	return scaleLinear([low - spread * 0.25, low + spread], [LAND.bottom, LAND.top]);
}
/** Watts per square metre to height. */
export const effortScale = (): Scale => scaleLinear([40, 300], [2, EFFORT.bottom - EFFORT.top]).clamp(true);

/** Ticks that are round in the unit of the reader. */
export function tempTicks(scale: Scale, units: Units): { shown: number; tempC: number }[] {
	const [low, high] = scale.domain().map((tempC) => toUnit('temp', tempC, units)) as [number, number];
	return ticks(low, high, 5).map((shown) => ({
		shown,
		tempC: units.temp === 'F' ? (shown - 32) / 1.8 : shown
	}));
}
export function heightTicks(scale: Scale, units: Units): { shown: number; altitudeM: number }[] {
	const unitsPerM = toUnit('height', 1, units);
	const [low, high] = scale.domain() as [number, number];
	return ticks(low * unitsPerM, high * unitsPerM, 4).map((shown) => ({
		shown,
		altitudeM: shown / unitsPerM
	}));
}
