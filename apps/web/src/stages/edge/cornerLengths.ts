import {
  isCornered,
  edgeBeyond,
  type EdgePoints,
  formatFine,
  formatWithUnit,
  type Plan,
  pointBase,
  pointHeight,
  type Quilt,
  type Scallops,
} from '@lattice/core';
import type { Dimension } from '../../rooms/drawing/Dimensions.tsx';

const at = (x: number, y: number) => ({ x, y });
/** How a length is written beside its line. */
type Show = (value: number) => string;

/** What is measured on the close-up of a left corner, from the top's finished corner, into the quilt. */
export function cornerLengths(plan: Plan, { edge }: Quilt, reach: number): Dimension[] {
  const { unit } = plan;
  const over = edgeBeyond(plan);
  const show = (value: number) =>
    Math.abs(value) < 1 ? formatFine(value, unit) : formatWithUnit(value, unit);
  const {
    binding,
    points,
    outline: { scallops },
  } = edge;
  const bound = binding?.seam ?? 0;
  const lengths: Dimension[] = [];
  if (binding) lengths.push(...bindingLengths(plan, edge, reach, show));
  lengths.push(...cutLengths(plan, reach, show));
  if (scallops) {
    lengths.push(
      ...scallopLengths(
        scallops,
        scallops.sides.includes(cornerShown(plan).end),
        depthRoom(bound, reach),
        show,
      ),
    );
  }
  lengths.push(
    ...edge.finished.flatMap(({ bands }, i) =>
      bands.map(({ name, from, wide, face }): Dimension => {
        const down = reach * (0.5 - 0.12 * i);
        return {
          from: at(from - over, down),
          to: at(from + wide - over, down),
          text: `${face === 'back' ? `${name}, behind` : name} ${show(wide)}`,
          beside: 'right',
        };
      }),
    ),
  );
  return points ? [...lengths, ...pointLengths(plan, points, show)] : lengths;
}

/** How wide the binding lies, and a flange in it: across the left side; of a scallop, down from its top. */
function bindingLengths(plan: Plan, edge: Quilt['edge'], reach: number, show: Show): Dimension[] {
  const over = edgeBeyond(plan);
  const {
    binding,
    flange,
    outline: { scallops },
  } = edge;
  const bound = binding?.seam ?? 0;
  const lengths: Dimension[] = [];
  const level = scallops?.across && scallops.sides.includes(cornerShown(plan).end) ? scallops.across : null;
  const top = level ? (scallops!.corner?.inset ?? 0) + level.width / 2 : reach * 0.62;
  const shows = (name: string, from: number, wide: number, down: number): Dimension =>
    scallops
      ? {
          from: at(top, from - over),
          to: at(top, from + wide - over),
          text: `${name} ${show(wide)}`,
          beside: 'right',
        }
      : {
          from: at(from - over, reach * down),
          to: at(from + wide - over, reach * down),
          text: `${name} ${show(wide)}`,
          beside: 'right',
        };
  lengths.push(shows('binding', 0, bound, 0.86));
  if (plan.binding.flange)
    lengths.push(
      scallops
        ? { ...shows('flange', bound, plan.binding.flange.visible, 0), beside: 'below' }
        : shows('flange', bound, plan.binding.flange.visible, 0.74),
    );
  if (flange) lengths.push(shows('flange', bound, flange.visible, 0.62));
  return lengths;
}

/** What the corners are cut by. */
function cutLengths(plan: Plan, reach: number, show: Show): Dimension[] {
  const { shape, radius, cutOut } = plan.edge;
  const lengths: Dimension[] = [];
  if (shape === 'rounded')
    lengths.push({
      from: at(radius, radius),
      to: at(radius * (1 - Math.SQRT1_2), radius * (1 - Math.SQRT1_2)),
      text: `radius ${show(radius)}`,
    });
  if (shape === 'posts')
    lengths.push(
      {
        from: at(0, cutOut.down * 0.5),
        to: at(cutOut.across, cutOut.down * 0.5),
        text: `cut out ${show(cutOut.across)}`,
      },
      {
        from: at(cutOut.across * 0.5, 0),
        to: at(cutOut.across * 0.5, cutOut.down),
        text: show(cutOut.down),
        beside: 'right',
      },
    );
  if (shape === 'clipped')
    lengths.push({
      from: at(0, reach * 0.02),
      to: at(radius, reach * 0.02),
      text: `cut off ${show(radius)}`,
    });
  return lengths;
}

/** Where the scallop's width is written: below its valley and the binding. */
const depthRoom = (bound: number, reach: number): number => bound + reach * 0.08;

/** The first scallop beside the corner, along the end where that has some, otherwise down the side. */
function scallopLengths(
  { corner, across, down, depth }: Scallops,
  level: boolean,
  room: number,
  show: Show,
): Dimension[] {
  const from = corner?.inset ?? 0;
  if (level && across) {
    const below = depth + room;
    return [
      { from: at(from, below), to: at(from + across.width, below), text: `scallop ${show(across.width)}` },
      { from: at(from, 0), to: at(from, depth), text: `deep ${show(depth)}`, beside: 'above' },
    ];
  }
  return down
    ? [
        {
          from: at(depth + room, from),
          to: at(depth + room, from + down.width),
          text: `scallop ${show(down.width)}`,
          beside: 'right',
        },
      ]
    : [];
}

/**
 * The corner that is shown: the top left one, or where the shaping is: at the foot, or at the right where only that
 * side has scallops.
 */
export function cornerShown({ edge }: Plan): {
  readonly end: 'top' | 'bottom';
  readonly side: 'left' | 'right';
} {
  const {
    shape,
    corners,
    scallop: { sides },
  } = edge;
  if (isCornered(shape)) return { end: corners === 'foot' ? 'bottom' : 'top', side: 'left' };
  if (shape !== 'scalloped') return { end: 'top', side: 'left' };
  return {
    end: sides.includes('bottom') && !sides.includes('top') ? 'bottom' : 'top',
    side: sides.includes('right') && !sides.includes('left') ? 'right' : 'left',
  };
}

function pointLengths(plan: Plan, points: EdgePoints, show: Show): Dimension[] {
  const square = points.strip?.cutEvery.across.value ?? plan.edge.points.square;
  const half = pointBase(square, plan.seam) / 2;
  const [one, two] = points.across.middles as [number, number];
  const step = plan.edge.points.square * 0.2;
  const gap = two - one - 2 * half;
  return [
    {
      from: at(one, 2.4 * step),
      to: at(two, 2.4 * step),
      text: `a point every ${show(two - one)}`,
      beside: 'below',
    },
    {
      from: at(two, 0),
      to: at(two, -pointHeight(square, plan.seam)),
      text: `stands ${show(pointHeight(square, plan.seam))}`,
      beside: 'right',
    },
    ...(gap > 0.02
      ? [
          {
            from: at(one + half, step),
            to: at(two - half, step),
            text: `gap ${show(gap)}`,
            beside: 'right' as const,
          },
        ]
      : []),
    ...(gap < -0.02
      ? [
          {
            from: at(two - half, step),
            to: at(one + half, step),
            text: `lies over by ${show(-gap)}`,
            beside: 'right' as const,
          },
        ]
      : []),
  ];
}
