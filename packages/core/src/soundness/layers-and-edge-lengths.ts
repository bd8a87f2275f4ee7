import { type Range, RANGES } from './ranges.ts';
import type { Plan } from '../plan/shape.ts';

/** A length of the plan, where it stands, and the range it is held to. */
export type Checked = [path: readonly (string | number)[], value: number, range: Range];

/** Every length of the layers. */
export function layerLengths({ backing, batting, quilting }: Plan): Checked[] {
  const { made } = backing;
  return [
    [['backing', 'overhang'], backing.overhang, RANGES.overhang],
    ...(made
      ? (
          [
            ['width', made.width],
            ['height', made.height],
            ['diagonals', made.diagonals[0]],
            ['diagonals', made.diagonals[1]],
          ] as const
        ).flatMap(([key, value]): Checked[] =>
          value === null ? [] : [[['backing', 'made', key], value, RANGES.made]],
        )
      : []),
    [['batting', 'rollWidth'], batting.rollWidth, RANGES.roll],
    [['quilting', 'spacing'], quilting.spacing, RANGES.spacing],
  ];
}

/** Every length of the edge and its binding. */
export function edgeLengths({ edge, binding, hanging }: Plan): Checked[] {
  const { points, scallop } = edge;
  const flange: Checked[] = binding.flange
    ? [[['binding', 'flange', 'visible'], binding.flange.visible, RANGES.visible]]
    : [];
  return [
    [['edge', 'radius'], edge.radius, RANGES.radius],
    [['edge', 'cutOut', 'across'], edge.cutOut.across, RANGES.cutOut],
    [['edge', 'cutOut', 'down'], edge.cutOut.down, RANGES.cutOut],
    [['edge', 'scallop', 'width'], scallop.width, RANGES.scallopWidth],
    [['edge', 'scallop', 'depth'], scallop.depth, RANGES.scallopDepth],
    ...(edge.around === null ? [] : [[['edge', 'around'], edge.around, RANGES.around] satisfies Checked]),
    [['edge', 'flange', 'visible'], edge.flange.visible, RANGES.visible],
    [['edge', 'facing', 'width'], edge.facing.width, RANGES.facing],
    [['edge', 'selfBinding', 'shows'], edge.selfBinding.shows, RANGES.selfBinding],
    [['hanging', 'depth'], hanging.depth, RANGES.sleeve],
    [['edge', 'piping', 'cord'], edge.piping.cord, RANGES.cord],
    [['edge', 'points', 'square'], points.square, RANGES.pointSquare],
    [['edge', 'points', 'overlap'], points.overlap, RANGES.pointOverlap],
    [['edge', 'points', 'opening'], points.opening, RANGES.opening],
    [['binding', 'stripWidth'], binding.stripWidth, RANGES.strip],
    ...(binding.seam === null
      ? []
      : [[['binding', 'seam'], binding.seam, RANGES.bindingSeam] satisfies Checked]),
    ...flange,
    ...(binding.start === null
      ? []
      : [[['binding', 'start'], binding.start, RANGES.start] satisfies Checked]),
  ];
}

/** Every length of the pieces in hand, and what is cut over-long. */
export function clothLengths({ stock, overLong }: Plan): Checked[] {
  return [
    [['overLong', 'sashes'], overLong.sashes, RANGES.overLong],
    [['overLong', 'borders'], overLong.borders, RANGES.overLong],
    ...stock.flatMap((piece, i): Checked[] => {
      const [width, length] =
        piece.for === 'batting' ? [RANGES.piece, RANGES.piece] : [RANGES.leftover, RANGES.leftoverLength];
      return [
        [['stock', i, 'width'], piece.width, width],
        [['stock', i, 'length'], piece.length, length],
      ];
    }),
  ];
}
