import {
	KIND_WORDS,
	PLACE_WORDS,
	PRECIPITATION_WORDS,
	clock,
	effortWords,
	shortDate
} from '$lib/words/labels';
import { type Units, tempWords, withUnit } from '$lib/words/units';
import type { Column } from './trip-view';

/** How light it is in a phase, in a word. */
export function lightWords(column: Column): string {
	return column.cell.light === 'dark' ? 'dark' : column.cell.light === 'twilight' ? 'twilight' : 'daylight';
}
function rangeWords({ others }: Column, units: Units): string {
	const all = others.map(({ airTempC }) => airTempC);
	const [low, high] = [tempWords(Math.min(...all), units), tempWords(Math.max(...all), units)];
	return low === high ? '' : ` (${low} to ${high} in the three weathers)`;
}
/** Everything of a phase in one line: the readout under the drawing, and what a screen reader says. */
export function columnWords(column: Column, units: Units, manyDays: boolean): string {
	const { cell } = column;
	return [
		`${manyDays ? `${shortDate(column.stage.date, units)}, ` : ''}${clock(cell.startMin)} to ${clock(cell.startMin + cell.minutes)} ${cell.name}${cell.round > 1 ? `, round ${cell.round}` : ''}`,
		withUnit('height', cell.altitudeM, units),
		`${tempWords(cell.airTempC, units)}${rangeWords(column, units)}`,
		Math.round(cell.feltTempC) < Math.round(cell.airTempC) ? `feels ${tempWords(cell.feltTempC, units)}` : '',
		cell.heated ? '' : `wind ${withUnit('speed', cell.wind10mKmh, units)}, ${PLACE_WORDS[cell.place]}`,
		PRECIPITATION_WORDS[cell.precipitation],
		cell.kind === 'sleep' ? 'asleep' : `${KIND_WORDS[cell.kind]}, effort ${effortWords(cell.metabolicWm2)}`,
		lightWords(column)
	]
		.filter((part) => part !== '')
		.join(' · ');
}
