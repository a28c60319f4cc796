import type { Remedies, Rung, SolvedMoment } from '../../core/remedy/remedies';
import type { WrongMoment } from '../../core/remedy/moments';

/** What to get, as the API answers it. */

const momentAnswer = ({ weather, stageId, foul, phaseId, round }: SolvedMoment | WrongMoment) => ({
	weather,
	stageId,
	foul,
	phaseId,
	round
});
export const solvedAnswer = (moment: SolvedMoment) => ({
	...momentAnswer(moment),
	from: moment.from,
	to: moment.to
});
const rungAnswer = ({ add, leftWrong, cost, massG, solves, instead }: Rung) => ({
	add,
	leftWrong,
	cost: Math.round(cost * 100) / 100,
	massG: Math.round(massG),
	solves: solves.map(solvedAnswer),
	instead
});

export const remediesAnswer = (clientId: string, remedies: Remedies) => ({
	clientId,
	now: remedies.now,
	cannotStartWithout: remedies.cannotStartWithout,
	ladder: remedies.ladder.map(rungAnswer),
	beyondClothes: remedies.beyondClothes.map((moment) => ({
		...momentAnswer(moment),
		verdict: moment.verdict,
		holdsMinutes: moment.holdsMinutes
	})),
	proven: remedies.proven,
	bound: remedies.bound
});
