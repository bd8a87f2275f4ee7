import { group } from 'd3-array';
import type { CuttingStep } from '../cutting/steps.ts';
import type { Unit } from '../length/unit.ts';
import type { CutRecord } from '../log/cut-record.ts';
import type { EntryBody } from '../log/kinds/registry.ts';
import type { Fabric } from '../plan/shape.ts';
import type { TableCloth } from './at-table.ts';

/** What the log keeps when the cutting of a cloth begins, or is planned anew. */
export const planEntry = (cloth: string, { plan }: TableCloth, unit: Unit): EntryBody['cutting-planned'] => ({
  cloth,
  unit,
  wants: plan.wants,
  stock: plan.stock.map(({ key, w, h, name }) => ({ key, w, h, ...(name !== undefined && { name }) })),
  sheet: {
    length: plan.sheet.length,
    cuts: plan.sheet.cuts.map((cut) => ({ ...cut })),
    runs: plan.sheet.runs.map(({ width, joins, pieces, segments }) => ({
      width,
      joins,
      pieces: pieces.map((piece) => ({ ...piece })),
      segments: segments.map((segment) => ({ ...segment })),
    })),
    strips: [...plan.sheet.strips],
  },
});

/** What is left of a cloth as it goes into the stash: pieces of one size together. */
export function leftoverEntries(
  quilt: { readonly id: string; readonly title: string },
  { name, colour, direction, alike, price }: Fabric,
  { left }: CutRecord,
  unit: Unit,
): Omit<EntryBody['stash-put'], 'id'>[] {
  const sizes = group(left, ({ w, h }) => `${w} ${h}`);
  return [...sizes.values()].map((alikes) => {
    const { w, h } = alikes[0]!;
    return {
      name: `${name}, left over`.slice(0, 60),
      colour,
      kind: 'piece',
      unit,
      width: w,
      length: h,
      count: alikes.length,
      direction,
      alike,
      washed: false,
      price,
      from: quilt.title.slice(0, 120),
      leftovers: alikes.map(({ key }) => ({ quilt: quilt.id, key })),
    };
  });
}

/**
 * What the log keeps of a step that was done.
 *
 * @param plan id of the plan's own entry
 */
export function stepEntry(cloth: string, plan: string, step: CuttingStep, unit: Unit): EntryBody['step-cut'] {
  const { id, kind, box, strips, stock, makes, offcuts } = step;
  // A strip is a piece of cloth until it is cut up; what it is cut up for uses it.
  const strip = kind === 'strip' && makes.length === 0 ? [{ w: box.w, h: box.h }] : [];
  const cutUp = kind === 'pieces' ? strips.map((index) => `${plan}/strip-${index}/0`) : [];
  return {
    cloth,
    unit,
    plan,
    step: id,
    takes: kind === 'strip' ? box.h : 0,
    uses: stock === null ? cutUp : [stock],
    makes: makes.map(({ line, cut, name, w, h, count, joined }) => ({
      key: cut ?? line,
      name,
      w,
      h,
      count,
      joined,
    })),
    leaves: [...strip, ...offcuts.map(({ w, h }) => ({ w, h }))],
  };
}
