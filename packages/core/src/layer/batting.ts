import { sum } from 'd3-array';
import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import { formatExact, formatSize, formatWithUnit } from '../length/format.ts';
import type { Point } from '../geometry/point.ts';
import { limitIn } from '../length/rounding.ts';
import { atLeast, howManyCover, near } from '../length/tolerance.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import type { BattingWay } from '../choice/battings.ts';
import { turned } from './slabs.ts';

/** A size of batting, as cut. */
export interface Sheet {
  readonly width: number;
  readonly height: number;
}

/** One way of having batting large enough. */
export interface BattingOption {
  readonly way: BattingWay;
  /** As it is asked for: "81 × 96″ package", "92″ off a roll 96″ wide". */
  readonly text: string;
  /** What is bought; null where it is there already. */
  readonly buy: Figure | null;
  /** How it comes to be enough. */
  readonly working: readonly string[];
  /** Where it is joined, from the batting's top left corner. */
  readonly joins: readonly { readonly from: Point; readonly to: Point }[];
  readonly area: number;
}

/** The batting of a quilt: the size it has to reach, and ways to have it, best first. Empty where nothing is large enough. */
export interface Batting {
  readonly width: Figure;
  readonly height: Figure;
  readonly options: readonly BattingOption[];
}

/** Packaged sizes, in inches (rule BT-1; from memory). */
const PACKAGES: readonly (readonly [number, number])[] = [
  [36, 45],
  [45, 60],
  [60, 60],
  [72, 90],
  [81, 96],
  [90, 108],
  [120, 120],
];

/** Two edges are lapped this far, cut through together in a wave, and butted: 2" (from memory). */
const LAP_INCHES = 2;
/** More pieces than this in one batting are more joins than batting. */
const MOST_PIECES = 4;

/** What is there to make a batting of. */
export interface BattingWish {
  readonly overhang: number;
  readonly rollWidth: number;
  readonly pieces: readonly Sheet[];
  readonly unit: Unit;
}

/**
 * Batting for a top and its overhang: from pieces that are there, the smallest package, a roll, or two or
 * three alike joined. What is there comes first, then without a join before joined, then the least of it.
 */
export function planBatting(size: Sheet, { overhang, rollWidth, pieces, unit }: BattingWish): Batting {
  const need = { width: size.width + 2 * overhang, height: size.height + 2 * overhang };
  const says = (side: 'width' | 'height') =>
    lengthOf(
      need[side],
      `${formatWithUnit(size[side], unit)} + 2 × ${formatWithUnit(overhang, unit)} overhang = ${formatExact(need[side])}`,
    );
  const joined = [packagesJoined(need, unit), rollJoined(need, rollWidth, unit)]
    .filter((o) => o !== null)
    .sort((a, b) => a.area - b.area);
  const options = [
    fromPieces(need, pieces, unit),
    fromPackage(need, unit),
    fromRoll(need, rollWidth, unit),
    joined[0] ?? null,
  ].filter((o) => o !== null);
  return { width: says('width'), height: says('height'), options };
}

const covers = (sheet: Sheet, need: Sheet): boolean =>
  atLeast(sheet.width, need.width) && atLeast(sheet.height, need.height);
/** Each way round; a square has one. */
const bothWays = (sheet: Sheet): Sheet[] =>
  near(sheet.width, sheet.height) ? [sheet] : [sheet, turned(sheet)];
const packages = (unit: Unit): Sheet[] =>
  PACKAGES.map(([width, height]) => ({
    width: Math.round(limitIn(width, unit)),
    height: Math.round(limitIn(height, unit)),
  }));
const lapOf = (unit: Unit): number => (unit === 'in' ? LAP_INCHES : Math.round(fromInches(LAP_INCHES, unit)));
const upright = (at: number, height: number) => ({ from: { x: at, y: 0 }, to: { x: at, y: height } });
const level = (at: number, width: number) => ({ from: { x: 0, y: at }, to: { x: width, y: at } });

function fromPackage(need: Sheet, unit: Unit): BattingOption | null {
  const [best] = packages(unit)
    .filter((p) => bothWays(p).some((way) => covers(way, need)))
    .sort((a, b) => a.width * a.height - b.width * b.height);
  if (!best) return null;
  const said = formatSize(best.width, best.height, unit);
  return {
    way: 'package',
    text: `Package ${said}`,
    buy: {
      value: 1,
      kind: 'count',
      working: [`The smallest package that holds ${formatSize(need.width, need.height, unit)}: ${said}`],
    },
    working: [`${said} holds ${formatSize(need.width, need.height, unit)}`],
    joins: [],
    area: best.width * best.height,
  };
}

function fromRoll(need: Sheet, rollWidth: number, unit: Unit): BattingOption | null {
  const [best] = bothWays(need)
    .filter((n) => atLeast(rollWidth, n.width))
    .sort((a, b) => a.height - b.height);
  if (!best) return null;
  const length = lengthOf(
    best.height,
    `The roll is ${formatWithUnit(rollWidth, unit)} wide and holds ${formatWithUnit(best.width, unit)}; so ${formatWithUnit(best.height, unit)} off it`,
  );
  return {
    way: 'roll',
    text: `${formatWithUnit(best.height, unit)} off a roll ${formatWithUnit(rollWidth, unit)} wide`,
    buy: length,
    working: length.working,
    joins: [],
    area: best.height * rollWidth,
  };
}

