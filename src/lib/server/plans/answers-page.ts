import { getDocument } from '../db/clients';
import { linksOn } from '../db/guests/links';
import { lookAgain, marksOn, notesOn } from '../db/guests/said';

/** What the clients of a trip say by their links, for whoever of the house looks. @throws NotFoundError */
export async function answersOn(houseId: string, tripId: string, accountId: string | null) {
	const { trip, clients } = await getDocument(houseId, tripId);
	const [links, marks, notes, before] = await Promise.all([
		linksOn(tripId),
		marksOn(tripId),
		notesOn(tripId),
		accountId ? lookAgain(tripId, accountId) : null
	]);
	const isNew = (at: string): boolean => before !== null && at > before;
	return {
		trip: { id: trip.id, name: trip.name, dates: trip.stages.map(({ date }) => date).sort() },
		clients: clients.map(({ id, name, things }) => {
			const own = marks.get(id) ?? [];
			const names = new Map(things.map((thing) => [thing.id, thing.name]));
			const many = (mark: string): number => own.filter((one) => one.mark === mark).length;
			const said = notes.get(id) ?? [];
			return {
				id,
				name,
				link: links.get(id) ?? null,
				packed: many('packed'),
				has: many('have'),
				toGet: own
					.filter(({ mark }) => mark === 'to get')
					.map(({ lineId }) => names.get(lineId) ?? lineId.replace(/^\w+-/, '')),
				notes: said.map((note) => ({ ...note, isNew: note.saidBy === 'client' && isNew(note.saidAt) })),
				/** a question that nobody has answered yet */
				isWaiting: said.at(-1)?.saidBy === 'client',
				news: own.filter(({ cameAt }) => isNew(cameAt)).length,
				last: own.at(-1)?.cameAt ?? null
			};
		})
	};
}
