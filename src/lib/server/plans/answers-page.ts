import { getDocument } from '../db/clients';
import { addressesOf } from '../db/guests/addresses';
import { homeTestsOf } from '../db/guests/home-tests';
import { houseQuestions } from '../db/guests/house-questions';
import { linksOn, type LinkState } from '../db/guests/links';
import { mailOn } from '../db/guests/mail';
import { photosOf } from '../db/guests/photos';
import { allAnswersOn } from '../db/guests/questions';
import { isSimulated } from '../mail/send-mail';
import { lookAgain, marksOn, notesOn } from '../db/guests/said';

interface Step {
	/** ISO time */
	at: string;
	what: string;
}
/** Steps that a trail shows. */
const MOST_STEPS = 60;
/** What has happened on a client's page, the newest first. */
function trailOf(steps: readonly Step[], link: LinkState | undefined): Step[] {
	const ofLink: Step[] = link
		? [
				{ at: link.madeAt, what: `link made by ${link.madeBy}` },
				...(link.openedAt ? [{ at: link.openedAt, what: 'link opened' }] : []),
				...(link.seenAt ? [{ at: link.seenAt, what: 'last here' }] : [])
			]
		: [];
	return [...steps, ...ofLink].sort((a, b) => b.at.localeCompare(a.at)).slice(0, MOST_STEPS);
}

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
		clients: clients.map(({ id, name, things, language }) => {
			const own = marks.get(id) ?? [];
			const names = new Map(things.map((thing) => [thing.id, thing.name]));
			const many = (mark: string): number => own.filter((one) => one.mark === mark).length;
			const said = notes.get(id) ?? [];
			return {
				id,
				name,
				/** language of letters and of the page; null where nobody has asked */
				reads: language.value,
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
				last: own.at(-1)?.cameAt ?? null,
				trail: trailOf(
					[
						...own.map(({ lineId, mark, cameAt }) => ({
							at: cameAt,
							what: `${names.get(lineId) ?? lineId.replace(/^\w+-/, '')}: ${mark}`
						})),
						...photos.get(id)!.map(({ thingId, cameAt }) => ({
							at: cameAt,
							what: `photo of ${names.get(thingId) ?? 'a thing'}`
						})),
						...sent
							.filter(({ clientId }) => clientId === id)
							.map(({ sentAt, subject }) => ({ at: sentAt, what: `mail: ${subject}` })),
						...said.map(({ saidAt, saidBy, text }) => ({
							at: saidAt,
							what: `${saidBy === 'client' ? 'asks' : 'is answered'}: ${text}`
						}))
					],
					links.get(id)
				)
			};
		})
	};
}
