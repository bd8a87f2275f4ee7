import {
  type CutTo,
  doubtOf,
  formatWithUnit,
  type PileBlock,
  rulerFine,
  type Unit,
  type Verdict,
  verdictOn,
} from '@lattice/core';

/** The sizes a row of the table has, in the order they are typed. */
export const SIZES = ['width', 'height'] as const;
export const EDGES = ['top', 'bottom', 'left', 'right'] as const;
export type SizeField = (typeof SIZES)[number] | (typeof EDGES)[number];

/** Where the cursor is: a block of the pile by its number, and one of its sizes. */
export interface CellAt {
  readonly row: number;
  readonly field: SizeField;
}

/** What is changed of a block; undefined takes it away. */
export type BlockChange = { [K in keyof PileBlock]?: PileBlock[K] | undefined };

/** What a size makes of a block, or in words why it cannot be taken yet; null takes the size away. */
export function sizeGiven(block: PileBlock, field: SizeField, value: number | null): BlockChange | string {
  if (field === 'width' || field === 'height')
    // Corner to corner it was measured with the sizes it had.
    return { [field]: value, diagonals: undefined, settled: undefined };
  if (value === null) return { edges: undefined };
  const { width, height } = block;
  if (width === null || height === null)
    return 'Measure it across the middle both ways first, then along its edges.';
  const had = block.edges ?? { top: width, bottom: width, left: height, right: height };
  return { edges: { ...had, [field]: value }, settled: undefined };
}

/** What a tape reads for a cell: its nearest mark, or in words what is doubtful about it. */
export function readingFor(
  cell: CellAt | null,
  length: number,
  meant: CutTo,
  unit: Unit,
): number | { readonly doubt: string } {
  if (!cell)
    return {
      doubt: `The tape read ${formatWithUnit(length, unit)}, but no size is selected. Choose the cell it belongs in and squeeze again.`,
    };
  const wide = cell.field === 'width' || cell.field === 'top' || cell.field === 'bottom';
  const doubt = doubtOf(length, wide ? meant.width : meant.height, unit);
  return doubt === null ? rulerFine(unit).apply(length) : { doubt };
}

/** The cell after one: the block's next size, then the next block's width. */
export function cellAfter({ row, field }: CellAt, withEdges: boolean): CellAt {
  const fields: readonly SizeField[] = withEdges ? [...SIZES, ...EDGES] : SIZES;
  const next = fields[fields.indexOf(field) + 1];
  return next ? { row, field: next } : { row: row + 1, field: 'width' };
}

type VerdictKind = Verdict['kind'];

/** Verdicts in the order they are worked off, and those that ask for work. */
const IN_ORDER: readonly VerdictKind[] = ['small', 'crooked', 'trim', 'ease', 'fine', 'unmeasured'];
const TO_WORK: ReadonlySet<VerdictKind> = new Set(['small', 'crooked', 'trim']);

/** How many of a pile have each verdict; how many ask for work, and of how many that is done. */
export interface Judged {
  readonly kinds: readonly { readonly kind: VerdictKind; readonly count: number }[];
  readonly toWork: number;
  readonly worked: number;
}

/** Every block of a pile judged at the size all are cut to. */
export function judge(pile: readonly PileBlock[], cut: CutTo, unit: Unit, seam: number): Judged {
  const verdicts = pile.map((block) => ({ block, kind: verdictOn(block, cut, unit, seam).kind }));
  const toWork = verdicts.filter(({ kind }) => TO_WORK.has(kind));
  return {
    kinds: IN_ORDER.map((kind) => ({ kind, count: verdicts.filter((v) => v.kind === kind).length })).filter(
      ({ count }) => count > 0,
    ),
    toWork: toWork.length,
    worked: toWork.filter(({ block }) => block.settled).length,
  };
}
