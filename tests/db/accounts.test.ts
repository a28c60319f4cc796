import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startWithEmptyHouse } from '../fixtures/empty-database';
import {
	accountByMail,
	accountsOf,
	changeAccount,
	choosePassword,
	demoAccount,
	enteredInDemo,
	invite,
	linkFor,
	setUpHouse,
	wayBack
} from '../../src/lib/server/db/accounts/accounts';
import { entriesOf, noteEntry } from '../../src/lib/server/db/accounts/entries';
import {
	beginSession,
	endSession,
	endSessions,
	endToken,
	makeToken,
	programOf,
	tokensOf,
	whoIs
} from '../../src/lib/server/db/accounts/sessions';
import { forgetTries, mayTry } from '../../src/lib/server/db/accounts/tries';
import { createClient, getClient } from '../../src/lib/server/db/clients';
import { loadDemo } from '../../src/lib/server/db/demo';
import { FIRST_HOUSE } from '../../src/lib/server/db/house';
import { closePool, NotFoundError, pool, rows, TakenError, write } from '../../src/lib/server/db/pool';
import { find } from '../../src/lib/server/db/search';
import { createTrip, getTrip } from '../../src/lib/server/db/trips';

const OWNER = { name: 'Mara Quist', mail: 'Mara@Outfitter.example' };
let owner = '';
let house = '';
let mine = { trip: '', client: '' };

beforeAll(async () => {
	await startWithEmptyHouse();
	await write(pool(), 'UPDATE houses SET is_demo = TRUE WHERE id = ?', [FIRST_HOUSE]);
	await write(
		pool(),
		`INSERT INTO accounts (id, house_id, name, role) VALUES ('demo-planner', ?, 'Demo planner', 'owner')`,
		[FIRST_HOUSE]
	);
	await loadDemo();
	const trip = await createTrip(FIRST_HOUSE, { name: 'Entered before', place: '' });
	mine = { trip, client: await createClient(FIRST_HOUSE, 'Bel Moor', trip) };
});
afterAll(closePool);

describe('a house of one’s own', () => {
	it('is set up once, whoever asks at the same time, and takes along what was entered beside the demo', async () => {
		expect(await enteredInDemo()).toEqual({ trips: 1, clients: 1 });
		const both = await Promise.allSettled([
			setUpHouse('Outfitter', OWNER, 'hash', true),
			setUpHouse('Another', { name: 'Ole Berg', mail: 'ole@other.example' }, 'hash', false)
		]);
		const [won] = both.filter((one) => one.status === 'fulfilled');
		const [lost] = both.filter((one) => one.status === 'rejected');
		expect(lost!.reason).toBeInstanceOf(TakenError);
		if (both[0].status === 'rejected') {
			// The other one was quicker: both are right, and the rest of this file is about the first.
			await write(pool(), 'DELETE FROM houses WHERE NOT is_demo');
			owner = await setUpHouse('Outfitter', OWNER, 'hash', true);
		} else owner = won!.value;
		const found = await accountByMail(' mara@outfitter.EXAMPLE ');
		expect(found).toMatchObject({ account: { id: owner, role: 'owner', name: 'Mara Quist' }, hash: 'hash' });
		house = found!.account.houseId;
		expect((await getTrip(house, mine.trip)).name).toBe('Entered before');
		expect((await getClient(house, mine.client)).name).toBe('Bel Moor');
		expect((await find(house, 'bel moor')).length).toBeGreaterThan(0);
		await expect(getTrip(FIRST_HOUSE, mine.trip)).rejects.toThrow(NotFoundError);
		// The demo stays where it is, and nobody else sees it.
		await expect(getTrip(house, 'demo-trip')).rejects.toThrow(NotFoundError);
		expect((await getTrip(FIRST_HOUSE, 'demo-trip')).id).toBe('demo-trip');
		expect(await demoAccount()).toBe('demo-planner');
	});
});

