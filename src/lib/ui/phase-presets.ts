import type { Phase } from '$lib/core/document/types';

/** Phases that a planner adds with one press: sustained effort of a guided group (our assumption). */
export const PHASE_PRESETS: readonly (Pick<Phase, 'kind' | 'minutes' | 'effortWm2' | 'place'> & {
	name: string;
	ownSpeedKmh?: number;
	marks?: Phase['marks'];
})[] = [
	{ name: 'Climb', kind: 'move', minutes: 60, effortWm2: 280, place: 'slope' },
	{ name: 'Walk', kind: 'move', minutes: 60, effortWm2: 190, place: 'slope' },
	{ name: 'Descent on foot', kind: 'move', minutes: 60, effortWm2: 165, place: 'slope' },
	{
		name: 'Run down',
		kind: 'move',
		minutes: 30,
		effortWm2: 250,
		place: 'slope',
		ownSpeedKmh: 12,
		marks: ['snow-contact']
	},
	{ name: 'Change-over', kind: 'stop', minutes: 12, effortWm2: 95, place: 'ridge', marks: ['fiddly'] },
	{ name: 'Rest', kind: 'stop', minutes: 20, effortWm2: 75, place: 'lee' },
	{ name: 'Wait', kind: 'stop', minutes: 20, effortWm2: 80, place: 'slope' },
	{ name: 'Drive', kind: 'ride', minutes: 30, effortWm2: 65, place: 'in' },
	{ name: 'Evening indoors', kind: 'indoors', minutes: 180, effortWm2: 70, place: 'in' },
	{ name: 'Night', kind: 'sleep', minutes: 540, effortWm2: 45, place: 'in' },
	{ name: 'What if: partner hurt', kind: 'what-if', minutes: 120, effortWm2: 75, place: 'slope' }
];
