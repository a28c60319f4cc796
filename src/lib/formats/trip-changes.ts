import type { Loop, Phase, Sequence, Stage, StageBase, Trip } from '../core/document/types';
import {
	BED_WORDS,
	DRYING_WORDS,
	KIND_WORDS,
	MARK_WORDS,
	PACE_WORDS,
	PLACE_WORDS,
	PRECIPITATION_WORDS,
	TERRAIN_WORDS,
	clock,
	longDate
} from '../words/labels';
import { type Quantity, type Units, toUnit, unitWord } from '../words/units';
import { same } from './trip-merge';

/** What differs between two versions of a trip, in words that a planner understands. */
type Content = Pick<Trip, 'name' | 'place' | 'stages' | 'weathers'> & Partial<Pick<Trip, 'site' | 'schools'>>;

const figure = (quantity: Quantity | null, value: number | null | undefined, units: Units): string => {
	if (value === null || value === undefined) return 'computed';
	if (!quantity) return String(value);
	return `${Math.round(toUnit(quantity, value, units) * 10) / 10} ${unitWord(quantity, units)}`.replace(
		'-',
		'−'
	);
};
const fromTo = (label: string, before: string, after: string): string => `${label} ${before} → ${after}`;

const BASE_WORDS: Readonly<Record<keyof StageBase, [label: string, quantity: Quantity | null]>> = {
	lowTempC: ['low', 'temp'],
	highTempC: ['high', 'temp'],
	altitudeM: ['height of the forecast', 'height'],
	lapseKPerKm: ['lapse', 'lapse'],
	inversion: ['inversion', null],
	heights: ['forecasts for other heights', null],
	wind10mKmh: ['wind', 'speed'],
	humidityPct: ['humidity', null],
	wetSpells: ['rain and snow', null],
	ground: ['underfoot', null]
};
const ROUTE_WORDS = { startM: 'start', highM: 'high point', lowM: 'low point', bedM: 'bed' } as const;
const spellWords = (spells: StageBase['wetSpells']): string =>
	spells.length === 0
		? 'dry'
		: spells
				.map(
					({ fromMin, toMin, kind }) =>
						`${PRECIPITATION_WORDS[kind]} ${clock(fromMin)}–${toMin === 1440 ? '24:00' : clock(toMin)}`
				)
				.join(', ');

function baseChanges(before: StageBase, after: StageBase, units: Units): string[] {
	return (Object.keys(BASE_WORDS) as (keyof StageBase)[]).flatMap((key) => {
		if (same(before[key], after[key])) return [];
		const [label, quantity] = BASE_WORDS[key];
		if (key === 'wetSpells')
			return [fromTo(label, spellWords(before.wetSpells), spellWords(after.wetSpells))];
		if (key === 'inversion') return [after.inversion ? 'inversion morning' : 'no inversion'];
		if (key === 'heights') return [label];
		if (key === 'ground') return [fromTo(label, before.ground, after.ground)];
		return [
			fromTo(
				label,
				figure(quantity, before[key] as number, units),
				figure(quantity, after[key] as number, units)
			)
		];
	});
}

type Flat = (Phase | Loop) & { depth: number };
const flat = (sequence: Sequence, depth = 0): Flat[] =>
	sequence.flatMap((item): Flat[] =>
		item.type === 'loop' ? [{ ...item, depth }, ...flat(item.sequence, depth + 1)] : [{ ...item, depth }]
	);

function itemChanges(before: Flat, after: Flat, units: Units): string[] {
	const changes: string[] = [];
	if (before.name !== after.name) changes.push(fromTo('name', `“${before.name}”`, `“${after.name}”`));
	if (before.type === 'loop' || after.type === 'loop') {
		const [b, a] = [before as Loop, after as Loop];
		if (b.count !== a.count) changes.push(fromTo('rounds', String(b.count), String(a.count)));
		return changes;
	}
	const put = (label: string, quantity: Quantity | null, b: number | null | undefined, a: typeof b): void => {
		if (b !== a) changes.push(fromTo(label, figure(quantity, b, units), figure(quantity, a, units)));
	};
	put('minutes', null, before.minutes, after.minutes);
	put('effort', null, before.effortWm2, after.effortWm2);
	put('own speed', 'speed', before.ownSpeedKmh, after.ownSpeedKmh);
	put('height', 'height', before.altitudeM, after.altitudeM);
	put('place on the route', null, before.along, after.along);
	put('typed air', 'temp', before.typed.airTempC, after.typed.airTempC);
	put('typed wind', 'speed', before.typed.wind10mKmh, after.typed.wind10mKmh);
	put('typed humidity', null, before.typed.humidityPct, after.typed.humidityPct);
	if (before.typed.precipitation !== after.typed.precipitation)
		changes.push(
			`typed rain or snow: ${after.typed.precipitation ? PRECIPITATION_WORDS[after.typed.precipitation] : 'computed'}`
		);
	if (before.place !== after.place)
		changes.push(fromTo('place', PLACE_WORDS[before.place], PLACE_WORDS[after.place]));
	if (before.kind !== after.kind)
		changes.push(fromTo('kind', KIND_WORDS[before.kind], KIND_WORDS[after.kind]));
	if (!same(before.marks, after.marks))
		changes.push(`marks: ${after.marks.map((mark) => MARK_WORDS[mark]).join(', ') || 'none'}`);
	if (before.startMin !== after.startMin)
		changes.push(
			`starts ${after.startMin === null ? 'after the one before' : `at ${clock(after.startMin)}`}`
		);
	return changes;
}

