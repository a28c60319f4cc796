import { readdirSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { hashedPassword, isPassword } from './password';
import { isEnough, needsOf, type Needs } from './rights';
import { hashOf, newSecret } from './secret';

/** All routes of the app, as its files say. */
const ROUTES = readdirSync('src/routes', { recursive: true, withFileTypes: true })
	.filter(({ name }) => /^\+(page|server)/.test(name))
	.map(
		({ parentPath }) =>
			`/${path.relative('src/routes', parentPath).replaceAll('\\', '/')}`.replace(/\/$/, '') || '/'
	);
const needing = (needs: Needs, method = 'GET'): string[] => [
	...new Set(ROUTES.filter((route) => needsOf(route, method) === needs))
];

describe('what somebody must be to reach a route', () => {
	it('leaves the door open and nothing else', () => {
		expect(needing('nobody').sort()).toEqual([
			'/api/v1/health',
			'/c/[token]',
			'/password/[token]',
			'/set-up',
			'/sign-in'
		]);
		expect(needing('nobody', 'POST')).toEqual(needing('nobody'));
		expect(needsOf(null, 'GET')).toBe('nobody');
	});
	it('lets programs on this machine compute, and read or change nothing that is stored', () => {
		expect(needing('this machine').sort()).toEqual([
			'/api/v1/catalogue',
			'/api/v1/changes',
			'/api/v1/climate/forecast',
			'/api/v1/climate/normals',
			'/api/v1/climate/places',
			'/api/v1/demand',
			'/api/v1/forecast',
			'/api/v1/lending',
			'/api/v1/plan',
			'/api/v1/questions',
			'/api/v1/remedies',
			'/api/v1/table',
			'/try'
		]);
	});
	it('shows a client their own page by the link, and nothing else', () => {
		expect(needing('a link').sort()).toEqual([
			'/api/v1/my/address',
			'/api/v1/my/answers',
			'/api/v1/my/photos',
			'/api/v1/my/photos/[id]',
			'/my',
			'/my/kept',
			'/my/leave'
		]);
		expect(needing('a link', 'POST')).toEqual(needing('a link'));
	});
	it('keeps people, tokens and copies of everything for the owner', () => {
		for (const route of ROUTES.filter((one) => /accounts|tokens|archive|people|entries/.test(one)))
			for (const method of ['GET', 'POST', 'DELETE']) expect(needsOf(route, method)).toBe('owner');
	});
	it('has guides read, and planners change', () => {
		for (const route of ['/', '/trips/[id]', '/api/v1/clients/[id]', '/a/route/that/is/new']) {
			expect(needsOf(route, 'GET')).toBe('guide');
			for (const method of ['POST', 'PUT', 'PATCH', 'DELETE']) expect(needsOf(route, method)).toBe('planner');
		}
		expect(needsOf('/account', 'POST')).toBe('guide');
		expect(needsOf('/api/v1/trips/[id]/clients/[clientId]/notes', 'POST')).toBe('guide');
		expect(needsOf('/api/v1/trips/[id]/clients/[clientId]/link', 'POST')).toBe('planner');
	});
	it('takes a higher role for a lower one, and never the other way round', () => {
		expect(isEnough('owner', 'guide') && isEnough('planner', 'guide') && isEnough('guide', 'guide')).toBe(
			true
		);
		expect(isEnough('guide', 'planner') || isEnough('planner', 'owner')).toBe(false);
	});
});

describe('a password', () => {
	it('is known again, another one is not, and the same one is hashed differently each time', async () => {
		const [first, second] = await Promise.all([1, 2].map(() => hashedPassword('warm socks in the bag')));
		expect(first).toMatch(/^\$argon2id\$v=19\$m=65536,t=4,p=1\$/);
		expect(first).not.toBe(second);
		expect(await isPassword('warm socks in the bag', first!)).toBe(true);
		expect(await isPassword('warm socks in the box', first!)).toBe(false);
		// Whoever has none gets in with none, not even with the one that stands in for it.
		expect(await isPassword('nobody has this password', null)).toBe(false);
	});
	it('is the same however its letters were typed', async () => {
		const hashed = await hashedPassword('Gro\u0308\u00dfe M im Schrank');
		expect(await isPassword('Gr\u00f6\u00dfe M im Schrank', hashed)).toBe(true);
	});
});

describe('a secret', () => {
	it('has 256 bits, fits an address, and is kept as a hash', () => {
		const secrets = new Set(Array.from({ length: 1000 }, newSecret));
		expect(secrets.size).toBe(1000);
		for (const secret of [...secrets].slice(0, 20)) {
			expect(Buffer.from(secret, 'base64url')).toHaveLength(32);
			expect(encodeURIComponent(secret)).toBe(secret);
			expect(hashOf(secret)).toMatch(/^[0-9a-f]{64}$/);
		}
	});
});
