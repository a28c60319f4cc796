import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** Files that take longest, in the order in which they run: after all others, which notice most changes sooner. */
const SLOW = ['thresholds', 'wetness', 'demo-day', 'simulation', 'well-equipped', 'garment-findings'];

const rank = ({ moduleId }: TestSpecification) =>
	SLOW.findIndex((name) => moduleId.includes(`/${name}.test`));

/** Quick files first: the run of a change ends at the first test that fails. */
class QuickFirst extends BaseSequencer {
	override async sort(files: TestSpecification[]) {
		return [...files].sort((a, b) => rank(a) - rank(b));
	}
}

/** Rooms that are changed: the tests of rooms that rest on them are only run when they are changed themselves. */
const rooms = (process.env.SNUG_MUTATED_ROOMS ?? 'body,cloth,weather,heat').split(',');
const RESTING = ['rules', 'outfit', 'judge'];
const isResting = rooms.some((room) => RESTING.includes(room));
/** Whole plans: they take most of the time, and notice least of what the tests beside the code do not. */
const WHOLE_PLANS = [
	'tests/reference/{well-equipped,demo-day}.test.ts',
	'src/lib/core/{rules,outfit,judge}/**/*.test.ts'
];

/** The tests that hold body, cloth, weather, heat, rules, outfit and judge: their own, those of the rooms beside, and the references. */
export default defineConfig({
	test: {
		include: [
			'src/lib/core/{body,cloth,weather,heat,conditions,rules,outfit,judge}/**/*.test.ts',
			'src/lib/words/units.test.ts',
			'tests/reference/**/*.test.ts'
		],
		// Whole plans for all patterns take longer than all the rest, and every change that nothing notices would pay for them.
		exclude: ['tests/reference/census.test.ts', ...(isResting ? [] : WHOLE_PLANS)],
		setupFiles: ['tests/setup.ts'],
		environment: 'node',
		testTimeout: 20_000,
		// The modules are loaded once for a change and not once for each file of tests.
		isolate: false,
		sequence: { sequencer: QuickFirst }
	}
});
