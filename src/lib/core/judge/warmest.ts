import { CATALOGUE, WARMEST_TYPE_IDS, catalogueType } from '../cloth/catalogue';
import { regionCoverage } from '../cloth/parts';
import type { AirInUse, RegionTotals } from '../cloth/supply';
import type { Cloth } from '../cloth/things';
import { type Outfit, totalsOf } from '../cloth/worn';

const warmestCloths: Cloth[] = WARMEST_TYPE_IDS.map((id) => {
	const { properties, slot, uses } = catalogueType(id);
	return {
		...properties,
		thingId: id,
		typeId: id,
		name: id,
		quantity: 1,
		state: 'assumed',
		slot,
		uses,
		regions: regionCoverage(properties.covers),
		// Made to go over one another: nothing is squeezed.
		roomSteps: 99,
		roomIsTried: true
	};
});

const WARMEST_OUTFIT: Outfit = warmestCloths
	.map((cloth) => ({ cloth, position: cloth.positions[0], opening: 'closed' as const }))
	.sort((a, b) => a.position - b.position);

/** Best comfort temperature that any bag of the catalogue has, °C. */
export const WARMEST_BAG_C = Math.min(
	...CATALOGUE.filter((t) => t.group === 'sleep').map((t) => t.properties.comfortTempC)
);

const warmestKnown = new WeakMap<AirInUse, RegionTotals>();

/** What the warmest outfit of the catalogue gives in some air. */
export function warmestIn(air: AirInUse): RegionTotals {
	const known = warmestKnown.get(air) ?? totalsOf(WARMEST_OUTFIT, air);
	warmestKnown.set(air, known);
	return known;
}
