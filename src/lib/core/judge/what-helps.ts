import { type Region, REGIONS } from '../cloth/parts';
import { type Cloth, covers } from '../cloth/things';
import { type Outfit, outfitClo } from '../cloth/worn';
import type { Person } from '../conditions/person';
import { cellAir, debtCourse } from '../heat/ledger';
import type { PhaseVerdict } from './phase-verdict';

/** Where one more layer could go. */
const LAYER_PLACES = ['torso', 'legs', 'head'] as const;
type LayerPlace = (typeof LAYER_PLACES)[number];
const REGIONS_OF: Readonly<Record<LayerPlace, Region[]>> = {
	torso: ['trunk', 'arms'],
	legs: ['thighs', 'calves'],
	head: ['skull', 'face', 'neck']
};

/** Where one more layer of 1 clo gains most minutes; nothing when it gains none. A bare neck comes before the head. */
export function whereOneLayerHelps(
	phase: PhaseVerdict,
	person: Person
): { place: LayerPlace | 'neck'; minutes: number } | null {
	const air = cellAir(phase.cell);
	const gains = LAYER_PLACES.map((place) => {
		const regions = Object.fromEntries(REGIONS.map((region) => [region, 0])) as Record<Region, number>;
		for (const region of REGIONS_OF[place]) regions[region] = 1;
		const cloth = {
			localClo: 1,
			airPermeability: 8,
			regions,
			covers: {},
			girthSteps: 0,
			roomSteps: Infinity,
			roomIsTried: true,
			size: ''
		} as unknown as Cloth;
		const outfit: Outfit = [...phase.outfit, { cloth, position: 5, opening: 'closed' }];
		const course = debtCourse(phase.cell, air, outfitClo(outfit, air.air), phase.startDebtWhm2, person);
		return { place, minutes: course.holdsMinutes ?? phase.cell.minutes };
	});
	const best = gains.reduce((a, b) => (b.minutes > a.minutes ? b : a));
	if (best.minutes <= (phase.holdsMinutes ?? 0)) return null;
	const isNeckBare = !phase.outfit.some(({ cloth }) => covers(cloth, 'neck'));
	return best.place === 'head' && isNeckBare ? { ...best, place: 'neck' } : best;
}

/**
 * How long the body holds in a phase without the layers over everything, from the same debt; null when it has no limit,
 * undefined when nothing is worn over everything.
 */
export function holdsWithoutOver(
	phase: Pick<PhaseVerdict, 'cell' | 'outfit' | 'band' | 'startDebtWhm2'>,
	person: Person
): { names: string[]; minutes: number | null } | undefined {
	const over = phase.outfit.filter(({ cloth, position }) => position === 5 && covers(cloth, 'torso'));
	if (over.length === 0 || phase.band === null) return undefined;
	const air = cellAir(phase.cell);
	const left = phase.outfit.filter((layer) => !over.includes(layer));
	const course = debtCourse(phase.cell, air, outfitClo(left, air.air), phase.startDebtWhm2, person);
	return {
		names: over.map(({ cloth }) => cloth.name),
		minutes: course.holdsMinutes === null ? null : Math.floor(course.holdsMinutes)
	};
}
