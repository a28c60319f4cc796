import { personOf } from '$lib/core/conditions/person';
import { reason } from '$lib/core/document/reasons';
import type { Client } from '$lib/core/document/types';
import { holdsWithoutOver } from '$lib/core/judge/what-helps';
import type { LimitedPart } from '$lib/core/judge/phase-verdict';
import type { PlannedPhase } from '$lib/core/kit/planned-day';
import { clo, feltTitle, firstName, shortName, verdictSentence, verdictTag } from '$lib/words/labels';
import { message } from '$lib/words/message';
import { measureWords, type Units } from '$lib/words/units';
import type { Why } from '../parts/why.svelte';

/** What the figures of a planned phase stand on, as they are opened. */

/** Parts with minutes of their own, as they are told. */
const PART_LIMITS = [
	['body', 'The whole body'],
	['hands', 'Fingers'],
	['feet', 'Toes']
] as const;
/** Minutes that something holds in a phase: "113 of 180 min", or more than are asked. */
const heldWords = (held: number, asked: number): string =>
	held < asked ? `${held} of ${asked} min` : `${held} min, these ${asked} and more`;
/** How long a part holds, roughly where the method does not reach. */
function limitWords({ limits, cell, indicative }: PlannedPhase, part: LimitedPart): string {
	const minutes = limits[part];
	return minutes === null ? 'no limit' : `${indicative ? 'roughly ' : ''}${heldWords(minutes, cell.minutes)}`;
}

/** What is wet at the end of a phase, and by what. */
const wetLines = ({ wet, outfit }: Pick<PlannedPhase, 'wet' | 'outfit'>): { label: string; text: string }[] =>
	wet.map(({ thingId, share, sweat }) => ({
		label: `Wet at the end: ${shortName(outfit.find(({ cloth }) => cloth.thingId === thingId)!.cloth.name)}`,
		text: `${Math.round(share * 100)} % full${sweat > share / 2 ? ', of sweat' : ''}`
	}));

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
						...wetLines(phase),
						...PART_LIMITS.map(([part, label]) => ({ label, text: limitWords(phase, part) })),
						...(without
							? [
									{
										label: `The body without ${without.names.map(shortName).join(', ')}`,
										text:
											without.minutes === null
												? 'holds as well'
												: `holds ${heldWords(without.minutes, phase.cell.minutes)}`
									}
								]
							: [])
					]
				: [])
		],
		reasons: band
			? [
					...phase.reasons,
					...(phase.wet.length > 0 ? [reason('water')] : []),
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

/** What a layer gives in a phase, and how wet it is there. */
export function whyLayer(
	phase: PlannedPhase,
	{ thingId, name, low, high }: { thingId: string; name: string; low: number; high: number }
): Why {
	const { cloth } = phase.outfit.find((layer) => layer.cloth.thingId === thingId)!;
	const wet = wetLines({ ...phase, wet: phase.wet.filter((one) => one.thingId === thingId) });
	return {
		title: name,
		sentence: message('why.layer', { clo: clo(high - low), phase: phase.cell.name }),
		lines: [
			{ label: 'Warmth where it covers, at rest in still air', text: `${clo(cloth.localClo)} clo` },
			...wet
		],
		reasons: [
			reason('supply', [
				['localInsulation', cloth.localClo, 'clo'],
				['airPermeability', cloth.airPermeability, 'l/(m²·s)'],
				['airPastTheBody', phase.cell.airVelocityMs, 'm/s'],
				['wholeOutfit', phase.resultantClo, 'clo']
			]),
			...(wet.length > 0 ? [reason('water')] : [])
		]
	};
}
