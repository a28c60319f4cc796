import type { Lending } from '../../core/remedy/lending/lending';
import { solvedAnswer } from './remedies-answer';

/** Who gets what, as the API answers it. */
export const lendingAnswer = ({ clients, cost, scarce, proven }: Lending) => ({
	clients: clients.map(({ clientId, loans, now, leftWrong, solves }) => ({
		clientId,
		loans,
		now,
		leftWrong,
		solves: solves.map(solvedAnswer)
	})),
	cost: Math.round(cost * 100) / 100,
	scarce,
	proven
});