describe('an account', () => {
	it('begins with a link that chooses a password once', async () => {
		const { id, secret } = await invite(house, {
			name: 'Ib Lund',
			mail: 'ib@outfitter.example',
			role: 'guide'
		});
		expect((await accountsOf(house)).find((one) => one.id === id)).toMatchObject({ hasPassword: false });
		expect(await linkFor('guessed')).toBeNull();
		expect(await linkFor(secret)).toMatchObject({ name: 'Ib Lund', role: 'guide' });
		expect(await choosePassword(secret, 'hash of his')).toMatchObject({ id });
		await expect(choosePassword(secret, 'hash of another')).rejects.toThrow(NotFoundError);
		expect((await accountByMail('ib@outfitter.example'))!.hash).toBe('hash of his');
		await expect(
			invite(house, { name: 'Ib again', mail: 'IB@outfitter.example', role: 'guide' })
		).rejects.toThrow(TakenError);
		// Everybody is the owner of the demo: who is in it is nobody's account.
		await expect(invite(FIRST_HOUSE, { name: 'Ole', mail: 'ole@x.example', role: 'guide' })).rejects.toThrow(
			/demo has no people/
		);
		expect(await accountsOf(FIRST_HOUSE)).toHaveLength(1);
	});
	it('has a way back that ends the sessions, holds a week, and is for the own house only', async () => {
		const { id } = (await accountByMail('ib@outfitter.example'))!.account;
		const session = await beginSession(id, undefined);
		const [first, second] = [await wayBack(house, id), await wayBack(house, id)];
		expect(await linkFor(first)).toBeNull();
		await expect(wayBack(FIRST_HOUSE, id)).rejects.toThrow(NotFoundError);
		expect(await whoIs(session)).toMatchObject({ name: 'Ib Lund' });
		await choosePassword(second, 'newer');
		expect(await whoIs(session)).toBeNull();
		const old = await wayBack(house, id);
		await write(pool(), 'UPDATE password_links SET expires_at = expires_at - INTERVAL 8 DAY');
		expect(await linkFor(old)).toBeNull();
	});
	it('is closed at once, and a house keeps an owner', async () => {
		const { id } = (await accountByMail('ib@outfitter.example'))!.account;
		const session = await beginSession(id, undefined);
		await changeAccount(house, id, { closed: true });
		expect(await whoIs(session)).toBeNull();
		expect(await accountByMail('ib@outfitter.example')).toBeNull();
		await changeAccount(house, id, { closed: false, role: 'planner' });
		expect((await accountByMail('ib@outfitter.example'))!.account.role).toBe('planner');
		await expect(changeAccount(house, owner, { role: 'guide' })).rejects.toThrow(/has an owner/);
		await expect(changeAccount(house, owner, { closed: true })).rejects.toThrow(TakenError);
		// Of two owners one may go.
		await changeAccount(house, id, { role: 'owner' });
		await changeAccount(house, owner, { role: 'planner' });
		await expect(changeAccount(house, id, { role: 'planner' })).rejects.toThrow(TakenError);
		await changeAccount(house, owner, { role: 'owner' });
		await expect(changeAccount(FIRST_HOUSE, id, { role: 'guide' })).rejects.toThrow(NotFoundError);
	});
});

describe('a session', () => {
	it('gets a new secret at each sign-in, and the one before ends', async () => {
		const first = await beginSession(owner, undefined);
		const second = await beginSession(owner, first);
		expect(second).not.toBe(first);
		expect(await whoIs(first)).toBeNull();
		expect(await whoIs(second)).toMatchObject({ houseId: house, role: 'owner', isDemo: false });
		const stored = await rows<{ token_hash: string }>(pool(), 'SELECT token_hash FROM sessions');
		expect(stored.map(({ token_hash }) => token_hash)).not.toContain(second);
		await endSession(second);
		expect(await whoIs(second)).toBeNull();
	});
	it('ends after its time, and everywhere when that is asked for', async () => {
		const [desk, phone] = [await beginSession(owner, undefined), await beginSession(owner, undefined)];
		await endSessions(owner);
		expect([await whoIs(desk), await whoIs(phone)]).toEqual([null, null]);
		const late = await beginSession(owner, undefined);
		await write(pool(), 'UPDATE sessions SET expires_at = CURRENT_TIMESTAMP(3) - INTERVAL 1 SECOND');
		expect(await whoIs(late)).toBeNull();
	});
	it('of a program is a token of one house, which its owner ends', async () => {
		const { id, secret } = await makeToken(house, { name: 'booking system', role: 'planner' });
		expect(await programOf(secret)).toMatchObject({
			houseId: house,
			role: 'planner',
			way: 'token',
			accountId: null
		});
		expect(await programOf('guessed')).toBeNull();
		expect(await tokensOf(FIRST_HOUSE)).toEqual([]);
		await expect(endToken(FIRST_HOUSE, id)).rejects.toThrow(NotFoundError);
		await endToken(house, id);
		expect(await programOf(secret)).toBeNull();
	});
});

describe('tries to sign in', () => {
	it('are counted by account, at the same time too, and begin anew for who came in', async () => {
		const many = await Promise.all(Array.from({ length: 12 }, () => mayTry('ada@x.example', '10.0.0.1')));
		expect(many.filter(Boolean).length).toBeLessThanOrEqual(6);
		expect(await mayTry('ada@x.example', '10.0.0.2')).toBe(false);
		expect(await mayTry('bo@x.example', '10.0.0.2')).toBe(true);
		await forgetTries('ada@x.example');
		expect(await mayTry('ada@x.example', '10.0.0.2')).toBe(true);
	});
	it('are counted by address over all accounts, and forgotten after a while', async () => {
		for (let i = 0; i < 45; i++) await mayTry(`guess-${i}@x.example`, '10.9.9.9');
		expect(await mayTry('another@x.example', '10.9.9.9')).toBe(false);
		expect(await mayTry('another@x.example', '10.9.9.8')).toBe(true);
		await write(pool(), 'UPDATE sign_in_tries SET at = at - INTERVAL 16 MINUTE');
		expect(await mayTry('another@x.example', '10.9.9.9')).toBe(true);
	});
});

describe('what was done', () => {
	it('is kept by house, the newest first, and read page by page', async () => {
		for (let i = 0; i < 103; i++)
			await noteEntry(
				{ houseId: house, name: 'Mara Quist', way: 'signed in' },
				'PUT',
				`/api/v1/trips/t-${i}`
			);
		const first = await entriesOf(house, null);
		expect(first).toHaveLength(100);
		expect(first[0]).toMatchObject({ who: 'Mara Quist', way: 'signed in', what: '/api/v1/trips/t-102' });
		expect(await entriesOf(house, first.at(-1)!.id)).toHaveLength(3);
		expect(await entriesOf(FIRST_HOUSE, null)).toEqual([]);
	});
});
