import { IntlMessageFormat } from 'intl-messageformat';
import { ASK_MESSAGES } from './en/ask-messages';
import { CAUTION_MESSAGES } from './en/caution-messages';
import { GET_MESSAGES } from './en/get-messages';
import { MESSAGES } from './en/messages';
import { PICTURE_MESSAGES } from './en/picture-messages';

/** Every message in English, of whichever catalogue. */
export const EVERY_MESSAGE = {
	...MESSAGES,
	...CAUTION_MESSAGES,
	...ASK_MESSAGES,
	...GET_MESSAGES,
	...PICTURE_MESSAGES
};

/** What stands for a value when a message is read without figures. */
const SAMPLES: Readonly<Record<string, string>> = {
	who: 'Teo',
	where: '“Top” on day 2',
	phase: 'Top',
	phases: 'Top and Tea',
	thing: 'soft shell',
	under: 'fleece',
	other: 'rain shell',
	things: 'soft shell and fleece',
	held: '12',
	minutes: '18 min',
	air: '−12 °C',
	felt: '−19 °C',
	from: '5',
	to: '10 min',
	price: 'It costs nothing: as warm, as few changes, as light.'
};

type Element = ReturnType<IntlMessageFormat['getAst']>[number];
interface Option {
	value: Element[];
}
const hasOptions = (
	element: Element
): element is Element & { value: string; options: Record<string, Option> } => 'options' in element;

/** The texts that a list of elements can become, each branch once. */
function textsOf(elements: readonly Element[], number: string): string[] {
	return elements.reduce<string[]>(
		(before, element) => {
			const next = hasOptions(element)
				? Object.entries(element.options).flatMap(([key, { value }]) =>
						textsOf(value, key.replace(/^=/, '').replace('one', '1').replace('other', '3'))
					)
				: 'value' in element && element.type === 0
					? [String(element.value)]
					: 'value' in element
						? [SAMPLES[String(element.value)] ?? String(element.value)]
						: [number];
			return before.flatMap((start) => next.map((end) => start + end));
		},
		['']
	);
}

/** Every sentence that a message can become, with samples in place of its values. */
export const branchesOf = (text: string): string[] => [
	...new Set(textsOf(new IntlMessageFormat(text, 'en-GB', undefined, { ignoreTag: true }).getAst(), '3'))
];
