import { parse } from '@formatjs/icu-messageformat-parser';

/** Catalogues whose sentences have places for values. */
const CATALOGUES =
	/\/src\/lib\/words\/(en|de)\/(messages|ask-messages|caution-messages|get-messages|guest-messages|picture-messages|rules|schools|school-whys|values)\.ts$/;

/** Every sentence with places for values, parsed; an equation is shown as it stands. */
function parsed(words, key = '') {
	if (typeof words === 'string')
		return words.includes('{') && key !== 'equation'
			? parse(words, { ignoreTag: true, captureLocation: false })
			: words;
	if (words === null || typeof words !== 'object' || Array.isArray(words)) return words;
	return Object.fromEntries(Object.entries(words).map(([name, value]) => [name, parsed(value, name)]));
}

/**
 * Vite plugin for the build: the catalogues go out parsed, so that no reader downloads the parser. Its door is led to one
 * that only says that it is missing.
 */
export const parsedMessages = () => ({
	name: 'parsed-messages',
	apply: 'build',
	enforce: 'post',
	config: () => ({
		resolve: {
			alias: {
				'@formatjs/icu-messageformat-parser': '@formatjs/icu-messageformat-parser/no-parser.js'
			}
		}
	}),
	async transform(code, id) {
		if (!CATALOGUES.test(id)) return null;
		const words = await import(`data:text/javascript,${encodeURIComponent(code)}`);
		const exported = Object.entries(words).map(
			([name, value]) => `export const ${name} = ${JSON.stringify(parsed(value))};`
		);
		return { code: exported.join('\n'), map: null };
	}
});
