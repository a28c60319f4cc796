<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { cellName } from '$lib/core/conditions/cell-name';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import { tempWords } from '$lib/words/units';
	import { clock, duration, shortName, verdictSentence, verdictTag } from '$lib/words/labels';
	import { factorOf, type Factor } from '$lib/core/cloth/factors';
	import { readerUnits } from '../parts/reader-units';
	import { toneOf } from '../parts/tone';
	import VerdictTag from '../parts/VerdictTag.svelte';

	interface Props {
		phases: readonly PlannedPhase[];
		clientName: string;
		onwhy: (phase: PlannedPhase) => void;
	}
	let { phases, clientName, onwhy }: Props = $props();
	const units = $derived(readerUnits());
	const ROWS: readonly (readonly [Factor, string])[] = [
		['head', 'Head'],
		['eyes', 'Eyes'],
		['trunk', 'Torso'],
		['hands', 'Hands'],
		['legs', 'Legs'],
		['feet', 'Feet']
	];
	const layers = (phase: PlannedPhase, factor: Factor): PlannedPhase['outfit'] =>
		phase.outfit.filter(({ cloth }) => factorOf(cloth) === factor).toReversed();
	const wornIn = ({ outfit }: PlannedPhase): string =>
		JSON.stringify(outfit.map(({ cloth, opening }) => [cloth.thingId, opening]));
	/** The first round of the same phase since which the same is worn; null in that round itself. */
	function sameAs(k: number): PlannedPhase | null {
		const own = phases[k]!;
		let first: PlannedPhase | null = null;
		for (let i = k - 1; i >= 0; i--) {
			const other = phases[i]!;
			if (other.cell.phaseId !== own.cell.phaseId || other.cell.kind === 'what-if') continue;
			if (wornIn(other) !== wornIn(own)) break;
			first = other;
		}
		return first;
	}
	const most = $derived(
		Math.max(1, ...phases.map(({ resultantClo, band }) => Math.max(resultantClo, band?.needClo ?? 0)))
	);
	const share = (value: number): string => `${Math.min(100, (100 * value) / most)}%`;
</script>

<ol class="phone" aria-label="The day, phase by phase">
	{#each phases as phase, k (k)}
		{@const same = sameAs(k)}
		<li>
			<p class="line">
				<strong>{cellName(phase.cell)}</strong>
				<span class="soft">{clock(phase.cell.startMin)} · {duration(phase.cell.minutes)}</span>
			</p>
			<p class="line">
				<span class="temp">{tempWords(phase.cell.airTempC, units)}</span>
				{#if Math.round(phase.cell.feltTempC) !== Math.round(phase.cell.airTempC)}
					<span class="soft">feels {tempWords(phase.cell.feltTempC, units)}</span>
				{/if}
				<Button
					class="verdict"
					onclick={() => onwhy(phase)}
					aria-label="{phase.cell.name}: {verdictSentence(phase, clientName)} Why?"
				>
					<VerdictTag verdict={phase.verdict} text={verdictTag(phase)} indicative={phase.indicative} />
				</Button>
			</p>
			{#if phase.band}
				<div class="bar" aria-hidden="true">
					<span class="worn" style:width={share(phase.resultantClo)}></span>
					<span class="hold" style:left={share(phase.band.holdClo)}></span>
					<span class="need" style:left={share(phase.band.needClo)}></span>
				</div>
			{/if}
			{#if same}
				<p class="soft">Worn as in {cellName(same.cell)}.</p>
			{:else if phase.outfit.length > 0 && phase.cell.kind !== 'sleep'}
				<dl>
					{#each ROWS as [factor, word] (factor)}
						{@const own = layers(phase, factor)}
						{#if own.length > 0}
							<dt>{word}</dt>
							<dd>
								{#each own as layer, i (i)}<span class="thing tone-{toneOf(layer)}"
										>{shortName(layer.cloth.name)}{layer.opening === 'closed'
											? ''
											: ` (${layer.opening})`}</span
									>{/each}
							</dd>
						{/if}
					{/each}
				</dl>
			{/if}
		</li>
	{/each}
</ol>

<style>
	li {
		border-top: 2px solid var(--ink);
		padding: 10px 0 12px;
	}
	.line {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 12px;
		align-items: baseline;
	}
	.temp {
		font-size: 22px;
		font-weight: 700;
	}
	.verdict {
		margin-left: auto;
		min-height: 40px;
	}
	.bar {
		position: relative;
		height: 16px;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		margin: 2px 0 8px;
	}
	.worn {
		position: absolute;
		inset: 0 auto 0 0;
		background: var(--cloth-warmth);
	}
	.hold,
	.need {
		position: absolute;
		top: -3px;
		bottom: -3px;
		border-left: 4px solid var(--ink);
	}
	.need {
		border-left-width: 1.5px;
	}
	dl {
		display: grid;
		grid-template-columns: 62px 1fr;
		gap: 4px 8px;
	}
	dt {
		color: var(--soft);
	}
	dd {
		display: flex;
		flex-wrap: wrap;
		gap: 4px;
	}
	.thing {
		border-left: 6px solid var(--tone);
		background: color-mix(in srgb, var(--tone) 24%, var(--sheet));
		padding: 1px 8px;
	}
</style>
