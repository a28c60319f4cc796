import { type Precipitation, type WetSpell } from '../document/weather';
import { WETTING_SHARE, wettingPerMin } from './precipitation';

/** Below this snow is dry, °C (our assumption). */
export const DRY_SNOW_BELOW_C = -2;
/** Above this it rains, °C (our assumption; the snow line lies about there). */
export const RAIN_ABOVE_C = 1;
/** Above this snow has turned to rain, °C (our assumption). */
export const SNOW_GONE_ABOVE_C = 2;

/**
 * What a kind of rain or snow falls as in air of another temperature: a valley's rain is snow higher up.
 * @param kind as forecast
 * @param airTempC °C where it falls
 */
export function fallsAs(kind: Precipitation, airTempC: number): Precipitation {
	if (kind === 'dry') return kind;
	if (airTempC < DRY_SNOW_BELOW_C) return 'dry-snow';
	if (kind === 'dry-snow' || kind === 'wet-snow') return airTempC > SNOW_GONE_ABOVE_C ? 'rain' : 'wet-snow';
	return airTempC > RAIN_ABOVE_C ? kind : 'wet-snow';
}

export interface Wet {
	/** the wettest kind that falls meanwhile */
	kind: Precipitation;
	/** minutes in which anything falls */
	minutes: number;
	/** the same as minutes of ordinary rain */
	rainMinutes: number;
}
const DRY: Wet = { kind: 'dry', minutes: 0, rainMinutes: 0 };

/**
 * What falls during a stretch of time. Where spells overlap the wetter one counts, once.
 * @param spells as forecast
 * @param fromMin start, minutes after midnight; may lie beyond 1440
 * @param toMin end
 * @param airTempC °C where it falls
 */
export function wetBetween(
	spells: readonly WetSpell[],
	fromMin: number,
	toMin: number,
	airTempC: number
): Wet {
	if (spells.length === 0) return DRY;
	const here = spells
		.flatMap(({ fromMin: from, toMin: to, kind }) =>
			[0, 1440].map((day) => ({
				from: from + day,
				to: to + day,
				kind: fallsAs(kind, airTempC),
				perMin: wettingPerMin(kind, airTempC)
			}))
		)
		.filter(({ from, to, kind }) => kind !== 'dry' && from < toMin && to > fromMin)
		.map(({ from, to, kind, perMin }) => ({
			from: Math.max(from, fromMin),
			to: Math.min(to, toMin),
			kind,
			perMin
		}));
	const cuts = [...new Set(here.flatMap(({ from, to }) => [from, to]))].sort((a, b) => a - b);
	let wet = DRY;
	for (let i = 1; i < cuts.length; i++) {
		const [from, to] = [cuts[i - 1]!, cuts[i]!];
		const now = here.filter((spell) => spell.from < to && spell.to > from);
		if (now.length === 0) continue;
		const { kind, perMin } = now.reduce((a, b) => (b.perMin > a.perMin ? b : a));
		wet = {
			kind: WETTING_SHARE[kind] > WETTING_SHARE[wet.kind] ? kind : wet.kind,
			minutes: wet.minutes + to - from,
			rainMinutes: wet.rainMinutes + (to - from) * perMin
		};
	}
	return wet;
}
