import { REGION_OF_PART, type Region, REGIONS } from '../cloth/parts';
import { OPENING_FACTOR } from '../cloth/supply';
import { layersOf, type WornLayer } from '../cloth/worn';
import { type Part, PARTS } from '../document/parts';
import type { PhaseVerdict } from '../judge/phase-verdict';
import { limbShareLeft, wetLayers } from '../heat/wet-cloth';

/** A worn layer where it is worn: how far it covers each part, and how warm it is there. */
export interface LayerByPart {
	layer: WornLayer;
	/** by part that it covers: share of it that is covered, 0…1, and its insulation there in this phase, clo */
	parts: ReadonlyMap<Part, { share: number; clo: number }>;
	/** how wet it is at the end of the phase, 0…1 of what it can hold */
	wet: number;
}

/** Share of a cloth's insulation that an open front leaves, and that wet gloves, socks and boots keep. */
function shareLeft(region: Region, here: readonly WornLayer[], wetness: ReadonlyMap<string, number>): number {
	if (region === 'hands' || region === 'feet') return limbShareLeft(here, wetness);
	if (region !== 'trunk') return 1;
	return Math.min(1, ...here.map(({ opening }) => OPENING_FACTOR[opening]));
}

/**
 * What is worn in a phase, layer by layer from the skin out, and what each layer insulates at each part of the body: squeezed by
 * what is over it, wet as it is, opened as it is. In still air: what the wind takes belongs to the outfit and to no layer.
 */
export function clothByPart({
	outfit,
	wetness,
	wet
}: Pick<PhaseVerdict, 'outfit' | 'wetness' | 'wet'>): LayerByPart[] {
	const wetMap = new Map(Object.entries(wetness));
	const ordered = [...outfit].sort((a, b) => a.position - b.position);
	const damp = wetLayers(ordered, wetMap);
	const made = ordered.map((layer) => ({
		layer,
		parts: new Map<Part, { share: number; clo: number }>(),
		wet: wet.find(({ thingId }) => thingId === layer.cloth.thingId)?.share ?? 0
	}));
	for (const region of REGIONS) {
		const here = ordered.filter(({ cloth }) => cloth.regions[region] > 0);
		const left = shareLeft(region, here, wetMap);
		layersOf(damp, region).forEach(({ localClo }, i) => {
			const own = made[ordered.indexOf(here[i]!)]!;
			for (const part of PARTS) {
				const share = own.layer.cloth.covers[part] ?? 0;
				if (share > 0 && REGION_OF_PART[part].region === region)
					own.parts.set(part, { share, clo: localClo * left });
			}
		});
	}
	// Glasses cover the eyes and insulate nothing, so that no region names them.
	for (const own of made) {
		const share = own.layer.cloth.covers.eyes ?? 0;
		if (share > 0) own.parts.set('eyes', { share, clo: 0 });
	}
	return made;
}
