import { group } from 'd3-array';
import type { JoinLine } from '../cutting/join-lines.ts';
import { type Path, pathRound, stroke } from '../geometry/path.ts';
import type { Point } from '../geometry/point.ts';
import { strokesRound } from '../geometry/strokes.ts';
import type { Layout } from '../layout/lay-out.ts';
import { orientationOf } from '../layout/orientation.ts';
import type { Piece } from '../piece/piece.ts';
import { fabricById } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';
import { type WallPlace, wallOf } from '../wall/wall.ts';
import { type BlockLook, lookOf } from './look.ts';
import type { Scene, SceneItem, SceneLayer } from './scene.ts';

const outlinesOf = (pieces: readonly Piece[]): Path[] => pieces.map((piece) => pathRound(piece.outline));

/** Everything that is cut from cloth, a shape for each part. */
export function clothLayer(fabrics: Plan['fabrics'], layout: Layout): SceneLayer {
  const ofPart = group(layout.pieces, ({ part }) => part);
  const items = Object.values(layout.parts).flatMap(({ key, cutFrom }): SceneItem[] => {
    if (!cutFrom) return [];
    const fill = fabricById({ fabrics }, cutFrom.fabric).colour;
    return [{ what: 'shape', id: key, paths: outlinesOf(ofPart.get(key) ?? []), fill, line: 'seam' }];
  });
  return { id: 'cloth', name: 'Cloth', items };
}

/** How a block lies in the place of a piece: its look, and its quarter turns by rule and by hand. One-way prints stay upright. */
export function laidLook(
  plan: Plan,
  piece: Piece,
  { block, turn }: WallPlace,
): { look: BlockLook; turn: number } {
  const lie = orientationOf(plan.places, piece.spot!);
  return { look: lookOf(block ?? undefined, lie.swapped), turn: block?.upright ? 0 : (lie.turn + turn) % 4 };
}

/** Corners of a place from the upper left one of a block that lies there turned by so many quarters to the right. */
const turnedCorners = (outline: readonly Point[], turn: number): Point[] =>
  outline.map((_, i) => outline[(i + turn) % outline.length]!);

/** The layers that blocks make. */
interface BlockLayers {
  readonly blocks: SceneLayer;
  /** Round the blocks, over them. */
  readonly outlines: SceneLayer;
  /** Places where none lies. */
  readonly empty: SceneLayer;
}

/** The blocks as they lie on the wall, their seams over them, and the places where none lies. */
export function blockLayers(plan: Plan, layout: Layout): BlockLayers {
  const blocks = layout.pieces.filter((p) => p.place !== undefined);
  const { places } = wallOf(plan, blocks.length);
  const isEmpty = (piece: Piece) => plan.pile.length > 0 && places[piece.place!]!.block === null;
  const empty = blocks.filter(isEmpty);
  const hung = blocks.filter((piece) => !isEmpty(piece));
  const items = hung.map((piece): SceneItem => {
    const { look, turn } = laidLook(plan, piece, places[piece.place!]!);
    return { what: 'block', id: piece.id, corners: turnedCorners(piece.outline, turn), look };
  });
  const lines = (id: string, name: string, pieces: readonly Piece[], line: 'seam' | 'empty'): SceneLayer => ({
    id,
    name,
    items: pieces.length === 0 ? [] : [{ what: 'shape', id, paths: outlinesOf(pieces), fill: null, line }],
  });
  return {
    blocks: { id: 'blocks', name: 'Blocks', items },
    outlines: lines('block-seams', 'Seams round the blocks', hung, 'seam'),
    empty: lines('empty-places', 'Empty places', empty, 'empty'),
  };
}

/** Every seam of the top, once: what a screen draws over cloth and blocks in the place of an outline round each. */
export const seamLayer = ({ pieces }: Pick<Layout, 'pieces'>): SceneLayer => ({
  id: 'seams',
  name: 'Seams',
  items: [
    {
      what: 'shape',
      id: 'seams',
      paths: strokesRound(pieces.map(({ outline }) => outline)),
      fill: null,
      line: 'seam',
    },
  ],
});

/** Seams where strips are joined. */
export const joinLayer = (joins: readonly JoinLine[]): SceneLayer => ({
  id: 'joins',
  name: 'Joins',
  items:
    joins.length === 0
      ? []
      : [
          {
            what: 'shape',
            id: 'joins',
            paths: joins.map(({ from, to }) => stroke(from, to)),
            fill: null,
            line: 'join',
          },
        ],
});

/** The whole top as it is drawn, to scale. */
export function quiltScene(plan: Plan, layout: Layout, joins: readonly JoinLine[] = []): Scene {
  const { width, height } = layout.finished;
  const { blocks, outlines, empty } = blockLayers(plan, layout);
  return {
    name: plan.title,
    unit: plan.unit,
    box: { x: 0, y: 0, width: width.value, height: height.value },
    layers: [clothLayer(plan.fabrics, layout), blocks, outlines, empty, joinLayer(joins)],
  };
}
