import { clamp } from '../argument';
import { type Cloth, covers, wearableThings } from '../cloth/things';
import type { Finding } from '../document/finding';
import type { Row } from '../document/parts';
import { reason, type Reason, type ValueRow } from '../document/reasons';
import { schoolsOf } from '../document/schools';
import type { Bed, Client, Stage, Thing } from '../document/types';
import { answeredRows } from '../judge/wearer';
import { HIGH_LIGHT_M, isOutside } from '../conditions/needs';
import type { PlannedStage } from './planned-day';

/** How many of a kind a trip asks for, against what a client has. */
export interface Count {
	kind: CountKind;
	needed: number;
	/** how many the client has or is taken to have; null when nobody has asked */
	has: number | null;
	/** things of this kind */
	thingIds: string[];
	reasons: Reason[];
}

export const COUNT_KINDS = [
	'tops',
	'underwear',
	'bottoms',
	'socks',
	'gloves',
	'shades',
	'torch batteries',
	'power banks',
	'boot warmers'
] as const;
type CountKind = (typeof COUNT_KINDS)[number];

/** Watts that a head torch draws on the middle setting (our assumption). */
const TORCH_W = 1;

/** Phone and camera, Wh a day: about 2 Ah at 3.7 V (common practice). */
const DEVICES_WH_PER_DAY = 7.4;

/** What is left of a battery in the cold, 0…1: all above 0 °C, 70 % at −10 °C, half at −20 °C (our assumption). */
export function coldBatteryShare(airTempC: number): number {
	if (airTempC >= 0) return 1;
	return airTempC >= -10 ? 1 + 0.03 * airTempC : Math.max(0.3, 0.7 + 0.02 * (airTempC + 10));
}

/** Up to the next whole number, a hair over one apart. */
const roundedUp = (value: number): number => Math.ceil(value - 1e-9);

/** Whether something washed at night is dry by the morning. */
export const driesOvernight = (fibre: Cloth['fibre'], bed: Bed): boolean =>
	bed.drying === 'everything' || (bed.kind === 'heated' && fibre === 'synthetic');

/**
 * Pieces for some days of wear: each serves `wearDays` days, and where it can be washed and dried overnight it begins anew.
 * Rounds up.
 * @param days for every day of the trip in order: worn, and whether it can be washed that night
 * @param wearDays 1 or more
 */
export function piecesFor(days: readonly { worn: boolean; washed: boolean }[], wearDays: number): number {
	let longest = 0;
	let run = 0;
	for (const { worn, washed } of days) {
		if (worn) run++;
		longest = Math.max(longest, run);
		if (washed) run = 0;
	}
	return Math.ceil(longest / wearDays);
}

interface WornKind {
	kind: CountKind;
	row: Row;
	test: (cloth: Cloth) => boolean;
}

const isSock = (cloth: Cloth): boolean =>
	covers(cloth, 'feet') && cloth.positions[0] >= 1 && cloth.positions[1] <= 2;
const WORN_KINDS: readonly WornKind[] = [
	{
		kind: 'tops',
		row: 'torso',
		test: (cloth) => cloth.wearDays > 0 && covers(cloth, 'torso') && cloth.positions[1] >= 1
	},
	{
		kind: 'underwear',
		row: 'legs',
		test: (cloth) => cloth.wearDays > 0 && cloth.positions[1] === 0 && cloth.regions.thighs > 0
	},
	{
		kind: 'bottoms',
		row: 'legs',
		test: (cloth) =>
			cloth.wearDays > 0 && cloth.positions[1] >= 1 && covers(cloth, 'calves') && !isSock(cloth)
	},
	{
		kind: 'socks',
		row: 'feet',
		test: (cloth) => cloth.wearDays > 0 && isSock(cloth)
	}
];

/** Beds where nothing dries by itself. */
const isDamp = ({ kind, drying }: Bed): boolean =>
	drying === 'nothing' && kind !== 'heated' && kind !== 'none';

/** What a client has of a kind; null when there is none and nobody has asked. */
const known = (answered: ReadonlySet<Row>, row: Row, has: number): number | null =>
	has > 0 || answered.has(row) ? has : null;

