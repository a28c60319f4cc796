import type { PhaseVerdict } from '../../core/judge/phase-verdict';
import type { Weather } from '../../core/document/types';
import { measureWords, METRIC } from '../units';
import { pictureMessage } from './picture-message';

/** What a stack of clothes comes to, in the few words that stand on it; nothing where it is not judged. */
export function stackTag({ verdict, holdsMinutes, cell }: PhaseVerdict): string {
	if (verdict === 'not judged yet') return '';
	return pictureMessage(`stack.${verdict.replaceAll(' ', '-')}` as 'stack.short', {
		held: holdsMinutes ?? 0,
		minutes: measureWords({ value: cell.minutes - (holdsMinutes ?? 0), unit: 'min' }, METRIC)
	});
}

/** How a phase goes in another weather: "Cold snap: 12 min short". @param own the same phase in the weather that is looked at */
export const inWeatherSentence = (
	weather: Weather,
	other: PhaseVerdict,
	own: Pick<PhaseVerdict, 'verdict'>
): string =>
	pictureMessage('readout.weather', {
		weather: weather.name,
		same: other.verdict === own.verdict && other.verdict !== 'short' ? 'yes' : 'no',
		verdict: other.verdict === 'not judged yet' ? 'right' : other.verdict,
		words: stackTag(other)
	});
