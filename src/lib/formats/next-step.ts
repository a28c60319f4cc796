/** What the next step needs to know of a trip. */
export interface TripState {
	id: string;
	stages: number;
	/** stages in which nothing happens yet */
	emptyStages: number;
	clients: readonly { id: string; name: string; things: number }[];
}
export interface Step {
	words: string;
	url: string;
}

const first = (name: string): string => name.split(' ')[0]!;

/** What is to be done next for a trip, in the order in which planners work: days, what happens, who, kit, plans. */
export function nextStep({ id, stages, emptyStages, clients }: TripState): Step {
	const trip = `/trips/${id}`;
	if (stages === 0) return { words: 'Add the days', url: trip };
	if (emptyStages > 0)
		return {
			words: `Say what happens on ${emptyStages === stages ? 'the days' : `${emptyStages} of ${stages} days`}`,
			url: trip
		};
	if (clients.length === 0) return { words: 'Put the clients on it', url: `${trip}#clients` };
	const unasked = clients.filter(({ things }) => things === 0);
	if (unasked.length > 0) {
		const others = unasked.length - 1;
		return {
			words: `Ask ${first(unasked[0]!.name)}${others > 0 ? ` and ${others} more` : ''} what they own`,
			url: `/clients/${unasked[0]!.id}`
		};
	}
	return { words: 'Look through the layer plans', url: `${trip}/plan/${clients[0]!.id}` };
}
