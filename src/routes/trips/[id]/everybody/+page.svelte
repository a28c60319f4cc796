<script lang="ts">
	import { Button, Input, Textarea } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import type { EverybodyBrings } from '$lib/core/kit/own-lines';
	import BroughtBy from '$lib/ui/list/BroughtBy.svelte';
	import OncePageLives from '$lib/ui/late/OncePageLives.svelte';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { send } from '$lib/ui/parts/send';
	import UndoBar from '$lib/ui/parts/UndoBar.svelte';
	import { typeName } from '$lib/words/garments';
	import { everybodyRows } from '$lib/words/kit-search/everybody';

	const EXAMPLE = '2 head torches, it is dark at five\npassport\nwater bottle';
	let { data } = $props();
	const { trip } = $derived(data);
	const { rows } = $derived(data.everybody);
	let typed = $state('');
	let message = $state('');
	let before = $state.raw<{ rows: EverybodyBrings[]; what: string } | null>(null);
	const read = $derived(everybodyRows(typed, () => 'seen'));

	async function save(next: EverybodyBrings[]): Promise<boolean> {
		const { version } = data.everybody;
		const answer = await send('PUT', `/api/v1/trips/${trip.id}/everybody`, { rows: next, version });
		({ message } = answer);
		await invalidateAll();
		return answer.ok;
	}
	async function add(): Promise<void> {
		before = null;
		if (await save([...rows, ...everybodyRows(typed, () => crypto.randomUUID())])) typed = '';
	}
	const change = (row: EverybodyBrings, own: Partial<EverybodyBrings>): Promise<boolean> =>
		save(rows.map((one) => (one.id === row.id ? { ...one, ...own } : one)));
	async function remove(row: EverybodyBrings): Promise<void> {
		before = { rows, what: row.what };
		await save(rows.filter(({ id }) => id !== row.id));
	}
	async function undo(): Promise<void> {
		if (before && (await save(before.rows))) before = null;
	}
	const textOf = (event: Event): string => (event.currentTarget as HTMLInputElement).value.trim();
</script>

<svelte:head><title>Everybody brings · {trip.name} · Snug Summit</title></svelte:head>

<h1>Everybody brings</h1>
<p class="soft"><a href="/trips/{trip.id}">{trip.name}</a>{trip.place ? ` · ${trip.place}` : ''}</p>
<p class="lead">
	What the operator asks of all clients of this trip. It stands on every list, and is looked for in every kit
	where the catalogue knows it. What one person brings for others stands on their lists with the name, counts
	in that person’s pack, and is asked of nobody else.
</p>
{#if message}<p role="alert" class="alert">{message}</p>{/if}
{#if before}<UndoBar text="{before.what} is off the list." {undo} />{/if}

<div class="page">
	<section class="sheet" aria-labelledby="add-head">
		<h2 id="add-head">Add lines</h2>
		<OncePageLives>
			<Textarea
				class="typed"
				bind:value={typed}
				rows={7}
				aria-label="A line for each thing"
				placeholder={EXAMPLE}
			/>
			<p class="tiny soft">A line for each thing, with how many and why; or columns from a table.</p>
			<Button onclick={add} disabled={read.length === 0}>
				Add {read.length || ''}
				{read.length === 1 ? 'line' : 'lines'}
			</Button>
		</OncePageLives>
	</section>
	<section aria-labelledby="rows-head">
		<h2 id="rows-head">On every list</h2>
		{#if rows.length === 0}<p class="soft">Nothing yet.</p>{/if}
		<ul>
			{#each rows as row (row.id)}
				<li>
					<OncePageLives>
						<Input
							type="number"
							min="1"
							max="99"
							value={row.many}
							aria-label="How many of {row.what}"
							onchange={(event: Event) => {
								const many = (event.currentTarget as HTMLInputElement).valueAsNumber;
								if (many >= 1) void change(row, { many });
							}}
						/>
						<span>
							<strong>{row.what}</strong>
							<span class="tiny soft"
								>{row.typeId
									? `looked for as: ${typeName(row.typeId, readerUnits())}`
									: 'not looked for in kits'}</span
							>
						</span>
						<div class="why">
							<Input
								value={row.why}
								maxlength={200}
								placeholder="why"
								aria-label="Why {row.what}"
								onchange={(event: Event) => void change(row, { why: textOf(event) })}
							/>
						</div>
						<Button class="square" onclick={() => remove(row)} aria-label="Take {row.what} off">✕</Button>
						{#if data.clients.length > 1}
							<div class="shared">
								<BroughtBy {row} clients={data.clients} change={(own) => void change(row, own)} />
							</div>
						{/if}
					</OncePageLives>
				</li>
			{/each}
		</ul>
	</section>
</div>

<style>
	.lead {
		max-width: 80ch;
		margin: 4px 0 18px;
	}
	.page {
		display: grid;
		grid-template-columns: 360px minmax(0, 1fr);
		gap: 30px;
		align-items: start;
	}
	.sheet {
		padding: 14px 16px;
		display: grid;
		gap: 8px;
		justify-items: start;
	}
	li {
		display: grid;
		grid-template-columns: 62px minmax(0, 1fr) minmax(0, 1fr) 34px;
		gap: 10px;
		align-items: center;
		border-top: 1px solid var(--rule);
		padding: 5px 0;
	}
	li span.tiny {
		display: block;
	}
	.shared {
		grid-column: 2 / -1;
	}
	.alert {
		border-left: 5px solid var(--v-short);
		padding: 3px 12px;
		margin-bottom: 10px;
	}
	@media (max-width: 900px) {
		.page {
			grid-template-columns: minmax(0, 1fr);
		}
		li {
			grid-template-columns: 62px minmax(0, 1fr) 34px;
		}
		.why {
			grid-area: 2 / 2 / 3 / -1;
		}
		.shared {
			grid-area: 3 / 2 / 4 / -1;
		}
	}
</style>
