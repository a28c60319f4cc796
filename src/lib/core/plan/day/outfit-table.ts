import { resultantClo } from '../../cloth/supply';
import type { WornLayer } from '../../cloth/worn';
import type { Cell } from '../../conditions/cells';
import type { Person } from '../../conditions/person';
import { type LossPair, lossOf } from '../../heat/debt';
import type { CellAir } from '../../heat/ledger';
import type { Wetness } from '../../heat/wet-cloth';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { type BodyViews, outfitTerms } from './outfit-terms';

/** What every outfit of trunk, legs, head and opening of the front means in one cell; index = choice. */
export interface OutfitTable {
	/** heat that the outfit lets through, W/(m²·K) */
	conductance: Float64Array;
	/** penalty that it has whatever the debt; Infinity where the choice is not open */
	penalty: Float64Array;
	/** overheat, clo·min */
	overheat: Float64Array;
	/** heat lost at both levels */
	lossOf(choice: number): LossPair;
}

/**
 * The table of one cell.
 * @param always what is worn whatever is chosen: underwear, hands, feet, eyes
 * @param soon whether a stop follows soon
 * @param fronts ways in which fronts can be worn: closed, vented, open
 * @param wetness of gloves, boots and socks, by thing id
 */
export function outfitTable(
	cell: Cell,
	air: CellAir,
	wardrobe: Wardrobe,
	views: BodyViews,
	always: readonly WornLayer[],
	soon: boolean,
	person: Person,
	fronts: number,
	wetness: Wetness
): OutfitTable {
	const terms = outfitTerms(cell, air, wardrobe, views, always, soon, person, fronts, wetness);
	const { regions, unmet, opens, givenOpening, rainAndFace, headMatters } = terms;
	const [trunks, legs, heads] = unmet.map(({ length }) => length) as [number, number, number];
	const choices = trunks * legs * heads * fronts;
	const conductance = new Float64Array(choices);
	const penalties = new Float64Array(choices).fill(Infinity);
	const overheats = new Float64Array(choices);
	let outfit = 0;
	for (let t = 0; t < trunks; t++) {
		for (let l = 0; l < legs; l++) {
			const at = t * legs + l;
			const way = regions.wayOf[at]! * heads;
			const penaltyHere = unmet[0][t]! + unmet[1][l]! + (headMatters ? 0 : rainAndFace(t, l, 0));
			for (let h = 0; h < heads; h++, outfit++) {
				const penalty = penaltyHere + unmet[2][h]! + (headMatters ? rainAndFace(t, l, h) : 0);
				// Nobody opens what is not too warm.
				const first = outfit * fronts;
				let front = 0;
				for (let tooWarm = true; front <= opens[t]! && tooWarm; front++) {
					const opening = Math.max(front, givenOpening[t]!);
					const sum = regions.body[opening]![at]! + regions.head[opening]![way + h]!;
					const overheat = terms.overheatOf(sum);
					tooWarm = sum <= terms.warmest;
					conductance[first + front] = sum;
					penalties[first + front] = penalty + (overheat > 0 ? terms.wordOfOverheat : 0);
					overheats[first + front] = overheat;
				}
			}
		}
	}
	const losses = new Map<number, LossPair>();
	return {
		conductance,
		penalty: penalties,
		overheat: overheats,
		lossOf: (choice) => {
			let loss = losses.get(choice);
			if (!loss) {
				loss = lossOf(air.balance, resultantClo(conductance[choice]!, air.air), person.offsetClo);
				losses.set(choice, loss);
			}
			return loss;
		}
	};
}
