import { type Cloth, isBag } from '../cloth/things';
import { type DrawnLayer, drawnLayers, type Outfit } from '../cloth/worn';
import { type Cell } from '../conditions/cells';
import { awakeCells } from '../conditions/needs';
import { type Person, personOf } from '../conditions/person';
import type { Bed, Stage, Weather } from '../document/types';
import type { WornThing } from '../document/worn';
import { cellAir } from '../heat/ledger';
import { WET_FROM, type Wetness } from '../heat/wet-cloth';
import { eveningDrying, type EveningDrying, morningWetness } from '../heat/wetness';
import { coverageOf } from '../judge/coverage';
import { type JudgedPhase } from '../judge/finding';
import { findingsOf, worstFirst } from '../judge/findings';
import { type PhaseVerdict } from '../judge/phase-verdict';
import { judgeLived, judgeWhatIf, type Judging, type LivedStage } from '../judge/verdicts';
import { type Wearer } from '../judge/wearer';
import { wetMorningFinding } from '../judge/wet-morning';
import {
	type CarriedThing,
	groupLoadOf,
	hasDryBag,
	packOf,
	packTooSmall,
	rideOf,
	wetInThePack
} from '../kit/pack';
import { type PlannedPhase, type PlannedStage } from '../kit/planned-day';
import { givenWardrobe, withGiven } from '../outfit/legal-outfits';
import type { Levels } from '../rules/objective';
import { dressDay, type StagePlan } from './day/dress-day';
import { emergencyOutfit } from './day/what-if';
import { openingOf } from './simulated-plan';

/** A thing that is worn again within so many phases rides on top of the pack. */
const SOON_PHASES = 2;

function carriedIn(
	k: number,
	phases: readonly JudgedPhase[],
	taken: ReadonlySet<string>,
	kit: readonly Cloth[],
	morning: Wetness
): CarriedThing[] {
	const dryBag = hasDryBag(kit);
	const worn = (i: number): Set<string> => new Set(phases[i]!.outfit.map(({ cloth }) => cloth.thingId));
	const now = worn(k);
	const soon = new Set<string>();
	for (let i = k + 1, ahead = 0; i < phases.length && ahead < SOON_PHASES; i++, ahead++)
		worn(i).forEach((id) => soon.add(id));
	return kit
		.filter((cloth) => !now.has(cloth.thingId))
		.map((cloth): CarriedThing => {
			if (!taken.has(cloth.thingId)) return { thingId: cloth.thingId, where: 'base' };
			const isWet = (morning.get(cloth.thingId) ?? 0) >= WET_FROM;
			return { thingId: cloth.thingId, where: rideOf(cloth, soon.has(cloth.thingId), dryBag, isWet) };
		});
}

/** The outfit of a what-if, as it is given. */
function outfitAsGiven(
	cell: Cell,
	kit: readonly Cloth[],
	worn: readonly WornThing[],
	person: Person
): { outfit: Outfit; opening: number } {
	const plan = dressDay([cell], withGiven(givenWardrobe([...kit]), [worn]), person);
	return { outfit: plan.outfits[0]!, opening: plan.openings[0]! };
}

/** A day whose outfits are chosen, ready to be judged. */
export interface ChosenDay extends Wearer {
	stage: Stage;
	weather: Weather;
	/** as it is when dry */
	kit: readonly Cloth[];
	cells: readonly Cell[];
	choice: Pick<StagePlan, 'outfits' | 'openings' | 'proven'> & { levels: Levels; gap: number };
	/** things were left out of the search */
	cut: boolean;
	morning: Wetness;
	/** whether another day follows */
	goesOn: boolean;
	/** things that are carried for another weather, by id */
	alsoCarried?: ReadonlySet<string>;
	/** what is given to be worn in a what-if, by cell */
	givenWhatIfs?: ReadonlyMap<Cell, readonly WornThing[]>;
}

/** A day as it is judged. */
export interface JudgedDay {
	verdicts: PhaseVerdict[];
	/** how wet things are in the evening */
	evening: Wetness;
}

const judgingOf = ({ client, answered }: ChosenDay): Judging => ({
	person: personOf(client),
	isUnasked: (row) => !answered.has(row)
});

/** A day whose outfits are chosen, lived through: everything is judged but its what-ifs. */
export function livedDay(day: ChosenDay): LivedStage {
	const { kit, cells, choice, morning } = day;
	const lived = awakeCells(cells);
	return judgeLived({
		...judgingOf(day),
		cells,
		outfitAt: (i) => {
			const k = lived.indexOf(cells[i]!);
			return { outfit: choice.outfits[k]!, opening: choice.openings[k]! };
		},
		bags: kit.filter(isBag),
		morning
	});
}

