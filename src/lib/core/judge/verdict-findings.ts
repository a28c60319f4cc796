import { covers } from '../cloth/things';
import type { WornLayer } from '../cloth/worn';
import { isWaterproof } from '../conditions/needs';
import type { Finding, FindingCode } from '../document/finding';
import type { Row } from '../document/parts';
import { reason } from '../document/reasons';
import { WET_FROM } from '../heat/wet-cloth';
import { ROOFED, frostbiteClass } from '../weather/wind';
import { type FindingRule, type JudgedPhase, at, firstRounds } from './finding';
import type { PhaseVerdict, WetThing } from './phase-verdict';
import { whatComesOff } from './what-comes-off';
import { whereOneLayerHelps } from './what-helps';

/** Rules about what the phases of a day come to: too cold, too warm, wet, bare. */

/** Phases that were cold from the start because of a phase before are told with that one; cold fingers hide no cold body. */
const inheritsCold = (phases: readonly JudgedPhase[], phase: JudgedPhase): boolean => {
	const before = phases
		.slice(0, phases.indexOf(phase))
		.filter(({ cell }) => cell.kind !== 'what-if')
		.at(-1);
	return (
		phase.holdsMinutes === 0 &&
		(before?.verdict === 'short' || before?.verdict === 'nothing suffices') &&
		(phase.limitedBy !== 'body' || before.limitedBy === 'body')
	);
};

const codeOfShort = ({ verdict, limitedBy }: PhaseVerdict): FindingCode =>
	verdict === 'nothing suffices'
		? 'nothing-suffices'
		: limitedBy === 'hands'
			? 'short-hands'
			: limitedBy === 'feet'
				? 'short-feet'
				: 'short';

const shortOrWorse: FindingRule = (facts) =>
	firstRounds(
		facts.phases,
		({ verdict, limitedBy }) =>
			(verdict === 'short' || verdict === 'nothing suffices') && limitedBy !== 'sleep'
	)
		.filter(({ phase }) => !inheritsCold(facts.phases, phase))
		.map(({ phase, rounds }): Finding => {
			const { cell, holdsMinutes, limitedBy } = phase;
			const code = codeOfShort(phase);
			const help = code === 'short' ? whereOneLayerHelps(phase, facts.person) : null;
			const over = facts.kit.some((cloth) => cloth.functions.includes('over') && covers(cloth, 'torso'));
			const stop = cell.kind === 'stop' || cell.kind === 'ride' || cell.kind === 'what-if';
			const noOver = code === 'short' && stop && !over;
			return {
				code,
				// A what-if is checked, and nobody packs for it alone: it is told, as a note.
				severity: cell.kind === 'what-if' || ROOFED.has(cell.place) ? 'note' : 'blocker',
				...at(facts, phase, rounds),
				part: limitedBy,
				thingIds: [],
				values: {
					held: { value: holdsMinutes ?? cell.minutes, unit: 'min' },
					minutes: { value: cell.minutes, unit: 'min' },
					start: holdsMinutes === 0 ? 'cold' : 'warm',
					over: noOver ? 'none' : 'some',
					roughly: phase.indicative ? 'yes' : 'no',
					help: help?.place ?? 'none'
				},
				reasons: noOver ? [reason('stopLayer'), ...phase.reasons] : phase.reasons
			};
		});

/** At most two phases of the day, the first ones; every what-if, as a note: it is checked, and nothing is packed for it alone. */
const wetThrough: FindingRule = (facts) => {
	const wet = firstRounds(facts.phases, ({ verdict }) => verdict === 'wet through');
	const isWhatIf = ({ phase: { cell } }: (typeof wet)[number]): boolean => cell.kind === 'what-if';
	return [...wet.filter((one) => !isWhatIf(one)).slice(0, 2), ...wet.filter(isWhatIf)].map((one): Finding => {
		const { cell, limitedBy, limits, outfit, reasons } = one.phase;
		const part = limitedBy === 'torso' ? 'torso' : 'thighs';
		return {
			code: 'wet-through',
			severity: isWhatIf(one) ? 'note' : 'warning',
			...at(facts, one.phase, one.rounds),
			part: limitedBy,
			thingIds: outfit
				.filter(({ cloth, position }) => position >= 3 && covers(cloth, part))
				.map(({ cloth }) => cloth.thingId),
			values: {
				// Who stays warm for longer than it lasts is soaked and no more.
				limit: limits.body === null || limits.body >= cell.minutes ? 'none' : 'some',
				held: { value: limits.body ?? cell.minutes, unit: 'min' },
				minutes: { value: cell.minutes, unit: 'min' }
			},
			reasons
		};
	});
};

const tooWarm: FindingRule = (facts) =>
	firstRounds(facts.phases, ({ verdict }) => verdict === 'warm before a stop').map(
		({ phase, rounds }): Finding => ({
			code: 'warm-before-stop',
			severity: 'warning',
			...at(facts, phase, rounds),
			part: 'body',
			thingIds: [],
			values: {},
			reasons: phase.reasons
		})
	);

/** Parts that get cold in wet things of their own, with how cold they are in a phase. */
const SOAKED_PARTS = [
	['hands', ({ cloth }: WornLayer) => covers(cloth, 'hands'), ({ fingers }: PhaseVerdict) => fingers.verdict],
	['feet', ({ cloth }: WornLayer) => covers(cloth, 'feet'), ({ toes }: PhaseVerdict) => toes.verdict],
	[
		'torso',
		({ cloth }: WornLayer) => covers(cloth, 'torso') && !isWaterproof(cloth),
		({ verdict, limitedBy }: PhaseVerdict) =>
			limitedBy === 'body' && (verdict === 'cool' || verdict === 'short') ? verdict : 'right'
	]
] as const;

