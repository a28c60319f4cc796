// Loads a TypeScript module of the project into a plain script, through Vite, once the packages are installed.
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

/**
 * The exports of a module given by its path from the project's root.
 * @param plugins of Vite, which may change sources on the way
 */
export async function loadTs(file, plugins = []) {
	const { runnerImport } = await import('vite');
	const { module } = await runnerImport(pathToFileURL(path.join(root, file)).href, {
		root,
		configFile: false,
		logLevel: 'error',
		plugins,
		resolve: { alias: { $lib: path.join(root, 'src/lib') } }
	});
	return module;
}
