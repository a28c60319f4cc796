import type { OwnUse } from '../core/cloth/own-thing';
import { catalogueType, type CatalogueType } from '../core/cloth/catalogue';
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

/** What a thing of its own is for, as it is asked. */
export const OWN_USE_WORDS: Readonly<Record<OwnUse, string>> = {
	'base top': 'next to the skin, on top',
	'warm top': 'a warm layer on top',
	'outer top': 'a jacket against wind',
	'big coat': 'a big coat over everything',
	'base legs': 'next to the skin, on the legs',
	trousers: 'trousers',
	'over-trousers': 'over the trousers',
	hands: 'for the hands',
	head: 'for the head',
	neck: 'for neck and face',
	socks: 'socks',
	shoes: 'shoes or boots'
};
