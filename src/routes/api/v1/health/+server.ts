import { pool, rows } from '$lib/server/db/pool';
import { waiting } from '$lib/server/work/workers';
import { json } from '@sveltejs/kit';

/** Whether the app and its database answer, which version runs, and how much waits to be worked out. */
export async function GET() {
	const own = { status: 'up', version: __APP_VERSION__, core: __CORE_HASH__, asked: waiting() };
	try {
		const plans = await rows<{ state: string; many: number }>(
			pool(),
			'SELECT state, COUNT(*) AS many FROM plan_work GROUP BY state'
		);
		const many = (state: string): number => Number(plans.find((one) => one.state === state)?.many ?? 0);
		const queue = { wanted: many('wanted'), working: many('working'), failed: many('failed') };
		return json({ ...own, database: 'up', queue });
	} catch {
		return json({ ...own, database: 'down', queue: null }, { status: 503, headers: { 'retry-after': '5' } });
	}
}
