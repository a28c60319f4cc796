// The rooms of the code, and what each may use: rooms listed before it in the core, and packages by name. A list of what is
// allowed, read by the linter and by the test over all imports, so that both say the same.

const CORE = [
	'document',
	'weather',
	'body',
	'cloth',
	'patterns',
	'conditions',
	'heat',
	'rules',
	'outfit',
	'judge',
	'search',
	'kit',
	'plan',
	'remedy',
	'questions'
];
/** Files at the root of the core that every room may use: units, ranges, certainty. */
const CORE_ROOT = ['argument.ts', 'certainty.ts', 'seeded.ts', 'units.ts'].map(
	(file) => `src/lib/core/${file}`
);
const core = (name) => `src/lib/core/${name}`;

/** @type {{ folder: string; uses: string[]; packages: string[]; why: string }[]} */
export const ROOMS = [
	...CORE.map((name, i) => ({
		folder: core(name),
		uses: [
			core(name),
			...CORE_ROOT,
			// The search knows nothing of clothes, the document nothing at all.
			...(name === 'search' ? [] : CORE.slice(0, i).map(core))
		],
		packages: name === 'weather' ? ['suncalc'] : [],
		why: `core/${name} may use the rooms before it only, and no package but suncalc for the sun`
	})),
	{
		folder: 'src/lib/words',
		uses: ['src/lib/words', 'src/lib/core'],
		packages: ['intl-messageformat', 'minisearch'],
		why: 'words make sentences from what the core says, and find things by what they are called'
	},
	{
		folder: 'src/lib/formats',
		uses: ['src/lib/formats', 'src/lib/core', 'src/lib/words'],
		packages: ['joi', 'papaparse'],
		why: 'formats read and write what comes from outside: core, words, joi and papaparse'
	},
	{
		folder: 'src/lib/server',
		uses: ['src/lib/server', 'src/lib/core', 'src/lib/formats', 'src/lib/words'],
		packages: [
			'node:*',
			'@node-rs/argon2',
			'mysql2',
			'devalue',
			'exceljs',
			'papaparse',
			'ics',
			'fflate',
			'highs',
			'nodemailer',
			'pino',
			'piscina',
			'sharp',
			'joi',
			'@sveltejs/kit',
			'$env/dynamic/private',
			'$app/environment'
		],
		why: 'the server may use core, formats and words, never the interface'
	},
	{
		folder: 'src/lib/ui',
		uses: ['src/lib/ui', 'src/lib/core', 'src/lib/formats', 'src/lib/words'],
		packages: ['svelte', 'svelte/*', '$app/*', 'd3', 'flowbite-svelte', 'svelte-dnd-action', 'idb'],
		why: 'the interface may use core, formats and words, never the server'
	},
	{
		folder: 'src/routes',
		uses: ['src/routes', 'src/lib', 'src/app.css'],
		packages: [
			'svelte',
			'svelte/*',
			'$app/*',
			'@sveltejs/kit',
			'flowbite-svelte',
			'@fontsource*',
			'./$types'
		],
		why: 'routes load, call and return'
	}
];

/** The room of a file, by its path from the project's root; null outside of all of them. */
export const roomOf = (file) =>
	ROOMS.find(({ folder }) => file.startsWith(`${folder}/`)) ??
	(CORE_ROOT.includes(file)
		? { folder: 'src/lib/core', uses: CORE_ROOT, packages: [], why: 'the root of the core' }
		: null);

/** Whether a path or package fits a name of the list; `*` at its end stands for anything. */
const fits = (name, pattern) =>
	pattern.endsWith('*')
		? name.startsWith(pattern.slice(0, -1))
		: name === pattern || name.startsWith(`${pattern}/`);

/** Whether a room may use a file of the project. */
export const mayUseFile = (room, file) => room.uses.some((path) => fits(file, path));
/** Whether a room may use a package or a virtual module. */
export const mayUsePackage = (room, name) => room.packages.some((pattern) => fits(name, pattern));
