import { catalogueType } from '../../cloth/catalogue';
import { clothOf, covers, isThere } from '../../cloth/things';
import { type Cell, cellsOf } from '../../conditions/cells';
import type { Part } from '../../document/parts';
import type { Client, Document } from '../../document/types';
import { HIGH_LIGHT_M, isAwake, isOutside } from '../../conditions/needs';

/**
 * The group's spare bag: what to carry so that the likeliest losses and failures of this group are covered in so many kilos.
 * How often they happen is our assumption; which of them matter follows from the days and from what each client has twice.
 */

export const LOSSES = ['glove', 'hat', 'top', 'socks', 'glasses', 'torch'] as const;
export type Loss = (typeof LOSSES)[number];

interface LossRow {
	/** what is carried for it */
	typeId: string;
	/** how often it happens to a client on a day on which it matters (our assumption) */
	chance: number;
	/** whether it matters in a phase */
	matters: (cell: Cell) => boolean;
	/** where a second thing of the client's own covers it */
	part: Part | 'torch';
	/** highest and lowest layer that counts as one */
	layers: readonly [number, number];
}
const ROWS: Readonly<Record<Loss, LossRow>> = {
	glove: {
		typeId: 'mitten',
		chance: 0.02,
		matters: ({ feltTempC }) => feltTempC < 0,
		part: 'hands',
		layers: [1, 5]
	},
	hat: {
		typeId: 'hat-warm',
		chance: 0.02,
		matters: ({ feltTempC }) => feltTempC < 5,
		part: 'ears',
		layers: [0, 5]
	},
	top: {
		typeId: 'top-synthetic',
		chance: 0.03,
		matters: ({ feltTempC, rainMinutes }) => feltTempC < 10 || rainMinutes > 0,
		part: 'torso',
		layers: [0, 1]
	},
	socks: {
		typeId: 'sock-heavy',
		chance: 0.03,
		matters: ({ airTempC, rainMinutes, ground }) => airTempC < 5 && (rainMinutes > 0 || ground !== 'bare'),
		part: 'feet',
		layers: [0, 2]
	},
	glasses: {
		typeId: 'sunglasses',
		chance: 0.01,
		matters: ({ light, ground, altitudeM }) =>
			light === 'day' && (ground === 'snow' || altitudeM > HIGH_LIGHT_M),
		part: 'eyes',
		layers: [0, 5]
	},
	torch: {
		typeId: 'torch',
		chance: 0.02,
		matters: ({ light }) => light === 'dark',
		part: 'torch',
		layers: [0, 5]
	}
};

/** Most of one thing in the bag. */
const MOST_OF_ONE = 3;

export interface SpareThing {
	loss: Loss;
	typeId: string;
	many: number;
	massG: number;
	/** how likely it is that so many are called for on this trip, 0…1 */
	likely: number;
}
export interface SpareBag {
	things: SpareThing[];
	massG: number;
	/** how likely it is that a loss happens that the bag does not cover, 0…1 */
	uncovered: number;
}

/** How many things of their own a client has that cover a loss. */
function ownOf({ part, layers }: LossRow, client: Client): number {
	return client.things
		.filter(isThere)
		.filter((thing) => {
			if (part === 'torch') return thing.typeId === 'torch';
			const cloth = clothOf(thing, client.uses);
			return covers(cloth, part) && cloth.positions[0] >= layers[0] && cloth.positions[1] <= layers[1];
		})
		.reduce((sum, { quantity }) => sum + (quantity.value ?? 1), 0);
}

/** How likely at least so many are, when so many happen on average: events apart from one another (Poisson). */
function atLeast(many: number, average: number): number {
	let [term, below] = [Math.exp(-average), 0];
	for (let n = 0; n < many; n++) {
		below += term;
		term *= average / (n + 1);
	}
	return Math.max(0, 1 - below);
}

/**
 * What to carry for the group on a trip in its usual weather, of all bags that weigh no more the one that covers most.
 * @param mostG what the bag may weigh, g, 0 and more
 */
export function spareBag({ trip, clients }: Document, mostG: number): SpareBag {
	const [usual] = trip.weathers;
	const days = usual
		? trip.stages.map((stage) =>
				cellsOf(stage, usual, trip.site).filter((cell) => isOutside(cell) && isAwake(cell))
			)
		: [];
	const averages = LOSSES.map((loss) => {
		const row = ROWS[loss];
		const mattering = days.filter((cells) => cells.some(row.matters)).length;
		// Whoever has a second one is covered already.
		return mattering * row.chance * clients.filter((client) => ownOf(row, client) < 2).length;
	});
	const masses = LOSSES.map((loss) => catalogueType(ROWS[loss].typeId).properties.massG);
	const gains = LOSSES.map((_, at) =>
		Array.from({ length: MOST_OF_ONE + 1 }, (_, many) => {
			let gain = 0;
			for (let one = 1; one <= many; one++) gain += atLeast(one, averages[at]!);
			return gain;
		})
	);
	let best = { gain: -1, massG: 0, many: LOSSES.map(() => 0) };
	const choose = (at: number, many: number[], gain: number, massG: number): void => {
		if (massG > mostG) return;
		if (at === LOSSES.length) {
			if (gain > best.gain + 1e-12 || (gain > best.gain - 1e-12 && massG < best.massG))
				best = { gain, massG, many };
			return;
		}
		for (let own = 0; own <= MOST_OF_ONE; own++)
			choose(at + 1, [...many, own], gain + gains[at]![own]!, massG + own * masses[at]!);
	};
	choose(0, [], 0, 0);
	const uncovered =
		1 - LOSSES.reduce((all, _, at) => all * (1 - atLeast(best.many[at]! + 1, averages[at]!)), 1);
	return {
		things: LOSSES.flatMap((loss, at): SpareThing[] =>
			best.many[at]! > 0 && averages[at]! > 0
				? [{ loss, typeId: ROWS[loss].typeId, many: best.many[at]!, massG: best.many[at]! * masses[at]!, likely: atLeast(best.many[at]!, averages[at]!) }] // prettier-ignore
				: []
		),
		massG: best.massG,
		uncovered
	};
}
