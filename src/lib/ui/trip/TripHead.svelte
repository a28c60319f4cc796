<script lang="ts">
	import { onMount } from 'svelte';
	import type { ClimatePlace } from '$lib/core/weather/climate';
	import type { Site } from '$lib/core/document/types';
	import { usualWeathers } from '$lib/words/weathers';
	import Choice from '../parts/Choice.svelte';
	import Field from '../parts/Field.svelte';
	import { prepareDrafts } from './drafts';
	import { normalsFor } from './normals-for';
	import SaveState from './SaveState.svelte';
	import type { TripEditor } from './trip-editor.svelte';

	interface Props {
		editor: TripEditor;
		places: readonly ClimatePlace[];
		changed: (key?: string) => void;
		/** moves the trip so that it starts on a date */
		startOn: (date: unknown) => void;
	}
	let { editor, places, changed, startOn }: Props = $props();

	/** Once the page stands. */
	const PREPARED_AFTER_MS = 1500;
	onMount(() => {
		void editor.takeUp();
		const timer = setTimeout(prepareDrafts, PREPARED_AFTER_MS);
		return () => clearTimeout(timer);
	});
	const trip = $derived(editor.trip);
	/** Takes a place of the climate service: where the sun is, and what one day in ten is like there. */
	async function choosePlace(id: string | undefined): Promise<void> {
		const place = places.find((one) => one.id === id);
		if (!place) {
			editor.trip.site = editor.trip.site && { ...editor.trip.site, placeId: null };
			changed();
			return;
		}
		const { latitudeDeg, longitudeDeg, utcOffsetMin } = place;
		const date = editor.trip.stages[0]?.date ?? new Date().toISOString().slice(0, 10);
		const normals = await normalsFor(place, date);
		editor.trip.site = { placeId: place.id, latitudeDeg, longitudeDeg, utcOffsetMin };
		if (editor.trip.place === '') editor.trip.place = place.name;
		if (normals) editor.trip.weathers = usualWeathers(normals.spreadK);
		changed();
	}
	const siteOf = (): Site =>
		editor.trip.site ?? { placeId: null, latitudeDeg: 47, longitudeDeg: 11, utcOffsetMin: 60 };
</script>

<h1 class="print-head">{trip.name}</h1>
<div class="head no-print">
	<Field
		id="name"
		label="Trip"
		bind:value={trip.name}
		error={editor.errors.name}
		onchange={() => changed('name')}
		class="name"
	/>
	<Field
		id="place"
		label="Where"
		bind:value={trip.place}
		error={editor.errors.place}
		onchange={() => changed('place')}
	/>
	<div class="climate">
		<Choice
			id="climate-place"
			label="Usual weather and daylight of"
			none="no place chosen"
			options={places.map(({ id }) => id)}
			words={Object.fromEntries(places.map(({ id, name }) => [id, name]))}
			bind:value={() => trip.site?.placeId ?? undefined, (id) => void choosePlace(id)}
		/>
	</div>
	{#if trip.stages.length > 0}
		<Field
			id="first-date"
			type="date"
			label="Starts on"
			bind:value={() => trip.stages[0]!.date, () => undefined}
			oncommit={() => startOn((document.getElementById('first-date') as HTMLInputElement).value)}
		/>
	{/if}
	<SaveState {editor} />
</div>
<details class="site no-print">
	<summary class="tiny soft">Where on the map{trip.site ? '' : ': without it dawn counts as 6:30'}</summary>
	<div class="rows">
		{#each [['latitudeDeg', 'Latitude', '° north'], ['longitudeDeg', 'Longitude', '° east'], ['utcOffsetMin', 'Local time minus UTC', 'min']] as const as [key, label, unit] (key)}
			<Field
				id="site-{key}"
				type="number"
				{label}
				{unit}
				bind:value={
					() => trip.site?.[key],
					(value) => (editor.trip.site = { ...siteOf(), placeId: null, [key]: value as number })
				}
				error={editor.errors[`site.${key}`]}
				onchange={() => changed(key)}
			/>
		{/each}
	</div>
</details>

<style>
	.head {
		display: grid;
		grid-template-columns: minmax(220px, 1.6fr) minmax(120px, 0.8fr) 190px 150px minmax(250px, auto);
		gap: 12px;
		align-items: end;
	}
	.head :global(.name input) {
		font-family: var(--font-head);
		font-size: 19px;
	}
	.site {
		margin: 4px 0 10px;
	}
	.site summary {
		cursor: pointer;
	}
	.print-head {
		position: absolute;
		clip-path: inset(50%);
	}
	.rows {
		display: grid;
		grid-template-columns: repeat(3, 190px);
		gap: 12px;
	}
	@media print {
		.print-head {
			position: static;
			clip-path: none;
		}
	}
	@media (max-width: 1100px) {
		.head {
			grid-template-columns: repeat(2, minmax(0, 1fr));
		}
	}
	@media (max-width: 560px) {
		.head,
		.rows {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
