import { WORK_WM2 } from '../body/effort';
import { ROW_NAMES, type Region } from '../cloth/parts';
import { type Cloth, covers, wearableThings } from '../cloth/things';
import { type Outfit, outfitClo } from '../cloth/worn';
import type { Person } from '../conditions/person';
import { type Finding, SEVERITIES } from '../document/finding';
import { type Row } from '../document/parts';
import { reason } from '../document/reasons';
import { cellAir, debtCourse } from '../heat/ledger';
import { CLO_M2KW } from '../units';
import { ROOFED, frostbiteClass } from '../weather/wind';
import { type FindingRule, type JudgedPhase, type StageFacts, at, firstRounds, whole } from './finding';
import { GARMENT_RULES } from './garment-findings';
import type { PhaseVerdict } from './verdicts';

const ASKED_REGIONS: readonly { region: Region[]; words: string }[] = [
	{ region: ['trunk', 'arms'], words: 'over the torso' },
	{ region: ['thighs', 'calves'], words: 'on the legs' },
	{ region: ['head'], words: 'on the head' }
];

/** Where one more layer of 1 clo gains most minutes, in words; nothing when it gains none. */
export function whereOneLayerHelps(
	phase: PhaseVerdict,
	person: Person
): { words: string; minutes: number } | null {
	const air = cellAir(phase.cell);
	const gains = ASKED_REGIONS.map(({ region, words }) => {
		const regions = { head: 0, trunk: 0, arms: 0, hands: 0, thighs: 0, calves: 0, feet: 0 };
		for (const name of region) regions[name] = 1;
		const cloth = {
			localClo: 1,
			airPermeability: 8,
			regions,
			covers: {},
			girthSteps: 0,
			roomSteps: Infinity,
			roomIsTried: true,
			size: ''
		} as unknown as Cloth;
		const outfit: Outfit = [...phase.outfit, { cloth, position: 5, opening: 'closed' }];
		const course = debtCourse(phase.cell, air, outfitClo(outfit, air.air), phase.startDebtWhm2, person);
		return { words, minutes: course.holdsMinutes ?? phase.cell.minutes };
	});
	const best = gains.reduce((a, b) => (b.minutes > a.minutes ? b : a));
	return best.minutes > (phase.holdsMinutes ?? 0) ? best : null;
}

/**
 * How long the body holds in a phase without the layers over everything, from the same debt; null when it has no limit,
 * undefined when nothing is worn over everything.
 */
export function holdsWithoutOver(
	phase: PlannedBody,
	person: Person
): { names: string[]; minutes: number | null } | undefined {
	const over = phase.outfit.filter(({ cloth, position }) => position === 5 && covers(cloth, 'torso'));
	if (over.length === 0 || phase.band === null) return undefined;
	const air = cellAir(phase.cell);
	const left = phase.outfit.filter((layer) => !over.includes(layer));
	const course = debtCourse(phase.cell, air, outfitClo(left, air.air), phase.startDebtWhm2, person);
	return {
		names: over.map(({ cloth }) => cloth.name),
		minutes: course.holdsMinutes === null ? null : Math.floor(course.holdsMinutes)
	};
}
type PlannedBody = Pick<PhaseVerdict, 'cell' | 'outfit' | 'band' | 'startDebtWhm2'>;

const limitWords = (phase: PhaseVerdict): string =>
	phase.limitedBy === 'hands' ? 'the fingers' : phase.limitedBy === 'feet' ? 'the toes' : 'the whole body';

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

const inRound = (phase: PhaseVerdict): string => (phase.cell.round > 1 ? `, round ${phase.cell.round}` : '');

