<script lang="ts">
	import { Button, Checkbox } from 'flowbite-svelte';
	import { CATALOGUE, catalogueType } from '$lib/core/cloth/catalogue';
	import { type Doing, DOINGS, type HouseUses } from '$lib/core/document/types';
	import { typeName } from '$lib/words/garments';
	import { DOING_WORDS } from '$lib/words/labels';
	import Choice from '../parts/Choice.svelte';

	/** What types of things are made for: the catalogue says it, the house may say otherwise. */
	interface Props {
		uses: HouseUses;
		choose: (uses: HouseUses) => void;
	}
	let { uses, choose }: Props = $props();

	const ids = CATALOGUE.filter(({ slot }) => slot !== null).map(({ id }) => id);
	const names = Object.fromEntries(ids.map((id) => [id, typeName(id)]));
	let typeId = $state<string | undefined>('boot-hiking');

	const usual = $derived(typeId ? catalogueType(typeId).uses : null);
	const own = $derived(typeId ? uses[typeId] : undefined);
	const held = $derived(own ?? usual ?? DOINGS);

	function toggle(doing: Doing): void {
		if (!typeId) return;
		const next = held.includes(doing) ? held.filter((one) => one !== doing) : [...held, doing];
		choose({ ...uses, [typeId]: DOINGS.filter((one) => next.includes(one)) });
	}
	function back(id: string): void {
		choose(Object.fromEntries(Object.entries(uses).filter(([other]) => other !== id)));
	}
</script>

<section aria-labelledby="uses-title">
	<h2 id="uses-title">What things are for</h2>
	<p class="soft">
		A plan wears a thing only for what it is made for, unless nothing else will do. Say it here where your
		house sees it another way.
	</p>
	<Choice id="uses-type" label="A type of thing" options={ids} words={names} bind:value={typeId} />
	{#if typeId}
		<div class="doings" role="group" aria-label="What {names[typeId]} is for">
			{#each DOINGS.filter((doing) => doing !== 'bed') as doing (doing)}
				<Checkbox checked={held.includes(doing)} onchange={() => toggle(doing)}>{DOING_WORDS[doing]}</Checkbox
				>
			{/each}
		</div>
		<p class="small soft">
			{own
				? 'As your house says.'
				: usual
					? 'As the catalogue says: common practice.'
					: 'The catalogue has it serve whatever one does.'}
		</p>
	{/if}
	{#if Object.keys(uses).length > 0}
		<h3>What your house says otherwise</h3>
		<ul>
			{#each Object.entries(uses) as [id, doings] (id)}
				<li>
					{names[id] ?? id}: {(doings ?? []).map((doing) => DOING_WORDS[doing]).join(', ') || 'nothing'}
					<Button class="quiet" onclick={() => back(id)} aria-label="{names[id] ?? id} as the catalogue says"
						>as the catalogue says</Button
					>
				</li>
			{/each}
		</ul>
	{/if}
</section>

<style>
	section {
		margin-top: 32px;
		max-width: 76ch;
	}
	.doings {
		columns: 3 200px;
		margin: 12px 0 4px;
	}
</style>
