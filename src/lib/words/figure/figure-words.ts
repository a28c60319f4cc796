import { pictureMessage } from './picture-message';
import type { Part } from '../../core/document/parts';
import type { GroupPart } from '../../core/plan/told/group';
import { capital, listed, small } from '../message';

/** What the drawn figure shows, in words. */

const PART_WORDS: Readonly<Record<Part, string>> = {
	eyes: 'eyes',
	face: 'face',
	ears: 'ears and head',
	neck: 'neck',
	torso: 'torso',
	arms: 'arms',
	hands: 'fingers',
	thighs: 'thighs',
	calves: 'calves',
	feet: 'toes'
};
/** Columns of a group by part of the body. */
export const PART_NAMES: Readonly<Record<GroupPart, string>> = {
	body: 'Whole body',
	face: 'Head and neck',
	hands: 'Hands',
	legs: 'Legs',
	feet: 'Feet',
	sleep: 'Sleep'
};
type MarkKind = 'missing' | 'not asked' | 'cool' | 'short';

/** "face: nothing on it", "toes get cold". */
export const markWords = ({ part, kind }: { part: Part; kind: MarkKind }): string =>
	pictureMessage('figure.mark', { part: PART_WORDS[part], kind: kind === 'not asked' ? 'unasked' : kind });

/**
 * The figure read aloud: what is on from the skin out, what is put on now, and what is wrong.
 * @param worn names from the skin out @param on names of what is put on at this moment
 */
export function figureSentence(
	who: string,
	worn: readonly string[],
	on: readonly string[],
	marks: readonly { part: Part; kind: MarkKind }[]
): string {
	return [
		worn.length === 0
			? pictureMessage('figure.bare', { who })
			: pictureMessage('figure.worn', { who, things: listed(worn.map(small)) }),
		...(on.length > 0 ? [pictureMessage('figure.on', { things: listed(on.map(small)) })] : []),
		...(marks.length > 0 ? [`${capital(listed(marks.map(markWords)))}.`] : [])
	].join(' ');
}
