import { catalogueType } from '../cloth/catalogue';
import { CATALOGUE_GROUPS, type CatalogueGroup } from '../cloth/catalogue-rows';
import { clothOf, isMadeFor, isRefused, isThere } from '../cloth/things';
import type { Finding } from '../document/finding';
import type { Client, Stage, Thing } from '../document/types';
import { gathered } from '../judge/findings';
import { type Count, mostCounts, tooFew } from './counting';
import type { PlannedStage } from './planned-day';
import { type SmallThing, smallThingsFor } from './small-things';

/** What a client brings, and what stays at home. */

/** Where a thing rides when the trip begins: worn, at hand, deep in the pack, or in the bag that waits. */
export const RIDES = ['worn', 'top', 'pack', 'bag'] as const;
export type Ride = (typeof RIDES)[number];

/** One line of a client's list. */
export interface ListLine {
	thingId: string;
	name: string;
	group: CatalogueGroup;
	inPairs: boolean;
	/** how many to bring, those that are to be got with them */
	many: number;
	/** how many of them the client has */
	has: number;
	assumed: boolean;
	/** no plan wears it: it comes along for one that is wet or lost */
	spare: boolean;
	/** ids of the stages on which it is worn or slept in */
	stageIds: string[];
	rides: Ride;
}

/** Why a thing stays at home. */
export const LEAVE_REASONS = ['other use', 'does not wear it', 'not needed'] as const;
export type LeaveReason = (typeof LEAVE_REASONS)[number];
export interface LeftLine {
	thingId: string;
	name: string;
	why: LeaveReason;
}

export interface ClothingList {
	bring: ListLine[];
	leave: LeftLine[];
	/** what is wrong or missing, worst first, each once */
	gaps: Finding[];
	/** what nobody has asked */
	questions: Finding[];
	/** how many of each kind, against what the client has */
	counts: Count[];
	small: SmallThing[];
}

const groupOf = ({ typeId }: Thing): CatalogueGroup => catalogueType(typeId).group;

/** What a client brings: everything that any plan of the trip uses, head to toe, what stays at home, and what is still open. */
export function listOf(
	client: Client,
	planned: readonly PlannedStage[],
	trip: readonly Stage[]
): ClothingList {
	const counts = mostCounts(trip, planned, client);
	const [first] = planned;
	const begins =
		first?.phases.find(({ cell }) => cell.kind !== 'indoors' && !cell.heated) ?? first?.phases[0] ?? null;
	const ridesAtStart = (thingId: string): Ride => {
		if (begins?.outfit.some(({ cloth }) => cloth.thingId === thingId)) return 'worn';
		const where = begins?.carried.find((one) => one.thingId === thingId)?.where;
		if (where === undefined) return first?.takenIds.includes(thingId) ? 'pack' : 'bag';
		return where === 'pocket' || where === 'top' ? 'top' : 'pack';
	};
	const lineOf = (thing: Thing, change: Partial<ListLine>): ListLine => ({
		thingId: thing.id,
		name: thing.name,
		group: groupOf(thing),
		inPairs: thing.inPairs,
		many: thing.quantity.value ?? 1,
		has: thing.quantity.value ?? 1,
		assumed: thing.quantity.state === 'assumed',
		spare: false,
		stageIds: [],
		rides: 'pack',
		...change
	});
	const own = client.things.filter(isThere);
	const bring = own.flatMap((thing): ListLine[] => {
		const isGear = groupOf(thing) === 'other';
		const stages = planned.filter(({ takenIds }) => isGear || takenIds.includes(thing.id));
		if (stages.length === 0) return [];
		const stageIds = [...new Set(stages.map(({ stageId }) => stageId))];
		return [lineOf(thing, { stageIds, rides: isGear ? 'pack' : ridesAtStart(thing.id) })];
	});
	for (const { needed, thingIds } of counts) {
		const lines = bring.filter(({ thingId }) => thingIds.includes(thingId));
		let left = shareOut(needed, lines);
		// Others of the kind come along as spare ones; cotton, which does not dry, comes last.
		const others = own
			.filter(({ id }) => thingIds.includes(id) && !lines.some(({ thingId }) => thingId === id))
			.map((thing) => ({ thing, isCotton: clothOf(thing, client.uses).fibre === 'cotton' }))
			.sort((a, b) => Number(a.isCotton) - Number(b.isCotton));
		for (const { thing } of others) {
			if (left <= 0) break;
			const many = Math.min(thing.quantity.value ?? 1, left);
			bring.push(lineOf(thing, { many, spare: true, stageIds: trip.map(({ id }) => id) }));
			left -= many;
		}
		// What is missing is to be got: it counts on the first line of the kind.
		if (left > 0 && lines[0]) lines[0].many += left;
	}
	const order = (line: ListLine): number => CATALOGUE_GROUPS.indexOf(line.group);
	const once = gathered([
		...planned.flatMap(({ findings }) => findings),
		...tooFew(counts, client.id, planned[0]?.weather ?? '')
	]);
	return {
		bring: bring.sort((a, b) => order(a) - order(b)),
		leave: leftAtHome(client, planned, new Set(bring.map(({ thingId }) => thingId))),
		gaps: once.filter(({ severity }) => severity !== 'note'),
		questions: once.filter(({ code }) => code === 'not-asked'),
		counts,
		small: smallThingsFor(
			planned
				.filter(({ weather, foul }) => weather === first?.weather && !foul)
				.map(({ phases }) => phases.map(({ cell }) => cell)),
			trip.filter(({ bed }) => bed.kind !== 'heated' && bed.kind !== 'none').length,
			client
		)
	};
}

/** As many of a kind as the trip asks for, of what is worn. @returns how many are still wanted */
function shareOut(needed: number, lines: readonly ListLine[]): number {
	let left = needed;
	for (const line of lines) {
		// What is worn comes along in any case.
		line.many = Math.max(1, Math.min(line.has, left));
		left -= line.many;
	}
	return left;
}

/** Clothes that the client has and no plan uses. */
function leftAtHome(
	client: Client,
	planned: readonly PlannedStage[],
	brought: ReadonlySet<string>
): LeftLine[] {
	const doings = new Set(planned.flatMap(({ phases }) => phases.map(({ cell }) => cell.doing)));
	return client.things
		.filter((thing) => isThere(thing) && !brought.has(thing.id) && groupOf(thing) !== 'other')
		.map((thing): LeftLine => {
			const cloth = clothOf(thing, client.uses);
			const isOther = !isMadeFor(cloth.uses, doings);
			const why = isRefused(cloth, client) ? 'does not wear it' : isOther ? 'other use' : 'not needed';
			return { thingId: thing.id, name: thing.name, why };
		});
}
