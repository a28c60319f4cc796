import { guestMessage, type Language } from './guest-words';

const PARTS = ['sleep', 'feet', 'legs', 'torso'] as const;

/** What a day cannot start without, in a few words. */
export function needWords(
	language: Language,
	{ code, part, about }: { code: string; part: string; about: string }
): string {
	if (code === 'wrongFootwear') return guestMessage(language, 'need.footwear');
	const missing = code === 'missing' ? PARTS.find((one) => one === part) : undefined;
	return missing
		? guestMessage(language, `need.${missing}`)
		: guestMessage(language, 'need.gear', { gear: about || part });
}
