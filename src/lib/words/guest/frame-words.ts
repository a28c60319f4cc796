/** The few words that stand around every page. A page in another language brings its own; the rest carry English only. */
export const FRAME = {
	skip: 'To the content',
	menu: 'Menu',
	dark: 'Dark',
	light: 'Light',
	units: 'Units',
	going: 'Working it out …'
} as const;
/** Those of the sheet where one chooses units, which few open. */
export const UNITS_SHEET = {
	temp: 'Temperature',
	height: 'Height',
	speed: 'Wind and speed',
	mass: 'Weight',
	date: 'Dates',
	own: 'For you alone, on this browser. What is stored does not change.'
} as const;
export type FrameWords = Readonly<Record<keyof typeof FRAME, string>>;
export type UnitsSheetWords = Readonly<Record<keyof typeof UNITS_SHEET, string>>;