/** The verdict of a what-if of such a day, in what is at hand: worn, or carried along. */
export function whatIfOn(day: ChosenDay, stage: LivedStage, whatIf: Cell): PhaseVerdict {
	const { kit, choice, givenWhatIfs, alsoCarried = new Set() } = day;
	const judging = judgingOf(day);
	const takenIds = new Set([...choice.outfits.flat().map(({ cloth }) => cloth.thingId), ...alsoCarried]);
	const taken = kit.filter((cloth) => takenIds.has(cloth.thingId));
	return judgeWhatIf(
		whatIf,
		stage,
		(cell, standing) => {
			const worn = givenWhatIfs?.get(cell);
			return worn
				? outfitAsGiven(cell, kit, worn, judging.person)
				: emergencyOutfit(cell, taken, judging.person, standing);
		},
		judging
	);
}

/** The verdicts of a day whose outfits are chosen. */
export const judgedDay = (day: ChosenDay, stage = livedDay(day)): JudgedDay => ({
	verdicts: stage.verdicts.map((verdict, k) => verdict ?? whatIfOn(day, stage, day.cells[k]!)),
	evening: stage.evening
});

/** Nights are not drawn: a bag is no stack of layers. */
function drawnIn({ cell, outfit, resultantClo }: PhaseVerdict): DrawnLayer[] {
	if (cell.kind === 'sleep') return [];
	const drawn = drawnLayers(outfit, cellAir(cell).air, openingOf(outfit));
	// What wet boots and gloves lose, and water around the legs takes, is shared out.
	const sum = drawn.reduce((all, { gainClo }) => all + gainClo, 0);
	const share = sum > 1e-9 ? resultantClo / sum : 1;
	return Math.abs(share - 1) < 1e-9
		? drawn
		: drawn.map((layer) => ({ ...layer, gainClo: layer.gainClo * share }));
}

/** What is done with wet things in the evening, where that decides something. */
function toldDrying(evening: Wetness, kit: readonly Cloth[], bed: Bed): EveningDrying | null {
	if (bed.drying === 'everything') return null;
	const drying = eveningDrying(evening, kit, bed);
	return drying.driedIds.length + drying.footwearIds.length > 0 ? drying : null;
}

/** A day whose outfits are chosen and judged, with what is carried where, the pack, and all there is to say. */
export function reportedDay(day: ChosenDay, { verdicts, evening } = judgedDay(day)): PlannedStage {
	const { stage, weather, client, kit, choice, cut, morning, goesOn, alsoCarried = new Set<string>() } = day;
	const takenIds = new Set(choice.outfits.flat().map(({ cloth }) => cloth.thingId));
	const judged: JudgedPhase[] = verdicts.map((verdict) => ({
		...verdict,
		coverage: coverageOf(verdict, client, day.answered)
	}));
	judged
		.filter(({ cell }) => cell.kind === 'sleep')
		.forEach(({ outfit }) => outfit.forEach(({ cloth }) => takenIds.add(cloth.thingId)));
	const along = new Set([...takenIds, ...alsoCarried]);
	const group = groupLoadOf(stage, client);
	const phases = judged.map((phase, k): PlannedPhase => {
		const carried = carriedIn(k, judged, along, kit, morning);
		return {
			...phase,
			drawn: drawnIn(phase),
			carried,
			pack: packOf(carried, kit, group, morning)
		};
	});
	return {
		weather: weather.id,
		stageId: stage.id,
		foul: false,
		phases,
		findings: worstFirst([
			...findingsOf({ client, person: personOf(client), weather: weather.id, phases: judged, cut }),
			...packTooSmall({ client, weather: weather.id }, phases, group),
			...wetInThePack({ client, weather: weather.id }, phases, kit),
			...wetMorningFinding({ client, weather: weather.id }, judged, kit, morning)
		]),
		morning: [...morning].map(([thingId, share]) => ({ thingId, share })),
		evening: goesOn ? toldDrying(evening, kit, stage.bed) : null,
		levels: choice.levels,
		takenIds: [...takenIds],
		proven: choice.proven,
		gap: choice.gap
	};
}

/** What is still wet on the morning after a planned stage. */
export const wetAfter = ({ evening }: Pick<JudgedDay, 'evening'>, stage: Stage, { kit }: Wearer): Wetness =>
	morningWetness(evening, kit, stage.bed);
