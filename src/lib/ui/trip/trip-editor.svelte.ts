import type { Trip } from '$lib/core/document/types';
import { withBedsCarried } from '$lib/core/patterns/edit-days';
import { tripChanges } from '$lib/formats/trip-changes';
import { merge, same } from '$lib/formats/trip-merge';
import type { Units } from '$lib/words/units';
import { send } from '../parts/send';
import { draftOf, dropDraft, keepDraft } from './drafts';

export type SaveState = 'saved' | 'waiting' | 'saving' | 'refused' | 'no answer' | 'conflict';
export interface Conflict {
	/** what somebody else changed meanwhile, in words */
	changes: string[];
	/** how many figures both changed; mine is kept there */
	both: number;
	merged: Trip;
	theirs: Trip;
}

const SAVE_AFTER_MS = 700;
const TRY_AGAIN_AFTER_MS = 5000;
/** Edits of the same kind that follow each other this soon are one step back. */
const ONE_STEP_MS = 1200;
const MOST_STEPS = 60;

/** A trip apart from how often it was saved. */
const unversioned = (trip: Trip): Trip => ({ ...trip, version: 0 });
const isSame = (a: Trip, b: Trip): boolean => same(unversioned(a), unversioned(b));
const merged = (base: Trip, mine: Trip, theirs: Trip): ReturnType<typeof merge<Trip>> =>
	merge(unversioned(base), unversioned(mine), unversioned(theirs));

/**
 * A trip while it is edited: it saves itself a moment after every edit, keeps the last edits to undo, and when somebody
 * else saved meanwhile it says what they changed and loses nothing.
 */
export class TripEditor {
	trip = $state() as Trip;
	state = $state<SaveState>('saved');
	savedAt = $state<Date | null>(null);
	errors = $state<Record<string, string>>({});
	message = $state('');
	conflict = $state.raw<Conflict | null>(null);
	/** the last edit that can be undone, and the next that can be done again */
	undoes = $state<string | null>(null);
	redoes = $state<string | null>(null);

	/** the trip after the last edit, as a plain value: what is computed reads this */
	now = $state.raw() as Trip;

	/** as the server has it */
	#server: Trip;
	#past: Trip[] = [];
	#future: Trip[] = [];
	#lastEdit = { key: '', at: 0 };
	#timer: ReturnType<typeof setTimeout> | undefined;
	#units: () => Units;
	#saving: Promise<void> | null = null;

	constructor(trip: Trip, units: () => Units) {
		// One value for all three: an edit goes to what `$state` keeps beside it, and never into it.
		this.trip = trip;
		this.#server = trip;
		this.now = trip;
		this.#units = units;
	}

