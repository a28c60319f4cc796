import js from '@eslint/js';
import importX from 'eslint-plugin-import-x';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/**
 * Who may import whom. `core` knows nothing but itself; each layer may only look inwards.
 * A list of forbidden paths per folder, so that the message names the rule that was broken.
 */
const layers = {
	'src/lib/core': {
		forbid: [
			'$lib/*',
			'**/formats/**',
			'**/server/**',
			'**/ui/**',
			'$app/*',
			'node:*',
			'svelte*',
			'@sveltejs/*',
			'mysql2*',
			'joi',
			'd3*'
		],
		why: 'core is pure computation and imports nothing but core'
	},
	'src/lib/formats': {
		forbid: [
			'$lib/server*',
			'$lib/server/**',
			'$lib/ui/**',
			'**/server/**',
			'**/ui/**',
			'$app/*',
			'node:*',
			'svelte*',
			'mysql2*'
		],
		why: 'formats may import core only'
	},
	'src/lib/server': {
		forbid: ['$lib/ui/**', '**/ui/**', 'svelte'],
		why: 'server may import core and formats, never the interface'
	},
	'src/lib/ui': {
		forbid: ['$lib/server*', '$lib/server/**', '**/server/**', 'mysql2*', 'node:*'],
		why: 'the interface may import core and formats, never the server'
	}
};

export default ts.config(
	{ ignores: ['build/', '.svelte-kit/', 'node_modules/', '.data/', 'test-results/'] },
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	{
		plugins: { 'import-x': importX },
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
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
	...Object.entries(layers).map(([folder, { forbid, why }]) => ({
		files: [`${folder}/**/*.{ts,svelte}`],
		ignores: ['**/*.test.ts'],
		rules: { 'no-restricted-imports': ['error', { patterns: [{ group: forbid, message: why }] }] }
	}))
);
