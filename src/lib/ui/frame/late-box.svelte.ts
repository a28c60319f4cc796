import type { Component } from 'svelte';

/** What a box that comes late is given. */
export interface LateBoxProps extends Record<string, unknown> {
	open: boolean;
	/** what was typed before the box had a field with the focus; a line end at its end is Enter */
	typed: string;
}

/** The file of such a box. */
export interface BoxModule {
	default: Component<LateBoxProps, object, 'open'>;
}

/**
 * A box that one key opens, and that is only loaded when somebody asks for it: it would make every page heavier. What is
 * typed while it is on its way is not lost.
 */
export class LateBox {
	open = $state(false);
	typed = $state('');
	box = $state.raw<BoxModule['default']>();
	#isComing = false;
	/** a key has reached the field of the box: from then on keys go there by themselves */
	#isReached = false;
	/** the box that was asked for last: while it is on its way or open, keys are for it and open no other */
	static #last: LateBox | null = null;

	constructor(
		private readonly key: string,
		private readonly get: () => Promise<BoxModule>
	) {}

	readonly load = async (): Promise<void> => {
		this.box ??= (await this.get()).default;
	};
	readonly show = async (): Promise<void> => {
		this.typed = '';
		this.#isReached = false;
		LateBox.#last = this;
		this.#isComing = true;
		await this.load();
		this.#isComing = false;
		this.open = true;
	};
	readonly onkeydown = (event: KeyboardEvent): void => {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		const last = LateBox.#last;
		if (last && last !== this && (last.#isComing || last.open)) return;
		if (this.open && isTyping(event)) this.#isReached = true;
		const isEarly = this.#isComing || (this.open && !this.#isReached);
		const early = event.key === 'Enter' ? '\n' : event.key;
		if (isEarly && early.length === 1) this.typed += this.typed.endsWith('\n') ? '' : early;
		else if (event.key === this.key && !this.open && !isTyping(event)) void this.show();
		else return;
		event.preventDefault();
	};
}

const isTyping = ({ target }: KeyboardEvent): boolean =>
	(target as HTMLElement).closest('input, textarea, select, [contenteditable]') !== null;
