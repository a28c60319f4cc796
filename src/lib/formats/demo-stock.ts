import type { StockItem } from '../core/remedy/lending/stock';
import { typeName } from '../words/garments';

/** What the outfitter of the demo has to lend. */

type Row = [typeId: string, size: string, pieces: number, more?: Partial<StockItem>];
const ROWS: readonly Row[] = [
	['coat-synthetic', 'M', 2, { label: 'green tag' }],
	['coat-synthetic', 'XL', 2, { label: 'red tag' }],
	['overtrousers-warm', 'L', 2],
	['trousers-hard-shell', 'L', 2, { cost: 5 }],
	['trousers-hard-shell', 'M', 1, { cost: 5 }],
	['hard-shell', 'L', 2, { cost: 8 }],
	['mitten', 'L', 3],
	['glove-winter', 'M', 4],
	['balaclava', '', 6],
	['goggles', '', 3],
	['neck-tube', '', 8],
	['gaiters', 'L', 2, { state: 'mending', label: 'new straps' }],
	['mat-seat', '', 10],
	['sock-heavy', '', 4]
];

export const DEMO_STOCK: readonly StockItem[] = ROWS.map(([typeId, size, pieces, more], row) => ({
	id: `demo-stock-${row + 1}`,
	typeId,
	name: typeName(typeId),
	label: '',
	facts: size === '' ? {} : { size: { value: size, source: 'guide', state: 'has' } },
	pieces,
	state: 'ready',
	backOn: null,
	cost: 0,
	version: 1,
	deletedAt: null,
	...more
}));
