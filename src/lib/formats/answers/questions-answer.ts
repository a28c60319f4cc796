import type { Interview } from '../../core/questions/interview';

/** What to ask, as the API answers it. */
export const questionsAnswer = (clientId: string, { questions, isEnough, needless }: Interview) => ({
	clientId,
	questions: questions.map(({ id, typeIds, likely, worth, changes }) => ({
		id,
		/** any one of these answers it; the first is what a plain yes stands for */
		facts: typeIds.map((typeId) => ({ typeId })),
		likely,
		worth: Math.round(worth * 1000) / 1000,
		changes
	})),
	nothingMore: isEnough,
	needless
});