const shortOrWorse: FindingRule = (facts) =>
	firstRounds(
		facts.phases,
		({ verdict, limitedBy }) =>
			(verdict === 'short' || verdict === 'nothing suffices') && limitedBy !== 'sleep'
	)
		.filter((phase) => !inheritsCold(facts.phases, phase))
		.map((phase) => {
			const { cell, holdsMinutes, limitedBy, verdict } = phase;
			const nothing = verdict === 'nothing suffices';
			const help = !nothing && limitedBy === 'body' ? whereOneLayerHelps(phase, facts.person) : null;
			const over = facts.kit.some((cloth) => cloth.functions.includes('over') && covers(cloth, 'torso'));
			const stop = cell.kind === 'stop' || cell.kind === 'ride' || cell.kind === 'what-if';
			const missing =
				!nothing && limitedBy === 'body' && stop && !over
					? ' There is nothing to put on over everything.'
					: '';
			const holds =
				holdsMinutes === 0
					? 'already too cold when it begins'
					: `holds ${holdsMinutes} of ${cell.minutes} min`;
			const message = nothing
				? `${cell.name}${inRound(phase)}: no clothing holds ${cell.minutes} min here. Shorten it, find shelter, heat, or do not go.`
				: `${cell.name}${inRound(phase)}: ${holds} for ${limitWords(phase)}.${missing}${help ? ` One more warm layer ${help.words} helps most.` : ''}`;
			// A what-if is checked, and nobody packs for it alone: it is told, as a note.
			const excused = cell.kind === 'what-if' || ROOFED.has(cell.place) ? 'note' : 'blocker';
			return {
				code: nothing ? 'nothing-suffices' : limitedBy === 'body' ? 'short' : `short-${limitedBy}`,
				severity: excused,
				...at(facts, phase),
				part: limitedBy,
				thingIds: [],
				message,
				reasons: missing ? [reason('stopLayer'), ...phase.reasons] : phase.reasons
			};
		});

/** At most two phases of the day, the first ones; every what-if, as a note: it is checked, and nothing is packed for it alone. */
const wetThrough: FindingRule = (facts) => {
	const wet = firstRounds(facts.phases, ({ verdict }) => verdict === 'wet through');
	const isWhatIf = ({ cell }: JudgedPhase): boolean => cell.kind === 'what-if';
	return [...wet.filter((phase) => !isWhatIf(phase)).slice(0, 2), ...wet.filter(isWhatIf)].map((phase) => {
		const { cell, limitedBy, holdsMinutes } = phase;
		const part = limitedBy === 'torso' ? 'torso' : 'thighs';
		const held =
			holdsMinutes === null ? '' : `, and the cold is held for ${holdsMinutes} of ${cell.minutes} min`;
		return {
			code: 'wet-through',
			severity: isWhatIf(phase) ? 'note' : 'warning',
			...at(facts, phase),
			part: limitedBy,
			thingIds: phase.outfit
				.filter(({ cloth, position }) => position >= 3 && covers(cloth, part))
				.map(({ cloth }) => cloth.thingId),
			message: `${cell.name}: the ${limitedBy} ${limitedBy === 'torso' ? 'gets' : 'get'} wet through${held}; nothing the client has keeps this much water out.`,
			reasons: phase.reasons
		};
	});
};

const tooWarm: FindingRule = (facts) =>
	firstRounds(facts.phases, ({ verdict }) => verdict === 'warm before a stop').map((phase) => ({
		code: 'warm-before-stop',
		severity: 'warning',
		...at(facts, phase),
		part: 'body',
		thingIds: [],
		message: `${phase.cell.name}: too warm, and a stop follows. Open or take off before it gets wet underneath.`,
		reasons: phase.reasons
	}));

