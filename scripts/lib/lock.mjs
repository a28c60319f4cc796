// One start at a time on a data folder: a lock file that names the process and when that began, since numbers of processes are
// used again.
import { linkSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Trouble } from './console.mjs';

const held = new Set();

/** When a process began, in ticks since the machine did; null where there is no such process. */
function beganAt(pid) {
	try {
		const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
		// The name of the program stands in brackets and may hold spaces.
		return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19];
	} catch {
		return null;
	}
}

const nameOf = (pid) => `${pid} ${beganAt(pid)}`;
const read = (file) => {
	try {
		return readFileSync(file, 'utf8');
	} catch {
		return null;
	}
};
const isAlive = (text) => {
	const [pid] = (text ?? '').split(' ');
	return pid !== '' && text === nameOf(Number(pid));
};

/**
 * Takes the lock of a folder until this process ends.
 * @throws Trouble when another process that still runs has it
 */
export function lockFolder(folder) {
	const lock = path.join(folder, 'lock');
	if (held.has(lock)) return;
	mkdirSync(folder, { recursive: true, mode: 0o700 });
	const own = `${lock}.${process.pid}`;
	writeFileSync(own, nameOf(process.pid));
	try {
		for (let turn = 0; ; turn++) {
			try {
				// Made by a link, which fails where there is one already: two starts at once cannot both have it.
				linkSync(own, lock);
				break;
			} catch (error) {
				if (error.code !== 'EEXIST') throw error;
			}
			const holder = read(lock);
			if (isAlive(holder) || turn > 20)
				throw new Trouble(
					`Another start is at work in ${folder}${holder ? ` (process ${holder.split(' ')[0]})` : ''}.`,
					'use that one, or stop it first; a second copy needs a folder of its own.'
				);
			if (holder === null) continue;
			// Left by a process that is gone: set aside, unless somebody was quicker and it is theirs by now.
			const aside = `${lock}.stale-${process.pid}`;
			try {
				renameSync(lock, aside);
			} catch {
				continue;
			}
			if (read(aside) !== holder)
				try {
					linkSync(aside, lock);
				} catch {
					// Somebody has it again.
				}
			rmSync(aside, { force: true });
		}
	} finally {
		rmSync(own, { force: true });
	}
	held.add(lock);
	process.on('exit', () => {
		if (read(lock) === nameOf(process.pid)) rmSync(lock, { force: true });
	});
}
