/** Troubles that a person can do something about, with the status that they answer with. */

/** Too much is going on: it can be asked again a little later. */
export class BusyError extends Error {
	/** seconds after which it may be asked again */
	readonly retryAfterS = 10;
}
/** The database does not answer, or not in time. */
export class DatabaseDownError extends Error {
	constructor(cause: unknown) {
		super('The database does not answer.', { cause });
	}
}
/** There is no room for what was to be saved. */
export class DiskFullError extends Error {
	constructor(cause: unknown) {
		super('The disk of the server is full.', { cause });
	}
}
/** More is asked for than is worked out at once. */
export class TooLargeError extends Error {}
/** An archive that cannot be restored: where it is bad, in words. */
export class ArchiveError extends Error {}
