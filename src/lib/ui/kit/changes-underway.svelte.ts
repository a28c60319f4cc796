/** Changes of rows on their way to the server, one after the other: shown at once, and part of every save that follows. */
export class ChangesUnderway {
	/** oldest first */
	private list = $state.raw<{ of: string; change: object }[]>([]);
	private queue: Promise<void> = Promise.resolve();

	get isEmpty(): boolean {
		return this.list.length === 0;
	}

	/** A row as it will be when all is saved. */
	shown<Row extends { id: string }>(row: Row): Row {
		return this.list.reduce((now, { of, change }) => (of === row.id ? { ...now, ...change } : now), row);
	}

	/**
	 * Saves wait for one another, so that each rests on the version that the one before has made.
	 * @param of id of the row
	 * @param save ends when the row is read anew
	 */
	add(of: string, change: object, save: () => Promise<void>): Promise<void> {
		const mine = { of, change };
		this.list = [...this.list, mine];
		// A save that failed does not hold up the next one.
		this.queue = this.queue
			.catch(() => undefined)
			.then(async () => {
				try {
					await save();
				} finally {
					this.list = this.list.filter((one) => one !== mine);
				}
			});
		return this.queue;
	}

	/** Ends when everything is saved that is underway now. */
	settled(): Promise<void> {
		return this.queue.catch(() => undefined);
	}
}
