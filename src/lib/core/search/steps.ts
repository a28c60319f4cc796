/** Runs a search to its end. */
export function finished<T>(steps: Generator<unknown, T, void>): T {
	let step = steps.next();
	while (!step.done) step = steps.next();
	return step.value;
}
