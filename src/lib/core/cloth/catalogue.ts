import type { ReasonKind } from '../certainty';
import { type Coverage, type Part } from '../document/parts';
import type { Doing, Properties } from '../document/types';
import { CLO_M2KW } from '../units';
import { usualEnd, usualVapourResistance, usualWearDays } from './catalogue-features';
import {
	CATALOGUE_GROUPS,
	CATALOGUE_ROWS,
	type CatalogueGroup,
	type CatalogueRow,
	CLO_PER_FILL_GM2,
	type Insulation,
	MOST_LOCAL_CLO
} from './catalogue-rows';
import { bodyCoverage } from './parts';
import type { Slot } from './slots';
import { localFromWholeBodyClo } from './supply';

export interface CatalogueType {
	id: string;
	group: CatalogueGroup;
	inPairs: boolean;
	slot: Slot | null;
	/** what it is made for; null where it serves whatever one does */
	uses: readonly Doing[] | null;
	properties: Properties;
	/** where the insulation comes from */
	insulation: { kind: ReasonKind; from: Insulation };
}

/** Local insulation of a type, clo, and how sure it is. */
function insulationOf(warm: Insulation, covers: Coverage): { clo: number; kind: ReasonKind } {
	if ('tableClo' in warm)
		return { clo: localFromWholeBodyClo(warm.tableClo, bodyCoverage(covers)), kind: 'standard' };
	if ('fillGm2' in warm)
		return { clo: Math.min(MOST_LOCAL_CLO, CLO_PER_FILL_GM2[warm.fill] * warm.fillGm2), kind: 'assumption' };
	if ('localM2kw' in warm) return { clo: warm.localM2kw / CLO_M2KW, kind: 'assumption' };
	return { clo: 'weaveClo' in warm ? warm.weaveClo : 0, kind: 'assumption' };
}

/** Room under a thing where its row does not say, steps of girth (our assumption). */
const USUAL_ROOM = { head: 2, other: 1 } as const;

function typeOf(id: string, group: CatalogueGroup, row: CatalogueRow): CatalogueType {
	const insulation = insulationOf(row.warm, row.covers);
	return {
		id,
		group,
		inPairs: row.pairs ?? false,
		slot: row.slot ?? null,
		uses: row.uses ?? null,
		insulation: { kind: insulation.kind, from: row.warm },
		properties: {
			functions: row.does,
			covers: row.covers,
			positions: row.at,
			localClo: insulation.clo,
			airPermeability: row.p,
			waterGrade: row.water ?? 'none',
			fibre: row.fibre,
			girthSteps: row.girth ?? 0,
			roomSteps: row.room ?? USUAL_ROOM[group === 'head' ? 'head' : 'other'],
			massG: row.massG,
			packedL: row.litres,
			size: '',
			dexterity: row.dexterity ?? 'high',
			overBoots: row.overBoots ?? false,
			lensCategory: row.lens ?? 0,
			comfortTempC: row.comfortC ?? 20,
			bagScale: 'comfort',
			features: [...(row.features ?? [])],
			face: 'fresh',
			heightCm: row.height ?? 0,
			vapourResistance: usualVapourResistance(row.fibre, row.water ?? 'none', row.p),
			holdsL: row.holds ?? 0,
			watts: row.watts ?? 0,
			energyWh: row.wh ?? 0,
			endWorn: row.endWorn ?? usualEnd(row.slot),
			dryForNight: false,
			availableFrom: '',
			bagNumber: null,
			batteryCharge: null,
			wearDays:
				row.wears ??
				usualWearDays(
					row.fibre,
					row.does.includes('skin') && row.at[0] <= 1,
					group === 'feet',
					id === 'briefs' || id === 'singlet'
				)
		}
	};
}

/** Generic types of things, head to toe; no brands. Masses and litres are our assumptions for an adult size M. */
// Marked as pure, so that a page that asks for no type does not load them.
export const CATALOGUE: readonly CatalogueType[] = /* @__PURE__ */ CATALOGUE_GROUPS.flatMap((group) =>
	Object.entries(CATALOGUE_ROWS[group]).map(([id, row]) => typeOf(id, group, row))
);

const byId = /* @__PURE__ */ (() => new Map(CATALOGUE.map((type) => [type.id, type])))();

/**
 * The catalogue type of an id.
 * @throws RangeError when there is none
 */
export function catalogueType(id: string): CatalogueType {
	const type = byId.get(id);
	if (!type) throw new RangeError(`typeId is ${id}, allowed are the ids of the catalogue`);
	return type;
}
export const isCatalogueId = (id: string): boolean => byId.has(id);

/** The warmest that anyone could put on; what does not hold with these holds with nothing. */
export const WARMEST_TYPE_IDS: readonly string[] = [
	'balaclava',
	'hat-warm',
	'goggles',
	'singlet',
	'top-wool-mid',
	'fleece-thin',
	'fleece',
	'jacket-down-light',
	'hard-shell',
	'coat-down',
	'overmitt-down',
	'mitten',
	'glove-liner',
	'briefs',
	'bottoms-wool',
	'bottoms-fleece',
	'trousers-soft-shell',
	'trousers-hard-shell',
	'overtrousers-warm',
	'sock-heavy',
	'boot-pac'
];

/** Parts that a type covers at least half. */
export const partsCovered = (covers: Coverage): Part[] =>
	(Object.keys(covers) as Part[]).filter((part) => (covers[part] ?? 0) >= 0.5);