/**
 * How many of each kind one client needs for a trip.
 * @param planned plans of the trip in one weather, without foul-weather variants
 */
export function countsOf(
	stages: readonly Stage[],
	planned: readonly PlannedStage[],
	client: Client
): Count[] {
	const kit = wearableThings(client);
	const answered = answeredRows(client);
	const schools = schoolsOf(client.schools);
	const washes = schools.washing === 'solved';
	const ordered = [...stages].sort((a, b) => a.date.localeCompare(b.date));
	const planOf = (stage: Stage): PlannedStage | undefined =>
		planned.find(({ stageId, foul }) => stageId === stage.id && !foul);
	const cells = planned.flatMap(({ phases }) => phases.map(({ cell }) => cell));
	const outdoors = cells.filter(isOutside);
	const idsOf = (cloths: readonly Cloth[]): string[] => cloths.map(({ thingId }) => thingId);
	const totalOf = (cloths: readonly Cloth[]): number =>
		cloths.reduce((sum, { quantity }) => sum + quantity, 0);
	const counts: Count[] = [];

	for (const { kind, row, test } of WORN_KINDS) {
		const own = kit.filter(test);
		const worn = new Map<Stage, Cloth[]>(
			ordered.map((stage) => [
				stage,
				(planOf(stage)?.phases ?? []).flatMap(({ outfit }) => outfit.map(({ cloth }) => cloth).filter(test))
			])
		);
		const used = [...worn.values()].flat();
		if (used.length === 0) continue;
		const wearDays = Math.min(...used.map((cloth) => cloth.wearDays));
		const fibre = used.find((cloth) => cloth.wearDays === wearDays)!.fibre;
		const days = ordered.map((stage) => ({
			worn: worn.get(stage)!.length > 0,
			washed: washes && stage.bed.washing && driesOvernight(fibre, stage.bed)
		}));
		const wornDays = days.filter((day) => day.worn).length;
		const nights = ordered.filter(({ bed }) => isDamp(bed)).length;
		const kept = kind === 'socks' && nights > 0 ? 1 : 0;
		const wet =
			kind === 'socks' &&
			outdoors.some(({ rainMinutes, marks }) => rainMinutes > 60 || marks.includes('splash'))
				? 1
				: 0;
		const midday = wet > 0 && schools.wetSocks === 'change at midday' ? 1 : 0;
		const needed = piecesFor(days, wearDays) + Math.max(kept, wet) + midday;
		counts.push({
			kind,
			needed,
			has: known(answered, row, totalOf(own)),
			thingIds: idsOf(own),
			reasons: [
				reason('wears', [
					['daysOfWear', wornDays],
					['daysBeforeAWash', wearDays],
					['nightsWithWashingThatDries', days.filter(({ washed }) => washed).length],
					['keptDryForTheNight', Math.max(kept, wet)],
					...(midday > 0 ? ([['dryAtMidday', midday]] as ValueRow[]) : [])
				]),
				...(midday > 0 || !washes ? [reason('school')] : [])
			]
		});
	}

	const coldestFelt = Math.min(Infinity, ...outdoors.map(({ feltTempC }) => feltTempC));
	if (coldestFelt < 0) {
		const gloves = kit.filter((cloth) => covers(cloth, 'hands') && cloth.positions[1] <= 2);
		counts.push({
			kind: 'gloves',
			needed: 2,
			has: known(answered, 'hands', totalOf(gloves)),
			thingIds: idsOf(gloves),
			reasons: [reason('spareGloves', [['coldestFelt', coldestFelt, '°C']])]
		});
	}
	const bright = outdoors.some(
		({ ground, altitudeM, light }) => light === 'day' && (ground === 'snow' || altitudeM > HIGH_LIGHT_M)
	);
	const shades = kit.filter((cloth) => covers(cloth, 'eyes'));
	if (bright)
		counts.push({
			kind: 'shades',
			needed: 2,
			has: known(answered, 'eyes', totalOf(shades)),
			thingIds: idsOf(shades),
			reasons: [reason('spareShades')]
		});

	const coldestC = Math.min(20, ...outdoors.map(({ airTempC }) => airTempC));
	const share = clamp(coldBatteryShare(coldestC), 0.3, 1);
	const darkHours =
		outdoors
			.filter(({ light, kind }) => light === 'dark' && kind !== 'what-if')
			.reduce((sum, { minutes }) => sum + minutes, 0) / 60;
	const torch = kit.find(({ typeId }) => typeId === 'torch');
	const ownGear = (typeId: string): Thing[] =>
		client.things.filter((thing) => thing.typeId === typeId && thing.deletedAt === null);
	const gearIds = (typeId: string): string[] => ownGear(typeId).map(({ id }) => id);
	const gear = (typeId: string): number | null => {
		const own = ownGear(typeId);
		return own.length === 0 ? null : own.reduce((sum, { quantity }) => sum + (quantity.value ?? 0), 0);
	};
	if (torch && darkHours > 0) {
		const sets = roundedUp((darkHours * TORCH_W) / (torch.energyWh * share)) - 1;
		if (sets > 0)
			counts.push({
				kind: 'torch batteries',
				needed: sets,
				has: gear('batteries-spare'),
				thingIds: gearIds('batteries-spare'),
				reasons: [
					reason('batteries', [
						['hoursInTheDark', darkHours, 'h'],
						['oneSetWarm', torch.energyWh, 'Wh'],
						['leftInTheCold', Math.round(share * 100), '%']
					])
				]
			});
	}
	const bank = kit.find(({ typeId }) => typeId === 'power-bank');
	const awayDays = ordered.filter(({ bed }) => bed.kind !== 'heated' && bed.kind !== 'none').length;
	if (bank && awayDays > 0)
		counts.push({
			kind: 'power banks',
			needed: roundedUp((awayDays * DEVICES_WH_PER_DAY) / (bank.energyWh * share)),
			has: gear('power-bank'),
			thingIds: gearIds('power-bank'),
			reasons: [
				reason('batteries', [
					['nightsWithoutASocket', awayDays],
					['phoneAndCamera', DEVICES_WH_PER_DAY, 'Wh a day'],
					['oneBankWarm', bank.energyWh, 'Wh'],
					['leftInTheCold', Math.round(share * 100), '%']
				])
			]
		});
	const dampNights = ordered.filter(({ bed }) => isDamp(bed)).length;
	if (kit.some(({ typeId }) => typeId === 'warmers-foot') && dampNights > 0)
		counts.push({
			kind: 'boot warmers',
			needed: dampNights,
			has: gear('warmers-foot'),
			thingIds: gearIds('warmers-foot'),
			reasons: [reason('bootWarmers', [['nightsInWhichNothingDries', dampNights]])]
		});
	return counts;
}

