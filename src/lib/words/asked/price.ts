import { phasesIn } from '../../core/document/sequence';
import type { Trip } from '../../core/document/types';
import type { Price } from '../../core/plan/told/summary';
import type { Place } from '../../core/plan/told/why-not';
import { capital, message, small } from '../message';
import { phaseWords } from '../plan-story';
import { massWords, METRIC, type Units } from '../units';
import { askMessage } from './ask-message';

/** What a wish costs: minutes held, changes, grams. */
export function priceWords(
	{ phases, changes, massG, overheat }: Price,
	who: string,
	units: Units = METRIC
): string[] {
	const told = phases.slice(0, 3).map(({ now, before, worse }) =>
		askMessage('price.phase', {
			better: worse ? 'no' : 'yes',
			phase: phaseWords(now, who),
			before: before.verdict
		})
	);
	const rest = phases.length - told.length;
	const many = Math.abs(Math.round(changes * 10) / 10);
	return [
		...told,
		...(rest > 0 ? [askMessage('price.rest', { many: rest })] : []),
		...(Math.abs(changes) >= 0.1
			? [
					askMessage('price.changes', {
						many,
						one: many === 1 ? 'yes' : 'no',
						more: changes > 0 ? 'yes' : 'no'
					})
				]
			: []),
		...(Math.abs(overheat) >= 10 && phases.length === 0
			? [askMessage('price.sweat', { more: overheat > 0 ? 'yes' : 'no' })]
			: []),
		...(massG === 0
			? []
			: [
					askMessage('price.mass', {
						mass: massWords(Math.abs(massG), units),
						more: massG > 0 ? 'yes' : 'no'
					})
				])
	];
}
/** The same in one sentence. */
export function priceSentence(price: Price, who: string, units: Units = METRIC): string {
	const words = priceWords(price, who, units);
	return words.length === 0 ? askMessage('price.nothing') : `${capital(words.join(', '))}.`;
}

/** Why a thing stays at home: where it would be worn best, and what that costs. */
export function whyNotSentence(
	name: string,
	place: Place | null,
	price: Price | null,
	{ stages }: Pick<Trip, 'stages'>,
	who: string,
	units: Units = METRIC
): string {
	if (!place || !price) return askMessage('why-not.nowhere', { thing: name });
	const at = stages.findIndex(({ id }) => id === place.stageId);
	const phase = phasesIn(stages[at]?.sequence ?? []).find(({ id }) => id === place.phaseId)?.name ?? '';
	return askMessage('why-not.best', {
		thing: small(name),
		where: message('where', {
			phase,
			round: 0,
			from: 0,
			day: stages.length > 1 ? at + 1 : 0,
			more: 0,
			days: 0
		}),
		price: priceSentence(price, who, units)
	});
}
