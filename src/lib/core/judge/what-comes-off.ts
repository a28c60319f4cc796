import { OPENING_FACTOR } from '../cloth/supply';
import type { Cloth } from '../cloth/things';
import { type Outfit, outfitClo } from '../cloth/worn';
import type { Person } from '../conditions/person';
import { cellAir, debtCourse } from '../heat/ledger';
import type { PhaseVerdict } from './phase-verdict';

/** What could come off or be opened so that a phase is no longer too warm, and is not cold either. */
export interface ComesOff {
	/** what comes off, the fewest things that do; none where opening the front does, or nothing does */
	thingIds: string[];
	opens: boolean;
}

/** Slots from which a layer can come off on the way, the quickest first. */
const QUICK_OFF: readonly Cloth['slot'][] = [
	'coat',
	'rain',
	'wind',
	'light-insulation',
	'hat',
	'mid',
	'overtrousers',
	'neck'
];

/** What comes off where it is too warm. @param person whose marks hold */
export function whatComesOff(phase: PhaseVerdict, person: Person): ComesOff {
	const { cell, outfit, tooWarmAboveClo, startDebtWhm2 } = phase;
	const air = cellAir(cell);
	const does = (left: Outfit, opening: number): boolean => {
		const clo = outfitClo(left, air.air, opening);
		if (clo > (tooWarmAboveClo ?? Infinity)) return false;
		return (
			phase.band === null ||
			debtCourse(cell, air, clo, startDebtWhm2, person).peakWhm2 <= person.marks.rightWhm2
		);
	};
	const opens = outfit.some(({ cloth: { features } }) =>
		(['full-zip', 'two-way-zip', 'half-zip', 'vents'] as const).some((feature) => features.includes(feature))
	);
	if (
		opens &&
		phase.outfit.every(({ opening }) => opening === 'closed') &&
		does(outfit, OPENING_FACTOR.vented)
	)
		return { thingIds: [], opens: true };
	const layers = QUICK_OFF.flatMap((slot) => outfit.filter(({ cloth }) => cloth.slot === slot));
	const one = layers.find((layer) =>
		does(
			outfit.filter((other) => other !== layer),
			1
		)
	);
	return { thingIds: one ? [one.cloth.thingId] : [], opens: false };
}
