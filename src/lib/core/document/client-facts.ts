/**
 * What is known of a client beyond the name and the kit: a figure in a range, or yes or no. Adding one is a line here; it is
 * kept as a row, with its state, its source, when and by whom.
 */
export const CLIENT_FACTS = {
	/** feels the cold (+) or the heat (−), clo */
	offsetClo: { min: -0.6, max: 0.6 },
	/** be one level more careful */
	careful: 'yes or no'
} as const satisfies Readonly<Record<string, { min: number; max: number } | 'yes or no'>>;

export type ClientFactName = keyof typeof CLIENT_FACTS;
export const CLIENT_FACT_NAMES = Object.keys(CLIENT_FACTS) as ClientFactName[];
/** What a fact of a client holds. */
export type ClientFactValue<K extends ClientFactName> = (typeof CLIENT_FACTS)[K] extends 'yes or no'
	? boolean
	: number;
