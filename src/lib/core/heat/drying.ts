import { WORK_WM2 } from '../body/effort';
import type { Cloth } from '../cloth/things';
import type { Cell } from '../conditions/cells';

/** Hours from full to dry, next to the skin and elsewhere (our assumption). */
const thin = ({ localClo, fibre }: Cloth): boolean => fibre === 'synthetic' && localClo <= 0.5;
function skinDryH(cloth: Cloth): number {
	if (cloth.fibre === 'cotton' || cloth.fibre === 'waxed-cotton') return 3;
	return thin(cloth) ? 0.75 : 1.5;
}
function layerDryH(cloth: Cloth): number {
	if (cloth.slot === 'footwear') return 24;
	switch (cloth.fibre) {
		case 'synthetic-fill':
			return 4;
		case 'cotton':
		case 'waxed-cotton':
		case 'down':
			return 5;
		default:
			return thin(cloth) ? 1 : 2;
	}
}
const WORK_DRY_HUMIDITY_PCT = 90;

/** Hours from full to dry of a worn thing in a cell, Infinity where it does not dry. */
export function dryHoursOf(cell: Cell, cloth: Cloth, isSkin: boolean, isInBoot: boolean): number {
	if (cell.heated) return (isSkin ? skinDryH(cloth) : layerDryH(cloth)) / 2;
	if (cell.rainPerMin > 0 || isInBoot) return Infinity;
	if (isSkin) return skinDryH(cloth);
	if (cell.airTempC <= 0 || cell.humidityPct > WORK_DRY_HUMIDITY_PCT) return Infinity;
	return layerDryH(cloth) * (cell.metabolicWm2 >= WORK_WM2 ? 1 : 2);
}
