import type { FrameWords, UnitsSheetWords } from '../guest/frame-words';

export const FRAME: FrameWords & UnitsSheetWords = {
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
};
