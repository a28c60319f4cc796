// Two processes on one database: edits and plans go through both, one is killed in the middle of its work.
import { setTimeout as pause } from 'node:timers/promises';
import { say } from '../lib/console.mjs';
import { ask, check } from './asking.mjs';

/** What a process that is silent for so long had begun is taken up by another one, seconds. */
const SILENT_S = 3;
const MOST_TURNS = 600;

export async function sharing(startOne, demo) {
	say('two processes edit and plan, one is killed');
	const [one, two] = [
		await startOne({ SNUG_CLAIM_SECONDS: SILENT_S }),
		await startOne({ SNUG_CLAIM_SECONDS: SILENT_S })
	];
	const { id } = (await ask(one.address, 'POST', '/api/v1/trips', { name: 'Shared', place: '' })).data;
	const { trip } = (await ask(two.address, 'GET', `/api/v1/trips/${id}`)).data;
	await ask(two.address, 'PUT', `/api/v1/trips/${id}`, {
		name: 'Shared', place: '', site: null, weathers: demo.trip.weathers, stages: demo.trip.stages, schools: {}, version: trip.version
	}); // prettier-ignore
	const guests = [];
	for (let i = 0; i < 4; i++) {
		const { address } = i % 2 === 0 ? one : two;
		const made = await ask(address, 'POST', '/api/v1/clients', { name: `Guest ${i}`, tripId: id });
		guests.push(made.data.id);
		for (const thing of demo.clients[0].things.slice(0, 16))
			await ask(address, 'POST', `/api/v1/clients/${made.data.id}/things`, {
				typeId: thing.typeId,
				quantity: thing.quantity
			});
	}
	/** What was acknowledged last of each guest's name, and what was sent last: a kill may come between the save and its answer. */
	const names = new Map();
	const sent = new Map();
	let editing = true;
	const editor = async (app, mine) => {
		for (let n = 0; editing; n++) {
			const guest = mine[n % mine.length];
			const read = await ask(app.address, 'GET', `/api/v1/clients/${guest}`).catch(() => null);
			// The one that was killed answers no more.
			if (!read?.data) return;
			const { offsetClo, careful, answeredParts, version } = read.data;
			const name = `Guest ${n} of ${app.address.slice(-4)}`;
			sent.set(guest, name);
			const saved = await ask(app.address, 'PUT', `/api/v1/clients/${guest}`, {
				name,
				offsetClo,
				careful,
				answeredParts,
				version
			}).catch(() => null);
			if (saved?.status === 200) names.set(guest, name);
			await pause(20);
		}
	};
	const editors = [editor(one, guests.slice(0, 2)), editor(two, guests.slice(2))];
	// Both are asked for the plans: whoever claims one works it out.
	const plansBy = async (app) => (await ask(app.address, 'GET', `/api/v1/trips/${id}/plans`)).data.plans;
	await plansBy(one);
	let plans = await plansBy(two);
	for (let turn = 0; turn < MOST_TURNS && !plans.some(({ state }) => state === 'working'); turn++) {
		await pause(50);
		plans = await plansBy(two);
	}
	const wasWorking = plans.filter(({ state }) => state === 'working').length;
	process.kill(one.pid, 'SIGKILL');
	await one.ended;
	editing = false;
	await Promise.all(editors);
	for (let turn = 0; turn < MOST_TURNS && plans.some(({ isCurrent }) => !isCurrent); turn++) {
		await pause(200);
		plans = await plansBy(two);
	}
	const states = plans.map(({ state }) => state).join(', ');
	check(
		plans.length === 4 && plans.every(({ isCurrent }) => isCurrent),
		`${wasWorking} plans were underway at the kill; the other process has all of them (${states})`
	);
	let lost = 0;
	for (const [guest, name] of names) {
		const { data } = await ask(two.address, 'GET', `/api/v1/clients/${guest}`);
		if (data.name !== name && data.name !== sent.get(guest)) lost++;
	}
	check(
		names.size > 0 && lost === 0,
		`of the names of ${names.size} guests the last acknowledged one is there, or one that was on its way`
	);
	await one.stop().catch(() => undefined);
	await two.stop();
}
