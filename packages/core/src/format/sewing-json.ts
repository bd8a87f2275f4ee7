import type { Point } from '../geometry/point.ts';
import type { Pressing } from '../sewing/pressing.ts';
import type { Sewing, SewingWay } from '../sewing/sewing.ts';

const pair = ({ x, y }: Point): readonly [number, number] => [x, y];

/**
 * A way of sewing as a document for scripts: finished pieces of the top, which tile it, and steps of seams in their
 * order. A seam joins the assemblies of two pieces along the whole of its line; pressed "a" it lies toward that of
 * `a`. Lengths are in the plan's unit.
 */
export function sewingJson(
  { top, places, ways, best }: Sewing,
  { method, seams, steps }: SewingWay,
  { press, crossings, nested, unnested }: Pressing,
) {
  const id = (piece: number) => top.pieces[piece]!.id;
  return {
    methods: ways.map(({ method: { id: name, name: called }, effort }) => ({
      id: name,
      name: called,
      seams: effort.seams,
      longest: effort.longest,
      trips: effort.trips,
      minutes: effort.minutes,
      heaviest: effort.heaviest,
      ...(best?.id === name && { best: true, why: best.why }),
    })),
    method: method.id,
    pieces: top.pieces.map((piece, i) => ({
      id: piece.id,
      role: piece.role,
      ...places.get(i),
      outline: piece.outline.map(pair),
    })),
    steps: steps.map(({ id: step, title, seams: own }) => ({
      id: step,
      title,
      seams: own.map((number) => {
        const { a, b, line, mitre } = seams[number]!;
        return {
          a: id(a),
          b: id(b),
          line: line.map(pair),
          press: press[number]!,
          ...(mitre && { mitre }),
        };
      }),
    })),
    crossings,
    nested,
    unnested: unnested.map(({ at, why }) => ({ at: pair(at), why })),
  };
}
