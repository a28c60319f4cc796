import { type Cloth, covers } from '../cloth/things';
import type { Finding } from '../document/finding';
import { reason } from '../document/reasons';
import { WET_FROM, type Wetness } from '../heat/wet-cloth';
import { at, type JudgedPhase, type StageFacts } from './finding';

/** What a guide is told in the morning: what is worn wet; damp shells and the like are nothing to speak of. */
export function wetMorningFinding(
	facts: Pick<StageFacts, 'client' | 'weather'>,
	phases: readonly JudgedPhase[],
	kit: readonly Cloth[],
	morning: Wetness
): Finding[] {
	const first = phases.find(({ cell }) => cell.kind !== 'what-if' && cell.kind !== 'sleep');
	const wet = kit.filter(
		(cloth) => (morning.get(cloth.thingId) ?? 0) >= WET_FROM && !cloth.functions.includes('weather')
	);
	const socks = wet.filter((cloth) => covers(cloth, 'feet'));
	if (!first || wet.length === 0) return [];
	const cold = socks.length > 0 && first.cell.airTempC <= 10;
	return [
		{
			code: 'wet-morning',
			severity: cold ? 'warning' : 'note',
			...at(facts, first),
			part: cold ? 'feet' : 'torso',
			thingIds: wet.map(({ thingId }) => thingId),
			values: { feet: cold ? 'cold' : 'no' },
			reasons: [
				reason(
					'overnight',
					wet.map((cloth) => [
						'wetShare',
						Math.round(morning.get(cloth.thingId)! * 100),
						'%',
						{ of: cloth.name }
					])
				)
			]
		}
	];
}
