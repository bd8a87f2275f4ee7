import { rectangle } from '../geometry/shapes.ts';
import { pathRound } from '../geometry/path.ts';
import type { Layout } from '../layout/lay-out.ts';
import { fromInches } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { rowLabels } from '../wall/edits.ts';
import { wallOf } from '../wall/wall.ts';
import { laidLook } from './quilt-scene.ts';
import type { Scene, SceneItem } from './scene.ts';

/** A label to pin on a block: the row it is sewn in, its number there, and how it is drawn. */
export interface BlockLabel {
  readonly row: number;
  readonly number: number;
  /** As it is read out: "2·3, Wheelbarrow, 1 quarter right". */
  readonly says: string;
  readonly scene: Scene;
}

/** A label is 1 1/2" by 1/2", a strip that can be pinned on (from memory). */
const SIZE_INCHES = { width: 1.5, height: 0.5 };

/** Labels for every place, in the order they are sewn. */
export function blockLabels(plan: Plan, layout: Layout): BlockLabel[] {
  const pieces = layout.pieces.filter((p) => p.place !== undefined).sort((a, b) => a.place! - b.place!);
  const numbers = rowLabels(pieces);
  const { places } = wallOf(plan, pieces.length);
  return pieces
    .map((piece, i): BlockLabel => {
      const { row, number } = numbers[i]!;
      const { block, turn } = places[i]!;
      const turns = turn > 0 ? `, ${turn} quarter${turn === 1 ? '' : 's'} right` : '';
      const place = `${row}·${number}`;
      const what = `${block ? block.name : 'empty'}${turns}`;
      const look = block ? laidLook(plan, piece, places[i]!) : null;
      return {
        row,
        number,
        says: `${place}, ${what}`,
        scene: labelScene(plan, place, what, look),
      };
    })
    .sort((a, b) => a.row - b.row || a.number - b.number);
}

function labelScene(
  { unit }: Plan,
  place: string,
  what: string,
  laid: ReturnType<typeof laidLook> | null,
): Scene {
  const inches = (value: number) => fromInches(value, unit);
  const [width, height] = [inches(SIZE_INCHES.width), inches(SIZE_INCHES.height)];
  const side = inches(0.38);
  const margin = (height - side) / 2;
  const square = rectangle(margin, margin, side, side);
  const words = 2 * margin + side;
  const items: SceneItem[] = [
    {
      what: 'shape',
      id: 'border',
      paths: [pathRound(rectangle(0, 0, width, height))],
      fill: null,
      line: 'cut',
    },
    ...(laid
      ? [
          {
            what: 'block',
            id: 'face',
            corners: square.map((_, i) => square[(i + laid.turn) % 4]!),
            look: laid.look,
          } satisfies SceneItem,
        ]
      : []),
    {
      what: 'text',
      at: { x: words, y: inches(0.23) },
      text: place,
      size: inches(0.18),
      align: 'start',
      strong: true,
    },
    { what: 'text', at: { x: words, y: inches(0.39) }, text: what, size: inches(0.1), align: 'start' },
  ];
  return {
    name: place,
    unit,
    box: { x: 0, y: 0, width, height },
    layers: [{ id: 'label', name: place, items }],
  };
}
