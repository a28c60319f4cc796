import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { mayUseFile, mayUsePackage, roomOf } from '../../scripts/lib/rooms.mjs';

/** All imports of the sources, types included, against the list of what each room may use; no circles; no crowded rooms. */
const root = path.resolve(import.meta.dirname, '../..');
const files = execFileSync(
	'git',
	['ls-files', '-co', '--exclude-standard', 'src/**/*.ts', 'src/**/*.svelte', 'src/*.ts'],
	{
		cwd: root,
		encoding: 'utf8'
	}
)
	.trim()
	.split('\n')
	.filter((file) => existsSync(path.join(root, file)));
const sources = files.filter((file) => !file.endsWith('.test.ts') && !file.endsWith('.d.ts'));
const IMPORT = /(?:\bfrom|\bimport)\s*\(?\s*['"]([\w@$.][^'"\s]*)['"]/g;

/** What a file imports: files of the project by their path, and packages by name. */
function importsOf(file: string): { files: string[]; packages: string[] } {
	const found: { files: string[]; packages: string[] } = { files: [], packages: [] };
	for (const [, spec] of readFileSync(path.join(root, file), 'utf8').matchAll(IMPORT)) {
		const bare = spec!.replace(/\?.*$/, '');
		const local = bare.startsWith('$lib/')
			? `src/lib/${bare.slice(5)}`
			: bare.startsWith('.')
				? path.posix.normalize(path.posix.join(path.posix.dirname(file), bare))
				: null;
		if (local === null) {
			found.packages.push(bare);
			continue;
		}
		const target = ['', '.ts', '.svelte', '/index.ts']
			.map((end) => local + end)
			.find((name) => existsSync(path.join(root, name)) && statSync(path.join(root, name)).isFile());
		if (target) found.files.push(target);
		else if (!bare.endsWith('$types')) throw new Error(`${file} imports ${spec}, which is no file`);
	}
	return found;
}
const graph = new Map(sources.map((file) => [file, importsOf(file)]));

describe('the rooms of the code', () => {
	it('reads every source', () => {
		expect(sources.length).toBeGreaterThan(150);
		expect(graph.get('src/lib/core/plan/planner.ts')!.files).toContain(
			'src/lib/core/plan/choice/trip-solver.ts'
		);
	});
	it('use only what their list allows, types included', () => {
		const wrong = [...graph].flatMap(([file, { files: own, packages }]) => {
			const room = roomOf(file);
			if (!room) return [];
			return [
				...own.filter((target) => !mayUseFile(room, target)),
				...packages.filter((name) => !mayUsePackage(room, name))
			].map((target) => `${file} uses ${target}`);
		});
		expect(wrong).toEqual([]);
	});
	it('that scripts load, outside of the app too, name their files by where they stand', () => {
		const aliased = sources.filter(
			(file) =>
				/^(src\/lib\/(core|words|formats)|bench)\//.test(file) &&
				/from '\$lib\//.test(readFileSync(path.join(root, file), 'utf8'))
		);
		expect(aliased).toEqual([]);
	});
	it('would notice what is not allowed', () => {
		const search = roomOf('src/lib/core/search/solver.ts')!;
		expect(mayUseFile(search, 'src/lib/core/cloth/things.ts')).toBe(false);
		const plan = roomOf('src/lib/core/plan/planner.ts')!;
		for (const name of ['highs', 'papaparse', 'date-fns', 'node:fs'])
			expect(mayUsePackage(plan, name)).toBe(false);
		expect(mayUseFile(plan, 'src/lib/words/message.ts')).toBe(false);
	});
	it('have no circles of files', () => {
		const done = new Set<string>();
		const circles: string[] = [];
		const walk = (file: string, above: readonly string[]): void => {
			const at = above.indexOf(file);
			if (at >= 0) {
				circles.push([...above.slice(at), file].join(' → '));
				return;
			}
			if (done.has(file)) return;
			// A component may hold itself: a loop in a loop.
			for (const next of graph.get(file)?.files ?? []) if (next !== file) walk(next, [...above, file]);
			done.add(file);
		};
		for (const file of sources) walk(file, []);
		expect(circles).toEqual([]);
	});
	it('have at most fourteen files a folder, and no file over 400 lines, pure data apart', () => {
		const isData = (file: string): boolean =>
			file.startsWith('src/lib/words/en/') || file.startsWith('src/lib/core/patterns/days/');
		const own = sources.filter((file) => !isData(file));
		const byFolder = new Map<string, number>();
		for (const file of own) byFolder.set(path.dirname(file), (byFolder.get(path.dirname(file)) ?? 0) + 1);
		expect([...byFolder].filter(([, many]) => many > 14)).toEqual([]);
		const long = own
			.map(
				(file) => [file, readFileSync(path.join(root, file), 'utf8').trimEnd().split('\n').length] as const
			)
			.filter(([, lines]) => lines > 400);
		expect(long).toEqual([]);
	});
});
