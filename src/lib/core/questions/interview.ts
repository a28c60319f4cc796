import { thingOfType } from '../cloth/things';
import type { Client, Document } from '../document/types';
import type { Verdict } from '../document/verdict';
import type { Candidate } from '../remedy/candidate';
import { Trials } from '../remedy/trials';
import { doingsOn } from '../remedy/usual-candidates';
import { openQuestions, type Question, type QuestionId } from './questions';

/** Which questions are worth asking a client, in the order of what each answer is worth. */

/** A moment that goes otherwise with a thing than without it. */
export interface Otherwise {
	weather: string;
	stageId: string;
	foul: boolean;
	phaseId: string;
	round: number;
	without: Verdict;
	with: Verdict;
}
export interface WorthAsking {
	id: QuestionId;
	/** types of which any one answers it; the first is what a plain yes stands for */
	typeIds: readonly string[];
	likely: number;
	/** verdict words that the answer may change: as many as it changes, weighed by how uncertain it is and how often that weather comes */
	worth: number;
	changes: readonly Otherwise[];
}
export interface Interview {
	questions: readonly WorthAsking[];
	/** no answer to anything that is still open would change a verdict word */
	isEnough: boolean;
	/** open questions whose answer changes nothing, whatever the others are */
	needless: readonly QuestionId[];
}

/** A moment of a weather that comes one year in ten counts so much beside one of the usual weather (our assumption). */
const RARE_WEIGHT = 0.25;
/** 1 for a toss of a coin, 0 for what is known. */
const uncertainty = (likely: number): number => 4 * likely * (1 - likely);

const candidateOf = ({ id, typeId }: Question): Candidate => ({
	thing: thingOfType(`question-${id.replaceAll(' ', '-')}`, typeId, typeId, {
		value: 1,
		source: 'guess',
		state: 'assumed'
	}),
	from: 'own',
	cost: 0,
	days: 0
});

/**
 * What to ask a client of a document. For each open question every day is dressed with and without the thing: beside what a
 * usual guest is likely to have, beside all that is open, and beside nothing of it. What changes a verdict word in one of these
 * is worth asking; how much, is counted beside what is likely.
 * @param asked questions that were asked and not answered
 */
export function interview(
	document: Document,
	client: Client,
	asked: ReadonlySet<string> = new Set()
): Interview {
	const open = openQuestions(client, doingsOn(document.trip), asked);
	const trials = new Trials(document, client, open.map(candidateOf));
	const [usual] = document.trip.weathers;
	const all = new Set(open.keys());
	const likely = new Set([...all].filter((at) => open[at]!.likely >= 0.5));
	const backgrounds = [likely, all, new Set<number>()];
	/** @returns moments of all days that go otherwise with a thing than without */
	const changesOf = (at: number, beside: ReadonlySet<number>): Otherwise[] => {
		const has = new Set([...beside, at]);
		const lacks = new Set([...beside].filter((one) => one !== at));
		return trials.days.flatMap(({ index, weather, stage, foul }) => {
			const [there, away] = [trials.on(index, has), trials.on(index, lacks)];
			return [...there.words].flatMap(([key, verdict]): Otherwise[] => {
				const without = away.words.get(key);
				if (without === undefined || without === verdict) return [];
				const [phaseId = '', round = '1'] = key.split(' ');
				return [
					{
						weather: weather.id,
						stageId: stage.id,
						foul,
						phaseId,
						round: Number(round),
						without,
						with: verdict
					}
				];
			});
		});
	};
	const alikeOf = ({ weather, stageId, foul }: Otherwise): number => {
		const day = trials.days.find(
			(one) => one.weather.id === weather && one.stage.id === stageId && one.foul === foul
		)!;
		const { usual: many, rare } = trials.alike.get(trials.keyOf(day.index))!;
		return weather === usual?.id ? many + RARE_WEIGHT * rare : RARE_WEIGHT * (many + rare);
	};
	const questions: WorthAsking[] = [];
	const needless: QuestionId[] = [];
	for (const [at, { id, typeId, typeIds, likely: share }] of open.entries()) {
		const beside = backgrounds.map((background) => changesOf(at, background));
		if (beside.every((changes) => changes.length === 0)) {
			needless.push(id);
			continue;
		}
		const [changes] = beside;
		const weight = (list: readonly Otherwise[]): number => list.reduce((sum, one) => sum + alikeOf(one), 0);
		// What changes nothing beside what is likely may still decide beside something else: it is asked last.
		const counted = changes!.length > 0 ? weight(changes!) : 0.01 * Math.max(...beside.map(weight));
		questions.push({
			id,
			typeIds: [typeId, ...typeIds.filter((one) => one !== typeId)],
			likely: share,
			worth: counted * uncertainty(share),
			changes: changes!
		});
	}
	questions.sort((a, b) => b.worth - a.worth);
	return { questions, isEnough: questions.length === 0, needless };
}
