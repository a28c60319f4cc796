import { randomUUID } from 'node:crypto';
import { hashOf, newSecret } from '../../sign-in/secret';
import {
	type Db,
	inTransaction,
	isDuplicate,
	isoTime,
	NotFoundError,
	pool,
	rows,
	TakenError,
	write
} from '../pool';

/** Owner: everything, people too. Planner: trips, clients, the house. Guide: reads, ticks and notes. */
export const ROLES = ['owner', 'planner', 'guide'] as const;
export type Role = (typeof ROLES)[number];

export interface Account {
	id: string;
	houseId: string;
	mail: string | null;
	name: string;
	role: Role;
	/** whether a password was chosen: until then one is invited */
	hasPassword: boolean;
	/** ISO time; null while the account is open */
	closedAt: string | null;
}

interface AccountRow {
	id: string;
	house_id: string;
	mail: string | null;
	name: string;
	role: Role;
	has_password: number;
	closed_at: string | null;
}
/** Of the table under the name `a`. */
const COLUMNS =
	'a.id, a.house_id, a.mail, a.name, a.role, a.password_hash IS NOT NULL AS has_password, a.closed_at';
const accountOf = (row: AccountRow): Account => ({
	id: row.id,
	houseId: row.house_id,
	mail: row.mail,
	name: row.name,
	role: row.role,
	hasPassword: Boolean(row.has_password),
	closedAt: isoTime(row.closed_at)
});
/** Addresses are written in many ways and mean one mailbox. */
export const mailKey = (mail: string): string => mail.trim().toLowerCase();

/** All accounts of a house, by name; closed ones last. */
export const accountsOf = async (houseId: string): Promise<Account[]> =>
	(
		await rows<AccountRow>(
			pool(),
			`SELECT ${COLUMNS} FROM accounts a WHERE a.house_id = ? ORDER BY a.closed_at IS NOT NULL, a.name, a.id`,
			[houseId]
		)
	).map(accountOf);

/** Who signs in with an address, and what is kept of the password. */
export async function accountByMail(mail: string): Promise<{ account: Account; hash: string | null } | null> {
	const [row] = await rows<AccountRow & { password_hash: string | null }>(
		pool(),
		`SELECT ${COLUMNS}, a.password_hash FROM accounts a WHERE a.mail = ? AND a.closed_at IS NULL`,
		[mailKey(mail)]
	);
	return row ? { account: accountOf(row), hash: row.password_hash } : null;
}

/** Whether a house of one's own was set up: then nobody sets up another one by the page. */
export async function isSetUp(db: Db = pool()): Promise<boolean> {
	const [found] = await rows(db, 'SELECT id FROM houses WHERE NOT is_demo LIMIT 1');
	return found !== undefined;
}

export interface NewPerson {
	name: string;
	mail: string;
	role: Role;
}

/** @throws TakenError when somebody signs in with that address already */
async function insertAccount(
	db: Db,
	houseId: string,
	{ name, mail, role }: NewPerson,
	hash: string | null
): Promise<string> {
	const id = randomUUID();
	try {
		await write(
			db,
			'INSERT INTO accounts (id, house_id, mail, name, role, password_hash) VALUES (?, ?, ?, ?, ?, ?)',
			[id, houseId, mailKey(mail), name, role, hash]
		);
	} catch (trouble) {
		if (isDuplicate(trouble)) throw new TakenError('Somebody signs in with this address already.');
		throw trouble;
	}
	return id;
}

/** What was entered in the demo house and is not the demo's: it came from before houses could be set up. */
const OWN_IN_DEMO = ['trips', 'clients', 'patterns', 'stock'] as const;

/**
 * Sets up the first house of one's own, with its owner.
 * @param hash what is kept of the password
 * @param takesAlong whether what was entered in the demo house beside the demo moves into it
 * @returns id of the owner's account
 * @throws TakenError when a house was set up already
 */
export const setUpHouse = (
	house: string,
	owner: Omit<NewPerson, 'role'>,
	hash: string,
	takesAlong: boolean
): Promise<string> =>
	inTransaction(async (db) => {
		// Two at once: the second waits here, and is told.
		await rows(db, 'SELECT id FROM houses FOR UPDATE');
		if (await isSetUp(db)) throw new TakenError('A house was set up already: its owner invites you.');
		const id = `house-${randomUUID()}`;
		await write(db, 'INSERT INTO houses (id, name, schools) VALUES (?, ?, ?)', [id, house, '{}']);
		if (takesAlong) {
			const from = 'house_id IN (SELECT id FROM houses WHERE is_demo)';
			for (const table of OWN_IN_DEMO)
				await write(db, `UPDATE ${table} SET house_id = ? WHERE ${from} AND id NOT LIKE 'demo-%'`, [id]);
			await write(db, `UPDATE search_words SET house_id = ? WHERE ${from} AND of_id NOT LIKE 'demo-%'`, [id]);
		}
		return insertAccount(db, id, { ...owner, role: 'owner' }, hash);
	});

/** How many trips and clients were entered in the demo house beside the demo. */
export async function enteredInDemo(): Promise<{ trips: number; clients: number }> {
	const where = `house_id IN (SELECT id FROM houses WHERE is_demo) AND id NOT LIKE 'demo-%' AND deleted_at IS NULL`;
	const [found] = await rows<{ trips: number; clients: number }>(
		pool(),
		`SELECT (SELECT COUNT(*) FROM trips WHERE ${where}) AS trips, (SELECT COUNT(*) FROM clients WHERE ${where}) AS clients`
	);
	return { trips: Number(found!.trips), clients: Number(found!.clients) };
}

