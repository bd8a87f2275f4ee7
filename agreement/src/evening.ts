import {
  atTable,
  computeQuilt,
  convertPlan,
  type CutRecord,
  cutRecord,
  cuttingJob,
  type LogEntry,
  type Plan,
  planEntry,
  planProblems,
  seamKey,
  sewingOf,
  stepEntry,
} from '@lattice/core';
import fc from 'fast-check';
import { anyPlan } from '../../packages/core/test/support/plans.ts';

/** A plan, and all that happened to its quilt: what every surface is asked about. */
export interface Evening {
  readonly plan: Plan;
  readonly log: readonly LogEntry[];
}

/** The quilt's id in its log. */
export const QUILT = 'quilt-of-the-evening';
/** Quilts with more pieces than this take too long to be asked about by the thousand. */
const MOST_PIECES = 260;

/** Pieces as they were cut, without what the record adds of its own. */
const pieceOf = ({ cutIn: _, ...piece }: CutRecord['made'][number]) => piece;

type Happening =
  | { readonly does: 'cut'; readonly cloth: number; readonly steps: number }
  | { readonly does: 'spoil'; readonly cloth: number }
  | { readonly does: 'set-aside'; readonly cloth: number; readonly length: number; readonly width: number }
  | { readonly does: 'buy'; readonly cloth: number; readonly length: number }
  | { readonly does: 'measure'; readonly off: number; readonly which: readonly boolean[] }
  | { readonly does: 'choose'; readonly way: number; readonly fromRight: boolean }
  | { readonly does: 'sew'; readonly seams: number }
  | { readonly does: 'widen'; readonly border: number; readonly by: number }
  | { readonly does: 'change-unit' };

const index = fc.nat(20);
const happening: fc.Arbitrary<Happening> = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.record({
      does: fc.constant('cut' as const),
      cloth: index,
      steps: fc.integer({ min: 1, max: 9 }),
    }),
  },
  { weight: 3, arbitrary: fc.record({ does: fc.constant('spoil' as const), cloth: index }) },
  {
    weight: 2,
    arbitrary: fc.record({
      does: fc.constant('set-aside' as const),
      cloth: index,
      length: fc.integer({ min: 6, max: 60 }),
      width: fc.integer({ min: 6, max: 44 }),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      does: fc.constant('buy' as const),
      cloth: index,
      length: fc.integer({ min: 9, max: 140 }),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      does: fc.constant('measure' as const),
      off: fc.integer({ min: -6, max: 6 }),
      which: fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({ does: fc.constant('choose' as const), way: index, fromRight: fc.boolean() }),
  },
  {
    weight: 2,
    arbitrary: fc.record({ does: fc.constant('sew' as const), seams: fc.integer({ min: 1, max: 30 }) }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      does: fc.constant('widen' as const),
      border: index,
      by: fc.integer({ min: -8, max: 16 }),
    }),
  },
  { weight: 1, arbitrary: fc.record({ does: fc.constant('change-unit' as const) }) },
);

/** The quilt while the evening goes on. */
class Hands {
  readonly log: LogEntry[] = [];
  constructor(public plan: Plan) {}

  private add(kind: LogEntry['kind'], body: unknown, quilt = QUILT): string {
    const n = this.log.length + 1;
    const id = `entry-${String(n).padStart(6, '0')}`;
    const at = new Date(Date.UTC(2026, 10, 26, 18, 0, n)).toISOString();
    this.log.push({ id, quilt, at, kind, body } as LogEntry);
    return id;
  }

  private clothAt(number: number) {
    const used = computeQuilt(this.plan).fabrics.filter(
      ({ pieces, runs }) => pieces.length + runs.length > 0,
    );
    return used[number % used.length]?.fabric ?? null;
  }

