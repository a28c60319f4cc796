import { replacedBy } from '../db/backup';
import type { Everything } from './archive';
import { ArchiveError } from '../errors';
import { inThread } from './workers';

/** What is in an archive that somebody sent, read in a thread. @throws ArchiveError that says where it is bad */
export async function archiveIn(
	sent: ArrayBuffer | Buffer,
	signal: AbortSignal | undefined
): Promise<Everything> {
	const read = await inThread('readArchive', new Uint8Array(sent), { signal });
	if ('bad' in read) throw new ArchiveError(read.bad);
	return read.good;
}

/** Puts an archive that was read in the place of all that a house has, and says under which number that is set aside. */
export const putInPlace = async (houseId: string, wanted: Everything): Promise<{ setAside: number }> => ({
	setAside: await replacedBy(houseId, wanted, (all) => inThread('archiveOf', all))
});

/** An archive as a file to be kept. */
export const archiveAnswer = (archive: Uint8Array, name: string): Response =>
	new Response(Buffer.from(archive), {
		headers: {
			'content-type': 'application/zip',
			'content-disposition': `attachment; filename="${name}.zip"`
		}
	});
