import { CATALOGUE, catalogueType, type CatalogueType } from '../core/cloth/catalogue';
import { type CatalogueGroup, CLO_PER_FILL_GM2, type Insulation } from '../core/cloth/catalogue-rows';
import { GARMENTS, GROUPS, INSULATION_WHYS, TABLE_ROWS } from './en/garments';
import { METRIC, type Units, withUnit } from './units';

/** What the types of the catalogue are called, and how they are found. */

/** Name of a catalogue type, in the units of a reader. @throws RangeError when there is none */
export function typeName(typeId: string, units: Units = METRIC): string {
	const { id, properties } = catalogueType(typeId);
	const comfortC = properties.comfortTempC;
	const comfort = `${comfortC > 0 && units.temp === 'C' ? '+' : ''}${withUnit('temp', comfortC, units)}`;
	return GARMENTS[id]!.name.replace('{comfort}', comfort);
}
export const groupName = (group: CatalogueGroup): string => GROUPS[group];

/** Everything by which a type is looked for, lower case. */
export const searchText = ({ id, group }: CatalogueType): string =>
	`${typeName(id)} ${GARMENTS[id]!.find ?? ''} ${GROUPS[group]}`.toLowerCase();

/** Where the insulation of a type comes from. */
export function insulationWords({ insulation: { from } }: Pick<CatalogueType, 'insulation'>): string {
	const warm: Insulation = from;
	if ('tableClo' in warm)
		return `ISO 7730 Table C.2, ${TABLE_ROWS[warm.row]} ${warm.tableClo} clo, over the share it covers × 1.35`;
	if ('fillGm2' in warm)
		return `${warm.fillGm2} g/m² of ${warm.fill} fill × ${CLO_PER_FILL_GM2[warm.fill]} clo per g/m²`;
	if ('localM2kw' in warm) return `${warm.localM2kw} m²·K/W where it covers: ${INSULATION_WHYS[warm.why]}`;
	return 'weaveClo' in warm ? 'single weave, the air under it' : 'adds no warmth';
}

/** A thing as somebody describes it: its type, and what the words say beyond it. */
export interface Described {
	type: CatalogueType;
	name: string;
	massG: number | null;
	wornOut: boolean;
}

/** Words that say something about a thing, not what it is. */
const FILLERS = new Set('a an the my old new is this ok with of and worn out his her'.split(' '));

/** Types of the catalogue that fit a description, the likeliest first: most words that fit, in the name before elsewhere. */
export function described(text: string): Described[] {
	const mass = /(\d{2,4})\s*g\b(?!\s*\/)/i.exec(text);
	const wornOut = /\bworn[- ]?out\b/i.test(text);
	const words = text
		.toLowerCase()
		.replace(/\d+\s*g\b(\/m2|\/m²)?/g, ' ')
		.split(/[^a-zäöüß]+/)
		.filter((word) => word.length > 1 && !FILLERS.has(word));
	if (words.length === 0) return [];
	const stem = (word: string): string => (word.length > 3 ? word.replace(/s$/, '') : word);
	return CATALOGUE.map((type, at) => {
		const name = typeName(type.id).toLowerCase();
		const all = searchText(type);
		const score = words.reduce(
			(sum, word) => sum + (name.includes(stem(word)) ? 3 : all.includes(stem(word)) ? 2 : 0),
			0
		);
		return { type, at, score, length: name.length };
	})
		.filter(({ score }) => score > 0)
		.sort((a, b) => b.score - a.score || a.length - b.length || a.at - b.at)
		.slice(0, 8)
		.map(({ type }) => ({ type, name: typeName(type.id), massG: mass ? Number(mass[1]) : null, wornOut }));
}