  /** Does one thing, where it can be done. */
  do(happens: Happening): void {
    const { plan } = this;
    switch (happens.does) {
      case 'cut': {
        const fabric = this.clothAt(happens.cloth);
        for (let i = 0; fabric && i < happens.steps; i++) {
          const record = cutRecord(this.log, QUILT, fabric.id, plan.unit);
          const table = atTable(cuttingJob(plan, computeQuilt(plan), fabric.id), record);
          if (table.next === null) return;
          const id = table.plan.id ?? this.add('cutting-planned', planEntry(fabric.id, table, plan.unit));
          this.add('step-cut', stepEntry(fabric.id, id, table.steps[table.next]!, plan.unit));
        }
        return;
      }
      case 'spoil': {
        const fabric = this.clothAt(happens.cloth);
        const [made] = fabric
          ? cutRecord(this.log, QUILT, fabric.id, plan.unit).made.filter(({ joined }) => !joined)
          : [];
        if (!fabric || !made) return;
        const lost = { cloth: fabric.id, unit: plan.unit, why: 'miscut', instead: [], length: 0 };
        this.add('cut-lost', { ...lost, pieces: [{ ...pieceOf(made), count: 1 }] });
        return;
      }
      case 'set-aside': {
        const fabric = this.clothAt(happens.cloth);
        if (!fabric) return;
        const scale = plan.unit === 'in' ? 1 : 2.5;
        const piece = `piece-${String(this.log.length).padStart(4, '0')}`;
        this.add(
          'stash-put',
          {
            ...{ id: piece, name: 'Fern', colour: '#336644', kind: 'piece', unit: plan.unit, count: 1 },
            ...{ width: happens.width * scale, length: happens.length * scale, direction: 'none' },
            ...{ alike: false, washed: true, price: null, from: '' },
          },
          'stash',
        );
        this.add('stash-moved', { piece, count: 1, to: 'aside', quilt: QUILT, cloth: fabric.id }, 'stash');
        return;
      }
      case 'buy': {
        const fabric = this.clothAt(happens.cloth);
        const length = happens.length * (plan.unit === 'in' ? 1 : 2.5);
        if (fabric)
          this.add('bought', { cloth: fabric.id, unit: plan.unit, width: fabric.usableWidth, length });
        return;
      }
      case 'measure': {
        const { width, height } = computeQuilt(plan).layout.sizes[0]!.planned;
        const step = plan.unit === 'in' ? 1 / 8 : 0.3;
        const places = (size: number, from: number) =>
          [0, 1, 2].map((i) =>
            happens.which[from + i]
              ? Math.round((size + 2 * plan.seam + happens.off * step) * 16) / 16
              : null,
          ) as Plan['measured'][number]['width'];
        const measured = [{ borders: 0, width: places(width.value, 0), height: places(height.value, 3) }];
        return this.change({ ...plan, measured });
      }
      case 'choose': {
        const { ways } = sewingOf(plan, computeQuilt(plan).layout);
        const method = ways[happens.way % Math.max(1, ways.length)]?.method.id;
        if (method)
          this.add('sewing-chosen', {
            ...{ method, fromRight: happens.fromRight, alternate: false, weights: {}, pressed: {} },
          });
        return;
      }
      case 'sew': {
        const sewing = sewingOf(plan, computeQuilt(plan).layout);
        const seams = (sewing.ways[0]?.seams ?? [])
          .slice(0, happens.seams)
          .map((seam) => ({ seam: seamKey(sewing, seam), length: seam.length }));
        if (seams.length > 0) this.add('seams-sewn', { unit: plan.unit, seams });
        return;
      }
      case 'widen': {
        const at = plan.borders.length === 0 ? -1 : happens.border % plan.borders.length;
        const by = happens.by / (plan.unit === 'in' ? 8 : 2);
        const borders = plan.borders.map((border, i) =>
          i === at ? { ...border, sides: border.sides + by, ends: border.ends + by } : border,
        );
        return this.change({ ...plan, borders });
      }
      case 'change-unit':
        return this.change(convertPlan(plan, plan.unit === 'in' ? 'cm' : 'in'));
    }
  }

  private change(plan: Plan): void {
    if (planProblems(plan).length === 0) this.plan = plan;
  }
}

/** An evening by chance: any plan, and what its maker did. The same for the same seed. */
export function eveningOf(seed: number): Evening {
  const [drawn] = fc.sample(
    fc.record({
      plan: anyPlan.filter((plan) => computeQuilt(plan).layout.pieces.length <= MOST_PIECES),
      happens: fc.array(happening, { minLength: 2, maxLength: 9 }),
    }),
    { numRuns: 1, seed },
  );
  const hands = new Hands(drawn!.plan);
  for (const one of drawn!.happens) hands.do(one);
  return { plan: hands.plan, log: hands.log };
}
