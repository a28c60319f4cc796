import type { Answer, ClientSays, Mark, Note, SaidMark } from '$lib/core/kit/answers';
import type { CheckResult, HomeCheck } from '$lib/core/kit/home-test';
import { send } from '../parts/send';
import { browserStore, quietly } from './browser-store';

const TRY_AGAIN_MS = 15_000;
/** What is said, without what every word carries. */
type Words = ClientSays extends infer One
	? One extends ClientSays
		? Omit<One, 'id' | 'saidAt'>
		: never
	: never;
type Heard = { marks: SaidMark[]; notes?: Note[] };

/**
 * What a client says on the page of the private link. It is shown at once, kept until the server has it, and sent again when
 * there is a connection; the server counts each word once.
 */
export class Said {
	/** not at the server yet, the oldest first */
	waiting = $state.raw<ClientSays[]>([]);
	/** why the server refused; empty while it does not */
	refused = $state('');
	#marks = $state.raw<readonly SaidMark[]>([]);
	#notes = $state.raw<readonly Note[]>([]);
	#sending: Promise<void> | null = null;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#changed: () => void;

	/** @param changed is called when the kit has become another one, so that the list has to be read anew */
	constructor(heard: Heard, changed: () => void) {
		this.#hear(heard);
		this.#changed = changed;
	}
	/** @param marks of the lines that something was said of */
	#hear({ marks, notes }: Heard): void {
		const news = new Set(marks.map(({ lineId }) => lineId));
		this.#marks = [...this.#marks.filter(({ lineId }) => !news.has(lineId)), ...marks];
		if (notes) this.#notes = notes;
	}
	/** Takes what the server has now, all of it. */
	hear({ marks, notes }: Heard): void {
		this.#marks = [];
		this.#hear({ marks, notes });
	}

	/** What holds of each line, with what is on its way. */
	marks = $derived.by(() => {
		const by = new Map<string, Mark>(this.#marks.map(({ lineId, mark }) => [lineId, mark]));
		for (const one of this.waiting) if (one.kind === 'mark') by.set(one.lineId, one.mark);
		return by;
	});
	notes = $derived.by((): readonly Note[] => {
		const there = new Set(this.#notes.map(({ id }) => id));
		const mine = this.waiting.flatMap((one): Note[] =>
			one.kind === 'note' && !there.has(one.id) ? [{ ...one, saidBy: 'client', who: '' }] : []
		);
		return [...this.#notes, ...mine];
	});

	/** Reads what this browser kept, and sends it. To be called once the page stands. */
	async begin(): Promise<void> {
		const kept = (await quietly(browserStore().then((db) => db.getAll('says')))) ?? [];
		const known = new Set(this.waiting.map(({ id }) => id));
		this.waiting = [...kept.filter(({ id }) => !known.has(id)), ...this.waiting].sort((a, b) =>
			a.saidAt.localeCompare(b.saidAt)
		);
		await this.sync();
	}
	end(): void {
		clearTimeout(this.#timer);
	}

	mark(lineId: string, mark: Mark): void {
		this.#say({ kind: 'mark', lineId, mark });
	}
	ask(text: string, about: string): void {
		this.#say({ kind: 'note', about, text });
	}
	own(typeId: string): void {
		this.#say({ kind: 'thing', typeId });
	}
	answer(questionId: string, answer: Answer): void {
		this.#say({ kind: 'answer', questionId, answer });
	}
	size(thingId: string, size: string): void {
		this.#say({ kind: 'size', thingId, size });
	}
	/** results of the home test that were told since the page was read, by thing and part */
	tests = $state.raw<ReadonlyMap<string, CheckResult>>(new Map());
	/** How a part of the home test went. @param known what was told when the page was read */
	testOf(
		thingId: string,
		part: HomeCheck,
		known: readonly { part: HomeCheck; result: CheckResult }[]
	): CheckResult {
		return (
			this.tests.get(`${thingId} ${part}`) ?? known.find((one) => one.part === part)?.result ?? 'not done'
		);
	}
	test(thingId: string, part: HomeCheck, result: CheckResult): void {
		this.tests = new Map([...this.tests, [`${thingId} ${part}`, result]]);
		this.#say({ kind: 'test', thingId, part, result });
	}
	/** questions that were answered since the page was read */
	answered = $state.raw<ReadonlySet<string>>(new Set());
	#say(words: Words): void {
		const one = { ...words, id: crypto.randomUUID(), saidAt: new Date().toISOString() } as ClientSays;
		if (one.kind === 'answer') this.answered = new Set([...this.answered, one.questionId]);
		// Of a line only the last word has to go out.
		const isOlder = (other: ClientSays): boolean =>
			one.kind === 'mark' && other.kind === 'mark' && other.lineId === one.lineId;
		const older = this.waiting.filter(isOlder);
		this.waiting = [...this.waiting.filter((other) => !isOlder(other)), one];
		void quietly(
			browserStore().then(async (db) => {
				await db.put('says', one);
				for (const { id } of older) await db.delete('says', id);
			})
		);
		void this.sync();
	}

	/** Sends what waits, one lot after the other. */
	sync = async (): Promise<void> => {
		clearTimeout(this.#timer);
		while (this.#sending) await this.#sending;
		if (this.waiting.length === 0) return;
		this.#sending = this.#send();
		await this.#sending;
		this.#sending = null;
		if (this.waiting.length > 0 && this.refused === '')
			this.#timer = setTimeout(() => void this.sync(), TRY_AGAIN_MS);
	};
	async #send(): Promise<void> {
		const lot = this.waiting;
		const answer = await send<Heard>('POST', '/api/v1/my/answers', { says: lot });
		const isRefused = answer.status >= 400 && answer.status < 500;
		this.refused = isRefused ? answer.message : '';
		if (!answer.data) return;
		const gone = new Set(lot.map(({ id }) => id));
		this.#hear(answer.data);
		this.waiting = this.waiting.filter(({ id }) => !gone.has(id));
		await quietly(
			browserStore().then(async (db) => {
				for (const id of gone) await db.delete('says', id);
			})
		);
		if (lot.some(({ kind }) => kind !== 'mark' && kind !== 'note')) this.#changed();
	}
}
