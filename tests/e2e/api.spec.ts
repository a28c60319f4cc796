import { readFileSync } from 'node:fs';
import { opened } from '../../src/lib/server/work/archive';
import { DEMO_DOCUMENT } from '../../src/lib/formats/demo';
import { expect, test } from './test';

/** The fenced blocks of a language in docs/api.md, in order. */
const blocks = [...readFileSync('docs/api.md', 'utf8').matchAll(/```json\n([\s\S]*?)```/g)].map(
	([, json]) => JSON.parse(json!) as Record<string, unknown>
);

/** Whether everything in `part` is in `whole`; numbers within the last digit that is written. */
function expectWithin(part: unknown, whole: unknown, path = ''): void {
	if (typeof part === 'number') {
		const digits = String(part).split('.')[1]?.length ?? 0;
		expect(Math.abs((whole as number) - part), path).toBeLessThanOrEqual(0.51 * 10 ** -digits);
	} else if (part && typeof part === 'object') {
		for (const [key, value] of Object.entries(part))
			expectWithin(value, (whole as Record<string, unknown>)[key], `${path}.${key}`);
	} else expect(whole, path).toEqual(part);
}

test('the worked examples of the documentation come out as written', async ({ request }) => {
	const [question, demand, document, plan, candidates, remedies, stock, lending] = blocks;
	const demandAnswer = await request.post('/api/v1/demand', { data: question });
	expect(demandAnswer.status()).toBe(200);
	expectWithin(demand, await demandAnswer.json());
	const planAnswer = await request.post('/api/v1/plan', { data: document });
	expect(planAnswer.status()).toBe(200);
	expectWithin(plan, await planAnswer.json());
	const remediesAnswer = await request.post('/api/v1/remedies', { data: { ...document, ...candidates } });
	expect(remediesAnswer.status()).toBe(200);
	expect(await remediesAnswer.json()).toEqual(remedies);
	const lendingAnswer = await request.post('/api/v1/lending', { data: { ...document, ...stock } });
	expect(lendingAnswer.status()).toBe(200);
	expect(await lendingAnswer.json()).toEqual(lending);
	const nobody = { settled: [{ clientId: 'nobody', kindId: 'over', lend: true }] };
	const refused = await request.post('/api/v1/lending', { data: { ...document, ...stock, ...nobody } });
	expect(refused.status()).toBe(400);
	expect(await refused.json()).toMatchObject({ errors: [{ field: 'settled.0.clientId', value: 'nobody' }] });
});

test('remedies want things that the client does not have, each once, and say so at the field', async ({
	request
}) => {
	const [, , document, , asked] = blocks as {
		candidates?: { thing: { id: string } }[];
		clients?: object[];
	}[];
	const { candidates } = asked as { candidates: { thing: { id: string } }[] };
	const ask = (list: unknown) =>
		request.post('/api/v1/remedies', { data: { ...document, candidates: list } });
	const twice = await ask([candidates[0], candidates[0]]);
	expect(twice.status()).toBe(400);
	expect(JSON.stringify(await twice.json())).toContain('candidates');
	const owned = await ask([{ ...candidates[0], thing: { ...candidates[0]!.thing, id: 'hat' } }]);
	expect(owned.status()).toBe(400);
	expect(((await owned.json()) as { errors: { field: string }[] }).errors[0]!.field).toBe(
		'candidates.0.thing.id'
	);
	const free = await ask([{ ...candidates[0], cost: -1 }]);
	expect(free.status()).toBe(400);
});

test('what to ask a client comes in the order of what each answer is worth', async ({ request }) => {
	const [stage] = DEMO_DOCUMENT.trip.stages;
	const trip = { ...DEMO_DOCUMENT.trip, stages: [stage], weathers: DEMO_DOCUMENT.trip.weathers.slice(0, 1) };
	const asked = { ...DEMO_DOCUMENT, trip, clientId: 'demo-teo' };
	const answer = (await (await request.post('/api/v1/questions', { data: asked })).json()) as {
		questions: { id: string; facts: { typeId: string }[]; worth: number; changes: object[] }[];
		nothingMore: boolean;
		needless: string[];
	};
	expect(answer.nothingMore).toBe(answer.questions.length === 0);
	const worth = answer.questions.map((one) => one.worth);
	expect(worth).toEqual([...worth].sort((a, b) => b - a));
	for (const { id, facts } of answer.questions) {
		expect(facts.length).toBeGreaterThan(0);
		expect(answer.needless).not.toContain(id);
	}
	const unasked = { ...asked, asked: answer.questions.map(({ id }) => id) };
	const rest = (await (await request.post('/api/v1/questions', { data: unasked })).json()) as typeof answer;
	expect(rest.questions.map(({ id }) => id)).toEqual([]);
	const refused = await request.post('/api/v1/questions', { data: { ...asked, asked: ['what for'] } });
	expect(refused.status()).toBe(400);
});

test('the catalogue is asked in everyday words', async ({ request }) => {
	const answer = (await (await request.get('/api/v1/catalogue?q=2 old rain pants size L')).json()) as {
		understood: object;
		hits: { typeId: string; exact: boolean }[];
	};
	expect(answer.understood).toMatchObject({ quantity: 2, size: 'L', hasNot: false });
	expect(answer.hits[0]).toMatchObject({ typeId: 'trousers-rain', exact: true });
	expect(((await (await request.get('/api/v1/catalogue?q=didgeridoo')).json()) as { hits: [] }).hits).toEqual(
		[]
	);
});

