import type { CutLine } from '../cut/line.ts';
import { formatWithUnit } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import type { TableCloth, TableStep } from './at-table.ts';

/** The step to do now; null when all is cut. */
export const nextStep = ({ steps, next }: Pick<TableCloth, 'steps' | 'next'>): TableStep | null =>
  next === null ? null : (steps[next] ?? null);

/** The step that was done last, which can be undone; null where none was. */
export const stepDoneLast = ({ steps }: Pick<TableCloth, 'steps'>): TableStep | null =>
  steps.findLast(({ done }) => done) ?? null;

/**
 * What is drawn opened out beside the cloth while a step is in hand: of a strip, what will be cut from it; while an end
 * is squared, what comes after; null when all is cut.
 */
export function stepOpened(table: Pick<TableCloth, 'steps' | 'next'>): TableStep | null {
  const { steps, next } = table;
  const step = nextStep(table);
  const shown =
    step?.kind === 'square' ? (steps.slice(next ?? 0).find(({ kind }) => kind !== 'square') ?? null) : step;
  if (shown?.kind !== 'strip') return shown;
  const [strip] = shown.strips;
  const cutFromIt = steps.find(
    ({ kind, strips }) => kind === 'pieces' && strip !== undefined && strips.includes(strip),
  );
  return cutFromIt ?? shown;
}

/** What is opened out, in words: "Strips 1 to 3 of 10½″, each opened out and turned". */
export function openedSays({ kind, strips, box }: TableStep, unit: Unit): string {
  if (kind === 'leftover') return 'The piece left over, and what comes of it';
  const width = formatWithUnit(box.h, unit);
  const [first = 0] = strips;
  const last = strips.at(-1) ?? first;
  if (kind === 'strip') return `Strip ${first + 1} of ${width}, opened out: it stays whole`;
  return strips.length > 1
    ? `Strips ${first + 1} to ${last + 1} of ${width}, each opened out and turned`
    : `Strip ${first + 1} of ${width}, opened out and turned`;
}

/** Parts of the quilt that a step's pieces become. */
export const partsFrom = (step: TableStep | null, lines: readonly CutLine[]): readonly string[] =>
  step?.makes.flatMap((made) =>
    made.lines.flatMap((line) => lines.find(({ id }) => id === line)?.parts ?? []),
  ) ?? [];
