import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { accountByMail, wayBack } from '../../src/lib/server/db/accounts/accounts';
import { archived, restored } from '../../src/lib/server/db/backup';
import { erasedHashes } from '../../src/lib/server/db/guests/kept';
import { isEmpty, loadDemo } from '../../src/lib/server/db/demo';
import { migrate } from '../../src/lib/server/db/migrate';
import { closePool, pool, rows } from '../../src/lib/server/db/pool';
import { opened } from '../../src/lib/server/work/archive';

/** Whether there is anything in the tables that a migration could harm. */
async function hasRows(): Promise<boolean> {
	const [there] = await rows(
		pool(),
		`SELECT table_name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name = 'trips'`
	);
	return there !== undefined && !(await isEmpty());
}

const timeInName = (): string => new Date().toISOString().replace(/[:.]/g, '-');

/**
 * Brings the database of the environment up to date, and loads the demo where nothing is in yet, or on request.
 * @param copies folder into which a copy of everything is written before tables are changed; none is written without it
 */
export async function prepareDatabase(
	migrations: string,
	resetDemo: boolean,
	copies: string | null = null
): Promise<string[]> {
	const said: string[] = [];
	try {
		const ran = await migrate(migrations, {
			before: async ([first]) => {
				if (!copies || !(await hasRows())) return;
				mkdirSync(copies, { recursive: true });
				const file = path.join(copies, `before-${first!.replace('.sql', '')}-${timeInName()}.zip`);
				writeFileSync(file, await archived());
				said.push(`a copy of everything is in ${file}`);
			}
		});
		said.push(...ran.map((name) => `migrated ${name}`));
		if (resetDemo || (await isEmpty())) {
			await loadDemo();
			said.push('demo loaded');
		}
		return said;
	} finally {
		await closePool();
	}
}

/** Writes the archive of the database of the environment. @returns bytes written */
export async function writeArchive(file: string): Promise<number> {
	try {
		if (existsSync(file)) throw new Error(`${file} is there already; nothing was written.`);
		const data = await archived();
		mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
		writeFileSync(file, data, { flag: 'wx' });
		return data.length;
	} finally {
		await closePool();
	}
}

/** @throws ArchiveError when an archive is bad or cut */
export const checkArchive = (archive: Uint8Array): void => void opened(archive);

/**
 * Restores an archive into the empty database of the environment: brought to the tables that the archive was written with,
 * filled, and brought up to date.
 * @param erased hashes of clients who were erased since: they are left out
 * @returns rows restored
 */
export async function restoreArchive(
	archive: Uint8Array,
	migrations: string,
	erased: readonly string[] = []
): Promise<number> {
	try {
		const read = opened(archive);
		await migrate(migrations, { upTo: read.migrations.at(-1) ?? '' });
		const many = await restored(read, new Set(erased));
		await migrate(migrations);
		return many;
	} finally {
		await closePool();
	}
}

/** The secret of a link by which an account chooses another password; null where nobody signs in with the address. */
export async function wayBackFor(mail: string): Promise<string | null> {
	try {
		const found = await accountByMail(mail);
		return found ? await wayBack(found.account.houseId, found.account.id) : null;
	} finally {
		await closePool();
	}
}

/** Hashes of the clients who were erased from the database of the environment; none where it is too old to know of any. */
export async function erasedNow(): Promise<string[]> {
	try {
		const [there] = await rows(
			pool(),
			`SELECT table_name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name = 'erasures'`
		);
		return there ? [...(await erasedHashes())] : [];
	} finally {
		await closePool();
	}
}