test('a plan is made per phase, and a given outfit is judged', async ({ request }) => {
	const chosen = (await (
		await request.post('/api/v1/plan', { data: { ...DEMO_DOCUMENT, clientId: 'demo-teo' } })
	).json()) as {
		clientId: string;
		phases: { phaseId: string; verdict: string; worn: { thingId: string }[] }[];
		findings: { code: string }[];
	};
	expect(chosen.clientId).toBe('demo-teo');
	expect(chosen.phases).toHaveLength(
		3 * DEMO_DOCUMENT.trip.stages.reduce((sum, { sequence }) => sum + sequence.length, 0)
	);
	expect(chosen.findings.map(({ code }) => code)).toContain('short');
	const fixed = [{ stageId: 'demo-day-1', phaseId: '1-open', worn: [{ thingId: 'demo-teo-top-cotton' }] }];
	const given = (await (
		await request.post('/api/v1/plan', { data: { ...DEMO_DOCUMENT, clientId: 'demo-teo', fixed } })
	).json()) as typeof chosen;
	expect(given.phases.find(({ phaseId }) => phaseId === '1-open')!.worn).toEqual([
		{ thingId: 'demo-teo-top-cotton', opening: 'closed' }
	]);
});

test('bad input gets 400 with field, value and range, never a stack trace', async ({ request }) => {
	const cases: [url: string, data: unknown, field: string][] = [
		[
			'/api/v1/demand',
			{ airTempC: -12, airVelocityMs: 1, wind10mKmh: 10, humidityPct: 170, metabolicWm2: 100 },
			'humidityPct'
		],
		['/api/v1/demand', { airTempC: 'cold' }, 'airTempC'],
		['/api/v1/plan', {}, 'trip'],
		['/api/v1/plan', { ...DEMO_DOCUMENT, clientId: 'nobody' }, 'clientId'],
		[
			'/api/v1/plan',
			{
				...DEMO_DOCUMENT,
				fixed: [{ stageId: 'demo-day-1', phaseId: '1-open', worn: [{ thingId: 'cape' }] }]
			},
			'thingId'
		],
		['/api/v1/trips', { name: '' }, 'name'],
		[
			'/api/v1/clients/demo-teo/things',
			{ typeId: 'cape', quantity: { value: 1, source: 'client', state: 'has' } },
			'typeId'
		]
	];
	for (const [url, data, field] of cases) {
		const response = await request.post(url, { data: data as object });
		expect(response.status(), url).toBe(400);
		const answer = (await response.json()) as {
			message: string;
			errors: { field: string; allowed: string }[];
		};
		expect(
			answer.errors.map((error) => error.field),
			url
		).toContain(field);
		expect(answer.errors.every(({ allowed }) => allowed !== '')).toBe(true);
		expect(JSON.stringify(answer)).not.toMatch(/node_modules|\.js:\d| {4}at /);
	}
	const broken = await request.post('/api/v1/plan', {
		data: '{',
		headers: { 'content-type': 'application/json' }
	});
	expect(broken.status()).toBe(400);
});

test('everything that the house has comes as one archive', async ({ request }) => {
	const answer = await request.get('/api/v1/archive');
	expect(answer.ok()).toBe(true);
	expect(answer.headers()['content-disposition']).toMatch(/filename="house-\d{4}-\d\d-\d\d\.zip"/);
	const { tables, migrations } = opened(await answer.body());
	expect(migrations.length).toBeGreaterThan(6);
	expect(tables.trips!.length).toBeGreaterThanOrEqual(2);
	expect(tables.things!.length).toBeGreaterThan(50);
});

test('strangers are not let in, and what is too much is told so', async ({ request }) => {
	const foreign = { headers: { origin: 'http://evil.example' } };
	expect((await request.delete('/api/v1/trips/nowhere', foreign)).status()).toBe(403);
	expect((await request.get('/', foreign)).status()).toBe(403);
	const wide = await request.post('/api/v1/plan', { data: { list: Array(600).fill(0) } });
	expect(wide.status()).toBe(413);
	expect(await wide.json()).toMatchObject({ errors: [{ field: 'list', value: 600 }] });
	const page = await request.get('/');
	expect(page.headers()).toMatchObject({ 'x-content-type-options': 'nosniff', 'cache-control': 'no-store' });
	expect(page.headers()['content-security-policy']).toContain("frame-ancestors 'none'");
});

test('health, the schema and what does not exist', async ({ request }) => {
	expect(await (await request.get('/api/v1/health')).json()).toMatchObject({
		status: 'up',
		database: 'up',
		version: expect.stringMatching(/^\d+\.\d+\.\d+$/),
		queue: { failed: expect.any(Number) }
	});
	expect(await (await request.get('/schema/document-2.json')).json()).toMatchObject({
		$id: 'snug-summit/document/2'
	});
	for (const url of ['/api/v1/trips/nowhere', '/api/v1/clients/nobody'])
		expect((await request.get(url)).status()).toBe(404);
	expect((await request.delete('/api/v1/things/nothing')).status()).toBe(404);
	expect(await (await request.get('/api/v1/clients')).json()).toMatchObject({ clients: expect.any(Array) });
});
