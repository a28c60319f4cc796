import { type Cloth, covers } from '../cloth/things';
import { innermost, seenOn } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import { isOut, isWaterproof } from '../conditions/needs';
import type { SchoolId, Schools } from '../document/schools';
import { PENALTY, STOP_CLOTHES_UNTIL_WM2 } from './objective';
import type { Requirement, Worn } from './requirement';

/** A demand that a school makes. */
export type SchoolRequirement = Requirement & { madeBy: { school: SchoolId; choice: string } };

const LITTLE = PENALTY.remark;
const MUCH = PENALTY.fault;
const first = (worn: readonly Worn[], test: (layer: Worn) => boolean): Cloth | null =>
	worn.find(test)?.cloth ?? null;
const isWarm = ({ cloth }: Worn): boolean => cloth.functions.includes('warmth');
const isSock = ({ cloth }: Worn): boolean => covers(cloth, 'feet') && cloth.positions[1] <= 2;

/** From this wind past the body on a shell is worn at work in the dry too, m/s (our assumption). */
const SHELL_WIND_MS = 8;
/** Where the shell stays on all day, or is what the work needs. */
const CARRIES_NO_SHELL: ReadonlySet<Cell['doing']> = new Set(['pistes', 'wade', 'motorbike']);

type Row = Omit<Requirement, 'rule' | 'severity' | 'madeBy'> & SchoolRequirement['madeBy'];
const base = { part: 'torso', penalty: LITTLE, asks: (cell: Cell) => isOut(cell) && !cell.heated } as const;

const ROWS: readonly Row[] = [
	{
		...base,
		school: 'skinFibre',
		choice: 'wool',
		factor: 'trunk',
		unmet: (worn) => {
			const cloth = innermost(worn, 'torso');
			return cloth && cloth.fibre !== 'wool' && cloth.fibre !== 'blend' ? cloth : null;
		}
	},
	{
		...base,
		school: 'skinFibre',
		choice: 'synthetic',
		factor: 'trunk',
		unmet: (worn) => {
			const cloth = innermost(worn, 'torso');
			return cloth && cloth.fibre !== 'synthetic' && cloth.fibre !== 'blend' ? cloth : null;
		}
	},
	{
		...base,
		school: 'fill',
		choice: 'synthetic',
		factor: 'trunk',
		unmet: (worn) => first(worn, ({ cloth }) => cloth.fibre === 'down')
	},
	{
		...base,
		school: 'fill',
		choice: 'down',
		factor: 'trunk',
		unmet: (worn) => first(worn, ({ cloth }) => cloth.fibre === 'synthetic-fill')
	},
	{
		...base,
		school: 'socks',
		choice: 'liner',
		factor: 'feet',
		part: 'feet',
		unmet: (worn) => {
			const socks = worn.filter(isSock);
			return socks.length === 1 ? socks[0]!.cloth : null;
		}
	},
	{
		...base,
		school: 'cotton',
		choice: 'never',
		factor: 'trunk',
		penalty: MUCH,
		unmet: (worn) => first(worn, ({ cloth }) => cloth.fibre === 'cotton' || cloth.fibre === 'waxed-cotton')
	},
	{
		...base,
		school: 'cotton',
		choice: 'never',
		factor: 'legs',
		part: 'thighs',
		penalty: MUCH,
		unmet: (worn) => first(worn, ({ cloth }) => cloth.fibre === 'cotton' || cloth.fibre === 'waxed-cotton')
	},
	{
		...base,
		school: 'midZip',
		choice: 'full',
		factor: 'trunk',
		unmet: (worn) =>
			first(
				worn,
				({ cloth, position }) =>
					(position === 2 || position === 3) &&
					covers(cloth, 'torso') &&
					!cloth.features.includes('full-zip') &&
					!cloth.features.includes('two-way-zip')
			)
	},
	{
		...base,
		school: 'midZip',
		choice: 'none',
		factor: 'trunk',
		unmet: (worn) =>
			first(
				worn,
				({ cloth, position }) =>
					(position === 2 || position === 3) && covers(cloth, 'torso') && cloth.features.includes('full-zip')
			)
	},
	{
		...base,
		school: 'insulation',
		choice: 'under',
		factor: 'trunk',
		unmet: (worn) => first(worn, (layer) => layer.position === 5 && isWarm(layer))
	},
	{
		...base,
		school: 'rainLegs',
		choice: 'always',
		factor: 'legs',
		part: 'thighs',
		penalty: MUCH,
		asks: (cell) => isOut(cell) && cell.rainMinutes > 0,
		unmet: (worn) => {
			const cloth = seenOn(worn, 'thighs');
			return cloth && !isWaterproof(cloth) ? cloth : null;
		}
	},
	...(['trunk', 'legs'] as const).map((factor): Row => ({
		...base,
		school: 'shell',
		choice: 'carried',
		factor,
		part: factor === 'trunk' ? 'torso' : 'thighs',
		asks: (cell) =>
			isOut(cell) &&
			!cell.heated &&
			cell.metabolicWm2 >= STOP_CLOTHES_UNTIL_WM2 &&
			cell.rainMinutes === 0 &&
			cell.airVelocityMs < SHELL_WIND_MS &&
			!CARRIES_NO_SHELL.has(cell.doing),
		unmet: (worn) =>
			first(
				worn,
				({ cloth }) => (cloth.slot === 'rain' || cloth.slot === 'overtrousers') && isWaterproof(cloth)
			)
	})),
	...(['trunk', 'legs'] as const).map((factor): Row => ({
		...base,
		school: 'weight',
		choice: 'tough',
		factor,
		part: factor === 'trunk' ? 'torso' : 'thighs',
		unmet: (worn) => {
			const cloth = seenOn(worn, factor === 'trunk' ? 'torso' : 'thighs');
			return cloth && !cloth.features.includes('abrasion') ? cloth : null;
		}
	})),
	{
		...base,
		school: 'lodgeFeet',
		choice: 'boot',
		factor: 'feet',
		part: 'feet',
		unmet: (worn) => first(worn, ({ cloth }) => cloth.positions[1] >= 4 && cloth.heightCm < 6)
	},
	{
		...base,
		school: 'lodgeFeet',
		choice: 'low shoe',
		factor: 'feet',
		part: 'feet',
		unmet: (worn) => first(worn, ({ cloth }) => cloth.positions[1] >= 4 && cloth.heightCm >= 6)
	},
	{
		...base,
		school: 'electric',
		choice: 'no',
		factor: 'trunk',
		unmet: (worn) => first(worn, ({ cloth }) => cloth.watts > 0)
	}
];

export const SCHOOL_REQUIREMENTS: readonly SchoolRequirement[] = ROWS.map(({ school, choice, ...row }) => ({
	...row,
	rule: 'school',
	severity: 'note',
	madeBy: { school, choice }
}));

export const schoolRequirementsOf = (schools: Schools): SchoolRequirement[] =>
	SCHOOL_REQUIREMENTS.filter(({ madeBy }) => schools[madeBy.school] === madeBy.choice);
