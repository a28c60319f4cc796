import type { SchoolId } from '../../core/document/schools';

interface SchoolWords {
	question: string;
	choices: Readonly<Record<string, string>>;
	why: string;
	/** temperatures of the text, °C, so that they are told in the reader’s units */
	valuesC?: Readonly<Record<string, number>>;
}

/** Where practitioners disagree: the question, what may be chosen, and why our default is what it is. */
export const SCHOOL_WORDS: Readonly<Record<SchoolId, SchoolWords>> = {
	skinFibre: {
		question: 'Fibre next to the skin',
		choices: { 'by stage': 'what the stage asks for', wool: 'wool', synthetic: 'synthetic' },
		why: 'Much sweat and stops want what dries fast, many days with little washing want wool; fire wants wool.'
	},
	fill: {
		question: 'Fill of warm layers',
		choices: { 'by wetness': 'by wetness', synthetic: 'synthetic only', down: 'down where there is some' },
		why: 'Dry and cold either serves; wet between {low} and {high} synthetic, unless a waterproof goes over it.',
		valuesC: { low: -5, high: 10 }
	},
	socks: {
		question: 'Socks',
		choices: { one: 'one pair', liner: 'liner and sock' },
		why: 'Two are never warmer by themselves; room and blisters may say otherwise.'
	},
	cotton: {
		question: 'Cotton',
		choices: { judged: 'judged by where, how wet and how long', never: 'never' },
		why: 'Next to the skin it is a danger in the cold; tight or waxed outermost it serves.'
	},
	midZip: {
		question: 'Zip of the mid layer',
		choices: {
			any: 'as it comes',
			full: 'full, where effort changes',
			none: 'none, nothing under the harness'
		},
		why: 'A full zip vents; who has one wears it, and nobody buys one for that alone.'
	},
	start: {
		question: 'Start of the day',
		choices: { cool: 'slightly cool', 'warm and shed': 'warm, and shed after the first rise' },
		why: 'What is sweated in the first half hour is paid for at the first stop.'
	},
	insulation: {
		question: 'Insulation',
		choices: { over: 'over everything, for stops', under: 'under the shell' },
		why: 'Over everything it goes on in a moment; under the shell it serves in long cold wind.'
	},
	rainLegs: {
		question: 'Rain legs',
		choices: {
			'by wetness': 'by wetness, time and effort',
			always: 'always',
			'accepted wet': 'wet legs are accepted on the move'
		},
		why: 'Accepted wet needs trousers that dry, a dry change and no long stop.'
	},
	shell: {
		question: 'The shell',
		choices: { carried: 'carried until wind or wet says so', worn: 'worn' },
		why: 'A membrane that is worn in the dry keeps the sweat in.'
	},
	weight: {
		question: 'Weight or durability',
		choices: { 'by terrain': 'by terrain', light: 'light', tough: 'tough' },
		why: 'Off the path and far from help cloth must last; elsewhere every gram is carried.'
	},
	lodgeFeet: {
		question: 'Feet on a walk from house to house',
		choices: { either: 'what the client has', boot: 'light boot', 'low shoe': 'low waterproof shoe' },
		why: 'A boot with snow, load or weak ankles; else the client’s own.'
	},
	washing: {
		question: 'Many clothes or washing',
		choices: { solved: 'worked out from wear, washing and drying', 'many clothes': 'no washing on the way' },
		why: 'What can be washed and is dry by morning need not be carried twice.'
	},
	wetSocks: {
		question: 'Wet socks',
		choices: {
			'keep one dry': 'wear the wet pair, keep one dry',
			'change at midday': 'change to dry at midday'
		},
		why: 'One dry pair for the night is what matters; more wet days in the cold are the danger.'
	},
	electric: {
		question: 'Electric heat',
		choices: { allowed: 'allowed, judged with the heat off', no: 'not used' },
		why: 'It is comfort: the verdict is made with the heat off.'
	},
	ears: {
		question: 'Ears',
		choices: { covered: 'covered in the cold', free: 'free to hear' },
		why: 'Cover is advised from {low} felt; who must hear leaves them free until skin can freeze.',
		valuesC: { low: -10 }
	},
	worst: {
		question: 'Carried for the worst',
		choices: {
			light: 'what half an hour of trouble asks for',
			no: 'nothing beside the plan',
			full: 'what every what-if asks for'
		},
		why: 'A glove or a coat more is light; a night out for everybody is not.'
	}
};
