import type { ClothBox, PlacedPiece } from '../cutting/placed.ts';
import { grownBy } from '../geometry/offset.ts';
import { pathRound } from '../geometry/path.ts';
import type { Point } from '../geometry/point.ts';
import { rectangle } from '../geometry/shapes.ts';
import { fromInches } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { oneBelowAnother } from './beside.ts';
import type { Scene, SceneItem, SceneLayer } from './scene.ts';

type ClothCut = Quilt['fabrics'][number];

/** The outlines a placed piece is cut to: itself, or the triangles of its square. */
function outlinesOfPlaced({ x, y, w, h, corners }: PlacedPiece): Point[][] {
  const [a, b, c, d] = rectangle(x, y, w, h) as [Point, Point, Point, Point];
  if (corners === 0) return [[a, b, c, d]];
  if (corners === 1)
    return [
      [a, b, c],
      [a, c, d],
    ];
  const middle = { x: x + w / 2, y: y + h / 2 };
  return [
    [a, b, middle],
    [b, c, middle],
    [c, d, middle],
    [d, a, middle],
  ];
}

/**
 * What is cut from one cloth as it lies there, true to size: a layer of what is cut, with the seam in it, and one of what
 * is sewn, without; strips that are joined first have no seam of their own.
 */
export function clothScene({ seam, unit }: Pick<Plan, 'seam' | 'unit'>, cloth: ClothCut): Scene {
  const { fabric, needed, pieces, runs } = cloth;
  const onCloth = onOne(null, cloth);
  const spares = [
    ...new Set([...pieces, ...runs.flatMap(({ segments }) => segments)].map(({ stock }) => stock)),
  ]
    .filter((stock) => stock !== null)
    .map((stock) => onOne(stock, cloth));
  const box = { x: 0, y: 0, width: fabric.usableWidth, height: needed.value };
  return oneBelowAnother(
    fabric.name,
    [
      { name: fabric.name, unit, box, layers: onCloth },
      ...spares.map((layers): Scene => ({ name: fabric.name, unit, box: boxRound(layers), layers })),
    ],
    fromInches(1, unit),
  );

  /** What is cut from the cloth itself, or from one piece that is there already. */
  function onOne(stock: string | null, { fabric: { id, name } }: ClothCut): SceneLayer[] {
    const own = pieces.filter((piece) => piece.stock === stock);
    const strips: ClothBox[] = runs.flatMap(({ segments }) => segments.filter((one) => one.stock === stock));
    const cut = [...own.flatMap(outlinesOfPlaced), ...strips.map(({ x, y, w, h }) => rectangle(x, y, w, h))];
    const sewn = own
      .flatMap(outlinesOfPlaced)
      .map((outline) => grownBy(outline, -seam))
      .filter((outline) => outline !== null);
    const key = stock === null ? id : `${id}-${stock}`;
    const shape = (what: string, outlines: readonly Point[][], line: 'cut' | 'stitch'): SceneItem[] =>
      outlines.length === 0
        ? []
        : [{ what: 'shape', id: `${what}-${key}`, paths: outlines.map(pathRound), fill: null, line }];
    return [
      { id: `cut-${key}`, name: `${name}: cut, seams and all`, items: shape('cut', cut, 'cut') },
      { id: `sewn-${key}`, name: `${name}: sewn, without seams`, items: shape('sewn', sewn, 'stitch') },
    ];
  }
}

function boxRound(layers: readonly SceneLayer[]): Scene['box'] {
  const points = layers
    .flatMap(({ items }) => items)
    .flatMap((item) =>
      item.what === 'shape'
        ? item.paths.flatMap(({ from, steps }) => [from, ...steps.map(({ to }) => to)])
        : [],
    );
  const [width, height] = [Math.max(0, ...points.map((p) => p.x)), Math.max(0, ...points.map((p) => p.y))];
  return { x: 0, y: 0, width, height };
}

/** What is cut from every cloth, one cloth below the other. */
export const cutsScene = (plan: Plan, quilt: Quilt): Scene =>
  oneBelowAnother(
    `${plan.title}, cut`,
    quilt.fabrics
      .filter(({ pieces, runs }) => pieces.length + runs.length > 0)
      .map((cloth) => clothScene(plan, cloth)),
    fromInches(4, plan.unit),
  );
