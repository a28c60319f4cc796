import type { SchoolId } from '../../core/document/schools';

/** Why our default is what it is; told where one chooses, and nowhere else. */
export const SCHOOL_WHYS: Readonly<
	Record<
		SchoolId,
		{
			why: string;
			/** temperatures of the text, °C, so that they are told in the reader’s units */
			valuesC?: Readonly<Record<string, number>>;
		}
	>
> = {
	skinFibre: {
		why: 'Much sweat and stops want what dries fast, many days with little washing want wool; fire wants wool.'
	},
	fill: {
		why: 'Dry and cold either serves; wet between {low} and {high} synthetic, unless a waterproof goes over it.',
		valuesC: { low: -5, high: 10 }
	},
	socks: { why: 'Two are never warmer by themselves; room and blisters may say otherwise.' },
	cotton: { why: 'Next to the skin it is a danger in the cold; tight or waxed outermost it serves.' },
	midZip: { why: 'A full zip vents; who has one wears it, and nobody buys one for that alone.' },
	start: { why: 'What is sweated in the first half hour is paid for at the first stop.' },
	insulation: { why: 'Over everything it goes on in a moment; under the shell it serves in long cold wind.' },
	rainLegs: { why: 'Accepted wet needs trousers that dry, a dry change and no long stop.' },
	shell: { why: 'A membrane that is worn in the dry keeps the sweat in.' },
	weight: { why: 'Off the path and far from help cloth must last; elsewhere every gram is carried.' },
	lodgeFeet: { why: 'A boot with snow, load or weak ankles; else the client’s own.' },
	washing: { why: 'What can be washed and is dry by morning need not be carried twice.' },
	wetSocks: { why: 'One dry pair for the night is what matters; more wet days in the cold are the danger.' },
	electric: { why: 'It is comfort: the verdict is made with the heat off.' },
	ears: {
		why: 'Cover is advised from {low} felt; who must hear leaves them free until skin can freeze.',
		valuesC: { low: -10 }
	},
	worst: { why: 'A glove or a coat more is light; a night out for everybody is not.' }
};
