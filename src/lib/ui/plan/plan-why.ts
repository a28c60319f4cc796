import { personOf } from '$lib/core/conditions/person';
import { reason } from '$lib/core/document/reasons';
import type { Client } from '$lib/core/document/types';
import { holdsWithoutOver } from '$lib/core/judge/what-helps';
import type { PlannedPhase } from '$lib/core/kit/planned-day';
import { clo, feltTitle, firstName, shortName, verdictSentence, verdictTag } from '$lib/words/labels';
import { message } from '$lib/words/message';
import { measureWords, type Units } from '$lib/words/units';
import type { Why } from '../parts/why.svelte';

/** What the figures of a planned phase stand on, as they are opened. */

/** Why a phase is judged as it is, for this client. */
export function whyVerdict(phase: PlannedPhase, client: Client): Why {
	const first = firstName(client.name);
	const { band } = phase;
	const without = holdsWithoutOver(phase, personOf(client));
	return {
		title: `${phase.cell.name}: ${verdictTag(phase)}`,
		sentence: verdictSentence(phase, first),
		lines: [
			...(phase.drawn.length > 0
				? [{ label: 'Worn, in this wind and movement', text: `${clo(phase.resultantClo)} clo` }]
				: []),
			...(phase.tooWarmAboveClo !== null
				? [{ label: 'Too warm here from', text: `${clo(phase.tooWarmAboveClo)} clo` }]
				: []),
			...(band
				? [
						{ label: `Holds these ${phase.cell.minutes} min from`, text: `${clo(band.holdClo)} clo` },
						{ label: 'Comfortable from', text: `${clo(band.needClo)} clo` },
						{ label: 'For good, slightly cool', text: `${clo(band.steadyMinClo)} clo` },
						{
							label: 'Holds for',
							text: phase.holdsMinutes === null ? 'no limit' : `${phase.holdsMinutes} min`
						},
						...(without
							? [
									{
										label: `The body without ${without.names.map(shortName).join(', ')}`,
										text:
											without.minutes === null
												? 'holds as well'
												: `holds ${without.minutes} of ${phase.cell.minutes} min`
									}
								]
							: [])
					]
				: [])
		],
		reasons: band
			? [
					...phase.reasons,
					reason('band', [['minutes', phase.cell.minutes, 'min']]),
					reason('supply', [
						['worn', phase.resultantClo, 'clo'],
						['airPastTheBody', phase.cell.airVelocityMs, 'm/s']
					]),
					reason('effort', [['effort', phase.cell.metabolicWm2, 'W/m²']])
				]
			: phase.reasons
	};
}

/** Why it feels in a phase as it does. */
export function whyFelt({ cell }: PlannedPhase, units: Units): Why {
	return {
		title: feltTitle(cell, units),
		sentence: message('why.felt', {
			air: measureWords({ value: cell.airVelocityMs, unit: 'm/s' }, units),
			effort: Math.round(cell.metabolicWm2)
		}),
		reasons: [
			cell.reasons.airTempC,
			cell.reasons.wind,
			cell.reasons.feltTempC,
			cell.reasons.wet,
			cell.reasons.altitude,
			cell.reasons.effort
		]
	};
}
