import { afterEach, describe, expect, it } from 'vitest';
import { mayComeIn } from './door';

const asked = (headers: Record<string, string>, method = 'GET') =>
	mayComeIn({ method, headers: new Headers(headers) });

afterEach(() => {
	delete process.env.SNUG_HOSTS;
});

describe('the door', () => {
	it.each([
		['127.0.0.1:5180', true],
		['localhost', true],
		['LOCALHOST:80', true],
		['[::1]:5180', true],
		['snug.example', false],
		['127.0.0.1.evil.example', false],
		['localhost.evil.example:5180', false],
		['', false]
	])('asked for by the name %s: %s', (host, isLetIn) => {
		expect(asked(host ? { host } : {})).toBe(isLetIn);
	});
	it.each([
		['http://127.0.0.1:5180', true],
		['http://localhost:9999', true],
		['http://evil.example', false],
		['null', false],
		['file://localhost', false]
	])('sent by a page of %s: %s', (origin, isLetIn) => {
		expect(asked({ host: 'localhost:5180', origin }, 'POST')).toBe(isLetIn);
		expect(asked({ host: 'localhost:5180', origin }, 'DELETE')).toBe(isLetIn);
	});
	it('writes of another site are refused where the browser names no origin', () => {
		const headers = { host: 'localhost', 'sec-fetch-site': 'cross-site' };
		expect(asked(headers, 'DELETE')).toBe(false);
		expect(asked(headers, 'GET')).toBe(true);
		expect(asked({ ...headers, 'sec-fetch-site': 'same-origin' }, 'DELETE')).toBe(true);
	});
	it('other names are let in by setting', () => {
		process.env.SNUG_HOSTS = 'plans.example, other.example:8080';
		expect(asked({ host: 'plans.example' })).toBe(true);
		expect(asked({ host: 'plans.example:443' })).toBe(true);
		expect(asked({ host: 'other.example:8080' })).toBe(true);
		expect(asked({ host: 'other.example' })).toBe(false);
	});
});