/** What got wet, where, and that a part is cold in it later: why it is cold, once for a part and day. */
const soaked: FindingRule = (facts) => {
	const lived = facts.phases.filter(({ cell }) => cell.kind !== 'what-if' && cell.kind !== 'sleep');
	return SOAKED_PARTS.flatMap(([part, isOn, verdictOf]): Finding[] => {
		const wetOn = (phase: PhaseVerdict): WetThing[] => {
			const on = new Set(phase.outfit.filter(isOn).map(({ cloth }) => cloth.thingId));
			return phase.wet.filter(({ thingId, share }) => on.has(thingId) && share >= WET_FROM);
		};
		const cold = lived.find((phase) => wetOn(phase).length > 0 && verdictOf(phase) !== 'right');
		if (!cold) return [];
		const wet = wetOn(cold);
		const [{ thingId: first, share, sweat }] = wet as [WetThing];
		// Since when: the first phase of the day in which the first of them was as wet; that one at the latest.
		const since = lived.find((phase) =>
			phase.wet.some((one) => one.thingId === first && one.share >= WET_FROM)
		)!;
		return [
			{
				code: 'soaked',
				severity: 'note',
				...at(facts, since),
				part,
				thingIds: wet.map(({ thingId }) => thingId),
				values: {
					by: sweat > share / 2 ? 'sweat' : since.cell.water ? 'water' : 'rain',
					cold: cold.cell.phaseId === since.cell.phaseId ? 'there' : 'later'
				},
				reasons: [
					reason(
						'water',
						wet.map((one) => ['wetShare', Math.round(one.share * 100), '%', { of: nameIn(cold, one) }])
					)
				]
			}
		];
	});
};
const nameIn = ({ outfit }: PhaseVerdict, { thingId }: WetThing): string =>
	outfit.find(({ cloth }) => cloth.thingId === thingId)!.cloth.name;

/** Too warm with no stop behind it: what comes off, or that nothing does. */
const warm: FindingRule = (facts) =>
	firstRounds(facts.phases, ({ verdict, cell }) => verdict === 'warm' && cell.kind !== 'what-if').map(
		({ phase, rounds }): Finding => {
			const { thingIds, opens } = whatComesOff(phase, facts.person);
			const isHopeless = phase.reasons.some(({ rule }) => rule === 'tooHotForAll');
			return {
				code: 'warm',
				severity: 'note',
				...at(facts, phase, rounds),
				part: 'body',
				thingIds,
				values: {
					off: opens ? 'opens' : thingIds.length > 0 ? 'thing' : isHopeless ? 'shade' : 'slower'
				},
				reasons: [reason('comesOff'), ...phase.reasons]
			};
		}
	);

/** Rows without which nobody sets out. */
const CANNOT_LACK: readonly Row[] = ['sleep', 'feet', 'torso', 'legs'];

/** Gaps head to toe, once per row: the first phase in which it shows. */
const gaps: FindingRule = (facts) => {
	const found = new Map<Row, Finding>();
	for (const phase of facts.phases) {
		for (const { row, state, reasons } of phase.coverage) {
			if ((state !== 'missing' && state !== 'not asked') || found.has(row)) continue;
			const missing = state === 'missing';
			found.set(row, {
				code: missing ? 'missing' : 'not-asked',
				severity: missing ? (CANNOT_LACK.includes(row) ? 'blocker' : 'warning') : 'note',
				...at(facts, phase),
				part: row,
				thingIds: [],
				values: { about: 'part' },
				reasons
			});
		}
	}
	return [...found.values()];
};

const night: FindingRule = (facts) =>
	firstRounds(
		facts.phases,
		({ cell, verdict }) => cell.kind === 'sleep' && (verdict === 'short' || verdict === 'nothing suffices')
	)
		.filter(({ phase }) => phase.outfit.length > 0)
		.map(({ phase, rounds }): Finding => ({
			code: 'short-sleep',
			severity: 'blocker',
			...at(facts, phase, rounds),
			part: 'sleep',
			thingIds: phase.outfit.map(({ cloth }) => cloth.thingId),
			values: { air: { value: phase.cell.airTempC, unit: '°C' } },
			reasons: phase.reasons
		}));

const frostbite: FindingRule = (facts) => {
	const coldest = facts.phases
		.filter(({ cell }) => !cell.heated && cell.kind !== 'sleep')
		.reduce<JudgedPhase | null>((a, b) => (!a || b.cell.feltTempC < a.cell.feltTempC ? b : a), null);
	const kind = coldest && frostbiteClass(coldest.cell.feltTempC);
	if (!coldest || !kind || kind.level === 'low' || !kind.minutes) return [];
	const [from, to] = kind.minutes;
	return [
		{
			code: 'frostbite',
			severity: 'warning',
			...at(facts, coldest),
			part: 'face',
			thingIds: [],
			values: {
				felt: { value: coldest.cell.feltTempC, unit: '°C' },
				from: { value: from, unit: 'min' },
				to: { value: to, unit: 'min' }
			},
			reasons: [reason('frostbite', [['felt', coldest.cell.feltTempC, '°C']])]
		}
	];
};

export const VERDICT_RULES: Readonly<Record<string, FindingRule>> = {
	shortOrWorse,
	night,
	gaps,
	wetThrough,
	soaked,
	frostbite,
	tooWarm,
	warm
};