/** Gaps in the ladder, once per row: the first phase in which it shows. */
const gaps: FindingRule = (facts) => {
	const found = new Map<Row, Finding>();
	for (const phase of facts.phases) {
		for (const { row, state, reasons } of phase.coverage) {
			if ((state !== 'missing' && state !== 'not asked') || found.has(row)) continue;
			const missing = state === 'missing';
			const name = ROW_NAMES[row].toLowerCase();
			found.set(row, {
				code: missing ? 'missing' : 'not-asked',
				severity: missing
					? row === 'sleep' || row === 'feet' || row === 'torso' || row === 'legs'
						? 'blocker'
						: 'warning'
					: 'note',
				...at(facts, phase),
				part: row,
				thingIds: [],
				message: missing
					? `${phase.cell.name}: nothing for the ${name}.`
					: `Ask ${facts.client.name}: what is there for the ${name}? Needed from “${phase.cell.name}” on.`,
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
		.filter((phase) => phase.outfit.length > 0)
		.map((phase) => ({
			code: 'short-sleep',
			severity: 'blocker',
			...at(facts, phase),
			part: 'sleep',
			thingIds: phase.outfit.map(({ cloth }) => cloth.thingId),
			message: `${phase.cell.name}: the sleeping bag is too thin for ${Math.round(phase.cell.airTempC)} °C.`,
			reasons: phase.reasons
		}));

const cottonNextToSkin: FindingRule = (facts) => {
	const worn = new Map<string, { cloth: Cloth; phase: PhaseVerdict }>();
	for (const phase of facts.phases) {
		const works = phase.cell.metabolicWm2 >= WORK_WM2 && phase.cell.airTempC <= 10 && !phase.cell.heated;
		if (!works) continue;
		for (const { cloth, position } of phase.outfit) {
			const skin = position <= 1 && (covers(cloth, 'torso') || covers(cloth, 'thighs'));
			if (skin && cloth.fibre === 'cotton' && !worn.has(cloth.thingId))
				worn.set(cloth.thingId, { cloth, phase });
		}
	}
	return [...worn.values()].map(({ cloth, phase }) => ({
		code: 'cotton-next-to-skin',
		severity: 'warning',
		...at(facts, phase),
		part: covers(cloth, 'torso') ? 'torso' : 'legs',
		thingIds: [cloth.thingId],
		message: `${cloth.name} next to skin: it stays wet after “${phase.cell.name}” and cools at the next stop. Wool or synthetic instead.`,
		reasons: [reason('cotton', [['effort', phase.cell.metabolicWm2, 'W/m²']])]
	}));
};

const spareGloves: FindingRule = (facts) => {
	const cold = facts.phases.find(({ cell }) => !cell.heated && cell.kind !== 'sleep' && cell.feltTempC < 0);
	const gloves = facts.kit.filter((cloth) => covers(cloth, 'hands') && cloth.localClo >= 0.08 / CLO_M2KW);
	const pairs = gloves.reduce((sum, cloth) => sum + cloth.quantity, 0);
	if (!cold || gloves.length === 0 || pairs >= 2) return [];
	return [
		{
			code: 'no-spare-gloves',
			severity: 'warning',
			...whole(facts),
			part: 'hands',
			thingIds: gloves.map((cloth) => cloth.thingId),
			message: 'One pair of gloves only: a lost glove ends the day. Bring or lend a second pair.',
			reasons: [
				reason('spareGloves', [
					['coldest felt', Math.min(...facts.phases.map(({ cell }) => cell.feltTempC)), '°C'],
					['pairs', pairs]
				])
			]
		}
	];
};

const frostbite: FindingRule = (facts) => {
	const coldest = facts.phases
		.filter(({ cell }) => !cell.heated && cell.kind !== 'sleep')
		.reduce<JudgedPhase | null>((a, b) => (!a || b.cell.feltTempC < a.cell.feltTempC ? b : a), null);
	const kind = coldest && frostbiteClass(coldest.cell.feltTempC);
	if (!coldest || !kind || kind.level === 'low' || !kind.minutes) return [];
	return [
		{
			code: 'frostbite',
			severity: 'warning',
			...at(facts, coldest),
			part: 'face',
			thingIds: [],
			message: `${coldest.cell.name}: feels like ${Math.round(coldest.cell.feltTempC)} °C. Bare skin can freeze within ${kind.minutes[0]} to ${kind.minutes[1]} min. Cover up, look at each other’s faces; the guide decides whether to go.`,
			reasons: [reason('frostbite', [['felt', coldest.cell.feltTempC, '°C']])]
		}
	];
};

const searchCut: FindingRule = (facts) =>
	facts.cut
		? [
				{
					code: 'search-cut',
					severity: 'note',
					...whole(facts),
					thingIds: [],
					message: 'A large kit: only the likeliest things of each kind were tried. A better plan may exist.',
					reasons: [reason('searchCut')]
				}
			]
		: [];

/** Rules over one stage and weather. Adding a finding is adding a row, and a test. */
export const FINDING_RULES: Readonly<Record<string, FindingRule>> = {
	shortOrWorse,
	night,
	gaps,
	wetThrough,
	cottonNextToSkin,
	spareGloves,
	frostbite,
	tooWarm,
	...GARMENT_RULES,
	searchCut
};

/** All findings of one stage and weather, worst first. */
export function findingsOf(given: Omit<StageFacts, 'kit'>): Finding[] {
	const facts: StageFacts = { ...given, kit: wearableThings(given.client) };
	return worstFirst(Object.values(FINDING_RULES).flatMap((rule) => rule(facts)));
}
export const worstFirst = (findings: readonly Finding[]): Finding[] =>
	[...findings].sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));