/** The most that any weather of the trip asks for. */
export function mostCounts(
	stages: readonly Stage[],
	planned: readonly PlannedStage[],
	client: Client
): Count[] {
	const most = new Map<CountKind, Count>();
	for (const weather of new Set(planned.map((stage) => stage.weather))) {
		const own = planned.filter((stage) => stage.weather === weather && !stage.foul);
		for (const count of countsOf(stages, own, client)) {
			const before = most.get(count.kind);
			if (!before || count.needed > before.needed) most.set(count.kind, count);
		}
	}
	return COUNT_KINDS.flatMap((kind) => most.get(kind) ?? []);
}

/** Kinds of which a shortage is told by the day that needs the spare one. */
const TOLD_BY_THE_DAY: ReadonlySet<CountKind> = new Set(['gloves', 'shades']);

/** Where a client has fewer of a kind than the trip asks for: a finding each. What nobody has asked is none. */
export const tooFew = (counts: readonly Count[], clientId: string, weather: string): Finding[] =>
	counts
		.filter(({ kind, needed, has }) => has !== null && has < needed && !TOLD_BY_THE_DAY.has(kind))
		.map(({ kind, needed, has, reasons }): Finding => ({
			code: 'too-few',
			severity: 'warning',
			clientId,
			weather,
			stageId: null,
			phases: [],
			part: 'gear',
			thingIds: [],
			values: { kind, needed: String(needed), has: String(has) },
			reasons: [reason('tooFew'), ...reasons]
		}));
