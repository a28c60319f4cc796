import type { Finding, FindingPhase } from '../core/document/finding';
import type { Row } from '../core/document/parts';
import { ROW_NAMES } from './labels';
import { capital, hasMessage, listed, message, type MessageId, small } from './message';
import { choiceWords, schoolQuestion } from './schools';
import { measureWords, type Units } from './units';
import { valuesInWords } from './values';

/** Findings in sentences, in the units of the reader. */

/** What a sentence needs to know beside the finding. */
export interface FindingContext {
	/** first name of the client */
	who: string;
	/** what a thing is called */
	nameOf: (thingId: string) => string;
	/** which day of the trip a stage is, from 1; null where the page shows one day only */
	dayOf?: (stageId: string) => number | null;
	units: Units;
}

/** A phase with its round and day: “Lift” in round 3 on day 2. */
export function whereWords(phase: FindingPhase, day = 0, more = 0, days = 0): string {
	const [first = 1] = phase.rounds;
	const many = phase.rounds.length > 1;
	return message('where', {
		phase: phase.name,
		round: !many && first > 1 ? first : 0,
		from: many && first > 1 ? first : 0,
		day,
		more,
		days
	});
}

/** A finding as a guide would say it. */
export function findingSentence(finding: Finding, { who, nameOf, dayOf, units }: FindingContext): string {
	const { code, part, phases, thingIds, values, stageId, alsoOn = [] } = finding;
	const day = (stageId !== null && dayOf?.(stageId)) || 0;
	const [thing = '', under = ''] = thingIds.map((id) => small(nameOf(id)));
	const said = valuesInWords(values, units);
	const onTheDay = new Set(phases.filter(({ stageId: own }) => own === stageId).map(({ id }) => id));
	const more = Math.max(0, onTheDay.size - 1);
	const { school, choice } = values;
	if (typeof school === 'string' && typeof choice === 'string') {
		said.question = schoolQuestion(school);
		said.choice = choiceWords(school, choice);
	}
	if (typeof values.gear === 'string')
		said.gear = message(`gear.${code === 'gearForThis' ? 'none.' : ''}${values.gear}` as MessageId);
	if (code === 'too-few') {
		const needed = Number(values.needed);
		said.kind = message(`count.${String(values.kind)}` as MessageId, { many: needed });
	}
	const body = part in ROW_NAMES && (code === 'missing' || code === 'not-asked');
	const sentence = message(`finding.${code}`, {
		who,
		thing,
		under,
		things: listed(thingIds.map((id) => small(nameOf(id)))),
		where: phases[0] ? whereWords(phases[0], day, more, dayOf ? alsoOn.length : 0) : '',
		part: body ? ROW_NAMES[part as Row].toLowerCase() : part,
		freezing: measureWords({ value: 0, unit: '°C' }, units),
		...said
	});
	return capital(
		phases.length === 0 && alsoOn.length > 0 && dayOf
			? message('on-days', { sentence, days: alsoOn.length + 1 })
			: sentence
	);
}

/** Whether the words know a finding. */
export const hasFindingWords = (code: string): boolean => hasMessage(`finding.${code}`);
