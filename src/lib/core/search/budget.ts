/** Slack that is tried first: a little overheat. */
export const FIRST_SLACK = 3;

/** More than any changes that can be done. */
export const UNLIMITED = Number.MAX_VALUE;

/** Further than the optimum without prices that courses of possible changes are looked for. */
export const MARGINS = [3, 300, 30_000, 1e7, 1e8, 1e9, 1e10, 1e15] as const;

/** The same on long days, where a good course is looked for and not the best. */
export const LONG_MARGINS = [1e9, 1e15] as const;

/** Slacks with which the quickest course of such a day is looked for: a little overheat, then penalty. */
export const QUICK_SLACKS = [30, 1e9, 1e15] as const;

/** Changes over the bound up to which courses are looked for, one after the other, hundredths. */
export const MORE = [0, 100, 200, 400, 800, 1600, 3200, 6400, UNLIMITED] as const;

/** Of those, when a long day is first searched for a course that may do. */
export const QUICK_AT = 400;

/** Pairs of choices that the search of one day may look at. */
export const MOST_PAIRS = 200_000;

/** Pairs that are looked at for one question about a lighter set, where the day itself is not proven. */
export const FEW_PAIRS = 3000;

/** Work that is put into the changes of one day, in pairs looked at and twice as many bounds, over its cells. */
export const MOST_WORK = 800_000;

/** More cells than this make a long day. */
export const LONG_CELLS = 10;

/** Pairs that are looked at for one question whether penalty and overheat can be so low. */
export const PROBE_PAIRS = 20_000;

/** The same where the course that is known came from a quick search, which is good enough already. */
export const LONG_PAIRS = 6000;

/** Bounds that are worked out at most, each for a choice and a step. */
export const MOST_BOUNDS = 120_000;

/** Bounds as they are, and bounds without steps. */
export const AS_IS = Infinity;
const ONE = 1000;

/** Steps with which penalty and overheat are followed at first. */
export const COARSE = 4;

/**
 * Bounds that know few steps of the state cost little and are tried first; what they leave is searched with finer ones, and
 * with penalty and overheat followed anew for what is left, in finer steps too.
 */
export const TRIES = [
	{ every: AS_IS, relaxedEvery: null, pairs: 2000 },
	{ every: ONE, relaxedEvery: null, pairs: 5000 },
	{ every: 12, relaxedEvery: COARSE, pairs: 20_000 },
	{ every: 4, relaxedEvery: 1, pairs: 50_000 },
	{ every: 1, relaxedEvery: 1, pairs: Infinity }
] as const;
export type Try = (typeof TRIES)[number];

/** So many steps are worked out where more changes may be spent on fewer things: there are many choices then. */
export const REFINED = 12;