/** Sheets alike side by side, lapped where they join: how many it takes, and the joins across the need. */
function sideBySide(sheet: Sheet, need: Sheet, unit: Unit): { count: number; joins: number[] } | null {
  const lap = lapOf(unit);
  if (!atLeast(sheet.height, need.height)) return null;
  const count = howManyCover(need.width - lap, sheet.width - lap);
  if (count > MOST_PIECES) return null;
  const trim = (count * (sheet.width - lap) + lap - need.width) / 2;
  return {
    count,
    joins: Array.from({ length: count - 1 }, (_, i) => (i + 1) * (sheet.width - lap) + lap / 2 - trim),
  };
}

function packagesJoined(need: Sheet, unit: Unit): BattingOption | null {
  const ways = packages(unit).flatMap((p) =>
    bothWays(p).flatMap((way) => [
      { p, way, on: need, turn: false },
      { p, way, on: turned(need), turn: true },
    ]),
  );
  const found = ways.flatMap(({ p, way, on, turn }): BattingOption[] => {
    const laid = sideBySide(way, on, unit);
    if (!laid || laid.count < 2) return [];
    const said = formatSize(p.width, p.height, unit);
    const working = [
      `${laid.count} × ${formatWithUnit(way.width, unit)} less ${numberOf(laid.count - 1, 'join')} lapped ${formatWithUnit(lapOf(unit), unit)}, for ${formatWithUnit(on.width, unit)}`,
    ];
    return [
      {
        way: 'joined',
        text: `${laid.count} packages ${said}, joined`,
        buy: { value: laid.count, kind: 'count', working },
        working,
        joins: laid.joins.map((at) => (turn ? level(at, need.width) : upright(at, need.height))),
        area: laid.count * p.width * p.height,
      },
    ];
  });
  return found.sort((a, b) => a.area - b.area)[0] ?? null;
}

function rollJoined(need: Sheet, rollWidth: number, unit: Unit): BattingOption | null {
  const found = [
    { on: need, turn: false },
    { on: turned(need), turn: true },
  ].flatMap(({ on, turn }): BattingOption[] => {
    const laid = sideBySide({ width: rollWidth, height: on.height }, on, unit);
    if (!laid || laid.count < 2) return [];
    const length = lengthOf(
      laid.count * on.height,
      `${laid.count} widths of ${formatWithUnit(rollWidth, unit)} × ${formatWithUnit(on.height, unit)} = ${formatExact(laid.count * on.height)}, lapped ${formatWithUnit(lapOf(unit), unit)} where they join`,
    );
    return [
      {
        way: 'joined',
        text: `${formatWithUnit(length.value, unit)} off a roll ${formatWithUnit(rollWidth, unit)} wide, in ${laid.count} widths joined`,
        buy: length,
        working: length.working,
        joins: laid.joins.map((at) => (turn ? level(at, need.width) : upright(at, need.height))),
        area: length.value * rollWidth,
      },
    ];
  });
  return found.sort((a, b) => a.area - b.area)[0] ?? null;
}

/** The fewest of the pieces that are there, side by side in one row, each way round. */
function fromPieces(need: Sheet, pieces: readonly Sheet[], unit: Unit): BattingOption | null {
  const lap = lapOf(unit);
  const rows = [
    { on: need, turn: false },
    { on: turned(need), turn: true },
  ]
    .map(({ on, turn }) => {
      // Of each piece the way round that is tall enough and widest; widest first covers with the fewest.
      const fitting = pieces
        .flatMap((piece, i) => {
          const [wide] = bothWays(piece)
            .filter((w) => atLeast(w.height, on.height))
            .sort((a, b) => b.width - a.width);
          return wide ? [{ i, width: wide.width }] : [];
        })
        .sort((a, b) => b.width - a.width);
      let reach = 0;
      const used: typeof fitting = [];
      for (const piece of fitting) {
        if (atLeast(reach, on.width)) break;
        reach += piece.width - (used.length > 0 ? lap : 0);
        used.push(piece);
      }
      return { on, turn, used, reach };
    })
    .filter(({ reach, on, used }) => atLeast(reach, on.width) && used.length <= MOST_PIECES)
    .sort((a, b) => a.used.length - b.used.length);
  const [best] = rows;
  if (!best) return null;
  const trim = (best.reach - best.on.width) / 2;
  const joins = best.used
    .slice(0, -1)
    .map((_, i) => best.used.slice(0, i + 1).reduce((sum, p) => sum + p.width - lap, 0) + lap / 2 - trim);
  const named = best.used.map(({ i }) => formatSize(pieces[i]!.width, pieces[i]!.height, unit)).join(' and ');
  return {
    way: 'pieces',
    text: `What is there: ${named}`,
    buy: null,
    working: [
      best.used.length === 1
        ? `${named} holds ${formatSize(need.width, need.height, unit)}`
        : `${named} side by side, lapped ${formatWithUnit(lap, unit)}, reach ${formatWithUnit(best.reach, unit)}`,
    ],
    joins: joins.map((at) => (best.turn ? level(at, need.width) : upright(at, need.height))),
    area: sum(best.used, ({ i }) => pieces[i]!.width * pieces[i]!.height),
  };
}
