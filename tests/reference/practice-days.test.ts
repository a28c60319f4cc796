import { describe, expect, it } from 'vitest';
import { clothOf } from '../../src/lib/core/cloth/things';
import type { Outfit } from '../../src/lib/core/cloth/worn';
import type { Cell } from '../../src/lib/core/conditions/cells';
import { personOf } from '../../src/lib/core/conditions/person';
import type { PhaseVerdict } from '../../src/lib/core/judge/phase-verdict';
import { judgeStage } from '../../src/lib/core/judge/verdicts';
import { cellOf, kitOf, thingOf } from '../fixtures/make';
import { PRACTICE_DAYS, type PracticeDay, type PracticePhase, WATER_CASES } from '../fixtures/practice-days';

const PERSON = personOf(kitOf([]));

function cellFor(
	{ name, minutes, effortWm2, air, rain, ground, marks, waterTempC }: PracticePhase,
	k: number,
	own = minutes
): Cell {
	const typed = {
		humidityPct: rain ? 95 : 75,
		precipitation: rain ? ('rain' as const) : ('dry' as const),
		...(ground && { ground }),
		...(waterTempC !== undefined && { waterTempC }),
		...(air && { airTempC: air.tempC })
	};
	const made = cellOf([
		effortWm2 >= 145 ? 'move' : 'stop',
		own,
		effortWm2,
		air ? 'slope' : 'in',
		{ typed: air ? typed : {}, marks: [...(marks ?? [])], name }
	]);
	return { ...made, phaseId: `phase-${k}`, fresh: k === 0, ...(air && { airVelocityMs: air.pastBodyMs }) };
}

/** The verdicts of a day. @param last minutes of its last phase, where it is cut short */
export function verdictsOf(day: PracticeDay, last?: number): PhaseVerdict[] {
	const cells = day.phases.map((phase, k) =>
		cellFor(phase, k, k === day.phases.length - 1 ? (last ?? phase.minutes) : phase.minutes)
	);
	let worn = '';
	const outfits = day.phases.map((phase): Outfit => {
		worn = phase.worn ?? worn;
		return worn
			.split(' ')
			.map((typeId, i) => {
				const cloth = clothOf(thingOf(typeId));
				// Socks are named after trousers and waders, and lie under them.
				return { cloth, position: cloth.slot === 'sock' ? -1 : i / 10, opening: 'closed' as const };
			})
			.sort((a, b) => a.position - b.position);
	});
	return judgeStage({
		cells,
		outfitAt: (k) => ({ outfit: outfits[k]!, opening: 1 }),
		outfitWhatIf: () => ({ outfit: [], opening: 1 }),
		bags: [],
		person: PERSON,
		isUnasked: () => false,
		morning: new Map((day.wet ?? []).map((id) => [id, 1]))
	}).verdicts;
}

const RANK = ['right', 'warm', 'cool', 'short'] as const;
type Word = (typeof RANK)[number];
const COLD: readonly Word[] = ['cool', 'short'];
const { rightWhm2, holdWhm2 } = PERSON.marks;
const bodyWord = ({ peakDebtWhm2: debt }: PhaseVerdict): Word =>
	debt > holdWhm2 ? 'short' : debt > rightWhm2 ? 'cool' : 'right';

/** What does not come out as it must, in words; empty when all does. */
export function missedBy(day: PracticeDay): string[] {
	const verdicts = verdictsOf(day);
	return day.phases.flatMap(({ name, must }, k) => {
		if (must === '—') return [];
		const own = verdicts[k]!;
		const body = bodyWord(own);
		const words: Word[] = [body, own.fingers.verdict, own.toes.verdict];
		if (own.verdict.startsWith('warm')) words.push('warm');
		const worst = words.reduce((a, b) => (RANK.indexOf(b) > RANK.indexOf(a) ? b : a));
		const isWet = own.verdict === 'wet through';
		const limiting = {
			toes: own.toes.verdict !== 'right',
			fingers: own.fingers.verdict !== 'right',
			body: body !== 'right'
		};
		const holds = (part: string): boolean => {
			if (part === 'body not short') return body !== 'short';
			if (part === 'not short') return worst !== 'short';
			if (part === 'only toes or fingers') return body === 'right';
			if (part === 'feet wet')
				return own.wet.some(({ thingId, share }) => thingId.startsWith('sock') && share > 0.5);
			if (part.startsWith('names '))
				return part
					.slice(6)
					.split(' or ')
					.some((one) => limiting[one as keyof typeof limiting]);
			const window = /^holds (\d+)-(\d+) min$/.exec(part);
			if (window) {
				const least = Math.min(...Object.values(own.limits).map((one) => one ?? Infinity));
				return least >= Number(window[1]) && least <= Number(window[2]);
			}
			const by = /^cool by min (\d+)$/.exec(part);
			if (by) return bodyWord(verdictsOf(day, Number(by[1])).at(-1)!) !== 'right';
			const allowed = part.split(' / ');
			// Wet through may stand beside cool or short.
			if (isWet) return allowed.includes('wet through') || (allowed.includes(worst) && COLD.includes(worst));
			return allowed.includes(worst);
		};
		const parts = must.split('; ');
		// What is said of the phase beside its word may make it wet through as well.
		const list = parts.includes('wet through') ? parts.filter((part) => part !== 'wet through') : parts;
		const wetAsked = parts.includes('wet through');
		const failed = list.filter((part) => {
			const isWord = part
				.split(' / ')
				.every((one) => (RANK as readonly string[]).includes(one) || one === 'wet through');
			if (isWord && wetAsked) return !part.split(' / ').includes(worst);
			return !holds(part);
		});
		if (wetAsked && !isWet) failed.push('wet through');
		return failed.map(
			(part) =>
				`${name} ${k}: ${part} (is ${own.verdict}, body ${own.peakDebtWhm2.toFixed(0)} Wh/m², fingers ${own.fingers.lowestC.toFixed(1)}, toes ${own.toes.lowestC.toFixed(1)} °C, holds ${JSON.stringify(own.limits)})`
		);
	});
}

describe('days as people felt them (common practice, no source)', () => {
	it.each(PRACTICE_DAYS.map((day) => [`${day.id} ${day.name}`, day] as const))('%s', (_, day) => {
		expect(missedBy(day)).toEqual([]);
	});
});

describe('cases of water and limits (common practice, no source)', () => {
	it.each(WATER_CASES.map((day) => [`${day.id} ${day.name}`, day] as const))('%s', (_, day) => {
		expect(missedBy(day)).toEqual([]);
	});
});
