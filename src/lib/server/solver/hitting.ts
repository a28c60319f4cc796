import { type HittingSolver, lightestHitting } from '$lib/core/search/hitting-set';
import loadHighs from 'highs';

/** From so many cuts on the integer program goes to the solver; below, a search of our own is quicker. */
const FROM_CUTS = 12;

/**
 * Solver of the small integer program behind the lightest set: least mass that hits every cut.
 * @param locateFile where the solver's WebAssembly is, in a browser; beside the package when left out
 */
export async function hittingSolver(locateFile?: (file: string) => string): Promise<HittingSolver> {
	const highs = await loadHighs(locateFile ? { locateFile } : {});
	return (cuts, massG) => {
		if (cuts.length < FROM_CUTS) return lightestHitting(cuts, massG);
		const things = [...new Set(cuts.flat())].sort((a, b) => a - b);
		const column = new Map(things.map((thing, i) => [thing, i]));
		const starts = [0];
		const indices: number[] = [];
		for (const cut of cuts) {
			indices.push(...cut.map((thing) => column.get(thing)!).sort((a, b) => a - b));
			starts.push(indices.length);
		}
		const zeros = new Float64Array(things.length);
		const model = highs.createModel({
			numCols: things.length,
			numRows: cuts.length,
			colCost: Float64Array.from(things, (thing) => massG[thing]!),
			colLower: zeros,
			colUpper: zeros.map(() => 1),
			rowLower: new Float64Array(cuts.length).fill(1),
			rowUpper: new Float64Array(cuts.length).fill(highs.infinity),
			matrix: {
				format: 'csr',
				numRows: cuts.length,
				numCols: things.length,
				starts: Int32Array.from(starts),
				indices: Int32Array.from(indices),
				values: new Float64Array(indices.length).fill(1)
			},
			integrality: things.map(() => highs.constants.variableType.integer)
		});
		try {
			model.options.set({ output_flag: false, mip_rel_gap: 0, mip_abs_gap: 0.5 });
			model.run();
			if (model.getModelStatus() !== highs.constants.modelStatus.optimal) return null;
			const { colValue } = model.getSolution();
			return new Set(things.filter((_, i) => colValue[i]! > 0.5));
		} finally {
			model.dispose();
		}
	};
}
