/**
 * Checks one number and returns it.
 * @param name argument as the caller knows it, unit included
 * @throws RangeError naming argument, value and allowed range
 */
export function inRange(name: string, value: number, min: number, max: number): number {
	if (!(value >= min && value <= max))
		throw new RangeError(`${name} is ${value}, allowed is ${min} to ${max}`);
	return value;
}

/** `value` held within `min` and `max`. */
export const clamp = (value: number, min: number, max: number): number => Math.min(max, Math.max(min, value));
