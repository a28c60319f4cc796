import { describe, expect, it } from 'vitest';
import { wearableThings } from '../core/cloth/things';
import { schooled } from '../core/conditions/person';
import { listOf } from '../core/kit/list';
import { withEdits } from '../core/kit/own-lines';
import { planDocument } from '../core/plan/planner';
import { toldDay } from '../core/plan/told/change-story';
import { toldTomorrow, toldTonight } from '../core/plan/told/tomorrow';
import { DEMO_DOCUMENT } from '../formats/demo';
import { tomorrowSentences, tonightSentences } from './figure/tomorrow-story';
import { findingSentence } from './findings';
import { shortName, verdictSentence } from './labels';
import { changeSentence, startSentence } from './plan-story';
import { listRows } from './remedy/list-story';
import { METRIC } from './units';

const { trip } = DEMO_DOCUMENT;
const own = DEMO_DOCUMENT.clients.find(({ id }) => id === 'demo-teo')!;
const client = schooled(own, DEMO_DOCUMENT);
const nameOf = (id: string): string => shortName(own.things.find((thing) => thing.id === id)?.name ?? id);
const days = planDocument(DEMO_DOCUMENT, own);
const dayOf = (stage: number) =>
	days.find(
		({ stageId, weather, foul }) =>
			stageId === trip.stages[stage]!.id && weather === trip.weathers[0]!.id && !foul
	)!;

/** Texts as they are printed and said: whoever changes a word reads them once more as a whole. */
describe('read whole, as a guide would', () => {
	it('is a day', () => {
		const day = dayOf(0);
		const { start, changes } = toldDay(day, wearableThings(client));
		const said = [
			startSentence(start!, nameOf),
			...changes.map((change) => changeSentence(change, nameOf)),
			...day.phases.map((phase) => `${phase.cell.name}: ${verdictSentence(phase, 'Teo')}`),
			...day.findings.map((finding) => findingSentence(finding, { who: 'Teo', nameOf, units: METRIC }))
		].join('\n');
		expect(said).toMatchInlineSnapshot(`
			"08:00 start in hired touring boots, soft shell, fleece, trekking trousers, warm hat, walking socks, sunglasses, long underpants and long-sleeved cotton shirt.
			08:10 Climb through the forest: winter gloves on.
			09:10 Climb over open slopes: rain jacket on.
			13:31 Evening at the lodge: sunglasses, winter gloves, warm hat, soft shell, hired touring boots and rain jacket off.
			Drive to the trailhead: Right for these minutes.
			Skins on at the car: Teo stays warm enough, but the fingers get cold.
			Climb through the forest: Teo stays warm enough, but the fingers get cold.
			Climb over open slopes: Right for these minutes.
			Wait for the last on Tarn Saddle: Teo stays warm for 17 of 33 min (the whole body).
			What if: partner hurt on the saddle: Teo is cold already when it begins (the whole body).
			Change-over, skins off: Teo is cold already when it begins (the whole body).
			Descent to the tarn: Teo is cold already when it begins (the whole body).
			Tea below the boulder: Teo is cold already when it begins (the whole body).
			Climb back to the rim: Teo is cold already when it begins (the whole body).
			Second change-over: Teo is cold already when it begins (the whole body).
			Descent to the road: Teo is cold already when it begins (the whole body).
			Wait for the van: Teo is cold already when it begins (the whole body).
			Evening at the lodge: Right for these minutes.
			Night at the lodge: Right for the night.
			Teo stays warm for 17 of 33 min in “Wait for the last on Tarn Saddle”, then gets too cold. There is nothing to put on over everything. Warm over-trousers or one more layer on the legs help most.
			Teo has nothing for the face in “Climb through the forest”.
			Teo has nothing for the neck in “Climb through the forest”.
			Teo has one pair of gloves only, and a lost glove ends the day. Bring or lend a second pair.
			Teo wears the long-sleeved cotton shirt next to the skin: it stays wet after “Climb through the forest” and cools at the next stop. Wear wool or synthetic instead.
			Teo wears the walking socks in a boot with a higher cuff in “Skins on at the car”, and the cuff rubs the skin. Wear a higher sock.
			Teo’s walking socks get soaked with sweat in “Climb back to the rim”, and toes get cold there. Change to dry socks.
			Teo has one pair of dark glasses only. Bring or lend a second pair, or goggles.
			The hem of the long underpants ends inside Teo’s boot and presses. Pull it up over the sock, or wear three-quarter length.
			“The shell” is set to “carried until wind or wet says so”, and Teo wears the rain jacket in “Climb over open slopes” all the same."
		`);
	});
	it('is the evening before and the morning', () => {
		const told = tomorrowSentences(toldTomorrow(dayOf(1), client), 'Teo', nameOf, METRIC);
		const tonight = tonightSentences(toldTonight(dayOf(0), dayOf(1), client), nameOf);
		expect([...tonight, told.start, told.top, ...told.watch, ...told.wrong].join('\n'))
			.toMatchInlineSnapshot(`
			"08:30 start in hired touring boots, rain jacket, soft shell, fleece, trekking trousers, warm hat, walking socks, sunglasses, long underpants and long-sleeved cotton shirt.
			On top of the pack: winter gloves.
			Teo has one pair of gloves only, and a lost glove ends the day. Bring or lend a second pair.
			Teo gets soaked in “Rest behind the ruin”.
			Teo gets soaked in “Descent through the birches”.
			One more phase is not all right."
		`);
	});
	it('is a list to pack from', () => {
		const { bring, small, leave } = listOf(client, days, trip.stages);
		const rows = listRows(
			{
				lines: withEdits(bring, []),
				small,
				leave,
				asked: [],
				people: {},
				toGet: [],
				lentIds: new Set(),
				stages: trip.stages
			},
			METRIC
		);
		const lines = rows.map(
			({ section, thing, many, has, note }) =>
				`${section}: ${many} ${thing}${has === null ? '' : `, has ${has}`}${note ? ` (${note})` : ''}`
		);
		expect(lines.join('\n')).toMatchInlineSnapshot(`
			"Wear on day one: 1 Warm hat, has 1
			Wear on day one: 2 Sunglasses, has 1 (you have 1)
			Wear on day one: 1 Long-sleeved cotton shirt, has 2
			Wear on day one: 1 Fleece, jacket, has 1
			Wear on day one: 1 Soft shell, bought last winter, has 1
			Wear on day one: 1 Underpants, has 2
			Wear on day one: 1 Long underpants, synthetic, has 1
			Wear on day one: 1 Trekking trousers, has 1
			Wear on day one: 2 Walking socks, has 2
			Wear on day one: 1 Hired touring boots, has 1
			On top of the pack and in pockets: 1 Rain jacket, light, 2.5 layers, has 1
			On top of the pack and in pockets: 2 Winter gloves, has 1 (you have 1)
			Small things: 1 Sun cream
			Small things: 1 Lip balm with sun filter
			Small things: 1 Plasters and own medicine
			Small things: 1 Toilet paper, bag for it, hand gel
			Small things: 1 Flask for hot drinks: a bottle freezes"
		`);
	});
});
