import type { Box, PieceBox, RunPlan, SheetPlan, StripBox } from './need.ts';
import type { Pass, Strip } from './pass.ts';
import type { Task } from './task.ts';

/**
 * A filling as it lies on the cloth: lengthwise pieces come off before anything else, then what can be cut now, the
 * widest strips first, then what waits; strips cut alike one after another. The last strip of a run is as long as there is room for, so that its
 * joins can be moved out of sight.
 */
export function sheetPlan(task: Task, { length, stock, strips }: Pass): SheetPlan {
  const cuts: PieceBox[] = [];
  // Pieces of a kind go to those that want them one after another.
  const whose = task.kinds.map(({ needs }) =>
    needs.flatMap(({ key, count }) => Array<string>(count).fill(key)),
  );
  const segments: StripBox[][] = task.runs.map(() => []);
  for (const { stock: index, boxes } of stock) {
    const { key, width } = task.stock[index]!;
    for (const box of boxes) {
      const at = { x: box.x, y: box.y, w: box.w, h: box.h, stock: key };
      if (box.run < 0) cuts.push({ key: whose[box.kind]!.shift()!, ...at });
      else segments[box.run]!.push({ ...at, w: at.w + freeBeside(box, boxes, width) });
    }
  }
  let y = 0;
  const ordered = inOrder(task, strips);
  for (const strip of ordered) {
    for (const box of strip.boxes) {
      const at = { x: box.x, y: box.y + y, w: box.w, h: box.h };
      if (box.run < 0) cuts.push({ key: whose[box.kind]!.shift()!, ...at });
      else segments[box.run]!.push({ ...at, w: at.w + freeBeside(box, strip.boxes, task.sheet.usable) });
    }
    y += strip.height;
  }
  const runs = task.runs.map(({ width, joins, needs }, i): RunPlan => ({
    width,
    joins,
    pieces: needs.map(({ key, count }) => ({ key, count })),
    segments: segments[i]!,
  }));
  return { length, cuts, runs, strips: ordered.map(({ height }) => height) };
}

function inOrder(task: Task, strips: readonly Strip[]): Strip[] {
  const firstSeen = new Map<Strip, number>();
  strips.forEach((strip, i) => firstSeen.has(strip) || firstSeen.set(strip, i));
  const rounds = new Map([...firstSeen.keys()].map((strip) => [strip, roundOf(task, strip)]));
  return [...strips].sort(
    (a, b) => rounds.get(a)! - rounds.get(b)! || b.height - a.height || firstSeen.get(a)! - firstSeen.get(b)!,
  );
}

/** The round a strip is cut in: that of the soonest piece it holds. What lies along the selvage comes off first of all. */
function roundOf({ kinds, runs, sheet }: Task, { height, boxes }: Strip): number {
  if (height > sheet.usable || boxes.some(({ run, kind }) => run < 0 && kinds[kind]!.lengthwise)) return -1;
  const needs = boxes.flatMap(({ run, kind }) => (run < 0 ? kinds[kind]!.needs : runs[run]!.needs));
  return Math.min(...needs.map(({ round = 0 }) => round));
}

/** Cloth to the right of a box that nothing else is cut from. */
function freeBeside(box: Box, boxes: readonly Box[], usable: number): number {
  const right = box.x + box.w;
  const next = boxes
    .filter((other) => other.x >= right && other.y < box.y + box.h && box.y < other.y + other.h)
    .map(({ x }) => x);
  // Inside a column, what lies over it ends where its own column does; only whole strips are sure to be free.
  const alone = boxes.every((other) => other.y < box.y + box.h && box.y < other.y + other.h);
  return alone ? Math.min(usable, ...next) - right : 0;
}
