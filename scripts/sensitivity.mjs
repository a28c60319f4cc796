// npm run sensitivity [draws]: draws the assumptions of the heat model a quarter up or down at random, and counts how many of the
// practice days still come out as they felt.
import path from 'node:path';
import { loadTs, root } from './lib/load-ts.mjs';
import { ensurePackages } from './lib/machine.mjs';

ensurePackages(root);
const { seeded } = await loadTs('src/lib/core/seeded.ts');

/** Our assumptions, by file: figures and tables by their names. Figures of standards stay. */
const ASSUMED = {
	'heat/extremities.ts': ['CAPACITY_JM2K', 'EFFORT_FOLLOWS_MIN', 'POCKETS_M2KW'],
	'heat/course.ts': [
		'WET_SKIN',
		'WET_SKIN_FULL',
		'WATER_FILM_M2KW',
		'LIMB_FILM_M2KW',
		'PRESSED',
		'FLOODED_BOOT'
	],
	'heat/water.ts': [
		'GRASS_PER_MIN',
		'GRASS_CALVES_PER_MIN',
		'SLUSH_PER_MIN',
		'RAIN_ON_FEET',
		'HEM_FILLS_MIN',
		'SNOW_DRY_SHARE'
	],
	'heat/wet-cloth.ts': ['LOST_WHEN_FULL', 'LIMB_LOST_WHEN_FULL'],
	'heat/sweat.ts': ['LEGS_SHARE', 'NOTHING_DRIES_GM2H'],
	'heat/ledger.ts': ['WARM_MARGIN_CLO', 'SPARE_AT_REST_CLO'],
	'cloth/supply.ts': ['BARE_M2KW'],
	'conditions/needs.ts': ['FILLED_AFTER_MIN'],
	'conditions/person.ts': ['CREDIT_FLOOR_WHM2'],
	'body/two-node.ts': ['STRAINED_WET_SHARE'],
	'weather/precipitation.ts': ['RAIN_MINUTES']
};
const NUMBER = /(?<![\w.])\d+(?:[\d_]*\d)?(?:\.\d+)?/g;

const drawn = new Set();
/** Every figure of the named declarations a quarter up or down. */
function scaled(code, names, random) {
	return names.reduce((text, name) => {
		const declared = new RegExp(`(const ${name}\\b[^=]*=\\s*)(\\{[^}]*\\}|[^;]+)(;)`);
		if (!declared.test(text))
			throw new Error(`There is no assumption ${name} any more: correct scripts/sensitivity.mjs.`);
		return text.replace(declared, (_, before, value, end) => {
			drawn.add(name);
			return (
				before +
				value.replace(NUMBER, (figure) =>
					String(Number(figure.replaceAll('_', '')) * (0.75 + random() / 2))
				) +
				end
			);
		});
	}, code);
}

async function met(seed) {
	const random = seeded(seed);
	const core = path.join(root, 'src/lib/core/');
	const { metDays } = await loadTs('tests/fixtures/practice.ts', [
		{
			name: 'assumptions',
			enforce: 'pre',
			transform: (code, id) => {
				const names = id.startsWith(core) ? ASSUMED[id.slice(core.length)] : undefined;
				return names && seed > 0 ? scaled(code, names, random) : undefined;
			}
		}
	]);
	return metDays();
}

const draws = Number(process.argv[2] ?? 200);
const { all, met: asTheyStand } = await met(0);
console.log(`As they stand: ${asTheyStand} of ${all}.`);
const counts = [];
for (let seed = 1; seed <= draws; seed++) {
	counts.push((await met(seed)).met);
	if (seed % 20 === 0) console.log(`  ${seed} of ${draws} draws`);
}
counts.sort((a, b) => a - b);
const median = counts[Math.floor(counts.length / 2)];
console.log(
	`${drawn.size} assumptions ±25 %, ${draws} draws: median ${median} of ${all}, worst ${counts[0]}, best ${counts.at(-1)}.`
);
process.exit(median >= 34 ? 0 : 1);
