import { minuteOf, steppedBody, surroundings, tooWetAboveClo } from '../src/lib/core/body/two-node';
import { CATALOGUE } from '../src/lib/core/cloth/catalogue';
import { clothOf } from '../src/lib/core/cloth/things';
import { cellsOf } from '../src/lib/core/conditions/cells';
import { personOf } from '../src/lib/core/conditions/person';
import { freshLiving, liveThrough } from '../src/lib/core/heat/course';
import { demandOf } from '../src/lib/core/heat/demand';
import { SWEAT_STORE } from '../src/lib/core/heat/sweat-store';
import { findingsOf } from '../src/lib/core/judge/findings';
import { daysLater } from '../src/lib/core/patterns/edit-days';
import { planDocument, planStage } from '../src/lib/core/plan/planner';
import { tryIt } from '../src/lib/core/plan/told/try-it';
import { threeWeathers } from '../src/lib/core/weather/climate';
import { DEMO_DOCUMENT } from '../src/lib/formats/demo';
import { FIRST_TRY } from '../src/lib/formats/try-link';
import { kitOf, stageOf } from '../tests/fixtures/make';

export interface Benchmark {
	name: string;
	run: () => void;
	unit: 'µs' | 'ms';
	/** how many of the named thing one run does */
	perRun: number;
	rounds: number;
	limit: number;
}

/** Twenty things and two days of six phases, as a planner would have them. */
function planOfTwenty(): () => void {
	const client = kitOf([
		'briefs', 'top-wool-mid', 'fleece', 'soft-shell', 'hard-shell', 'coat-synthetic', 'bottoms-wool',
		'trousers-soft-shell', 'trousers-hard-shell', 'sock-mid', 'sock-heavy', 'boot-ski-touring', 'glove-liner',
		'glove-light', 'glove-winter', 'mitten', 'cap-thin', 'hat-warm', 'neck-tube', 'sunglasses'
	]); // prettier-ignore
	const day = (airTempC: number): ReturnType<typeof stageOf> =>
		stageOf(
			[
				['move', 60, 280, 'forest'],
				['move', 75, 280, 'slope'],
				['stop', 18, 95, 'ridge'],
				['move', 30, 250, 'slope'],
				['stop', 20, 75, 'lee'],
				['stop', 20, 80, 'slope']
			],
			{ airTempC }
		);
	const first = { ...day(-8), id: 'one' };
	const second = { ...day(-3), id: 'two' };
	const document = {
		...DEMO_DOCUMENT,
		trip: { ...DEMO_DOCUMENT.trip, stages: [first, second], weathers: threeWeathers().slice(0, 1) },
		clients: [client]
	};
	return () => void planDocument(document, client);
}

/** All findings of a client with 60 things on 14 days of six phases, whose outfits are given: planned once, then judged. */
function findingsOfFortnight(): () => void {
	const worn = ['briefs', 'top-wool-mid', 'fleece', 'hard-shell', 'bottoms-wool', 'trousers-hard-shell', 'sock-mid', 'boot-hiking', 'glove-winter', 'hat-warm', 'neck-tube', 'sunglasses']; // prettier-ignore
	const others = CATALOGUE.map(({ id }) => id).filter((id) => !worn.includes(id));
	const client = kitOf([...worn, ...others].slice(0, 60));
	const given = worn.map((thingId) => ({ thingId, opening: 'closed' as const }));
	const days = Array.from({ length: 14 }, (_, day) =>
		stageOf(
			[
				['move', 60, 280, 'forest'],
				['move', 75, 280, 'slope', { marks: ['helmet'] }],
				['stop', 18, 95, 'ridge'],
				['move', 30, 250, 'slope', { marks: ['harness'] }],
				['stop', 20, 75, 'lee'],
				['stop', 20, 80, 'slope']
			],
			{ airTempC: -8 + day, precipitation: day % 3 === 0 ? 'drizzle' : 'dry', ground: 'snow' },
			{ id: `day-${day}` }
		)
	);
	const facts = days.map((stage) => {
		const fixed = stage.sequence.map(({ id }) => ({ stageId: stage.id, phaseId: id, worn: given }));
		const { phases } = planStage(stage, threeWeathers()[0]!, client, fixed);
		return { client, person: personOf(client), weather: 'typical', phases, cut: false };
	});
	return () => facts.forEach((one) => void findingsOf(one));
}

/** Fourteen days of six phases in all that is worn there, lived through with the water in it. */
function waterOfFortnight(): () => void {
	const kit = kitOf(['briefs', 'bottoms-wool', 'trousers-trek', 'trousers-hard-shell', 'top-wool-mid', 'fleece', 'hard-shell', 'sock-mid', 'boot-hiking', 'glove-winter', 'hat-warm', 'neck-tube']); // prettier-ignore
	const outfit = kit.things
		.map((thing) => ({
			cloth: clothOf(thing),
			position: clothOf(thing).positions[0],
			opening: 'closed' as const
		}))
		.sort((a, b) => a.position - b.position);
	const days = Array.from({ length: 14 }, (_, day) => {
		const stage = stageOf(
			[
				['move', 60, 280, 'forest'],
				['move', 75, 230, 'slope'],
				['stop', 18, 95, 'ridge'],
				['move', 60, 180, 'slope'],
				['stop', 20, 75, 'lee'],
				['move', 45, 180, 'slope']
			],
			{ airTempC: 1 + (day % 6), precipitation: day % 2 === 0 ? 'rain' : 'drizzle' },
			{ id: `day-${day}` }
		);
		return cellsOf(stage, threeWeathers()[0]!);
	});
	return () => {
		for (const cells of days) {
			const living = freshLiving();
			for (const cell of cells) liveThrough(cell, outfit, 1, living, personOf(kit));
		}
	};
}

