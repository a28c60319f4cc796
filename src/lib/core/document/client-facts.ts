/** Sizes by letter, small to large. */
export const LETTER_SIZES = ['XXS', 'XS', 'S', 'M', 'L', 'XL', 'XXL', '3XL', '4XL'] as const;

/** Languages of letters and of the client's page. */
export const LANGUAGES = ['en', 'de'] as const;

/**
 * What is known of a client beyond the name and the kit: a figure in a range, yes or no, one word of a list, or some. Adding
 * one is a line here; it is kept as a row, with its state, its source, when and by whom.
 */
export const CLIENT_FACTS = {
	/** feels the cold (+) or the heat (−), clo */
	offsetClo: { min: -0.6, max: 0.6 },
	/** be one level more careful */
	careful: 'yes or no',
	/** hands that are cold before others' are */
	coldHands: 'yes or no',
	coldFeet: 'yes or no',
	/** cannot take the boots off on the way: stiff joints, a brace, a child alone with laces */
	bootsStayOn: 'yes or no',
	/** how they relieve themselves outside, which is asked of everybody: it does not matter, or the trousers have to open for it */
	relief: { oneOf: ['any', 'opening'] },
	/** parts of the body for which nothing that was tried works: wrong until it is solved */
	nothingWorks: { someOf: ['hands', 'feet', 'ears', 'torso'] },
	/** wool at the neck itches */
	itchyCollar: 'yes or no',
	/** size worn on the upper body */
	topSize: { oneOf: LETTER_SIZES },
	/** size of trousers, by letter */
	legSize: { oneOf: LETTER_SIZES },
	gloveSize: { oneOf: LETTER_SIZES },
	/** European shoe size */
	shoeSize: { min: 15, max: 55 },
	/** what the client does not wear, whatever the weather */
	willNotWear: { someOf: ['wool', 'down', 'synthetic', 'cotton'] },
	/** what the client spends on a thing that is bought */
	priceLevel: { oneOf: ['plain', 'usual', 'fine'] },
	/** wears glasses */
	glasses: 'yes or no',
	/** gets blisters */
	blisters: 'yes or no',
	/** language of letters and of the client's page */
	language: { oneOf: LANGUAGES }
} as const satisfies Readonly<Record<string, FactRule>>;

type FactRule =
	{ min: number; max: number } | 'yes or no' | { oneOf: readonly string[] } | { someOf: readonly string[] };

/** Facts that no plan depends on: they decide what fits, what is bought, what rides along, and how it is said. */
export const NOT_PLANNED_WITH: readonly ClientFactName[] = [
	'topSize',
	'legSize',
	'gloveSize',
	'shoeSize',
	'priceLevel',
	'glasses',
	'blisters',
	'language'
];

export type ClientFactName = keyof typeof CLIENT_FACTS;
export const CLIENT_FACT_NAMES = Object.keys(CLIENT_FACTS) as ClientFactName[];
/** What a fact of a client holds. */
export type ClientFactValue<K extends ClientFactName> = (typeof CLIENT_FACTS)[K] extends 'yes or no'
	? boolean
	: (typeof CLIENT_FACTS)[K] extends { oneOf: readonly (infer Word)[] }
		? Word
		: (typeof CLIENT_FACTS)[K] extends { someOf: readonly (infer Word)[] }
			? readonly Word[]
			: number;
