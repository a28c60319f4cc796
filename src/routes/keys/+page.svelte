<script lang="ts">
	const KEYS: [where: string, keys: [key: string, does: string][]][] = [
		['Everywhere', [['/', 'find a client or a trip'], ['C', 'the call: is this all right?'], ['Esc', 'close what is open'], ['Enter', 'on a figure: why it is so']]],
		[
			'On a trip',
			[
				['Ctrl Z', 'undo the last edit'],
				['Ctrl Shift Z', 'do it again'],
				['Ctrl S', 'save now; it saves itself a moment after every edit'],
				['Alt ↑ ↓', 'in a phase: move it earlier or later'],
				['Alt ← →', 'on a day: move it earlier or later'],
				['← →', 'in the drawing: from phase to phase'],
				['Page ↑ ↓', 'in the drawing: from day to day'],
				['Home End', 'in the drawing: first and last phase']
			]
		],
		['On a plan', [['P', 'on a thing: it comes along'], ['L', 'it stays at home'], ['F', 'it is liked best'], ['N', 'on a thing left at home: why not mine?'], ['← → ↑ ↓', 'from thing to thing'], ['Enter', 'all wishes for a thing, and where to wear it']]],
		['In the ladder', [['← → ↑ ↓', 'from cell to cell'], ['Enter', 'why it is so']]],
		['In a kit', [['Enter', 'adds the thing that is marked'], ['↑ ↓', 'through the catalogue']]]
	]; // prettier-ignore
</script>

<svelte:head><title>Shortcuts · Snug Summit</title></svelte:head>

<h1>Shortcuts</h1>
<div class="groups">
	{#each KEYS as [where, keys] (where)}
		<section>
			<h2>{where}</h2>
			<dl>
				{#each keys as [key, does] (key)}
					<dt><kbd>{key}</kbd></dt>
					<dd>{does}</dd>
				{/each}
			</dl>
		</section>
	{/each}
</div>

<style>
	.groups {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(320px, 1fr));
		gap: 26px 50px;
		margin-top: 18px;
	}
	dl {
		display: grid;
		grid-template-columns: 110px 1fr;
		gap: 6px 12px;
		margin-top: 8px;
	}
	kbd {
		font-size: 14px;
	}
</style>
