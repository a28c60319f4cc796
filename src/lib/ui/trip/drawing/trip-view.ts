import { type Cell, cellsOf, daylightOf, foulStage } from '$lib/core/conditions/cells';
import type { Site, Stage, Weather } from '$lib/core/document/types';
import { type Caution, cautionsOf } from '$lib/core/rules/cautions';
import type { Daylight } from '$lib/core/weather/daylight';

/** What a stage is like, in all weathers of the trip. */
export interface StageView {
	stage: Stage;
	daylight: Daylight | null;
	/** by weather, the phases that are lived, in order */
	lived: Cell[][];
	/** by weather, what-ifs too */
	cells: Cell[][];
	/** by weather */
	cautions: Caution[][];
}

/** Everything that the page shows of a stage. @throws RangeError while a figure is out of its range */
export function stageView(
	stage: Stage,
	weathers: readonly Weather[],
	site: Site | null,
	foul: boolean
): StageView {
	const shown = (foul && foulStage(stage)) || stage;
	const cells = weathers.map((weather) => cellsOf(shown, weather, site));
	return {
		stage: shown,
		daylight: daylightOf(shown, site),
		cells,
		lived: cells.map((all) => all.filter(({ kind }) => kind !== 'what-if')),
		cautions: cells.map((all) => cautionsOf({ stage: shown, site, cells: all }))
	};
}

/** One column of the drawing: a phase, with the same phase in the other weathers. */
export interface Column {
	view: number;
	stage: Stage;
	daylight: Daylight | null;
	/** in the weather that is shown */
	cell: Cell;
	/** the same phase in every weather */
	others: Cell[];
	left: number;
	right: number;
}

const NARROWEST = { day: 22, trip: 8 } as const;
const STAGE_GAP = 10;

/** Columns of some stages, fitted to a width: they grow slower than minutes, so that a short stop is no sliver. */
export function columnsOf(views: readonly StageView[], weather: number, width: number): Column[] {
	const cells = views.flatMap((view, index) =>
		(view.lived[weather] ?? []).map((cell, k) => ({
			view,
			index,
			cell,
			others: view.lived.map((one) => one[k]!)
		}))
	);
	const narrowest = views.length > 1 ? NARROWEST.trip : NARROWEST.day;
	const weights = cells.map(({ cell }) => Math.min(12, Math.max(3, Math.sqrt(cell.minutes))));
	const total = weights.reduce((a, b) => a + b, 0) || 1;
	const gaps = STAGE_GAP * Math.max(0, views.length - 1);
	const spare = Math.max(0, width - gaps - narrowest * cells.length);
	let x = 0;
	return cells.map(({ view, index, cell, others }, i) => {
		if (i > 0 && cells[i - 1]!.index !== index) x += STAGE_GAP;
		const left = x;
		x += narrowest + (spare * weights[i]!) / total;
		return { view: index, stage: view.stage, daylight: view.daylight, cell, others, left, right: x };
	});
}

/** Where a time of the day lies in the columns of one stage, px; null when it is outside of them. */
export function timeAt(columns: readonly Column[], timeMin: number): number | null {
	for (const { cell, left, right } of columns) {
		for (const time of [timeMin, timeMin + 1440]) {
			const share = (time - cell.startMin) / cell.minutes;
			if (share >= 0 && share <= 1) return left + share * (right - left);
		}
	}
	return null;
}
