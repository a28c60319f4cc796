import type { PlanState } from '$lib/core/plan/told/summary';

/** Plans of a trip's clients, worked out in the background: asked for again and again until all are there. */
export class PlansUnderway {
	plans = $state.raw<PlanState[]>([]);
	/** the server did not answer the last time */
	isSilent = $state(false);
	#timer: ReturnType<typeof setTimeout> | undefined;

	/** @param everyMs between two looks @param looked what is done with an answer; false ends it */
	constructor(
		private readonly tripId: string,
		private readonly everyMs: number,
		private readonly looked: (plans: readonly PlanState[]) => Promise<boolean> | boolean = () => true
	) {}

	/** There is something to ask for again. */
	get isOpen(): boolean {
		return this.isSilent || this.plans.some(({ state }) => state === 'wanted' || state === 'working');
	}

	async look(): Promise<void> {
		const response = await fetch(`/api/v1/trips/${this.tripId}/plans`).catch(() => null);
		this.isSilent = !response?.ok;
		if (response?.ok) this.plans = ((await response.json()) as { plans: PlanState[] }).plans;
		if ((await this.looked(this.plans)) && this.isOpen)
			this.#timer = setTimeout(() => void this.look(), this.everyMs);
	}
	end(): void {
		clearTimeout(this.#timer);
	}
}
