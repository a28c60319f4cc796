/** What a worker says of a question: how far it is, what came out, or why nothing did. */
export type WorkerReply<Progress, Answer> =
	| { kind: 'progress'; progress: Progress }
	| { kind: 'answer'; answer: Answer }
	| { kind: 'failed'; message: string };

/**
 * A question that a worker works on: one at a time, with progress, and it can be stopped. The worker is made for the question
 * and ends with it.
 */
export class WorkerQuestion<Request, Progress, Answer> {
	progress = $state.raw<Progress | null>(null);
	answer = $state.raw<Answer | null>(null);
	trouble = $state('');
	/** what was asked, as text: an answer to something else is no answer */
	askedFor = $state('');
	#worker: Worker | null = null;

	constructor(
		private readonly make: () => Worker,
		private readonly begin: Progress
	) {}

	readonly stop = (): void => {
		this.#worker?.terminate();
		this.#worker = null;
		this.progress = null;
	};
	ask(question: string, request: Request): void {
		this.stop();
		[this.trouble, this.answer, this.askedFor, this.progress] = ['', null, question, this.begin];
		this.#worker = this.make();
		this.#worker.onmessage = ({ data }: MessageEvent<WorkerReply<Progress, Answer>>) => {
			if (data.kind === 'progress') {
				this.progress = data.progress;
				return;
			}
			this.stop();
			if (data.kind === 'answer') this.answer = data.answer;
			else this.trouble = data.message;
		};
		this.#worker.onerror = () => {
			this.stop();
			this.trouble = 'That could not be worked out.';
		};
		this.#worker.postMessage(request);
	}
}
