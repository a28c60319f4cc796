import { afterAll, describe, expect, it, vi } from 'vitest';
import { DEMO_DOCUMENT } from '../../formats/demo';
import { BusyError } from '../errors';

// Half a second for an answer, and one question that may wait: read when the module is loaded.
vi.stubEnv('SNUG_WORK_SECONDS', '0.5');
vi.stubEnv('SNUG_WORK_QUEUE', '1');
const { inThread, stopWork, waiting } = await import('./workers');
afterAll(stopWork);

const client = DEMO_DOCUMENT.clients[0]!;
const days = Array.from({ length: 14 }, (_, i) => ({ ...DEMO_DOCUMENT.trip.stages[0]!, id: `day-${i}` }));
const long = { ...DEMO_DOCUMENT, trip: { ...DEMO_DOCUMENT.trip, stages: days } };
const plan = (signal?: AbortSignal): Promise<unknown> =>
	inThread('plan', { document: long, client, asked: {} }, { signal });

/** A thread takes a while to be there: asked until it has answered once. */
async function warm(): Promise<void> {
	for (;;) {
		const answer = await inThread('readPlan', '{').catch(() => null);
		if (answer) return;
	}
}

describe('work in threads', () => {
	it('says what is wrong with what was sent, and where', async () => {
		await warm();
		expect(await inThread('readPlan', '{')).toMatchObject({
			status: 400,
			errors: [{ message: 'is not JSON' }]
		});
		const nobody = await inThread('readPlan', JSON.stringify({ ...DEMO_DOCUMENT, clientId: 'nobody' }));
		expect(nobody).toMatchObject({ status: 400, errors: [{ field: 'clientId', value: 'nobody' }] });
		const wide = await inThread('readPlan', JSON.stringify({ list: Array(600).fill(0) }));
		expect(wide).toMatchObject({ status: 413, errors: [{ field: 'list', value: 600 }] });
		expect(await inThread('readPlan', JSON.stringify(DEMO_DOCUMENT))).toMatchObject({
			good: { client: { id: client.id } }
		});
	});

	it('ends at its limit of time, and the next question is answered', async () => {
		await warm();
		await expect(plan()).rejects.toThrow(/took longer than 0.5 s/);
		await warm();
		expect(await inThread('readPlan', '[]')).toMatchObject({ status: 400 });
	});

	it('ends when nobody waits for it any more', async () => {
		await warm();
		const gone = new AbortController();
		const asked = plan(gone.signal);
		setTimeout(() => gone.abort(), 50);
		await expect(asked).rejects.toThrow(/abort/i);
	});

	it('refuses what is too much at once, at once', async () => {
		await warm();
		const first = plan().catch((trouble: unknown) => trouble);
		const second = plan().catch((trouble: unknown) => trouble);
		await vi.waitFor(() => expect(waiting().waiting).toBe(1));
		await expect(plan()).rejects.toThrow(BusyError);
		await expect(plan()).rejects.toThrow('Many plans are being worked out just now.');
		await Promise.all([first, second]);
	});
});
