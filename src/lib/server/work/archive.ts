import { createHash } from 'node:crypto';
import { strFromU8, strToU8, unzipSync, type Zippable, zipSync } from 'fflate';
import Joi from 'joi';
import { ArchiveError } from '../errors';

/**
 * The open archive of a house: a zip of JSON files, one for each trip, client, pattern and house with all rows that belong to it,
 * and a manifest that names them with their hashes and says which migrations had run.
 */

export const ARCHIVE_FORMAT = 'snug-summit-archive';
export const ARCHIVE_VERSION = 1;

export type Row = Record<string, string | number | boolean | null>;
/** Rows by table. */
export type Rows = Record<string, Row[]>;

/** All that an archive holds. */
export interface Everything {
	tables: Rows;
	/** names of the migrations that had run */
	migrations: string[];
}

interface Manifest {
	format: string;
	formatVersion: number;
	migrations: string[];
	files: { name: string; sha256: string; rows: number }[];
}

const manifestSchema = Joi.object({
	format: Joi.string().required(),
	formatVersion: Joi.number().required(),
	migrations: Joi.array().items(Joi.string().max(200)).min(1).required(),
	files: Joi.array()
		.items(
			Joi.object({
				name: Joi.string().max(300).required(),
				sha256: Joi.string().length(64).required(),
				rows: Joi.number().integer().min(0).required()
			})
		)
		.required()
});
const isPlain = (value: unknown): boolean =>
	value === null || ['string', 'number', 'boolean'].includes(typeof value);
/** What the columns hold is checked when it is read, as ever. */
const rowSchema = Joi.object()
	.min(1)
	.custom((row: object, helpers) => (Object.values(row).every(isPlain) ? row : helpers.error('any.invalid')));
const fileSchema = Joi.object().pattern(Joi.string(), Joi.array().items(rowSchema.unknown()));

/** Bytes that an archive may come to when it is unpacked: no house has that much, and no thread holds more. */
const MOST_BYTES = 200_000_000;

/** Tables that hang together: the one that leads, and the columns by which rows of others belong to it. */
const AGGREGATES: readonly { leads: string; parts: Readonly<Record<string, string>> }[] = [
	{
		leads: 'houses',
		parts: { api_tokens: 'house_id', entries: 'house_id', erasures: 'house_id', house_questions: 'house_id' }
	},
	{ leads: 'accounts', parts: { password_links: 'account_id' } },
	{ leads: 'patterns', parts: {} },
	{ leads: 'stock', parts: {} },
	{
		leads: 'clients',
		parts: {
			client_addresses: 'client_id',
			client_facts: 'client_id',
			things: 'client_id',
			client_photos: 'client_id',
			home_tests: 'client_id'
		}
	},
	{
		leads: 'trips',
		parts: {
			stages: 'trip_id',
			provided_things: 'trip_id',
			trip_clients: 'trip_id',
			plan_wishes: 'trip_id',
			loans: 'trip_id',
			decisions: 'trip_id',
			client_answers: 'trip_id',
			client_mail: 'trip_id',
			client_marks: 'trip_id',
			client_notes: 'trip_id',
			everybody_brings: 'trip_id',
			brought_for_others: 'trip_id',
			list_edits: 'trip_id'
		}
	}
];
/** The order in which rows go in: first what others point at. */
export const ORDER: readonly string[] = AGGREGATES.flatMap(({ leads, parts }) => [
	leads,
	...Object.keys(parts)
]);

const sha256 = (data: Uint8Array): string => createHash('sha256').update(data).digest('hex');
const count = (file: Rows): number => Object.values(file).reduce((sum, own) => sum + own.length, 0);

/** Rows as the files of an archive. */
function filesOf(tables: Rows): Map<string, Rows> {
	const files = new Map<string, Rows>();
	const done = new Set<string>();
	for (const { leads, parts } of AGGREGATES) {
		if (!tables[leads]) continue;
		done.add(leads);
		const own = new Map(tables[leads].map((row): [string, Rows] => [String(row.id), { [leads]: [row] }]));
		for (const [table, column] of Object.entries(parts)) {
			if (!tables[table]) continue;
			done.add(table);
			for (const row of tables[table]) (own.get(String(row[column]))![table] ??= []).push(row);
		}
		for (const [id, file] of own) files.set(`${leads}/${encodeURIComponent(id)}.json`, file);
	}
	// An older schema has other tables: they come along as they are.
	for (const [name, own] of Object.entries(tables))
		if (!done.has(name)) files.set(`others/${name}.json`, { [name]: own });
	return files;
}

