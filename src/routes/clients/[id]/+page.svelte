<script lang="ts">
	import { Button, Checkbox, Input, Select } from 'flowbite-svelte';
	import { beforeNavigate, goto, invalidateAll } from '$app/navigation';
	import { catalogueType, type CatalogueType } from '$lib/core/cloth/catalogue';
	import { groupName, insulationWords, typeName } from '$lib/words/garments';
	import { CATALOGUE_GROUPS, type CatalogueGroup } from '$lib/core/cloth/catalogue-rows';
	import { factOf } from '$lib/core/cloth/things';
	import type { Part } from '$lib/core/document/parts';
	import { FACT_STATES, type Fact, type FactState, type Thing } from '$lib/core/document/types';
	import { reason } from '$lib/core/document/reasons';
	import { STATE_WORDS, clo } from '$lib/words/labels';
	import { ChangesUnderway } from '$lib/ui/kit/changes-underway.svelte';
	import AddThing from '$lib/ui/kit/AddThing.svelte';
	import ClientFacts from '$lib/ui/kit/ClientFacts.svelte';
	import PasteList from '$lib/ui/kit/PasteList.svelte';
	import Field from '$lib/ui/parts/Field.svelte';
	import OncePageLives from '$lib/ui/late/OncePageLives.svelte';
	import SchoolChoices from '$lib/ui/parts/SchoolChoices.svelte';
	import UsualGuest from '$lib/ui/kit/UsualGuest.svelte';
	import ThingFacts from '$lib/ui/kit/ThingFacts.svelte';
	import UndoBar from '$lib/ui/parts/UndoBar.svelte';
	import { massWords } from '$lib/words/units';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { send } from '$lib/ui/parts/send';
	import { why } from '$lib/ui/parts/why.svelte';

	let { data } = $props();
	const underway = new ChangesUnderway();
	const client = $derived({
		...underway.shown(data.client),
		things: data.client.things.map((thing) => underway.shown(thing))
	});

	// The name is typed here and saved when the field is left.
	// svelte-ignore state_referenced_locally
	let name = $state(data.client.name);
	let message = $state('');
	let errors = $state<Record<string, string>>({});
	let removed = $state<Thing | null>(null);
	/** the thing whose facts are open */
	let opened = $state<string | null>(null);

	const PARTS_OF_GROUP: Readonly<Record<CatalogueGroup, Part[]>> = {
		head: ['eyes', 'face', 'ears', 'neck'],
		torso: ['torso', 'arms'],
		hands: ['hands'],
		legs: ['thighs', 'calves'],
		feet: ['feet'],
		sleep: [],
		other: []
	};

	const groups = $derived(
		CATALOGUE_GROUPS.map((name) => ({
			name,
			things: client.things.filter((thing) => catalogueType(thing.typeId).group === name),
			answered:
				PARTS_OF_GROUP[name].length > 0 &&
				PARTS_OF_GROUP[name].every((part) => client.answeredParts.includes(part))
		}))
	);

	async function settle(answer: {
		ok: boolean;
		message: string;
		errors: Record<string, string>;
	}): Promise<void> {
		message = answer.message;
		errors = answer.errors;
		await invalidateAll();
	}
	/** Who leaves while changes are underway is taken on once they are saved; the browser asks before it closes the page. */
	beforeNavigate(({ cancel, to: target, willUnload }) => {
		if (underway.isEmpty) return;
		cancel();
		if (!willUnload && target) void underway.settled().then(() => goto(target.url));
	});
	/** Adds a thing. Who leaves at once is taken on when it is saved, as with every other change. */
	const addThing = (thing: object): Promise<void> =>
		underway.add(client.id, {}, async () =>
			settle(await send('POST', `/api/v1/clients/${client.id}/things`, thing))
		);
	async function add(type: CatalogueType, quantity: number, state: FactState): Promise<void> {
		const fact: Fact<number> = { value: quantity, source: 'client', state };
		await addThing({ typeId: type.id, quantity: fact });
	}
	async function addOwn(
		name: string,
		own: { typeId: string; facts: Thing['facts'] },
		value: number
	): Promise<void> {
		const quantity: Fact<number> = { value, source: 'client', state: 'has' };
		await addThing({ ...own, name, quantity });
	}
	async function saveThing(thing: Thing, change: Partial<Thing>): Promise<void> {
		await underway.add(thing.id, change, async () => {
			const newest = client.things.find(({ id }) => id === thing.id) ?? thing;
			const { typeId, name, quantity, inPairs, facts, version } = newest;
			const body = { typeId, name, quantity, inPairs, facts, version };
			await settle(await send('PUT', `/api/v1/things/${thing.id}`, body));
		});
	}
	async function remove(thing: Thing): Promise<void> {
		const answer = await send('DELETE', `/api/v1/things/${thing.id}`);
		if (answer.ok) removed = thing;
		await settle(answer);
	}
	async function restore(): Promise<void> {
		if (removed) await settle(await send('POST', `/api/v1/things/${removed.id}/restore`));
		removed = null;
	}
	function setCount(thing: Thing, value: number): void {
		if (!Number.isInteger(value) || value < 0) return;
		void saveThing(thing, { quantity: { value, source: 'client', state: value > 0 ? 'has' : 'has not' } });
	}
	function setState(thing: Thing, state: FactState): void {
		const value =
			state === 'not asked' ? null : state === 'has not' ? 0 : Math.max(1, thing.quantity.value ?? 1);
		void saveThing(thing, { quantity: { value, source: 'client', state } });
	}
	async function saveClient(change: Partial<typeof client>): Promise<void> {
		await underway.add(client.id, change, async () => {
			const { id: _id, things: _things, deletedAt: _deletedAt, ...body } = client;
			await settle(await send('PUT', `/api/v1/clients/${client.id}`, body));
		});
	}
	function setAnswered(group: CatalogueGroup, answered: boolean): void {
		const parts = PARTS_OF_GROUP[group];
		const rest = client.answeredParts.filter((part) => !parts.includes(part));
		void saveClient({ answeredParts: answered ? [...rest, ...parts] : rest });
	}
	function showWhy(thing: Thing): void {
		const type = catalogueType(thing.typeId);
		const insulation = factOf(thing, 'localClo');
		const mass = factOf(thing, 'massG');
		why.open({
			title: thing.name,
			sentence: `Counts as: ${typeName(type.id)}.`,
			lines: [
				{
					label: 'Warmth where it covers',
					text: `${clo(insulation.value ?? 0)} clo · ${insulation.state}, from the ${insulation.source}`
				},
				{ label: 'How that is known', text: insulationWords(type) },
				{
					label: 'Weight',
					text: `${massWords(mass.value ?? 0, readerUnits())} · ${mass.state}, from the ${mass.source}`
				},
				{ label: 'Water', text: factOf(thing, 'waterGrade').value ?? '' },
				{ label: 'Fibre', text: factOf(thing, 'fibre').value ?? '' }
			],
			reasons: [{ ...reason('supply'), kind: type.insulation.kind }]
		});
	}
