import { page } from '$app/state';
import { METRIC, type Units } from '$lib/words/units';

/** Units of whoever reads this page. Reactive: read it inside a derivation. */
export const readerUnits = (): Units => (page.data as { units?: Units }).units ?? METRIC;
