import { joinLines } from '../cutting/join-lines.ts';
import type { Placed } from '../cutting/placed.ts';
import { type CutStrips, stripsCutFor } from '../cutting/runs.ts';
import { withFlangeStrips, withStrips } from '../edge/binding.ts';
import type { Edge } from '../edge/edge.ts';
import { saysStrips } from '../edge/strips-as-cut.ts';
import type { CutLine } from '../cut/line.ts';
import type { Unit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import type { Quilt } from './quilt.ts';

/** What of a cloth's cutting tells how strips are joined. */
export type ClothAsCut = Pick<Placed, 'fabric' | 'runs'>;

/** The edge with its binding as its cloth is cut for it: how many strips, how long, and where their joins fall (rule BD-3). */
export function edgeAsCut(plan: Plan, edge: Edge, cloths: readonly ClothAsCut[]): Edge {
  const { binding } = edge;
  if (!binding) return edge;
  const { fabric, flange } = plan.binding;
  const strips = stripsFrom(cloths, fabric, 'binding');
  const beside = flange ? stripsFrom(cloths, flange.fabric, 'binding-flange') : null;
  const around = { outline: edge.outline, start: plan.binding.start, unit: plan.unit };
  const joined = strips ? withStrips(binding, strips, strips.usable, around) : binding;
  return { ...edge, binding: beside ? withFlangeStrips(joined, beside, beside.usable, plan.unit) : joined };
}

/** How a note begins that says what whole strips are cut as. */
const AS_CUT = 'As its cloth is cut: ';

/** Lines of the cutting list, each binding's with the strips its cloth is cut into where they are not all whole. */
export function linesAsCut(lines: readonly CutLine[], { binding }: Edge, unit: Unit): readonly CutLine[] {
  const strips = { binding: binding?.asCut, 'binding-flange': binding?.flange?.asCut };
  return lines.map((line) => {
    if (line.role !== 'binding' && line.role !== 'binding-flange') return line;
    const asCut = strips[line.role];
    const notes = line.notes.filter((note) => !note.startsWith(AS_CUT));
    const said = asCut && asCut.short.length > 0 ? [`${AS_CUT}${saysStrips(asCut, unit)}.`] : [];
    return { ...line, notes: [...notes, ...said] };
  });
}

/** A cloth on the table: as it is cut there, and whether that is only what is left of it. */
export interface OnTable {
  readonly table: { readonly placed: Placed; readonly replanned: unknown };
}

/**
 * The quilt with its strips as they are cut at the table, where another way may have been chosen than the usual one:
 * table and edge then have one plan of strips and joins. What was planned anew after a mishap or a change is only a
 * part of the strips: there the quilt's own plan stands.
 */
export function quiltAsCut(plan: Plan, quilt: Quilt, cloths: readonly OnTable[]): Quilt {
  const whole = new Map(
    cloths.flatMap(({ table: { placed, replanned } }) =>
      replanned ? [] : [[placed.fabric.id, placed] as const],
    ),
  );
  const placed = quilt.fabrics.map((cloth) => whole.get(cloth.fabric.id) ?? cloth);
  const edge = edgeAsCut(plan, quilt.edge, placed);
  return {
    ...quilt,
    edge,
    besides: linesAsCut(quilt.besides, edge, plan.unit),
    joins: joinLines(quilt.layout, quilt.pieces, placed),
  };
}

/** What a cloth has cut for a cut whose strips are all joined, and how wide it is; null where it has no such strips. */
function stripsFrom(
  cloths: readonly ClothAsCut[],
  fabric: string,
  cut: string,
): (CutStrips & { readonly usable: number }) | null {
  const cloth = cloths.find((placed) => placed.fabric.id === fabric);
  const strips = cloth && stripsCutFor(cloth.runs, cut);
  return strips ? { ...strips, usable: cloth.fabric.usableWidth } : null;
}