</script>

<svelte:head><title>{client.name}, kit · Snug Summit</title></svelte:head>

<h1 class="visually-hidden">{client.name}, kit</h1>
<div class="head">
	<Field
		id="name"
		label="Client"
		bind:value={name}
		oncommit={() => saveClient({ name })}
		error={errors.name}
		class="wide"
	/>
	<ClientFacts {client} {errors} save={(change) => void saveClient(change)} />
	<a class="small" href="/clients/{client.id}/kept">What is kept</a>
</div>
{#if message}<p role="alert" class="alert">{message}</p>{/if}
{#if removed}<UndoBar text="{removed.name} is taken out." undo={restore} />{/if}

<div class="page">
	<div>
		<OncePageLives
			><AddThing {add} {addOwn} isEmpty={client.things.length === 0} /><PasteList
				clientId={client.id}
				{settle}
			/></OncePageLives
		>
	</div>
	<section aria-labelledby="kit-head">
		<h2 id="kit-head">The kit, head to toe</h2>
		{#if client.things.length === 0}
			<OncePageLives><UsualGuest clientId={client.id} {settle} /></OncePageLives>
		{/if}
		{#each groups as { name, things, answered } (name)}
			<div class="group">
				<h3>{groupName(name)}</h3>
				<ul>
					{#each things as thing (thing.id)}
						<li class={thing.quantity.state.replace(' ', '-')}>
							<span class="swatch tone-{catalogueType(thing.typeId).properties.functions[0]}"></span>
							<Button class="quiet thing" onclick={() => showWhy(thing)}>{thing.name}</Button>
							<OncePageLives>
								<Input
									type="number"
									min="0"
									max="99"
									value={thing.quantity.value ?? ''}
									aria-label="How many of {thing.name}{thing.inPairs ? ', pairs' : ''}"
									onchange={(event: Event) =>
										setCount(thing, (event.currentTarget as HTMLInputElement).valueAsNumber)}
								/>
								<span class="tiny soft">{thing.inPairs ? 'pairs' : ''}</span>
								<Select
									placeholder=""
									aria-label="{thing.name}: has it?"
									value={thing.quantity.state}
									onchange={(event) => setState(thing, event.currentTarget.value as FactState)}
								>
									{#each FACT_STATES as state (state)}<option value={state}>{STATE_WORDS[state]}</option
										>{/each}
								</Select>
								<Button
									class="quiet tiny"
									aria-expanded={opened === thing.id}
									aria-label="What is known of {thing.name}"
									onclick={() => (opened = opened === thing.id ? null : thing.id)}>facts</Button
								>
								<Button class="square" onclick={() => remove(thing)} aria-label="Take {thing.name} out"
									>✕</Button
								>
								{#if opened === thing.id}
									<ThingFacts
										{thing}
										save={(facts) => void saveThing(thing, { facts })}
										rename={(name) => void saveThing(thing, { name })}
										error={errors.name}
									/>
								{/if}
							</OncePageLives>
						</li>
					{/each}
				</ul>
				{#if PARTS_OF_GROUP[name].length > 0}
					<Checkbox
						checked={answered}
						onchange={(event) => setAnswered(name, event.currentTarget.checked)}
						classes={{ div: 'all' }}>that is all they have here</Checkbox
					>
				{/if}
			</div>
		{/each}
		<details class="schools">
			<summary
				>How {client.name} does it
				<span class="small soft"
					>{Object.keys(client.schools ?? {}).length === 0
						? 'as the trip and the house'
						: 'in own ways'}</span
				></summary
			>
			<OncePageLives>
				<SchoolChoices
					chosen={client.schools ?? {}}
					inherited={data.house}
					from="trip or house"
					choose={(schools) => void saveClient({ schools })}
				/>
			</OncePageLives>
		</details>
	</section>
</div>

<style>
	.schools {
		border-top: 1px solid var(--rule-strong);
		padding: 8px 0;
	}
	.schools summary {
		cursor: pointer;
		font-weight: 600;
		margin-bottom: 10px;
	}
	.head {
		display: grid;
		grid-template-columns: minmax(200px, 270px) minmax(0, 1fr);
		gap: 20px;
		align-items: start;
		margin-bottom: 16px;
	}
	.head :global(.wide input) {
		font-family: var(--font-head);
		font-size: 20px;
	}
	.alert {
		border-left: 5px solid var(--v-short);
		padding: 6px 12px;
		background: var(--sheet);
		margin-bottom: 10px;
	}
	.page {
		display: grid;
		grid-template-columns: 400px minmax(0, 1fr);
		gap: 30px;
		align-items: start;
	}
	.group {
		display: grid;
		grid-template-columns: 120px minmax(0, 1fr);
		border-top: 1px solid var(--rule-strong);
		padding: 7px 0;
	}
	.group h3 {
		padding-top: 4px;
	}
	li {
		display: grid;
		grid-template-columns: 14px minmax(0, 1fr) 62px 38px 118px 44px 32px;
		gap: 8px;
		align-items: center;
		padding: 2px 0;
	}
	li :global(.button.thing) {
		justify-self: start;
		text-align: left;
		text-decoration: none;
		overflow-wrap: anywhere;
	}
	li :global(.thing:hover) {
		text-decoration: underline;
	}
	.has-not :global(.thing) {
		text-decoration: line-through;
		color: var(--soft);
	}
	.not-asked :global(.thing) {
		font-style: italic;
		color: var(--soft);
	}
	li :global(input),
	li :global(select) {
		font-size: 14.5px;
		padding: 3px 6px;
		border: 1px solid var(--rule-strong);
		border-radius: 3px;
		background-color: var(--sheet);
	}
	li :global(select) {
		padding-right: 26px;
		background-position: right 0.3rem center;
	}
	.all {
		grid-column: 2;
		display: flex;
		gap: 7px;
		align-items: center;
		margin-top: 3px;
		color: var(--soft);
	}
	@media (max-width: 960px) {
		.page,
		.head,
		.group {
			grid-template-columns: minmax(0, 1fr);
		}
		.all {
			grid-column: 1;
		}
	}
	@media (max-width: 700px) {
		li {
			grid-template-columns: 14px 62px 38px minmax(0, 1fr) 44px 32px;
			padding: 5px 0;
		}
		li :global(.button.thing) {
			grid-column: 2 / -1;
		}
		li :global(input) {
			grid-column: 2;
		}
	}
</style>
