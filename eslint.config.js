import js from '@eslint/js';
import importX from 'eslint-plugin-import-x';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import { ROOMS } from './scripts/lib/rooms.mjs';
import svelteConfig from './svelte.config.js';

/** Files of the project that a room may not use: everything but what its list allows. */
const restrictedPaths = ({ folder, uses, packages, why }) => ({
	target: `./${folder}`,
	from: '.',
	except: [
		...new Set([
			...uses.map((path) => `./${path}`),
			...packages.flatMap((name) => {
				const bare = name.replace(/\/?\*$/, '');
				return [`./node_modules/${bare}`, `./node_modules/@types/${bare}`];
			}),
			'./.svelte-kit'
		])
	],
	message: why
});

/** Built-in modules resolve to no path: they are refused by name where the list has none. */
const restrictedBuiltins = ({ folder, packages, why }) => ({
	files: [`${folder}/**/*.{ts,svelte}`],
	ignores: ['**/*.test.ts'],
	rules: {
		'no-restricted-imports': [
			'error',
			{
				patterns: [
					...(packages.includes('node:*') ? [] : [{ group: ['node:*'], message: why }]),
					...(packages.some((name) => name.startsWith('$app')) ? [] : [{ group: ['$app/*'], message: why }])
				]
			}
		]
	}
});

export default ts.config(
	{
		ignores: [
			'build/',
			'.svelte-kit/',
			'node_modules/',
			'.data/',
			'test-results/',
			'reports/',
			'.stryker-tmp/'
		]
	},
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	{
		plugins: { 'import-x': importX },
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		settings: { 'import-x/resolver-next': [createTypeScriptImportResolver({ project: './tsconfig.json' })] },
		rules: {
			'no-undef': 'off',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
			'import-x/no-duplicates': 'error',
			'svelte/no-navigation-without-resolve': 'off',
			// Maps and dates that are made anew in a derivation need no reactivity of their own.
			'svelte/prefer-svelte-reactivity': 'off',
			'svelte/require-each-key': 'error'
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig } }
	},
	{
		files: ['src/**/*.{ts,svelte}'],
		ignores: ['**/*.test.ts'],
		rules: { 'import-x/no-restricted-paths': ['error', { zones: ROOMS.map(restrictedPaths) }] }
	},
	...ROOMS.map(restrictedBuiltins)
);
