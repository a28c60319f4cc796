import type { Client, Document } from '../document/types';
import type { Verdict } from '../document/verdict';
import { type RememberedDay, Trials } from '../remedy/trials';
import { type Ground, groundOf, type Told } from './ground';
import type { QuestionId } from './questions';

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
	/** how likely the answer is not the likely one, times the root of the verdict words that it changes, by how often their weather comes */
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
/** What decides only where something else is not as it is likely counts so much (our assumption). */
const UNLIKELY_WEIGHT = 0.01;
/** Unlike days of a trip up to which they are dressed as a plan does it. */
const SHORT_DAYS = 3;
/**
 * How likely the answer is another one than the likely one, 0 to 0.5. The worth of a question is that, times the root of what
 * it changes: a tenth moment that goes otherwise counts less than the first, since it is the same guest who then stands there
 * wrongly dressed. (`npm run interviews` counts who is ready after ten answers.)
 */
const surprise = (likely: number): number => Math.min(likely, 1 - likely);

/**
 * Asks a client of a document. For each open question every day is dressed with and without the thing: beside what a usual
 * guest is likely to have; where that changes nothing, beside all that is open and beside nothing of it. What changes a verdict
 * word in one of these is worth asking; how much, is counted beside what is likely. Days that were dressed for one question
 * are known to the next.
 */
export class Interviewer {
	private readonly trials: Trials;
	private readonly usualId: string | undefined;

	constructor(
		document: Document,
		readonly ground: Ground
	) {
		this.trials = new Trials(document, ground.base, ground.candidates, SHORT_DAYS);
		this.usualId = document.trip.weathers[0]?.id;
	}

	/** What was worked out since this was asked last, to be known the next time. */
	news(): RememberedDay[] {
		return this.trials.news();
	}
	/** Takes up what was worked out for the same ground. */
	remember(days: readonly RememberedDay[]): void {
		this.trials.remember(days);
	}
	private setOf(things: Iterable<number>): Set<number> {
		return new Set([...things].flatMap((at) => this.ground.asked[at]!.tries));
	}

	/** Verdict words of all days with some things, in one text. */
	wordsWith(has: ReadonlySet<number>): string {
		return JSON.stringify(
			this.trials.days.map(({ index }) => [...this.trials.on(index, this.setOf(has)).words])
		);
	}

	/** @returns moments of all days that go otherwise with a thing than without */
	private changesOf(at: number, beside: ReadonlySet<number>): Otherwise[] {
		const has = this.setOf([...beside, at]);
		const lacks = this.setOf([...beside].filter((one) => one !== at));
		return this.trials.days.flatMap(({ index, weather, stage, foul }) => {
			const [there, away] = [this.trials.on(index, has), this.trials.on(index, lacks)];
			return [...there.words].flatMap(([key, verdict]): Otherwise[] => {
				const without = away.words.get(key);
				if (without === undefined || without === verdict) return [];
				const [phaseId = '', round = '1'] = key.split(' ');
				const day = { weather: weather.id, stageId: stage.id, foul };
				return [{ ...day, phaseId, round: Number(round), without, with: verdict }];
			});
		});
	}

	private weightOf(changes: readonly Otherwise[]): number {
		return changes.reduce((sum, one) => sum + this.alikeOf(one), 0);
	}
	/** What a thing changes beside the first of some sets that it changes anything beside; 0 where there is none. */
	private weightBeside(at: number, sets: readonly ReadonlySet<number>[]): number {
		for (const beside of sets) {
			const changes = this.changesOf(at, beside);
			if (changes.length > 0) return this.weightOf(changes);
		}
		return 0;
	}
	private alikeOf({ weather, stageId, foul }: Otherwise): number {
		const day = this.trials.days.find(
			(one) => one.weather.id === weather && one.stage.id === stageId && one.foul === foul
		)!;
		const { usual, rare } = this.trials.alike.get(this.trials.keyOf(day.index))!;
		return weather === this.usualId ? usual + RARE_WEIGHT * rare : RARE_WEIGHT * (usual + rare);
	}

	/** What a client has, as far as it is told or likely. */
	likely({ there, away }: Told): Set<number> {
		const isOpen = (at: number): boolean => !there.has(at) && !away.has(at);
		return new Set([
			...there,
			...[...this.ground.asked.keys()].filter(
				(at) => isOpen(at) && this.ground.asked[at]!.question.likely >= 0.5
			)
		]);
	}

	/** What is worth asking after some answers, in the order of what each answer is worth. */
	next(told: Told = this.ground.told): Interview {
		const { there, away } = told;
		const still = [...this.ground.asked.keys()].filter((at) => !there.has(at) && !away.has(at));
		const likely = this.likely(told);
		const others = [
			new Set([...there, ...still]),
			there,
			// What one of the others is not as it is likely.
			...still.map(
				(at) => new Set(likely.has(at) ? [...likely].filter((one) => one !== at) : [...likely, at])
			)
		];
		const questions: WorthAsking[] = [];
		const needless: QuestionId[] = [];
		for (const at of still) {
			const { id, typeId, typeIds, likely: share } = this.ground.asked[at]!.question;
			const changes = this.changesOf(at, likely);
			// What changes nothing beside what is likely may still decide beside something else: it is asked last.
			const weight =
				changes.length > 0 ? this.weightOf(changes) : UNLIKELY_WEIGHT * this.weightBeside(at, others);
			if (weight === 0) needless.push(id);
			else
				questions.push({
					id,
					typeIds: [typeId, ...typeIds.filter((one) => one !== typeId)],
					likely: share,
					worth: Math.sqrt(weight) * surprise(share),
					changes
				});
		}
		questions.sort((a, b) => b.worth - a.worth);
		return { questions, isEnough: questions.length === 0, needless };
	}
}

/** What to ask a client of a document, now. @param unknown questions that were asked and not answered */
export const interview = (
	document: Document,
	client: Client,
	unknown: ReadonlySet<string> = new Set()
): Interview => new Interviewer(document, groundOf(document, client, unknown)).next();
