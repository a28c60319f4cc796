<script lang="ts">
	import { Button, Checkbox } from 'flowbite-svelte';
	import { BEDS, DRYINGS, type Stage } from '$lib/core/document/types';
	import { BED_WORDS, DRYING_WORDS } from '$lib/words/labels';
	import Choice from '../parts/Choice.svelte';
	import Field from '../parts/Field.svelte';

	interface Props {
		stage: Stage;
		error: (field: string) => string | undefined;
		onchange: (key?: string) => void;
		/** whose bed is shown: the stage's, or that of its foul-weather variant */
		foul: boolean;
	}
	let { stage = $bindable(), error, onchange, foul }: Props = $props();

	const bed = $derived(foul && stage.foul ? stage.foul.bed : stage.bed);
	const changedThings = (): void => onchange(`${stage.id} provided`);

	let named = $state('');
	function provide(): void {
		const name = named.trim();
		if (!name) return;
		stage.provided = [...stage.provided, { id: crypto.randomUUID(), name, typeId: null, quantity: 1 }];
		named = '';
		onchange();
	}
	function takeOut(id: string): void {
		stage.provided = stage.provided.filter((one) => one.id !== id);
		onchange();
	}
</script>

<fieldset class="bed">
	<legend>The night{foul ? ', in foul weather' : ''}</legend>
	<Choice
		id="bed-kind"
		label="Where one sleeps"
		bind:value={bed.kind}
		options={BEDS}
		words={BED_WORDS}
		onchange={() => onchange()}
	/>
	<Choice
		id="bed-drying"
		label="What dries there"
		bind:value={bed.drying}
		options={DRYINGS}
		words={DRYING_WORDS}
		onchange={() => onchange()}
	/>
	<Checkbox bind:checked={bed.washing} onchange={() => onchange()}>one can wash there</Checkbox>
	<div class="provided" role="group" aria-label="What the operator provides">
		<span class="small soft">What the operator provides</span>
		{#each stage.provided as thing, i (thing.id)}
			<div class="row">
				<Field
					id="provided-{i}"
					label="Thing {i + 1} that the operator provides"
					bare
					bind:value={thing.name}
					error={error(`provided.${i}.name`)}
					onchange={changedThings}
				/>
				<Field
					id="provided-{i}-count"
					type="number"
					label="How many of it"
					bare
					min={1}
					max={99}
					step={1}
					bind:value={() => thing.quantity, (count) => (thing.quantity = count as number)}
					error={error(`provided.${i}.quantity`)}
					onchange={changedThings}
					class="count"
				/>
				<Button class="square" aria-label="Take out {thing.name}" onclick={() => takeOut(thing.id)}>✕</Button>
			</div>
		{/each}
		<form
			class="row"
			onsubmit={(event) => {
				event.preventDefault();
				provide();
			}}
		>
			<Field
				id="provided-more"
				label="One more thing that the operator provides"
				bare
				bind:value={named}
				placeholder="blankets, stove …"
				error={error('provided')}
			/>
			<Button type="submit" class="quiet small">add</Button>
		</form>
	</div>
	<Field
		id="group-load"
		type="number"
		label="Of the group’s load each carries, litres"
		bind:value={() => stage.groupLoadL ?? 0, (litres) => (stage.groupLoadL = litres as number)}
		error={error('groupLoadL')}
		onchange={() => onchange(`${stage.id} groupLoadL`)}
	/>
</fieldset>

<style>
	fieldset {
		display: grid;
		gap: 8px 10px;
		align-content: start;
		min-width: 0;
	}
	legend {
		font-family: var(--font-head);
		font-size: 16px;
		margin-bottom: 4px;
	}
	.provided {
		display: grid;
		gap: 4px;
	}
	.row {
		display: flex;
		gap: 6px;
		align-items: center;
	}
	.row > :global(.field) {
		flex: 1;
	}
	.row > :global(.count) {
		flex: none;
		width: 52px;
	}
</style>