/** A body through climbs and stops of half an hour. */
function bodyMinutes(many: number): () => void {
	const around = [280, 80].map((metabolicWm2) =>
		surroundings(
			{ airTempC: -6, airVelocityMs: 4, humidityPct: 70, metabolicWm2, insulationClo: 1.4 },
			SWEAT_STORE.synthetic
		)
	);
	return () => {
		const body = steppedBody(280);
		for (let minute = 0; minute < many; minute++) minuteOf(around[Math.floor(minute / 30) % 2]!, body);
	};
}

const exposure = (i: number) => ({
	airTempC: -20 + (i % 25),
	airVelocityMs: 1 + (i % 9),
	wind10mKmh: 30,
	humidityPct: 70,
	metabolicWm2: 80 + (i % 20) * 10
});

/** Two weeks of six phases each, with hours of rain, in all three weathers. */
function conditionsOfFortnight(): () => void {
	const site = { placeId: null, latitudeDeg: 46.9, longitudeDeg: 10.8, utcOffsetMin: 60 };
	const stages = Array.from({ length: 14 }, (_, day) =>
		stageOf(
			[
				['move', 75, 280, 'forest'],
				['move', 75, 280, 'slope'],
				['stop', 18, 95, 'ridge'],
				['move', 120, 165, 'slope'],
				['indoors', 180, 70, 'cold-in'],
				['sleep', 540, 45, 'cold-in']
			],
			{ lowTempC: -9, highTempC: -1, wetSpells: [{ fromMin: 540, toMin: 720, kind: 'rain' }] },
			{ id: `day-${day}`, date: daysLater('2027-01-10', day) }
		)
	);
	const weathers = threeWeathers();
	return () => {
		for (const stage of stages) for (const weather of weathers) cellsOf(stage, weather, site);
	};
}

/** What the project promises, with its limit. */
export const benchmarks = (): Benchmark[] => [
	{
		name: 'conditions of 14 days × 6 phases in three weathers',
		unit: 'ms',
		perRun: 1,
		rounds: 40,
		limit: 20,
		run: conditionsOfFortnight()
	},
	{
		name: 'limit of too warm by the two-node body, one phase',
		unit: 'ms',
		perRun: 5,
		rounds: 15,
		limit: 10,
		run: () => {
			for (let i = 0; i < 5; i++)
				tooWetAboveClo({
					airTempC: 12 + 4 * i,
					airVelocityMs: 2,
					humidityPct: 60,
					metabolicWm2: 90 + 40 * i
				});
		}
	},
	{
		name: 'the simulated body, 10 000 minutes with overheat in the layers (a million a second are 10 ms)',
		unit: 'ms',
		perRun: 1,
		rounds: 40,
		limit: 10,
		run: bodyMinutes(10_000)
	},
	{
		name: 'demand of one phase',
		unit: 'µs',
		perRun: 500,
		rounds: 40,
		limit: 50,
		run: () => {
			for (let i = 0; i < 500; i++) demandOf(exposure(i));
		}
	},
	{
		name: 'demand of one phase with minutes',
		unit: 'µs',
		perRun: 500,
		rounds: 40,
		limit: 500,
		run: () => {
			for (let i = 0; i < 500; i++) demandOf({ ...exposure(i), minutes: 18 + (i % 40) });
		}
	},
	{
		name: 'plan of 2 stages × 6 phases × 20 things',
		unit: 'ms',
		perRun: 1,
		rounds: 15,
		limit: 200,
		run: planOfTwenty()
	},
	{
		name: 'findings of a fortnight, 84 phases, 60 things, outfits given',
		unit: 'ms',
		perRun: 1,
		rounds: 30,
		limit: 150,
		run: findingsOfFortnight()
	},
	{
		name: 'water and warmth through 84 phases of rain, as worn',
		unit: 'ms',
		perRun: 1,
		rounds: 30,
		limit: 20,
		run: waterOfFortnight()
	},
	{
		name: 'trying it: one move of a slider, judged, with the body minute by minute',
		unit: 'ms',
		perRun: 1,
		rounds: 40,
		limit: 50,
		run: (() => {
			let airTempC = -20;
			return () => void tryIt({ ...FIRST_TRY, airTempC: (airTempC = ((airTempC + 21) % 40) - 20) });
		})()
	},
	{
		name: 'both demo clients, both days, three weathers',
		unit: 'ms',
		perRun: 1,
		rounds: 5,
		limit: 6000,
		run: () => DEMO_DOCUMENT.clients.forEach((client) => planDocument(DEMO_DOCUMENT, client))
	}
];
