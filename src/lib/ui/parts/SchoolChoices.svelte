<script lang="ts">
	import { Select } from 'flowbite-svelte';
	import {
		OUR_SCHOOLS,
		SCHOOL_IDS,
		choicesOf,
		type SchoolId,
		type SomeSchools
	} from '$lib/core/document/schools';
	import { readerUnits } from './reader-units';
	import { choiceWords, schoolQuestion } from '$lib/words/schools';
	import { schoolWhy } from '$lib/words/why/school-why';

	interface Props {
		/** choices made here */
		chosen: SomeSchools;
		/** what holds where nothing is chosen here */
		inherited: SomeSchools;
		/** whose that is, "the house" */
		from: string;
		choose: (chosen: SomeSchools) => void;
	}
	let { chosen, inherited, from, choose }: Props = $props();

	const above = (id: SchoolId): string => inherited[id] ?? OUR_SCHOOLS[id];
	function set(id: SchoolId, choice: string): void {
		const next: Record<string, string | undefined> = { ...chosen };
		if (choice === '') delete next[id];
		else next[id] = choice;
		choose(next as SomeSchools);
	}
</script>

<ul>
	{#each SCHOOL_IDS as id (id)}
		<li>
			<label for="school-{id}">{schoolQuestion(id)}</label>
			<Select
				placeholder=""
				id="school-{id}"
				value={chosen[id] ?? ''}
				class={[chosen[id] !== undefined && 'own']}
				aria-describedby="why-{id}"
				onchange={(event) => set(id, event.currentTarget.value)}
			>
				<option value="">{choiceWords(id, above(id))} · {from}</option>
				{#each choicesOf(id) as choice (choice)}
					<option value={choice}>{choiceWords(id, choice)}</option>
				{/each}
			</Select>
			<p id="why-{id}" class="tiny soft">{schoolWhy(id, readerUnits())}</p>
		</li>
	{/each}
</ul>

<style>
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
		gap: 16px 28px;
	}
	label {
		display: block;
		font-weight: 600;
		font-size: 15px;
		margin-bottom: 3px;
	}
	li :global(select) {
		width: 100%;
		background-color: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
		padding: 5px 30px 5px 8px;
		font-size: 15px;
	}
	li :global(select.own) {
		border-color: var(--ink);
		border-left-width: 5px;
		font-weight: 600;
	}
	p {
		margin-top: 4px;
		line-height: 1.35;
	}
</style>