/** Days for which an invitation and the way back for a lost password hold. */
const LINK_DAYS = 7;
async function passwordLink(db: Db, accountId: string): Promise<string> {
	const secret = newSecret();
	// The newest one holds: who lost the first is not helped by two.
	await write(db, 'DELETE FROM password_links WHERE account_id = ?', [accountId]);
	await write(
		db,
		`INSERT INTO password_links (token_hash, account_id, expires_at) VALUES (?, ?, CURRENT_TIMESTAMP(3) + INTERVAL ${LINK_DAYS} DAY)`,
		[hashOf(secret), accountId]
	);
	return secret;
}

/** Invites somebody. @returns the secret of the link by which they choose a password. @throws TakenError */
export const invite = (houseId: string, person: NewPerson): Promise<{ id: string; secret: string }> =>
	inTransaction(async (db) => {
		// Everybody who reaches the app is its owner, and an address belongs to one account only.
		const [demo] = await rows(db, 'SELECT id FROM houses WHERE id = ? AND is_demo', [houseId]);
		if (demo) throw new TakenError('The demo has no people of its own: set up a house first.');
		const id = await insertAccount(db, houseId, person, null);
		return { id, secret: await passwordLink(db, id) };
	});

/** A way back for who lost a password. What they have still holds until another one is chosen. @throws NotFoundError */
export const wayBack = (houseId: string, accountId: string): Promise<string> =>
	inTransaction(async (db) => {
		const [found] = await rows(
			db,
			'SELECT id FROM accounts WHERE id = ? AND house_id = ? AND mail IS NOT NULL AND closed_at IS NULL FOR UPDATE',
			[accountId, houseId]
		);
		if (!found) throw new NotFoundError('account');
		return passwordLink(db, accountId);
	});

/** Whose password a link chooses; null when it was used, or is too old. */
export async function linkFor(secret: string, db: Db = pool()): Promise<Account | null> {
	const [row] = await rows<AccountRow>(
		db,
		`SELECT ${COLUMNS} FROM password_links l JOIN accounts a ON a.id = l.account_id AND a.closed_at IS NULL
		 WHERE l.token_hash = ? AND l.expires_at > CURRENT_TIMESTAMP(3)`,
		[hashOf(secret)]
	);
	return row ? accountOf(row) : null;
}

/** Keeps a password. What was begun with the one before ends everywhere. */
async function keepPassword(db: Db, accountId: string, hash: string): Promise<void> {
	await write(db, 'UPDATE accounts SET password_hash = ? WHERE id = ?', [hash, accountId]);
	await write(db, 'DELETE FROM sessions WHERE account_id = ?', [accountId]);
}

/** Keeps a new password: the link is used up, and who is signed in with the old one is signed out everywhere. */
export const choosePassword = (secret: string, hash: string): Promise<Account> =>
	inTransaction(async (db) => {
		const account = await linkFor(secret, db);
		if (
			!account ||
			(await write(db, 'DELETE FROM password_links WHERE token_hash = ?', [hashOf(secret)])) === 0
		)
			throw new NotFoundError('link');
		await keepPassword(db, account.id, hash);
		return account;
	});

/** Changes a role, or closes and opens an account. The last owner stays one. @throws NotFoundError, TakenError */
export const changeAccount = (
	houseId: string,
	id: string,
	{ role, closed }: { role?: Role; closed?: boolean }
): Promise<void> =>
	inTransaction(async (db) => {
		const all = await rows<AccountRow>(
			db,
			`SELECT ${COLUMNS} FROM accounts a WHERE a.house_id = ? FOR UPDATE`,
			[houseId]
		);
		const own = all.find((row) => row.id === id);
		if (!own) throw new NotFoundError('account');
		const after = { role: role ?? own.role, isClosed: closed ?? own.closed_at !== null };
		const isOwner = (row: AccountRow): boolean =>
			row.id === id
				? after.role === 'owner' && !after.isClosed
				: row.role === 'owner' && row.closed_at === null && Boolean(row.has_password || row.mail === null);
		if (!all.some(isOwner)) throw new TakenError('A house has an owner: make somebody else one first.');
		await write(
			db,
			'UPDATE accounts SET role = ?, closed_at = IF(?, COALESCE(closed_at, CURRENT_TIMESTAMP(3)), NULL) WHERE id = ?',
			[after.role, after.isClosed, id]
		);
		if (after.isClosed) await write(db, 'DELETE FROM sessions WHERE account_id = ?', [id]);
	});

/** The account with which everybody enters the demo; null where there is no demo. */
export async function demoAccount(): Promise<string | null> {
	const [found] = await rows<{ id: string }>(
		pool(),
		'SELECT a.id FROM accounts a JOIN houses h ON h.id = a.house_id AND h.is_demo WHERE a.mail IS NULL AND a.closed_at IS NULL LIMIT 1'
	);
	return found?.id ?? null;
}

/** What is kept of the password of an account; null where there is none. */
export async function passwordHashOf(accountId: string): Promise<string | null> {
	const [found] = await rows<{ password_hash: string | null }>(
		pool(),
		'SELECT password_hash FROM accounts WHERE id = ?',
		[accountId]
	);
	return found?.password_hash ?? null;
}

/** Keeps another password of who is signed in; all sessions that began with the old one end. */
export const changePassword = (accountId: string, hash: string): Promise<void> =>
	inTransaction((db) => keepPassword(db, accountId, hash));
