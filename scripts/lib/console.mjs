/** Something that a person can act on: what happened, and what to do. */
export class Trouble extends Error {
	constructor(what, todo) {
		super(what);
		this.todo = todo;
	}
}

export const say = (text) => console.log(`· ${text}`);

/** Prints a trouble in two lines, anything else in full, and ends with status 1. */
export function fail(error) {
	if (error instanceof Trouble) {
		console.error(`\n✗ ${error.message}\n  What to do: ${error.todo}`);
	} else {
		console.error(error);
	}
	process.exitCode = 1;
}
