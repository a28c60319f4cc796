/** The few words that stand around every page, in the languages of the client's page; few, since every page carries them. */
const FRAME_WORDS = {
	en: {
		skip: 'To the content',
		menu: 'Menu',
		dark: 'Dark',
		light: 'Light',
		units: 'Units',
		going: 'Working it out …',
		temp: 'Temperature',
		height: 'Height',
		speed: 'Wind and speed',
		mass: 'Weight',
		date: 'Dates',
		own: 'For you alone, on this browser. What is stored does not change.'
	},
	de: {
		skip: 'Zum Inhalt',
		menu: 'Menü',
		dark: 'Dunkel',
		light: 'Hell',
		units: 'Einheiten',
		going: 'Wird ausgerechnet …',
		temp: 'Temperatur',
		height: 'Höhe',
		speed: 'Wind und Tempo',
		mass: 'Gewicht',
		date: 'Datum',
		own: 'Nur für dich, in diesem Browser. Was gespeichert ist, ändert sich nicht.'
	}
} as const;
export type FrameWords = Readonly<Record<keyof (typeof FRAME_WORDS)['en'], string>>;

/** @param language of the page; a page that names none is in English */
export const frameWords = (language: unknown): FrameWords => FRAME_WORDS[language === 'de' ? 'de' : 'en'];
