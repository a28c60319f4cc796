<script lang="ts">
	interface Props {
		hidden: boolean;
	}
	let { hidden }: Props = $props();
</script>

<div class="legend tiny" class:hidden>
	<span class="key air-key">air</span>
	<span class="key felt-key">felt, with the wind</span>
	<span class="key band-key">the three weathers</span>
	<span class="key rain-key">rain</span>
	<span class="key snow-key">snow</span>
	<span class="key night-key">dark</span>
	<span class="key work-key">work</span>
	<span class="key rest-key">rest</span>
</div>

<style>
	.hidden {
		display: none !important;
	}
	.legend {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 16px;
		padding-left: 46px;
		color: var(--soft);
	}
	.key {
		display: inline-flex;
		gap: 6px;
		align-items: center;
	}
	.key::before {
		content: '';
		width: 18px;
		height: 0;
		border-top: 1.5px solid var(--ink);
	}
	.felt-key::before {
		border-top-width: 4px;
	}
	.band-key::before,
	.night-key::before,
	.work-key::before,
	.rest-key::before,
	.rain-key::before,
	.snow-key::before {
		height: 10px;
		border: 0;
		background: var(--air);
	}
	.night-key::before {
		background: var(--night);
	}
	.work-key::before {
		background: var(--ink);
	}
	.rest-key::before {
		background: var(--rule-strong);
	}
	.rain-key::before {
		background: repeating-linear-gradient(100deg, var(--water) 0 2px, transparent 2px 5px);
	}
	.snow-key::before {
		background: radial-gradient(circle at 2px 2px, var(--water) 1.4px, transparent 1.6px) 0 0 / 5px 5px;
	}
</style>