function sequenceChanges(before: Sequence, after: Sequence, units: Units): string[] {
	const [was, is] = [flat(before), flat(after)];
	const changes = is.flatMap((item) => {
		const old = was.find(({ id }) => id === item.id);
		if (!old) return [`“${item.name}” added`];
		const own = itemChanges(old, item, units);
		return own.length > 0 ? [`“${old.name}”: ${own.join(', ')}`] : [];
	});
	changes.push(
		...was.filter(({ id }) => !is.some((item) => item.id === id)).map(({ name }) => `“${name}” taken out`)
	);
	const shared = (items: Flat[], other: Flat[]): string[] =>
		items.filter(({ id }) => other.some((item) => item.id === id)).map(({ id }) => id);
	if (!same(shared(was, is), shared(is, was))) changes.push('phases in another order');
	return changes;
}

function stageChanges(before: Stage, after: Stage, units: Units): string[] {
	const changes: string[] = [];
	if (before.name !== after.name) changes.push(`now called “${after.name}”`);
	if (before.date !== after.date)
		changes.push(fromTo('date', longDate(before.date, units), longDate(after.date, units)));
	if (before.startMin !== after.startMin)
		changes.push(fromTo('start', clock(before.startMin), clock(after.startMin)));
	changes.push(...baseChanges(before.base, after.base, units));
	for (const [key, label] of Object.entries(ROUTE_WORDS) as [keyof Stage['route'], string][]) {
		if (before.route[key] !== after.route[key])
			changes.push(
				fromTo(label, figure('height', before.route[key], units), figure('height', after.route[key], units))
			);
	}
	if (before.bed.kind !== after.bed.kind)
		changes.push(fromTo('bed', BED_WORDS[before.bed.kind], BED_WORDS[after.bed.kind]));
	if (before.bed.drying !== after.bed.drying) changes.push(DRYING_WORDS[after.bed.drying]);
	if (before.bed.washing !== after.bed.washing)
		changes.push(after.bed.washing ? 'one can wash there' : 'no washing there');
	if ((before.groupLoadL ?? 0) !== (after.groupLoadL ?? 0))
		changes.push(`the group’s load: ${after.groupLoadL ?? 0} l each`);
	if (!same(before.provided, after.provided))
		changes.push(`provided: ${after.provided.map((one) => one.name).join(', ') || 'nothing'}`);
	if (!same(before.terrain, after.terrain))
		changes.push(
			`goes through ${after.terrain.map((one) => TERRAIN_WORDS[one]).join(', ') || 'nothing special'}`
		);
	if (before.pace !== after.pace)
		changes.push(fromTo('pace', PACE_WORDS[before.pace], PACE_WORDS[after.pace]));
	changes.push(...sequenceChanges(before.sequence, after.sequence, units));
	if (!same(before.foul, after.foul))
		changes.push(after.foul ? 'foul-weather variant' : 'no foul-weather variant');
	return changes;
}

/** Every difference, one line each, the stage first. */
export function tripChanges(before: Content, after: Content, units: Units): string[] {
	const changes: string[] = [];
	if (before.name !== after.name) changes.push(`Trip: now called “${after.name}”`);
	if (before.place !== after.place) changes.push(`Trip: where, “${before.place}” → “${after.place}”`);
	if (!same(before.schools ?? {}, after.schools ?? {})) changes.push('Trip: another school');
	if (!same(before.site, after.site)) changes.push('Trip: another place on the map');
	if (!same(before.weathers, after.weathers)) changes.push('Trip: other weathers');
	for (const stage of after.stages) {
		const old = before.stages.find(({ id }) => id === stage.id);
		if (!old) changes.push(`${stage.name}: added`);
		else changes.push(...stageChanges(old, stage, units).map((change) => `${old.name}: ${change}`));
	}
	for (const stage of before.stages) {
		if (!after.stages.some(({ id }) => id === stage.id)) changes.push(`${stage.name}: taken out`);
	}
	const ids = (stages: Stage[], other: Stage[]): string[] =>
		stages.filter(({ id }) => other.some((stage) => stage.id === id)).map(({ id }) => id);
	if (!same(ids(before.stages, after.stages), ids(after.stages, before.stages)))
		changes.push('Trip: days in another order');
	return changes;
}
