import { inRange } from '../argument';

/** Growth of the clothed surface with insulation: f_cl = 1 + 1.97·I_cl (m²·K/W). Source: ISO 9920. */
export const surfaceFactor = (insulationM2kw: number): number => 1 + 1.97 * insulationM2kw;

/** Insulation of the still air layer around a body at rest, m²·K/W. Source: ISO 9920 / ISO 11079. */
export const STILL_AIR_M2KW = 0.085;

/**
 * Insulation of the air layer in wind and movement, m²·K/W:
 * I_a,r = 0.092·exp(−0.15·v − 0.22·w) − 0.0045. Source: ISO 11079 (from memory).
 * @param airVelocityMs 0.4…18 m/s
 * @param walkSpeedMs 0…1.2 m/s
 */
export const airLayerM2kw = (airVelocityMs: number, walkSpeedMs: number): number =>
	0.092 * Math.exp(-0.15 * airVelocityMs - 0.22 * walkSpeedMs) - 0.0045;

/**
 * Share of the total insulation of clothes at rest in still air that is left in use.
 * Source: ISO 11079 (from memory).
 * @param airVelocityMs 0.4…18 m/s
 * @param walkSpeedMs 0…1.2 m/s
 * @param airPermeability of the outer layer, l/(m²·s), 1 (membrane) … 1000 (net)
 */
export const useFactor = (airVelocityMs: number, walkSpeedMs: number, airPermeability: number): number =>
	0.54 * Math.exp(-0.15 * airVelocityMs - 0.22 * walkSpeedMs) * airPermeability ** 0.075 -
	0.06 * Math.log(airPermeability) +
	0.5;

/** Total insulation with an air layer, m²·K/W: I_T = I_cl + I_a / f_cl. */
export const totalM2kw = (insulationM2kw: number, airM2kw: number): number =>
	insulationM2kw + airM2kw / surfaceFactor(insulationM2kw);

/** Inverse of `totalM2kw`: the clothing part of a total insulation, never below 0, m²·K/W. */
export function clothingM2kw(totalInsulationM2kw: number, airM2kw: number): number {
	const b = 1 - 1.97 * totalInsulationM2kw;
	const c = airM2kw - totalInsulationM2kw;
	return c >= 0 ? 0 : (-b + Math.sqrt(b * b - 4 * 1.97 * c)) / (2 * 1.97);
}

/**
 * Basic insulation (at rest, still air) that gives a wanted resultant insulation in use, m²·K/W.
 * @param resultantM2kw wanted I_cl,r, 0…2
 * @param airVelocityMs 0.4…18 m/s
 * @param walkSpeedMs 0…1.2 m/s
 * @param airPermeability 1…1000 l/(m²·s)
 * @throws RangeError out of range
 */
export function basicFromResultantM2kw(
	resultantM2kw: number,
	airVelocityMs: number,
	walkSpeedMs: number,
	airPermeability: number
): number {
	inRange('airPermeability', airPermeability, 1, 1000);
	const total = totalM2kw(resultantM2kw, airLayerM2kw(airVelocityMs, walkSpeedMs));
	return clothingM2kw(total / useFactor(airVelocityMs, walkSpeedMs, airPermeability), STILL_AIR_M2KW);
}
