import { describe, expect, it } from 'vitest';
import { CATALOGUE } from '../../core/cloth/catalogue';
import { SMALL_THINGS } from '../../core/kit/small-things';
import { RIDES } from '../../core/kit/list';
import { ANSWERS, MARKS } from '../../core/kit/answers';
import { QUESTIONS } from '../../core/questions/questions';
import { branchesOf } from '../branches';
import { GARMENTS as GERMAN_GARMENTS } from '../de/garments';
import { GUEST_MESSAGES as GERMAN } from '../de/guest-messages';
import { GARMENTS } from '../en/garments';
import { GUEST_MESSAGES as ENGLISH } from '../en/guest-messages';
import { METRIC } from '../units';
import { LANGUAGES } from '../../core/document/client-facts';
import { guestDate, guestMessage, guestTypeName, languageFor } from './guest-words';

/** Places for values of a message, by name and kind. */
const placesOf = (text: string): string[] =>
	[...text.matchAll(/\{(\w+)(?:\}|, (plural|select))/g)]
		.map(([, name, kind]) => `${name} ${kind ?? ''}`)
		.sort();

describe('what a client reads', () => {
	it('is in every language, with the same places for values, and in words of its own', () => {
		expect(Object.keys(GERMAN).sort()).toEqual(Object.keys(ENGLISH).sort());
		for (const [id, text] of Object.entries(ENGLISH)) {
			const german = GERMAN[id as keyof typeof ENGLISH];
			const places = (of: string): string[] => [...new Set(placesOf(of))];
			expect(places(german), id).toEqual(places(text));
			if (id !== 'page.language') expect(german, id).not.toBe(text);
			for (const branch of [...branchesOf(text), ...branchesOf(german)])
				expect(branch, id).not.toMatch(/[{}]| {2}|\s[.,;]|\bsafe\b|\bsicher\b/i);
		}
	});
	it('names every type of the catalogue in every language, and nothing else', () => {
		expect(Object.keys(GERMAN_GARMENTS).sort()).toEqual(Object.keys(GARMENTS).sort());
		for (const { id } of CATALOGUE)
			for (const language of LANGUAGES) {
				const name = guestTypeName(language, id, METRIC);
				expect(name).toMatch(/^[A-ZÄÖÜ]/);
				expect(name).not.toMatch(/[{}]/);
			}
		expect(guestTypeName('de', 'bag-winter', METRIC)).toMatch(/^Schlafsack, Komfort −\d+ °C$/);
	});
	it('has words for every way to carry, mark and small thing', () => {
		for (const id of [
			...RIDES.map((ride) => `list.${ride}`),
			...MARKS.filter((mark) => mark !== 'none').map((mark) => `mark.${mark}`),
			...SMALL_THINGS.map((thing) => `small.${thing}`),
			...ANSWERS.map((answer) => `ask.${answer}`),
			...QUESTIONS.map(({ id }) => `ask.${id}`)
		])
			expect(Object.keys(ENGLISH)).toContain(id);
	});
	it('counts and dates as the language does', () => {
		expect(guestMessage('de', 'sync.kept', { many: 1 })).toMatch(/^Eine Antwort bleibt auf/);
		expect(guestMessage('de', 'sync.kept', { many: 3 })).toMatch(/^3 Antworten bleiben auf/);
		expect(guestMessage('en', 'weather.snow', { hours: 1 })).toBe('snow for an hour');
		expect(guestDate('de', '2027-01-23')).toMatch(/Sa.*23\. Januar/);
		expect(guestDate('en', '2027-01-23')).toMatch(/Sat.*23 January/);
	});
	it('is in the language that the browser asks for first, where we speak it', () => {
		expect(languageFor('de-CH,de;q=0.9,en;q=0.8')).toBe('de');
		expect(languageFor('fr-FR,fr;q=0.9,de;q=0.5')).toBe('de');
		expect(languageFor('ja')).toBe('en');
		expect(languageFor('')).toBe('en');
	});
});