/** A photo is a file of its own in the archive, and base64 in a row. */
const PHOTOS = 'client_photos';
const photoName = ({ id }: Row): string => `photos/${encodeURIComponent(String(id))}.jpg`;

/** The archive of all that a database holds. */
export function archiveOf({ tables: all, migrations }: Everything): Uint8Array {
	const photos = all[PHOTOS] ?? [];
	const tables = {
		...all,
		...(all[PHOTOS] ? { [PHOTOS]: photos.map(({ image: _, ...row }): Row => row) } : {})
	};
	const zipped: Zippable = {};
	const manifest: Manifest = {
		format: ARCHIVE_FORMAT,
		formatVersion: ARCHIVE_VERSION,
		migrations,
		files: []
	};
	for (const [name, file] of [...filesOf(tables)].sort(([a], [b]) => (a < b ? -1 : 1))) {
		const data = strToU8(JSON.stringify(file, null, '\t'));
		zipped[name] = data;
		manifest.files.push({ name, sha256: sha256(data), rows: count(file) });
	}
	for (const row of photos) {
		const data = Buffer.from(String(row.image), 'base64');
		zipped[photoName(row)] = data;
		manifest.files.push({ name: photoName(row), sha256: sha256(data), rows: 0 });
	}
	return zipSync({ 'manifest.json': strToU8(JSON.stringify(manifest, null, '\t')), ...zipped }, { level: 6 });
}

/**
 * What is in an archive, checked whole before anything is written.
 * @throws ArchiveError that says which file is missing, cut or changed
 */
export function opened(archive: Uint8Array): Everything {
	let files: Record<string, Uint8Array>;
	try {
		let bytes = 0;
		files = unzipSync(archive, {
			filter: ({ originalSize }) => (bytes += originalSize) <= MOST_BYTES
		});
		if (bytes > MOST_BYTES) throw new ArchiveError('The archive holds more than any house has.');
	} catch (trouble) {
		if (trouble instanceof ArchiveError) throw trouble;
		throw new ArchiveError('This is no archive, or it was cut: it cannot be opened.');
	}
	const text = files['manifest.json'];
	if (!text) throw new ArchiveError('The archive has no manifest.json.');
	const parsed = (name: string, data: Uint8Array, schema: Joi.Schema): unknown => {
		let file: unknown;
		try {
			file = JSON.parse(strFromU8(data));
		} catch {
			throw new ArchiveError(`The file ${name} of the archive is no JSON.`);
		}
		const { error } = schema.validate(file, { convert: false });
		if (error)
			throw new ArchiveError(`The file ${name} of the archive is not one of ours: ${error.message}.`);
		return file;
	};
	const manifest = parsed('manifest.json', text, manifestSchema) as Manifest;
	if (manifest.format !== ARCHIVE_FORMAT || manifest.formatVersion !== ARCHIVE_VERSION)
		throw new ArchiveError(
			`The archive is of format ${manifest.format} ${manifest.formatVersion}; this version reads ${ARCHIVE_FORMAT} ${ARCHIVE_VERSION}.`
		);
	const tables: Rows = {};
	for (const { name, sha256: hash, rows: many } of manifest.files) {
		const data = files[name];
		if (!data) throw new ArchiveError(`The file ${name} is missing from the archive.`);
		if (sha256(data) !== hash) throw new ArchiveError(`The file ${name} of the archive was changed.`);
		if (name.startsWith('photos/')) continue;
		const file = parsed(name, data, fileSchema) as Rows;
		if (count(file) !== many)
			throw new ArchiveError(`The file ${name} of the archive has other rows than it says.`);
		for (const [table, own] of Object.entries(file)) (tables[table] ??= []).push(...own);
	}
	for (const row of tables[PHOTOS] ?? []) {
		const data = files[photoName(row)];
		if (!data) throw new ArchiveError(`The file ${photoName(row)} is missing from the archive.`);
		row.image = Buffer.from(data).toString('base64');
	}
	return { tables, migrations: manifest.migrations };
}

/** What is in an archive, or why it cannot be restored: as it comes out of a thread. */
export function readArchive(archive: Uint8Array): { good: Everything } | { bad: string } {
	try {
		return { good: opened(archive) };
	} catch (trouble) {
		if (trouble instanceof ArchiveError) return { bad: trouble.message };
		throw trouble;
	}
}
