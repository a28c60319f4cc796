/** What the next step needs to know of a trip. */
export interface TripState {
	id: string;
	stages: number;
	/** stages in which nothing happens yet */
	emptyStages: number;
	clientCount: number;
	unaskedCount: number;
	/** the first of those of whom nobody has asked what they own */
	unasked: { id: string; name: string } | null;
	clients: readonly { id: string }[];
}
export interface Step {
	words: string;
	url: string;
}

const first = (name: string): string => name.split(' ')[0]!;

/** What is to be done next for a trip, in the order in which planners work: days, what happens, who, kit, plans. */
export function nextStep(trip: TripState): Step {
	const { id, stages, emptyStages, clientCount, unaskedCount, unasked, clients } = trip;
	const url = `/trips/${id}`;
	if (stages === 0) return { words: 'Add the days', url };
	if (emptyStages > 0)
		return {
			words: `Say what happens on ${emptyStages === stages ? 'the days' : `${emptyStages} of ${stages} days`}`,
			url
		};
	if (clientCount === 0) return { words: 'Put the clients on it', url: `${url}#clients` };
	if (unasked) {
		const others = unaskedCount - 1;
		return {
			words: `Ask ${first(unasked.name)}${others > 0 ? ` and ${others} more` : ''} what they own`,
			url: `/clients/${unasked.id}`
		};
	}
	return { words: 'Look through the layer plans', url: `${url}/plan/${clients[0]!.id}` };
}
