import type { Sitting } from '../clock/sittings.ts';
import { WORK_WORDS } from '../choice/works.ts';
import type { LogEntry } from '../log/entry.ts';
import { mergeLogs } from '../log/merge.ts';
import { fabricById } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import type { Quilt } from '../quilt/quilt.ts';
import type { FabricCut } from '../shopping/buy.ts';
import { type Marks, writeTable } from './table-csv.ts';

const HOW = {
  rectangle: '',
  'half-square': 'a square, cut once',
  'quarter-square': 'a square, cut twice',
} as const;

/** The cutting list: every line with its size as cut; for triangles the square they come from, and how many of it. */
export const cuttingCsv = (plan: Plan, { pieces, besides }: Quilt, marks?: Marks): string =>
  writeTable(
    [...pieces, ...besides].map(({ name, fabric, count, cut, squares, grain, notes }) => {
      const [width, length] =
        cut.shape === 'rectangle' ? [cut.width.value, cut.length.value] : [cut.side.value, cut.side.value];
      return {
        piece: name,
        cloth: fabricById(plan, fabric).name,
        pieces: count.value,
        'to cut': squares?.count.value ?? count.value,
        [`width (${plan.unit})`]: width,
        [`length (${plan.unit})`]: length,
        from: HOW[cut.shape],
        grain,
        notes: notes.join(' '),
      };
    }),
    marks,
  );

/** Every piece where it lies on its cloth: from one selvage and from the cut end, or on a piece that is there already. */
export const placedCsv = ({ unit }: Plan, { fabrics }: Quilt, marks?: Marks): string =>
  writeTable(
    fabrics.flatMap(({ fabric, pieces, runs }) => {
      const row = (
        piece: string,
        box: { x: number; y: number; w: number; h: number; stock: string | null },
        then: string,
      ) => ({
        cloth: fabric.name,
        piece,
        [`from the selvage (${unit})`]: box.x,
        [`from the end (${unit})`]: box.y,
        [`across (${unit})`]: box.w,
        [`along (${unit})`]: box.h,
        on: box.stock === null ? 'the cloth' : 'a piece that is there',
        then,
      });
      return [
        ...pieces.map((piece) => row(piece.name, piece, THEN[piece.corners])),
        ...runs.flatMap(({ segments, pieces: joined }) =>
          segments.map((segment) =>
            row([...new Set(joined.map(({ name }) => name))].join(', '), segment, 'joined end to end'),
          ),
        ),
      ];
    }),
    marks,
  );
const THEN = { 0: '', 1: 'cut once corner to corner', 2: 'cut twice corner to corner' } as const;

/** What is still to be bought, cloth by cloth. */
export const shoppingCsv = ({ unit }: Plan, fabrics: readonly FabricCut[], marks?: Marks): string =>
  writeTable(
    fabrics.map(({ fabric, needed, buy, cost, notes }) => ({
      cloth: fabric.name,
      ask: buy.text,
      [`length (${unit})`]: buy.length.value,
      [`needed (${unit})`]: needed.value,
      [`usable width (${unit})`]: fabric.usableWidth,
      price: fabric.price,
      cost: cost?.value ?? null,
      colour: fabric.colour,
      notes: notes.join(' '),
    })),
    marks,
  );

/** The log of a quilt: what happened, when, in full. */
export const logCsv = (log: readonly LogEntry[], quilt: string, marks?: Marks): string =>
  writeTable(
    mergeLogs(log.filter((entry) => entry.quilt === quilt)).map(({ id, at, kind, body }) => ({
      at,
      kind,
      body: JSON.stringify(body),
      id,
    })),
    marks,
    ['at', 'kind', 'body', 'id'],
  );

/** Time sat at a quilt, a line for each sitting. */
export const timeCsv = (sittings: readonly Sitting[], marks?: Marks): string =>
  writeTable(
    sittings.map(({ start, work, minutes, steps, typed, struck }) => ({
      start,
      work: WORK_WORDS[work].name,
      minutes,
      steps: steps.map(({ step, minutes: m }) => `${step} ${Math.round(m)} min`).join('; '),
      'written down': typed ? 'yes' : '',
      counts: struck ? 'no' : 'yes',
    })),
    marks,
    ['start', 'work', 'minutes', 'steps', 'written down', 'counts'],
  );
