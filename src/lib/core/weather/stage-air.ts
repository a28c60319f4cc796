import { clamp } from '../argument';
import type { HeightForecast, Inversion } from '../document/weather';
import { airTempAtAltitudeC } from './air';
import { USUAL_DAWN_MIN, dayTempC } from './day-course';

/** How much warmer the top of a cold pool counts unless typed, K (our assumption). */
export const USUAL_POOL_K = 4;
/** An inversion holds until so long after dawn, and is gone so long after it, minutes (our assumption). */
const POOL_HOLDS_MIN = 120;
const POOL_GONE_MIN = 300;

/** What the air of a stage is known by. */
export interface StageAir {
	lowTempC: number;
	highTempC: number;
	altitudeM: number;
	lapseKPerKm: number;
	inversion: Inversion | null;
	heights: readonly HeightForecast[];
	wind10mKmh: number;
}

/** Share of an inversion that is left at a time of the day, 0…1. */
export const poolShare = (timeMin: number, dawnMin: number): number =>
	timeMin >= 1440 ? 0 : clamp((dawnMin + POOL_GONE_MIN - timeMin) / (POOL_GONE_MIN - POOL_HOLDS_MIN), 0, 1);

export type AirRule = 'lapse' | 'heightForecast' | 'inversion';

/** The two forecasts around a height, and how far it lies from the lower to the upper; one twice beyond the ends. */
function around(air: StageAir, altitudeM: number): [HeightForecast, HeightForecast, number] {
	const known: HeightForecast[] = [air, ...air.heights].sort((a, b) => a.altitudeM - b.altitudeM);
	const above = known.findIndex((one) => one.altitudeM >= altitudeM);
	if (above === 0) return [known[0]!, known[0]!, 0];
	if (above < 0) return [known.at(-1)!, known.at(-1)!, 0];
	const [low, high] = [known[above - 1]!, known[above]!];
	return [low, high, (altitudeM - low.altitudeM) / (high.altitudeM - low.altitudeM)];
}

/**
 * Air temperature of a stage at a height and a time, °C, and the rule that gave it. Between two heights with a forecast
 * it is read off between them; a forecast for the height wins over the lapse and over an inversion. In an inversion the
 * typed low belongs to the valley floor, the air warms up to the top of the cold pool, and the lapse starts there.
 * @param altitudeM m, −500…9000
 * @param timeMin minutes after midnight
 * @param dawnMin when it is coldest, minutes after midnight
 */
export function stageTempC(
	air: StageAir,
	altitudeM: number,
	timeMin: number,
	dawnMin = USUAL_DAWN_MIN
): { airTempC: number; rule: AirRule } {
	const tempOf = ({ lowTempC, highTempC }: { lowTempC: number; highTempC: number }): number =>
		dayTempC(lowTempC, highTempC, timeMin, dawnMin);
	if (air.heights.length > 0) {
		const [low, high, share] = around(air, altitudeM);
		const airTempC =
			share === 0 && low === high
				? airTempAtAltitudeC(tempOf(low), low.altitudeM, altitudeM, air.lapseKPerKm)
				: tempOf(low) + (tempOf(high) - tempOf(low)) * share;
		return { airTempC, rule: 'heightForecast' };
	}
	const baseC = tempOf(air);
	const plainC = airTempAtAltitudeC(baseC, air.altitudeM, altitudeM, air.lapseKPerKm);
	const { inversion } = air;
	const share = inversion && inversion.topM > air.altitudeM ? poolShare(timeMin, dawnMin) : 0;
	if (!inversion || share === 0) return { airTempC: plainC, rule: 'lapse' };
	const deepM = inversion.topM - air.altitudeM;
	const upM = clamp(altitudeM - air.altitudeM, 0, deepM);
	const pooledC =
		baseC +
		(inversion.warmerAtTopK * upM) / deepM -
		(air.lapseKPerKm * Math.max(0, altitudeM - inversion.topM)) / 1000;
	return { airTempC: plainC + (pooledC - plainC) * share, rule: 'inversion' };
}

/** Forecast wind of a stage at a height, km/h at 10 m: between the forecasts of two heights, else the stage's own. */
export function stageWindKmh(air: StageAir, altitudeM: number): number {
	const windOf = ({ wind10mKmh }: HeightForecast): number => wind10mKmh ?? air.wind10mKmh;
	const [low, high, share] = around(air, altitudeM);
	return windOf(low) + (windOf(high) - windOf(low)) * share;
}
