import MiniSearch from 'minisearch';
import { GARMENTS as GERMAN_GARMENTS } from '../de/garments';
import { kitHits } from '../kit-search/kit-search';
import type { Language } from './guest-words';

/** Hits that a small screen shows. */
const MOST = 8;
/** Other German words by which things are looked for. */
const GERMAN_WORDS: Readonly<Record<string, string>> = {
	'rain-shell': 'Regenjacke Anorak Hardshell',
	'hard-shell': 'Regenjacke Hardshell Skijacke',
	'trousers-rain': 'Regenhose Überhose',
	'trousers-hard-shell': 'Regenhose Hardshellhose',
	'top-wool-light': 'Merino Funktionsshirt Unterwäsche',
	'top-wool-mid': 'Merino Funktionsshirt Unterwäsche',
	'bottoms-wool': 'Merino Leggings Skiunterwäsche',
	'bottoms-synthetic': 'Leggings Skiunterwäsche',
	'coat-synthetic': 'Winterjacke Kunstfaserjacke Steppjacke Parka',
	'coat-down': 'Winterjacke Daunenmantel Parka',
	'neck-tube': 'Halstuch Buff Schlauchschal',
	'glove-winter': 'Skihandschuhe Fingerhandschuhe',
	mitten: 'Fausthandschuhe Fäustel',
	goggles: 'Schneebrille',
	torch: 'Taschenlampe Lampe',
	poles: 'Stöcke Trekkingstöcke',
	'boot-hiking': 'Wanderschuhe Trekkingschuhe',
	'boot-winter': 'Schneestiefel Stiefel',
	fleece: 'Fleece Faserpelz',
	'fleece-thin': 'Fleece Midlayer',
	briefs: 'Unterwäsche Slip Boxershorts'
};
/** "Jacke" is found in "Regenjacke": German puts words together. */
const endingsOf = (word: string): string[] =>
	word.length < 6 ? [word] : Array.from({ length: word.length - 3 }, (_, from) => word.slice(from));

let german: MiniSearch<{ id: string; name: string }> | null = null;
function germanHits(phrase: string): string[] {
	if (!german) {
		german = new MiniSearch({
			fields: ['name'],
			processTerm: (term) => endingsOf(term.toLowerCase()),
			searchOptions: {
				processTerm: (term) => term.toLowerCase(),
				prefix: true,
				fuzzy: 0.15,
				combineWith: 'AND'
			}
		});
		german.addAll(
			Object.entries(GERMAN_GARMENTS).map(([id, name]) => ({ id, name: `${name} ${GERMAN_WORDS[id] ?? ''}` }))
		);
	}
	return german.search(phrase).map(({ id }) => String(id));
}

/** Types of the catalogue that a phrase of a client may mean, the likeliest first: by the words of the language, then in English. */
export const guestHits = (language: Language, phrase: string): string[] =>
	[
		...new Set([
			...(language === 'de' ? germanHits(phrase) : []),
			...kitHits(phrase).map(({ type }) => type.id)
		])
	].slice(0, MOST);
