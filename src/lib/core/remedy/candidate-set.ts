/** Some of a list of candidates, by index. */
export type CandidateSet = ReadonlySet<number>;

export const isWithin = (a: CandidateSet, b: CandidateSet): boolean => {
	for (const one of a) if (!b.has(one)) return false;
	return true;
};

/** A set as text, the same whatever the order. */
export const setKey = (set: CandidateSet): string => [...set].sort((a, b) => a - b).join();
