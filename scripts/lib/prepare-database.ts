import { isEmpty, loadDemo } from '../../src/lib/server/db/demo';
import { migrate } from '../../src/lib/server/db/migrate';
import { closePool } from '../../src/lib/server/db/pool';

/** Brings the database of the environment up to date, and loads the demo where nothing is in yet, or on request. */
export async function prepareDatabase(migrations: string, resetDemo: boolean): Promise<string[]> {
	try {
		const said = (await migrate(migrations)).map((name) => `migrated ${name}`);
		if (resetDemo || (await isEmpty())) {
			await loadDemo();
			said.push('demo loaded');
		}
		return said;
	} finally {
		await closePool();
	}
}