	/** To be called after every edit. Edits with the same key in a row are one step. */
	changed = (key = ''): void => {
		const before = this.now;
		this.now = $state.snapshot(this.trip) as Trip;
		const stages = withBedsCarried(this.now.stages, before.stages);
		if (stages.some((stage, i) => stage !== this.now.stages[i])) this.#put({ ...this.now, stages });
		const at = Date.now();
		const goesOn = key !== '' && key === this.#lastEdit.key && at - this.#lastEdit.at < ONE_STEP_MS;
		if (!goesOn) this.#past = [...this.#past.slice(-MOST_STEPS + 1), before];
		this.#lastEdit = { key, at };
		this.#future = [];
		// What the edit is called can wait until the page has answered it.
		setTimeout(() => this.#name());
		this.#later();
	};

	undo = (): void => this.#step(this.#past, this.#future);
	redo = (): void => this.#step(this.#future, this.#past);

	#step(from: Trip[], to: Trip[]): void {
		const next = from.pop();
		if (!next) return;
		to.push(this.now);
		this.#put({ ...next, version: this.trip.version });
		this.#lastEdit = { key: '', at: 0 };
		this.#name();
		this.#later();
	}
	#put(trip: Trip): void {
		this.trip = trip;
		this.now = trip;
	}
	#name(): void {
		const words = (from: Trip | undefined, to: Trip | undefined): string | null =>
			from && to ? (tripChanges(from, to, this.#units())[0] ?? 'the last edit') : null;
		this.undoes = words(this.#past.at(-1), this.now);
		this.redoes = words(this.now, this.#future.at(-1));
	}
	#later(after = SAVE_AFTER_MS): void {
		clearTimeout(this.#timer);
		if (this.state === 'conflict') return;
		this.state = 'waiting';
		this.#timer = setTimeout(() => void this.save(), after);
	}

	/** Saves what is not saved yet. @returns whether everything is */
	save = async (): Promise<boolean> => {
		clearTimeout(this.#timer);
		while (this.#saving) await this.#saving;
		if (this.state === 'conflict') return false;
		this.#saving = this.#send();
		await this.#saving;
		this.#saving = null;
		return this.isSaved();
	};
	isSaved(): boolean {
		return this.state === 'saved';
	}

	async #send(): Promise<void> {
		const sent = $state.snapshot(this.trip) as Trip;
		this.state = 'saving';
		const { name, place, site, weathers, stages, schools, version } = sent;
		const answer = await send<{ version: number }>('PUT', `/api/v1/trips/${sent.id}`, {
			name,
			place,
			site,
			weathers,
			stages,
			schools,
			version
		});
		this.errors = answer.errors;
		this.message = answer.message;
		if (answer.data) {
			this.#server = { ...sent, version: answer.data.version };
			this.trip.version = answer.data.version;
			this.savedAt = new Date();
			this.state = 'saved';
			void dropDraft(sent.id);
			if (!isSame(this.now, sent)) this.#later();
		} else if (answer.status === 409 && answer.current) {
			this.#meet(answer.current as Trip);
		} else if (answer.status === 0 || answer.status >= 500) {
			await keepDraft({ base: $state.snapshot(this.#server) as Trip, mine: sent });
			this.#later(TRY_AGAIN_AFTER_MS);
			this.state = 'no answer';
		} else this.state = 'refused';
	}

	/** Takes in what was edited without connection before the page was loaded again. @returns whether there was anything */
	async takeUp(): Promise<boolean> {
		const draft = await draftOf(this.trip.id);
		if (!draft) return false;
		const server = $state.snapshot(this.#server) as Trip;
		const { value } = merged(draft.base, draft.mine, server);
		if (isSame(value, server)) {
			await dropDraft(server.id);
			return false;
		}
		this.#takeIn({ ...value, version: server.version });
		return true;
	}

	/** Goes on from a merged trip, and saves it; it can be undone. */
	#takeIn(trip: Trip): void {
		this.#past.push({ ...this.now, version: trip.version });
		this.#put(trip);
		this.#name();
		this.#later(0);
	}
	#meet(theirs: Trip): void {
		const mine = $state.snapshot(this.trip) as Trip;
		const { value, both } = merged(this.#server, mine, theirs);
		// Where nobody touched the same figure there is nothing to ask.
		if (both.length === 0 && this.conflict === null) {
			this.#server = theirs;
			this.#takeIn({ ...value, version: theirs.version });
			return;
		}
		this.conflict = {
			changes: tripChanges(this.#server, theirs, this.#units()),
			both: both.length,
			merged: { ...value, version: theirs.version },
			theirs
		};
		this.state = 'conflict';
	}
	/** Ends a conflict: with both edits, or with theirs alone. Either can be undone. */
	settle(keepMine: boolean): void {
		if (!this.conflict) return;
		const { theirs } = this.conflict;
		// What was typed since the conflict was seen belongs to mine.
		if (keepMine) this.#meet(theirs);
		const { merged } = this.conflict;
		this.#past.push({ ...this.now, version: theirs.version });
		this.#server = theirs;
		this.#put(keepMine ? merged : theirs);
		this.conflict = null;
		this.message = '';
		this.state = 'saved';
		this.#name();
		if (!isSame(this.now, theirs)) this.#later(0);
	}
}
