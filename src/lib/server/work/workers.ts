import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import type { Foreseen } from '$lib/core/questions/ahead';
import { BusyError, TooLargeError } from '../errors';
import { log } from '../log';
import type * as tasks from './tasks';

/**
 * Threads in which all heavy work runs, so that the thread of the requests stays free to answer. What is asked for now, what is
 * checked before it is saved, and what is worked out in the background have threads of their own. Work ends at its time limit, when nobody waits for it any more, and when
 * the server stops.
 */

type Tasks = typeof tasks;
type TaskName = keyof Tasks;
type Answer<N extends TaskName> = Awaited<ReturnType<Tasks[N]>>;

/** Longest that anybody waits for an answer, ms; and a plan of the background. */
const ASKED_MS = Number(process.env.SNUG_WORK_SECONDS ?? 60) * 1000;
const BACKGROUND_MS = 10 * ASKED_MS;
/** Questions that may wait for the one that is being answered. */
const MOST_WAITING = Number(process.env.SNUG_WORK_QUEUE ?? 16);
/** Memory of one thread, MB. */
const THREAD_MB = 768;

/** The built tasks; from the sources where there is no build, as in tests. */
function tasksFile(): string {
	const built = path.resolve('build/work/tasks.js');
	return process.env.NODE_ENV === 'production' && existsSync(built)
		? built
		: path.resolve('scripts/lib/tasks-from-sources.mjs');
}

/** What nobody waits for steps back behind requests, and behind what somebody waits for. */
const NICE_IN_BACKGROUND = 5;
const poolOf = (threads: number, isBackground: boolean): Piscina =>
	new Piscina({
		niceIncrement: isBackground ? NICE_IN_BACKGROUND : 0,
		filename: tasksFile(),
		minThreads: 0,
		maxThreads: threads,
		idleTimeout: 30_000,
		maxQueue: MOST_WAITING,
		resourceLimits: { maxOldGenerationSizeMb: THREAD_MB }
	});

type Kind = 'asked' | 'checked' | 'background';
/** Plans of the background that are worked out at the same time in this process. */
export const BACKGROUND_THREADS = Number(
	process.env.SNUG_BACKGROUND_THREADS ?? Math.min(2, availableParallelism())
);
const THREADS: Readonly<Record<Kind, number>> = {
	asked: Number(process.env.SNUG_WORK_THREADS ?? 1),
	checked: 1,
	background: BACKGROUND_THREADS
};
const pools = new Map<Kind, Piscina>();
let stopping = false;
function poolFor(kind: Kind): Piscina {
	const made = pools.get(kind) ?? poolOf(THREADS[kind], kind === 'background');
	pools.set(kind, made);
	return made;
}

/** Ends all work. */
export async function stopWork(): Promise<void> {
	stopping = true;
	await Promise.all([...pools.values()].map((one) => one.destroy()));
	pools.clear();
	stopping = false;
}
/** Questions that wait, and whether one is being answered. */
export const waiting = (): { waiting: number; threads: number } => ({
	waiting: pools.get('asked')?.queueSize ?? 0,
	threads: [...pools.values()].reduce((sum, { threads }) => sum + threads.length, 0)
});
/** Whether work ended because the server stops. */
export const isStopping = (): boolean => stopping;

/** What a task tells while it works. */
type Heard<N extends TaskName> = N extends 'foresee' ? Foreseen : tasks.Progress;
interface Asking<N extends TaskName> {
	kind?: Kind;
	/** ends when nobody waits for the answer any more */
	signal?: AbortSignal;
	/** hears what is done so far */
	hear?: (soFar: Heard<N>) => void;
}

/**
 * Has a task done in a thread.
 * @throws BusyError when too many wait already, or it takes too long
 * @throws TooLargeError when it needs more memory than a thread has
 */
export async function inThread<N extends TaskName>(
	name: N,
	input: Parameters<Tasks[N]>[0],
	{ kind = 'asked', signal, hear }: Asking<N> = {}
): Promise<Answer<N>> {
	const pool = poolFor(kind);
	if (pool.queueSize >= MOST_WAITING) throw new BusyError('Many plans are being worked out just now.');
	const begin = performance.now();
	const limit = AbortSignal.timeout(kind === 'background' ? BACKGROUND_MS : ASKED_MS);
	const channel = hear ? new MessageChannel() : null;
	channel?.port1.on('message', hear!);
	try {
		return (await pool.run(channel ? { ...(input as object), progress: channel.port2 } : input, {
			name,
			signal: signal ? AbortSignal.any([limit, signal]) : limit,
			...(channel ? { transferList: [channel.port2] } : {})
		})) as Answer<N>;
	} catch (trouble) {
		if (limit.aborted)
			throw new BusyError(`This took longer than ${ASKED_MS / 1000} s: ask for fewer days or weathers.`);
		if ((trouble as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY')
			throw new TooLargeError('This is too much to be worked out at once: ask for fewer days or weathers.');
		throw trouble;
	} finally {
		log.info({ task: name, kind, ms: Math.round(performance.now() - begin) }, 'work');
		channel?.port1.close();
	}
}
