<script lang="ts">
	import { Button, Input, Label, Textarea } from 'flowbite-svelte';
	import { catalogueType } from '$lib/core/cloth/catalogue';
	import { typeName } from '$lib/words/garments';
	import { type ListRow, readKitList } from '$lib/words/kit-search/kit-list';
	import Choice from '../parts/Choice.svelte';
	import { tabbed } from '$lib/formats/tabbed';
	import FileButton from '../parts/FileButton.svelte';
	import { type Answer, send, sendFile } from '../parts/send';

	interface Props {
		clientId: string;
		/** takes what the server answered */
		settle: (answer: Answer<unknown>) => Promise<void>;
	}
	let { clientId, settle }: Props = $props();

	let text = $state('');
	/** What somebody has chosen or typed instead, by what was said. */
	let chosen = $state<Record<string, string>>({});
	let counts = $state<Record<string, string>>({});
	let said = $state('');
	let saving = $state(false);

	const LEFT_OUT = 'left out';
	const rows = $derived(readKitList(text).map((row, at) => ({ ...row, key: `${at} ${row.said}` })));
	type Row = (typeof rows)[number];
	const typeOf = ({ key, type }: Row): string => chosen[key] ?? type?.id ?? LEFT_OUT;
	const countOf = ({ key, read }: Row): number => Number(counts[key] ?? read.quantity);
	const isCount = (row: Row): boolean =>
		Number.isInteger(countOf(row)) && countOf(row) >= 0 && countOf(row) <= 99;
	const taken = $derived(rows.filter((row) => typeOf(row) !== LEFT_OUT));
	const open = $derived(rows.length - taken.length);
	const isWrong = $derived(taken.some((row) => !isCount(row)));
	const optionsOf = ({ hits }: ListRow): string[] => [...hits.map(({ type }) => type.id), LEFT_OUT];
	const wordsOf = (row: ListRow): Record<string, string> =>
		Object.fromEntries(optionsOf(row).map((id) => [id, id === LEFT_OUT ? 'leave it out' : typeName(id)]));

	const stated = <T,>(value: T) => ({ value, source: 'client' as const, state: 'has' as const });
	/** The thing of a row, as it is added. */
	function thingOf(row: Row) {
		const typeId = typeOf(row);
		const count = countOf(row);
		const { massG, size, wornOut } = row.read;
		return {
			typeId,
			name: typeName(typeId),
			quantity: { value: count, source: 'client' as const, state: count > 0 ? 'has' : 'has not' },
			facts: {
				...(massG === null ? {} : { massG: stated(massG) }),
				...(size === '' ? {} : { size: stated(size) }),
				...(wornOut ? { face: stated('worn out' as const) } : {})
			}
		};
	}
	async function take(): Promise<void> {
		saving = true;
		const many = taken.length;
		const things = taken.map(thingOf);
		const answer = await send('POST', `/api/v1/clients/${clientId}/things/many`, { things });
		await settle(answer);
		if (answer.ok) {
			text = '';
			chosen = {};
			counts = {};
			said = `Added: ${many} ${many === 1 ? 'thing' : 'things'}.`;
		}
		saving = false;
	}
	let reading = $state(false);
	let trouble = $state('');
	/** A spreadsheet or a text file, put where a list is pasted; every row is shown before anything is kept. */
	async function readFile(file: File): Promise<void> {
		trouble = '';
		if (!/\.xlsx$/i.test(file.name)) {
			text = tabbed(await file.text());
			return;
		}
		reading = true;
		const answer = await sendFile<{ text: string }>('/api/v1/table', file);
		reading = false;
		if (answer.data) ({ text } = answer.data);
		else trouble = answer.message;
	}
	const isPair = (typeId: string): boolean => typeId !== LEFT_OUT && catalogueType(typeId).inPairs;
</script>

<details class="sheet">
	<summary>Paste a whole list</summary>
	<Label for="paste">A message, a packing list or rows of a table</Label>
	<FileButton
		label="Read a file"
		accept=".csv,.tsv,.txt,.xlsx"
		disabled={reading}
		take={(file) => void readFile(file)}
	/>
	{#if trouble}<p class="small" role="alert">{trouble}</p>{/if}
	<Textarea
		class="typed"
		id="paste"
		rows={5}
		bind:value={text}
		placeholder="3 walking socks, old rain pants size L, no big coat"
	/>
	{#if rows.length > 0}
		<ul aria-label="What is added">
			{#each rows as row (row.key)}
				<li class:open={typeOf(row) === LEFT_OUT}>
					<span class="said">{row.said}</span>
					<span class="made">
						<Input
							size="sm"
							aria-label="How many: {row.said}"
							bind:value={
								() => String(counts[row.key] ?? row.read.quantity), (typed) => (counts[row.key] = typed)
							}
							inputmode="numeric"
							disabled={typeOf(row) === LEFT_OUT}
							aria-invalid={!isCount(row)}
						/>
						<Choice
							id="paste-{row.key}"
							label="What it is: {row.said}"
							bare
							options={optionsOf(row)}
							words={wordsOf(row)}
							bind:value={() => typeOf(row), (id) => (chosen[row.key] = id ?? LEFT_OUT)}
						/>
						{#if isPair(typeOf(row))}<span class="tiny soft">pairs</span>{/if}
					</span>
					{#if !isCount(row)}<span class="tiny wrong" role="alert">A whole number from 0 to 99.</span>{/if}
				</li>
			{/each}
		</ul>
		<p class="small" role="status">
			{taken.length} of {rows.length} are understood{open > 0
				? `; ${open === 1 ? 'one is' : `${open} are`} left out: say it in other words, or add it by itself.`
				: '.'}
		</p>
		<Button onclick={take} disabled={saving || taken.length === 0 || isWrong}>
			Add {taken.length === 1 ? 'this thing' : `these ${taken.length} things`}
		</Button>
	{/if}
	<p role="status" class="small">{said}</p>
</details>

<style>
	details {
		padding: 10px 16px;
		margin-top: 12px;
	}
	details :global(:is(textarea, div:has(> textarea))) {
		width: 100%;
	}
	details :global(textarea) {
		padding: 6px 10px;
		line-height: 1.35;
	}
	summary {
		cursor: pointer;
		font-weight: 600;
	}
	ul {
		list-style: none;
		padding: 0;
		margin: 8px 0;
		display: grid;
		gap: 8px;
	}
	li {
		border-left: 4px solid var(--v-right);
		padding-left: 8px;
	}
	li.open {
		border-left-color: var(--v-short);
	}
	.said {
		display: block;
		font-size: 14px;
	}
	.made {
		display: grid;
		grid-template-columns: 52px minmax(0, 1fr) auto;
		gap: 6px;
		align-items: center;
	}
	.wrong {
		color: var(--v-short);
	}
</style>
