import type { SchoolId } from '../../core/document/schools';

interface SchoolWords {
	question: string;
	choices: Readonly<Record<string, string>>;
}

/** Where practitioners disagree: the question, and what may be chosen. */
export const SCHOOL_WORDS: Readonly<Record<SchoolId, SchoolWords>> = {
	skinFibre: {
		question: 'Fibre next to the skin',
		choices: { 'by stage': 'what the stage asks for', wool: 'wool', synthetic: 'synthetic' }
	},
	fill: {
		question: 'Fill of warm layers',
		choices: { 'by wetness': 'by wetness', synthetic: 'synthetic only', down: 'down where there is some' }
	},
	socks: {
		question: 'Socks',
		choices: { one: 'one pair', liner: 'liner and sock' }
	},
	cotton: {
		question: 'Cotton',
		choices: { judged: 'judged by where, how wet and how long', never: 'never' }
	},
	midZip: {
		question: 'Zip of the mid layer',
		choices: {
			any: 'as it comes',
			full: 'full, where effort changes',
			none: 'none, nothing under the harness'
		}
	},
	start: {
		question: 'Start of the day',
		choices: { cool: 'slightly cool', 'warm and shed': 'warm, and shed after the first rise' }
	},
	insulation: {
		question: 'Insulation',
		choices: { over: 'over everything, for stops', under: 'under the shell' }
	},
	rainLegs: {
		question: 'Rain legs',
		choices: {
			'by wetness': 'by wetness, time and effort',
			always: 'always',
			'accepted wet': 'wet legs are accepted on the move'
		}
	},
	shell: {
		question: 'The shell',
		choices: { carried: 'carried until wind or wet says so', worn: 'worn' }
	},
	weight: {
		question: 'Weight or durability',
		choices: { 'by terrain': 'by terrain', light: 'light', tough: 'tough' }
	},
	lodgeFeet: {
		question: 'Feet on a walk from house to house',
		choices: { either: 'what the client has', boot: 'light boot', 'low shoe': 'low waterproof shoe' }
	},
	washing: {
		question: 'Many clothes or washing',
		choices: { solved: 'worked out from wear, washing and drying', 'many clothes': 'no washing on the way' }
	},
	wetSocks: {
		question: 'Wet socks',
		choices: {
			'keep one dry': 'wear the wet pair, keep one dry',
			'change at midday': 'change to dry at midday'
		}
	},
	electric: {
		question: 'Electric heat',
		choices: { allowed: 'allowed, judged with the heat off', no: 'not used' }
	},
	ears: {
		question: 'Ears',
		choices: { covered: 'covered in the cold', free: 'free to hear' }
	},
	worst: {
		question: 'Carried for the worst',
		choices: {
			light: 'what half an hour of trouble asks for',
			no: 'nothing beside the plan',
			full: 'what every what-if asks for'
		}
	}
};
