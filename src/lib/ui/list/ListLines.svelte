<script lang="ts">
	import { Button, Checkbox, Input } from 'flowbite-svelte';
	import type { Mark } from '$lib/core/kit/answers';
	import type { FinalLine, LineEdit } from '$lib/core/kit/own-lines';
	import { lineNotes, manyWords } from '$lib/words/remedy/list-story';

	/** Lines of a list, to be ticked on paper; by hand they can be changed. */
	interface Props {
		lines: readonly FinalLine[];
		stages: readonly { id: string; name: string }[];
		lentIds: readonly string[];
		byHand: boolean;
		/** what was ticked, by the client or the house, by line */
		marks: Readonly<Record<string, Mark>>;
		tick: (lineId: string, mark: Mark) => void;
		change: (edit: LineEdit) => void;
	}
	let { lines, stages, lentIds, byHand, marks, tick, change }: Props = $props();
	/** What a client says of a line, beside the tick. */
	const SAID: Readonly<Record<Mark, string>> = {
		none: '',
		packed: '',
		have: 'has it, as the client says',
		'to get': 'still to get, as the client says'
	};
	/** A line of one's own is gone for good; one that was worked out is left off. */
	const isOwn = ({ thingId }: FinalLine): boolean => thingId.startsWith('own-');
</script>

<ul>
	{#each lines as line (line.thingId)}
		<li>
			<span class="box on-paper" aria-hidden="true"></span>
			<Checkbox
				class="no-print"
				checked={marks[line.thingId] === 'packed'}
				aria-label="{line.name}, packed"
				onchange={() => tick(line.thingId, marks[line.thingId] === 'packed' ? 'none' : 'packed')}
			/>
			<span>
				{#if manyWords(line) !== ''}<strong class:few={line.many > line.has}>{manyWords(line)}</strong>{/if}
				{line.name}
				<span class="small soft">
					{[
						...lineNotes(line, { stages }, lentIds.includes(line.thingId)),
						line.byHand ? 'by hand' : '',
						SAID[marks[line.thingId] ?? 'none']
					]
						.filter(Boolean)
						.join(' · ')}
				</span>
				{#if byHand}
					<span class="hand no-print">
						<Input
							type="number"
							min="1"
							max="99"
							value={line.many}
							aria-label="How many of {line.name}"
							onchange={(event: Event) => {
								const many = (event.currentTarget as HTMLInputElement).valueAsNumber;
								if (many >= 1)
									change({ lineId: line.thingId, what: isOwn(line) ? line.name : null, many, isOff: false });
							}}
						/>
						{#if line.byHand && !isOwn(line)}
							<Button
								class="quiet small"
								onclick={() => change({ lineId: line.thingId, what: null, many: null, isOff: false })}
								>as worked out<span class="visually-hidden">: {line.name}</span></Button
							>
						{/if}
						<Button
							class="quiet small"
							onclick={() => change({ lineId: line.thingId, what: null, many: null, isOff: !isOwn(line) })}
							>leave off<span class="visually-hidden">: {line.name}</span></Button
						>
					</span>
				{/if}
			</span>
		</li>
	{/each}
</ul>

<style>
	li {
		display: grid;
		grid-template-columns: 17px 1fr;
		gap: 9px;
		padding: 4px 0;
		border-bottom: 1px solid var(--rule);
		break-inside: avoid;
	}
	.box {
		width: 15px;
		height: 15px;
		border: 1.6px solid var(--ink);
		margin-top: 4px;
	}
	li :global(input[type='checkbox']) {
		margin-top: 4px;
	}
	.few {
		color: var(--v-short);
	}
	.hand {
		display: flex;
		gap: 8px;
		align-items: center;
	}
	.hand :global(input) {
		width: 60px;
	}
	.on-paper {
		display: none;
	}
	@media print {
		.on-paper {
			display: block;
		}
		.box {
			border-color: #000;
		}
		li {
			border-color: #999;
			padding: 1px 0;
			line-height: 1.25;
		}
	}
</style>
