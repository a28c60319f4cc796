import { SMALL_THINGS, type SmallThing } from '../../core/kit/small-things';
import { type LeaveReason, type ListLine, type Ride, RIDES } from '../../core/kit/list';
import type { Asked, FinalLine } from '../../core/kit/own-lines';
import type { Decision } from '../../core/remedy/decision';
import { firstName } from '../labels';
import { listed } from '../message';
import { massWords, type Units } from '../units';
import { getWords } from './decision-words';
import { getMessage } from './get-message';

/** A client's list in words, the same on the page, on paper and in files. */

interface Stages {
	stages: readonly { id: string; name: string }[];
}

/** How many to bring, in one number; empty for one that is there. */
export const manyWords = ({ many, has }: Pick<ListLine, 'many' | 'has'>): string =>
	many === 1 && has >= 1 ? '' : `${many} ×`;

export const rideWords = (ride: Ride): string => getMessage(`list.rides.${ride}`);
export const smallWords = (thing: SmallThing): string => getMessage(`list.small.${thing}`);
export const leaveWords = (why: LeaveReason): string => getMessage(`list.leave.${why}`);

/** Which days a thing is for, whether it is a spare one, and whether somebody should look that it is there. */
export function lineNotes(line: ListLine, { stages }: Stages, isLent: boolean): string[] {
	const own = stages.filter(({ id }) => line.stageIds.includes(id));
	const isForAll = own.length === stages.length || own.length === 0;
	// What begins later and goes on to the end switches at a place.
	const at = stages.findIndex(({ id }) => id === own[0]?.id);
	const isFromThen = !isForAll && own.length > 1 && own.length === stages.length - at;
	return [
		line.many > line.has ? getMessage('list.has', { has: line.has }) : '',
		line.spare ? 'spare' : '',
		isForAll ? '' : isFromThen ? `from ${own[0]!.name} on` : `for ${own.map(({ name }) => name).join(', ')}`,
		isLent ? 'we lend it' : line.assumed ? 'please check that it is there' : ''
	].filter(Boolean);
}

/** Names of those on a trip, by id. */
type People = Readonly<Record<string, string>>;
/** Who brings what one person brings for others; empty where each brings their own. */
export function sharingWords(
	{ sharing, broughtBy, forIds, many, massG }: Asked,
	people: People,
	units: Units
): string {
	if (sharing === 'each') return '';
	if (sharing === 'from others')
		return getMessage('list.fromOthers', { who: firstName(people[broughtBy!]!) });
	return getMessage('list.forOthers', {
		whom: forIds.length === 0 ? 'all' : 'some',
		names: listed(forIds.map((id) => firstName(people[id]!))),
		mass: massG > 0 ? massWords(many * massG, units) : 'none'
	});
}
export function askedNotes(row: Asked, people: People, units: Units): string[] {
	const { many, has, why, sharing } = row;
	const own =
		has === null || sharing === 'from others'
			? ''
			: has >= many
				? 'you have it'
				: has > 0
					? `you have ${has}`
					: 'to get';
	return [why, sharingWords(row, people, units), own].filter(Boolean);
}

/** One row of a list that leaves as a file. */
export interface ListRow {
	section: string;
	thing: string;
	many: number;
	has: number | null;
	note: string;
}

interface WholeList extends Stages {
	lines: readonly FinalLine[];
	asked: readonly Asked[];
	people: People;
	small: readonly SmallThing[];
	leave: readonly { name: string; why: LeaveReason }[];
	toGet: readonly (Pick<Decision, 'way' | 'because'> & { name: string; due: string | null })[];
	lentIds: ReadonlySet<string>;
}

/** A client's list as the rows of a table. @param units of the reader, the order of its dates among them */
export const listRows = (
	{ lines, asked, people, small, leave, toGet, lentIds, stages }: WholeList,
	units: Units
): ListRow[] => [
	...toGet.map((one) => ({
		section: 'To get',
		thing: one.name,
		many: 1,
		has: 0,
		note: getWords(one, one.due, units)
	})),
	...RIDES.flatMap((ride) =>
		lines
			.filter(({ rides }) => rides === ride)
			.map((line) => ({
				section: rideWords(ride),
				thing: line.name,
				many: line.many,
				has: line.has,
				note: lineNotes(line, { stages }, lentIds.has(line.thingId)).join(', ')
			}))
	),
	...asked.map((row) => ({
		section: 'Everybody brings',
		thing: row.what,
		many: row.sharing === 'from others' ? 0 : row.many,
		has: row.has,
		note: [row.why, sharingWords(row, people, units)].filter(Boolean).join(', ')
	})),
	...SMALL_THINGS.filter((thing) => small.includes(thing)).map((thing) => ({
		section: 'Small things',
		thing: smallWords(thing),
		many: 1,
		has: null,
		note: ''
	})),
	...leave.map(({ name, why }) => ({
		section: 'Leave at home',
		thing: name,
		many: 0,
		has: null,
		note: leaveWords(why)
	}))
];
