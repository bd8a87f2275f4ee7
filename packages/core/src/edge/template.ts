import type { Path } from '../geometry/path.ts';
import { formatFine, formatWithUnit } from '../length/format.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { ScallopCorner, Scallops, SideScallops } from './scallops.ts';
import { howManyCover } from '../length/tolerance.ts';

/** A shape to cut out of card, true to size: its outline from its top left corner. */
export interface Template {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly outline: Path;
  /** Where it is sewn, inside what is cut; absent where it is drawn round. */
  readonly seam?: Path;
  /** The left edge lies on a fold: only half is drawn, so that it goes on a sheet. */
  readonly half: boolean;
  readonly says: string;
}

/** A part of a template that goes on one sheet of paper, in the template's own measure. */
export interface Sheet {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What a sheet of paper holds, margins and a line of words off: letter is 8 1/2 × 11", A4 8 1/4 × 11 3/4". */
const SHEET_INCHES = { width: 7.5, height: 8.5 };
/** Card left below the valleys, to hold: 1". */
const HOLD_INCHES = 1;

/** Templates for the scallops of each side and for the corner, where one is turned. Sides whose scallops are alike to a ruler's mark share one. */
export function scallopTemplates({ across, down, corner, depth, sides }: Scallops, unit: Unit): Template[] {
  const level = sides.filter((s) => s === 'top' || s === 'bottom').join(' and ');
  const upright = sides.filter((s) => s === 'left' || s === 'right');
  const uprightWords = upright.length === 2 ? 'the sides' : `the ${upright.join()} side`;
  const corners = corner
    ? [
        cornerTemplate(
          corner,
          depth,
          level.includes('and') && upright.length === 2
            ? 'Four'
            : level.includes('and') || upright.length === 2
              ? 'Two'
              : 'One',
          unit,
        ),
      ]
    : [];
  if (across && down && Math.abs(across.width - down.width) < fromInches(1 / 32, unit)) {
    return [
      sideTemplate(
        'Scallop',
        across,
        depth,
        `${across.count} along ${level}, ${down.count} along ${uprightWords}`,
        unit,
      ),
      ...corners,
    ];
  }
  return [
    ...(across
      ? [sideTemplate(`Scallop of ${level}`, across, depth, `${across.count} along ${level}`, unit)]
      : []),
    ...(down
      ? [
          sideTemplate(
            `Scallop of ${uprightWords}`,
            down,
            depth,
            `${down.count} along ${upright.length === 2 ? 'each side' : uprightWords}`,
            unit,
          ),
        ]
      : []),
    ...corners,
  ];
}

function sideTemplate(
  name: string,
  { width, radius }: SideScallops,
  depth: number,
  where: string,
  unit: Unit,
): Template {
  const hold = fromInches(HOLD_INCHES, unit);
  const half = width > fromInches(SHEET_INCHES.width, unit);
  const from = half ? { x: 0, y: 0 } : { x: 0, y: depth };
  const right = half ? width / 2 : width;
  return {
    name,
    half,
    width: right,
    height: depth + hold,
    outline: {
      from,
      closed: true,
      steps: [
        { to: { x: right, y: depth }, arc: { centre: { x: half ? 0 : width / 2, y: radius }, radius } },
        { to: { x: right, y: depth + hold } },
        { to: { x: 0, y: depth + hold } },
      ],
    },
    says: `${where}; ${formatFine(width, unit)} wide, ${formatWithUnit(depth, unit)} deep`,
  };
}

/** The corner stands on its diagonal, so that its two halves are alike. */
function cornerTemplate({ radius, inset }: ScallopCorner, depth: number, many: string, unit: Unit): Template {
  const hold = fromInches(HOLD_INCHES, unit);
  // Along and across the diagonal, from the top of the corner's arc.
  const top = radius * (Math.SQRT2 - 1);
  const out = (inset - depth) / Math.SQRT2;
  const down = (inset + depth) / Math.SQRT2 - top;
  // An arc of more than half a circle reaches beyond its shoulders.
  const reach = down > radius ? radius : out;
  const half = 2 * reach > fromInches(SHEET_INCHES.width, unit);
  // The arc's top and the card's point lie on its middle line.
  const middle = half ? 0 : reach;
  const outline: Path = {
    from: half ? { x: 0, y: 0 } : { x: reach - out, y: down },
    closed: true,
    steps: [
      { to: { x: middle + out, y: down }, arc: { centre: { x: middle, y: radius }, radius } },
      { to: { x: middle, y: down + hold } },
    ],
  };
  return {
    name: 'Corner',
    half,
    width: half ? reach : 2 * reach,
    height: down + hold,
    outline,
    says: `${many}, the point of the card toward the middle of the quilt; its shoulders end ${formatWithUnit(inset, unit)} from the corner along each side`,
  };
}

/** The sheets a template is printed on, row by row, all alike; one where it fits. They are taped edge to edge. */
export function sheetsOf({ width, height }: Pick<Template, 'width' | 'height'>, unit: Unit): Sheet[] {
  const [columns, rows] = [
    howManyCover(width, fromInches(SHEET_INCHES.width, unit)),
    howManyCover(height, fromInches(SHEET_INCHES.height, unit)),
  ];
  const sheet = { width: width / columns, height: height / rows };
  return Array.from({ length: columns * rows }, (_, i) => ({
    x: (i % columns) * sheet.width,
    y: Math.floor(i / columns) * sheet.height,
    ...sheet,
  }));
}
