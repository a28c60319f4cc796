// A disk that is full: what cannot be saved says so, what is there stays and is read, and all goes on once there is room.
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { say } from '../lib/console.mjs';
import { startMariadb } from '../lib/mariadb.mjs';
import { ask, check } from './asking.mjs';

/** All tables in one file that does not grow beyond this: to the database the same as a disk without room. */
const inFileOf = (mb) => [
	'--innodb-file-per-table=0',
	`--innodb-data-file-path=ibdata1:12M:autoextend${mb ? `:max:${mb}M` : ''}`
];
const FULL_MB = 24;
/** Saves after which the file is full for certain. */
const MOST_SAVES = 4000;

export async function fullDisk(folder, prepare, startOn) {
	say('the disk of the database is full, and then is not');
	const where = path.join(folder, 'full-database');
	let database = await startMariadb(where, 5790, 0, inFileOf(FULL_MB));
	let app = null;
	try {
		await prepare(database);
		app = await startOn(database);
		const acknowledged = [];
		let told = null;
		for (let n = 0; n < MOST_SAVES && told === null; n++) {
			const answer = await ask(app.address, 'POST', '/api/v1/trips', {
				name: `Room ${n} ${randomUUID()}`,
				place: Array.from({ length: 3 }, () => randomUUID()).join(' ')
			});
			if (answer.status === 201) acknowledged.push(answer.data.id);
			else told = answer;
		}
		check(
			told?.status === 507 && /disk of the server is full/.test(told.data.message),
			`after ${acknowledged.length} saves one is refused and says that the disk is full (${told?.status} ${told?.data?.message ?? told?.text ?? ''})`
		);
		const list = await ask(app.address, 'GET', '/api/v1/trips?when=ahead&q=room');
		check(list.status === 200 && list.data.trips.length > 0, 'what is there is read');
		await app.stop();
		await database.stop();
		database = await startMariadb(where, 5790, 0, inFileOf(0));
		app = await startOn(database);
		const after = await ask(app.address, 'POST', '/api/v1/trips', { name: 'Room again', place: '' });
		check(after.status === 201, 'with room again, saves go on');
		let lost = 0;
		for (const id of acknowledged)
			if ((await ask(app.address, 'GET', `/api/v1/trips/${id}`)).status !== 200) lost++;
		check(lost === 0, `of ${acknowledged.length} acknowledged saves nothing was lost (${lost})`);
	} finally {
		await app?.stop();
		await database.stop();
	}
}
