import { pool } from '$lib/server/db/pool';
import { json } from '@sveltejs/kit';

/** Whether the app and its database answer. */
export async function GET() {
	try {
		await pool().query('SELECT 1');
		return json({ status: 'up', database: 'up' });
	} catch {
		return json({ status: 'up', database: 'down' }, { status: 503 });
	}
}
