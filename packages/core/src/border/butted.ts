import { countOf, type Figure, lengthOf } from '../figure/figure.ts';
import { type Band, type Part, type Piece, rectangle } from '../layout/piece.ts';
import { formatLength } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';

/** One border of a stack, from the centre outward. */
export interface BorderWidth {
  readonly width: number;
  readonly fabric: string;
}

interface Size {
  readonly width: Figure;
  readonly height: Figure;
}

/** A bordered centre: the pieces of every border, and the size outside the last. */
export interface Bordered {
  readonly finished: Size;
  readonly parts: readonly Part[];
  readonly pieces: readonly Piece[];
  readonly bands: { readonly across: readonly Band[]; readonly down: readonly Band[] };
}

/** Width of all borders together, on one side. */
export const borderTotal = (borders: readonly BorderWidth[]): number => borders.reduce((sum, b) => sum + b.width, 0);

/**
 * A stack of butted borders, sides first: side length `H`, then top and bottom `W + 2b` (handbook 5).
 * The quilt's top left corner is the origin, so the centre starts at the stack's total width.
 */
export function buttedBorders(borders: readonly BorderWidth[], centre: Size, unit: Unit): Bordered {
  const show = (v: number) => formatLength(v, unit);
  const parts: Part[] = [];
  const pieces: Piece[] = [];
  const across: Band[] = [];
  const down: Band[] = [];
  const total = borderTotal(borders);
  const whole = { width: centre.width.value + 2 * total, height: centre.height.value + 2 * total };
  let inset = total;
  borders.forEach(({ width: b, fabric }, index) => {
    const inner = { width: whole.width - 2 * inset, height: whole.height - 2 * inset };
    inset -= b;
    const outer = { width: inner.width + 2 * b, height: inner.height + 2 * b };
    const label = borders.length === 1 ? 'Border' : `Border ${index + 1}`;
    const side = `border-${index}-side`;
    const end = `border-${index}-end`;
    const part = (key: string, name: string) =>
      parts.push({ key, role: 'border', name, grain: 'square-to-edge', cutFrom: { use: { what: 'border', index }, fabric }, count: countOf(2, 'One on each of two sides: 2') });
    part(side, `${label} sides`);
    part(end, `${label} top and bottom`);
    pieces.push(
      { id: `${side}-left`, part: side, outline: rectangle(inset, inset + b, b, inner.height) },
      { id: `${side}-right`, part: side, outline: rectangle(inset + b + inner.width, inset + b, b, inner.height) },
      { id: `${end}-top`, part: end, outline: rectangle(inset, inset, outer.width, b) },
      { id: `${end}-bottom`, part: end, outline: rectangle(inset, inset + b + inner.height, outer.width, b) },
    );
    const band = (key: string, from: number): Band => ({ role: 'border', part: key, from, to: from + b, moves: { what: 'border', index } });
    across.push(band(side, inset), band(side, inset + b + inner.width));
    down.push(band(end, inset), band(end, inset + b + inner.height));
  });
  const grown = (figure: Figure) =>
    borders.length === 0
      ? figure
      : lengthOf(
          figure.value + 2 * total,
          ...figure.working,
          `${show(figure.value)} + 2 × ${borders.length === 1 ? show(total) : `(${borders.map((b) => show(b.width)).join(' + ')})`} = ${show(figure.value + 2 * total)}`,
        );
  return { finished: { width: grown(centre.width), height: grown(centre.height) }, parts, pieces, bands: { across, down } };
}
