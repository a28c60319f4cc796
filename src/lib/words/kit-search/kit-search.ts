import MiniSearch from 'minisearch';
import { CATALOGUE, type CatalogueType } from '../../core/cloth/catalogue';
import { GARMENTS } from '../en/garments';
import { CALLED, SAME_WORDS, WORD_GROUPS } from '../en/kit-words';
import { typeName } from '../garments';

/**
 * Things of the catalogue by what people call them. The words are read alike on both sides ("pants" are trousers, "soft shell"
 * is one word); what a thing is called stands before what merely holds the words, and things of another part of the body last.
 */

/** What a phrase says beside what the thing is. */
export interface Understood {
	/** what is looked for, as it was read */
	words: string;
	quantity: number;
	/** "no big coat": the client has none */
	hasNot: boolean;
	massG: number | null;
	size: string;
	wornOut: boolean;
}
export interface KitHit {
	type: CatalogueType;
	/** the higher, the likelier; hits of one answer can be compared */
	score: number;
	/** it is called so; several may be: "big coat" */
	exact: boolean;
}

/** A thing as somebody describes it: its type, and what the words say beyond it. */
export interface Described extends Pick<Understood, 'massG' | 'wornOut'> {
	type: CatalogueType;
	name: string;
}

/** Words that say something about a thing, not what it is. */
const FILLERS = new Set(
	'a an the my our old new this ok okay with of and or for in on to some any pair pairs worn out his her its quite very really good nice ones one think probably'.split(
		' '
	)
);

/** Reads what a phrase says beside what the thing is: how many, none, grams, a size, worn out. */
export function understood(phrase: string): Understood {
	let rest = ` ${phrase.toLowerCase()} `;
	const take = (pattern: RegExp): RegExpExecArray | null => {
		const found = pattern.exec(rest);
		if (found) rest = rest.replace(pattern, ' ');
		return found;
	};
	const mass = take(/\b(\d{2,4}) ?(g|gr|grams?)\b(?!\s*\/)/);
	take(/\b\d+ ?g ?\/ ?m(2|²)?/);
	const wornOut = take(/\bworn[- ]?out\b/) !== null;
	const no = take(/^\s*(no|without|0|don'?t have|haven'?t got)\b( any| a)?/) !== null;
	const size = take(/\bsize (\w+)\b|\s(xs|s|m|l|xl|xxl)(?=\s)/);
	const many = take(/^\s*(\d{1,2})( x| pairs?( of)?)?\s(?!litre|layer|\d)/);
	return {
		words: rest.trim().replace(/\s+/g, ' '),
		quantity: no ? 0 : Number(many?.[1] ?? 1),
		hasNot: no,
		massG: mass ? Number(mass[1]) : null,
		size: (size?.[1] ?? size?.[2] ?? '').toUpperCase(),
		wornOut
	};
}

/** Text as both sides of the search read it: one word for what means the same, no plurals, no fillers. */
function wordsOf(text: string): string[] {
	let read = text.toLowerCase().replace(/['’]/g, '');
	for (const [said, meant] of SAME_WORDS) read = read.replace(said, meant);
	return read
		.split(/[^a-zäöüß0-9]+/)
		.filter((word) => word.length > 1 && !FILLERS.has(word))
		.map((word) =>
			word.length > 3 && !word.endsWith('ss') ? word.replace(/(?<=ch|sh|x)es$|(?<=[^s])s$/, '') : word
		);
}

const GROUP_OF_WORD = new Map(
	WORD_GROUPS.flatMap(([group, words]) =>
		words.split(' ').flatMap((word) => wordsOf(word).map((one) => [one, group]))
	)
);

interface Entry {
	id: string;
	name: string;
	called: string;
	find: string;
}
/** Shares of the best score below which a hit is left out. */
const LEAST_SHARE = 0.25;
const EXACT = 1000;
/** So many hits are answered at most. */
const MOST_HITS = 8;

interface Index {
	search: MiniSearch<Entry>;
	/** phrases as sorted words, with the types that they mean, the likeliest first */
	phrases: ReadonlyMap<string, string[]>;
	types: ReadonlyMap<string, CatalogueType>;
}
const keyOf = (words: readonly string[]): string => [...new Set(words)].sort().join(' ');
let made: Index | null = null;
function index(): Index {
	if (made) return made;
	const search = new MiniSearch<Entry>({
		fields: ['name', 'called', 'find'],
		tokenize: wordsOf,
		processTerm: (word) => word,
		searchOptions: {
			boost: { name: 2, called: 2 },
			prefix: (word) => word.length > 3,
			fuzzy: (word) => (word.length > 5 ? 0.2 : false),
			weights: { fuzzy: 0.2, prefix: 0.4 }
		}
	});
	const phrases = new Map<string, string[]>();
	for (const { id } of CATALOGUE) {
		const called = CALLED[id] ?? [];
		search.add({ id, name: typeName(id), called: called.join(', '), find: GARMENTS[id]!.find ?? '' });
		// A name in full, and its part before the first comma, mean the type as well.
		for (const phrase of [...called, typeName(id), typeName(id).split(', ')[0]!]) {
			const key = keyOf(wordsOf(phrase));
			const ids = phrases.get(key) ?? [];
			if (!ids.includes(id)) phrases.set(key, [...ids, id]);
		}
	}
	made = { search, phrases, types: new Map(CATALOGUE.map((type) => [type.id, type])) };
	return made;
}

/**
 * Types of the catalogue that a phrase may mean, the likeliest first; none where no word of it is known.
 * @param phrase as somebody says it, with how many, a size or a weight if they like
 */
export function kitHits(phrase: string): KitHit[] {
	const { search, phrases, types } = index();
	const words = wordsOf(understood(phrase).words);
	if (words.length === 0) return [];
	const exact = phrases.get(keyOf(words)) ?? [];
	const groups = new Set(words.flatMap((word) => GROUP_OF_WORD.get(word) ?? []));
	const scores = new Map(
		search
			.search(words.join(' '), { tokenize: (text) => text.split(' ') })
			.map(({ id, score, terms, queryTerms }) => {
				// What holds more of the words is likelier, whatever one of them weighs.
				const share = new Set(queryTerms).size / new Set(words).size;
				const isOther = groups.size > 0 && !groups.has(types.get(String(id))!.group);
				return [
					String(id),
					score * share * share * (isOther ? 0.1 : 1) * (terms.length > 0 ? 1 : 0)
				] as const;
			})
	);
	exact.forEach((id, at) => scores.set(id, EXACT - at + Math.min(1, scores.get(id) ?? 0) / 10));
	const best = Math.max(0, ...scores.values());
	return [...scores]
		.filter(([, score]) => score > 0 && (best >= EXACT || score >= best * LEAST_SHARE))
		.map(([id, score]) => ({ type: types.get(id)!, score, exact: exact.includes(id) }))
		.sort((a, b) => b.score - a.score || typeName(a.type.id).length - typeName(b.type.id).length)
		.slice(0, MOST_HITS);
}

/** Types that fit a description, the likeliest first, with what the words say beyond them. */
export function described(phrase: string): Described[] {
	const { massG, wornOut } = understood(phrase);
	return kitHits(phrase).map(({ type }) => ({ type, name: typeName(type.id), massG, wornOut }));
}
