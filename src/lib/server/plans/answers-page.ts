import { getDocument } from '../db/clients';
import { addressesOf } from '../db/guests/addresses';
import { homeTestsOf } from '../db/guests/home-tests';
import { houseQuestions } from '../db/guests/house-questions';
import { linksOn } from '../db/guests/links';
import { mailOn } from '../db/guests/mail';
import { photosOf } from '../db/guests/photos';
import { allAnswersOn } from '../db/guests/questions';
import { isSimulated } from '../mail/send-mail';
import { lookAgain, marksOn, notesOn } from '../db/guests/said';

/** What the clients of a trip say by their links, for whoever of the house looks. @throws NotFoundError */
export async function answersOn(houseId: string, tripId: string, accountId: string | null) {
	const { trip, clients } = await getDocument(houseId, tripId);
	const ids = clients.map(({ id }) => id);
	const [links, tests, photos, mail, sent, answers, asked, marks, notes, before] = await Promise.all([
		linksOn(tripId),
		homeTestsOf(ids),
		photosOf(ids),
		addressesOf(ids),
		mailOn(tripId),
		allAnswersOn(tripId),
		houseQuestions(houseId),
		marksOn(tripId),
		notesOn(tripId),
		accountId ? lookAgain(tripId, accountId) : null
	]);
	const isNew = (at: string): boolean => before !== null && at > before;
	return {
		isMailSimulated: isSimulated(),
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
				mail: mail.get(id) ?? null,
				/** mail that went out, the newest first */
				sent: sent.filter(({ clientId }) => clientId === id),
				/** answers to questions of the house */
				answers: asked.flatMap((question) => {
					const answer = answers.get(id)?.get(question.id);
					return answer ? [{ id: question.id, question: question.english, answer }] : [];
				}),
				asked: answers.get(id)?.size ?? 0,
				/** parts of the home test that did not go well */
				failed: tests
					.get(id)!
					.filter(({ result }) => result === 'fail')
					.flatMap(({ thingId, part }) => {
						const thing = names.get(thingId);
						return thing ? [{ thing, part }] : [];
					}),
				tested: tests.get(id)!.filter(({ result }) => result !== 'not done').length,
				photos: photos.get(id)!.map((photo) => ({
					...photo,
					thing: names.get(photo.thingId) ?? '',
					isNew: isNew(photo.cameAt)
				})),
				/** a question that nobody has answered yet */
				isWaiting: said.at(-1)?.saidBy === 'client',
				news:
					own.filter(({ cameAt }) => isNew(cameAt)).length +
					photos.get(id)!.filter(({ cameAt }) => isNew(cameAt)).length,
				last: own.at(-1)?.cameAt ?? null
			};
		})
	};
}
