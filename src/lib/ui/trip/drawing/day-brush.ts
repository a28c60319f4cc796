import { brushX, select, type D3BrushEvent } from 'd3';

/** What a brush over the drawing does. */
interface Brushing {
	/** size that can be brushed, px */
	width: number;
	height: number;
	cursor: string;
	/** a stretch was brushed, from and to in px */
	brushed: (from: number, to: number) => void;
	/** it was only clicked */
	clicked: () => void;
}

/**
 * Lays a brush over a part of a drawing. Loaded when the pointer comes over it: who reads by keys or prints needs none.
 * @returns takes the brush off again
 */
export function layBrush(on: SVGGElement, { width, height, cursor, brushed, clicked }: Brushing): () => void {
	const layer = select<SVGGElement, unknown>(on);
	const brush = brushX<unknown>()
		.extent([
			[0, 0],
			[width, height]
		])
		.on('end', (event: D3BrushEvent<unknown>) => {
			if (!event.sourceEvent) return;
			const selection = event.selection as [number, number] | null;
			if (!selection) return clicked();
			layer.call((g) => brush.clear(g));
			brushed(...selection);
		});
	layer.call(brush);
	layer.selectAll('.overlay').attr('cursor', cursor);
	return () => void layer.on('.brush', null).selectAll('*').remove();
}
