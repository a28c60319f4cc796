import { catalogueType } from '../cloth/catalogue';
import { CATALOGUE_GROUPS, type CatalogueGroup } from '../cloth/catalogue-rows';
import type { Finding } from '../document/finding';
import { gathered } from '../judge/findings';
import type { Client, Stage } from '../document/types';
import { type Count, mostCounts, tooFew } from './counting';
import type { PlannedStage } from './planned-day';

/** One line of a client's list. */
interface ListLine {
	thingId: string;
	name: string;
	inPairs: boolean;
	/** how many of them the client has */
	has: number;
	assumed: boolean;
	/** ids of the stages on which it is worn or slept in */
	stageIds: string[];
	/** worn when the first stage on which it goes along begins */
	wornAtStart: boolean;
}

interface ClothingList {
	groups: { group: CatalogueGroup; lines: ListLine[] }[];
	/** what is wrong or missing, worst first, each once */
	gaps: Finding[];
	/** what nobody has asked */
	questions: Finding[];
	/** how many of each kind, against what the client has */
	counts: Count[];
}

/** What a client brings: everything that any plan of the trip uses, head to toe, and what is still open. */
export function listOf(
	client: Client,
	planned: readonly PlannedStage[],
	trip: readonly Stage[]
): ClothingList {
	const lines = client.things.flatMap((thing): ListLine[] => {
		const isGear =
			catalogueType(thing.typeId).group === 'other' &&
			(thing.quantity.state === 'has' || thing.quantity.state === 'assumed') &&
			(thing.quantity.value ?? 0) > 0;
		const stages = planned.filter(({ takenIds }) => isGear || takenIds.includes(thing.id));
		if (stages.length === 0) return [];
		const begins =
			stages[0]!.phases.find(({ cell }) => cell.kind !== 'indoors' && !cell.heated) ?? stages[0]!.phases[0];
		return [
			{
				thingId: thing.id,
				name: thing.name,
				inPairs: thing.inPairs,
				has: thing.quantity.value ?? 1,
				assumed: thing.quantity.state === 'assumed',
				stageIds: [...new Set(stages.map(({ stageId }) => stageId))],
				wornAtStart: begins?.outfit.some(({ cloth }) => cloth.thingId === thing.id) ?? false
			}
		];
	});
	const groupOf = (line: ListLine): CatalogueGroup =>
		catalogueType(client.things.find(({ id }) => id === line.thingId)!.typeId).group;
	const counts = mostCounts(trip, planned, client);
	const once = gathered([
		...planned.flatMap(({ findings }) => findings),
		...tooFew(counts, client.id, planned[0]?.weather ?? '')
	]);
	return {
		groups: CATALOGUE_GROUPS.map((group) => ({
			group,
			lines: lines.filter((line) => groupOf(line) === group)
		})).filter(({ lines: own }) => own.length > 0),
		gaps: once.filter(({ severity }) => severity !== 'note'),
		questions: once.filter(({ code }) => code === 'not-asked'),
		counts
	};
}
