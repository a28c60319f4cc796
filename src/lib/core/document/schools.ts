/**
 * Where practitioners disagree: the main schools; the first choice is our default. Adding a school is adding a row, its
 * words, and a test.
 */
export const SCHOOLS = {
	skinFibre: ['by stage', 'wool', 'synthetic'],
	fill: ['by wetness', 'synthetic', 'down'],
	socks: ['one', 'liner'],
	cotton: ['judged', 'never'],
	midZip: ['any', 'full', 'none'],
	start: ['cool', 'warm and shed'],
	insulation: ['over', 'under'],
	rainLegs: ['by wetness', 'always', 'accepted wet'],
	shell: ['carried', 'worn'],
	weight: ['by terrain', 'light', 'tough'],
	lodgeFeet: ['either', 'boot', 'low shoe'],
	washing: ['solved', 'many clothes'],
	wetSocks: ['keep one dry', 'change at midday'],
	electric: ['allowed', 'no'],
	ears: ['covered', 'free'],
	worst: ['light', 'no', 'full']
} as const satisfies Record<string, readonly string[]>;

export type SchoolId = keyof typeof SCHOOLS;
export const SCHOOL_IDS = Object.keys(SCHOOLS) as SchoolId[];
type ChoiceOf<K extends SchoolId> = (typeof SCHOOLS)[K][number];

/** A choice in every school. */
export type Schools = { [K in SchoolId]: ChoiceOf<K> };

/** Choices that somebody made; the others are inherited. */
export type SomeSchools = Partial<Schools>;

export const choicesOf = (id: SchoolId): readonly string[] => SCHOOLS[id];

export const OUR_SCHOOLS = Object.fromEntries(SCHOOL_IDS.map((id) => [id, choicesOf(id)[0]])) as Schools;

/** What holds: the client's choice before the trip's before the house's before ours. */
export const schoolsOf = (...levels: (SomeSchools | undefined)[]): Schools =>
	Object.assign({}, OUR_SCHOOLS, ...levels) as Schools;
