/** What days are called when nobody named them. */
export const dayName = (number: number): string => `Day ${number}`;

/** "Day 3" becomes "Day 4", any other name says that it is done again. */
export function copyName(name: string): string {
	const number = /^Day (\d+)$/.exec(name)?.[1];
	return number ? dayName(Number(number) + 1) : `${name.replace(/, again$/, '').slice(0, 113)}, again`;
}
