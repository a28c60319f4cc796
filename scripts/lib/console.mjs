/** Something that a person can act on: what happened, and what to do. */
export class Trouble extends Error {
	constructor(what, todo) {
		super(what);
		this.todo = todo;
	}
}

/** What the machine says in its own words, as something that a person can act on; null for what is not known. */
function troubleOf(error) {
	switch (error?.code) {
		case 'EACCES':
		case 'EPERM':
		case 'EROFS':
			return new Trouble(
				`${error.path ?? 'The folder of the project'} cannot be written.`,
				'start as the owner of the folder, or give yourself the right to write there.'
			);
		case 'ENOSPC':
			return new Trouble('The disk is full.', 'make room, then start again; nothing was lost.');
		case 'EADDRINUSE':
			return new Trouble(`Port ${error.port} is taken.`, 'stop that program, or use another port.');
		default:
	}
	if (error?.constructor?.name === 'NewerDatabaseError')
		return new Trouble(
			error.message,
			'start the newer version, or restore a copy that this version wrote: npm run restore -- <file>'
		);
	return null;
}

export const say = (text) => console.log(`· ${text}`);

/** Prints a trouble in two lines, anything else in full, and ends with status 1. */
export function fail(error) {
	const known = error instanceof Trouble ? error : troubleOf(error);
	if (known) {
		console.error(`\n✗ ${known.message}\n  What to do: ${known.todo}`);
	} else {
		console.error(error);
	}
	process.exitCode = 1;
}
