import type { Pass, Strip } from './pass.ts';
import type { Task, Way } from './task.ts';
import type { Filled } from './wanted.ts';

/** A strip that is being filled from the left. */
interface Open {
  readonly height: number;
  readonly boxes: Filled[];
  left: number;
}

/**
 * The plan one makes with a pencil (rule CU-1): what lies along the selvage side by side, longest first; then each
 * width of strip by itself, joined ones first, pieces into the fullest strip that holds them. Never short, and never
 * wrong: whatever else is found has to be better than this.
 *
 * @param alone the way round each kind is laid
 */
export function plainPass(task: Task, alone: readonly Way[]): Pass {
  const { usable } = task.sheet;
  const along = alone.filter(({ kind }) => task.kinds[kind]!.lengthwise);
  const bands: Open[] = [];
  for (const way of [...along].sort((a, b) => b.h - a.h)) put(task, way, bands, usable);
  const across = alone.filter((way) => !along.includes(way));
  const heights = new Set([...task.runs.map(({ width }) => width), ...across.map(({ h }) => h)]);
  const strips = [...heights].flatMap((height) => {
    const open = joinedStrips(task, height);
    for (const way of across.filter(({ h }) => h === height).sort((a, b) => b.w - a.w))
      put(task, way, open, usable);
    return open;
  });
  const all = [...bands, ...strips].map(({ height, boxes }): Strip => ({
    height,
    boxes,
    used: usedBy(task, boxes),
  }));
  return { length: all.reduce((sum, { height }) => sum + height, 0), stock: [], strips: all };
}

/** All of one kind: each into the fullest strip that holds it, or into a fresh one. */
function put(task: Task, { kind, w, h }: Way, open: Open[], usable: number): void {
  for (let i = 0; i < task.kinds[kind]!.count; i++) {
    let fullest: Open | null = null;
    for (const strip of open)
      if (strip.height >= h && strip.left >= w && (!fullest || strip.left < fullest.left)) fullest = strip;
    if (!fullest) {
      fullest = { height: h, boxes: [], left: usable };
      open.push(fullest);
    }
    fullest.boxes.push({ kind, run: -1, x: usable - fullest.left, y: 0, w, h });
    fullest.left -= w;
  }
}

function joinedStrips({ runs, sheet: { usable } }: Task, height: number): Open[] {
  return runs.flatMap(({ width, net, loss }, run) => {
    if (width !== height) return [];
    const strips: Open[] = [];
    for (let short = net; short > 0; short -= usable - loss) {
      const w = Math.min(usable, Math.ceil(short + loss));
      strips.push({ height, boxes: [{ kind: -1, run, x: 0, y: 0, w, h: height }], left: usable - w });
    }
    return strips;
  });
}

const usedBy = ({ runs }: Task, boxes: readonly Filled[]): number =>
  boxes.reduce((sum, { run, w, h }) => sum + (run < 0 ? w : w - runs[run]!.loss) * h, 0);
