import { surroundings } from '../body/two-node';
import { innermost, type Outfit } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import { SWEAT_STORE } from './sweat-store';

/**
 * What a whole outfit lets through, by its tightest layer over more than half of the torso (our assumption; 0.45 is the standard's).
 */
function vapourPermeabilityOf(outfit: Outfit): number {
	const tightest = Math.max(
		0,
		...outfit.filter(({ cloth }) => cloth.regions.trunk > 0.5).map(({ cloth }) => cloth.vapourResistance)
	);
	return tightest >= 500 ? 0.1 : tightest >= 20 ? 0.3 : 0.45;
}

/** The air of a cell, as a body feels it in clothes of so much insulation as worn, clo. */
export function aroundIn(cell: Cell, outfit: Outfit, clo: number): ReturnType<typeof surroundings> {
	const { airTempC, airVelocityMs, humidityPct, metabolicWm2 } = cell;
	return surroundings(
		{ airTempC, airVelocityMs, humidityPct, metabolicWm2, insulationClo: Math.max(0, clo) },
		SWEAT_STORE[innermost(outfit, 'torso')?.fibre ?? 'other'],
		vapourPermeabilityOf(outfit)
	);
}
