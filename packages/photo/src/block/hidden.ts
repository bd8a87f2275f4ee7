import type { Camera } from '../camera/camera.ts';
import type { Flat } from '../camera/flat.ts';
import { type FoundReference, paperOf } from '../reference/reference.ts';

/** How far round a sheet its shadow and its curl reach, in inches. */
const ROUND_SHEET = 0.12;
/** How far a card's white may reach round its square, in inches. */
const ROUND_CARD = 1;
/** How unlike its own white a card's white may be (CIELAB). */
const ONE_WHITE = 14;
/** The share of the picture along its rim where there is most likely ground. */
const RIM = 0.07;

/** Where the reference lies in a flat picture: 1 for its paper or cards, which are not ground nor block. */
export function hiddenBy(flat: Flat, found: FoundReference | null): Uint8Array {
  const hidden = new Uint8Array(flat.width * flat.height);
  if (!found) return hidden;
  const { reference, width, height } = found;
  if (reference.kind === 'sheet') {
    const [from, , to] = paperOf(found);
    const around = ROUND_SHEET;
    eachIn(flat, from!.x - around, from!.y - around, to!.x + around, to!.y + around, (i) => (hidden[i] = 1));
    return hidden;
  }
  const corners = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ] as const;
  corners.forEach(([x, y], k) => {
    const inwardX = k === 0 || k === 3 ? 0.5 : -0.5;
    const inwardY = k < 2 ? 0.5 : -0.5;
    growCard(flat, hidden, x + inwardX, y + inwardY);
  });
  return hidden;
}

/**
 * For a block that lies on the sheet itself: all but the paper hidden, and its squares; and where there is surely
 * paper, along its edges. Null where the reference is no sheet.
 */
export function onSheet(
  flat: Flat,
  found: FoundReference | null,
): { readonly hidden: Uint8Array; readonly rim: Uint8Array } | null {
  if (!found || found.reference.kind !== 'sheet') return null;
  const [a, , c] = paperOf(found);
  const hidden = new Uint8Array(flat.width * flat.height).fill(1);
  const rim = new Uint8Array(hidden.length);
  const { width: w, height: h } = found;
  eachIn(flat, a!.x + INSIDE_EDGE, a!.y + INSIDE_EDGE, c!.x - INSIDE_EDGE, c!.y - INSIDE_EDGE, (i, x, y) => {
    const inSquare =
      Math.min(Math.abs(x - 0.5), Math.abs(x - w + 0.5)) < 0.6 &&
      Math.min(Math.abs(y - 0.5), Math.abs(y - h + 0.5)) < 0.6;
    if (inSquare) return;
    hidden[i] = 0;
    if (Math.min(x - a!.x, c!.x - x, y - a!.y, c!.y - y) < SURELY_PAPER) rim[i] = 1;
  });
  return { hidden, rim };
}

/** So far within its edge the paper is looked at, and so far in there is surely paper, in inches. */
const INSIDE_EDGE = 0.1;
const SURELY_PAPER = 0.6;

/** Marks a card: its square, and the white that hangs together with it. */
function growCard(flat: Flat, hidden: Uint8Array, x: number, y: number): void {
  const half = 0.5;
  const l: number[] = [];
  const a: number[] = [];
  const b: number[] = [];
  const queue: number[] = [];
  eachIn(flat, x - 0.72, y - 0.72, x + 0.72, y + 0.72, (i, px, py) => {
    const out = Math.max(Math.abs(px - x), Math.abs(py - y));
    if (out < half + 0.1) hidden[i] = 1;
    else if (out < half + 0.17) {
      l.push(flat.l[i]!);
      a.push(flat.a[i]!);
      b.push(flat.b[i]!);
      queue.push(i);
    }
  });
  const white = [l, a, b].map((list) => list.sort((p, q) => p - q)[Math.floor(list.length * 0.6)] ?? 0);
  const like = (i: number) =>
    Math.hypot(flat.l[i]! - white[0]!, flat.a[i]! - white[1]!, flat.b[i]! - white[2]!) < ONE_WHITE;
  const { width, perInch, left, top } = flat;
  while (queue.length > 0) {
    const i = queue.pop()!;
    if (hidden[i] || !flat.shown[i] || !like(i)) continue;
    const px = left + ((i % width) + 0.5) / perInch;
    const py = top + (Math.floor(i / width) + 0.5) / perInch;
    if (Math.max(Math.abs(px - x), Math.abs(py - y)) > half + ROUND_CARD) continue;
    hidden[i] = 1;
    if (i % width > 0) queue.push(i - 1);
    if (i % width < width - 1) queue.push(i + 1);
    if (i >= width) queue.push(i - width);
    if (i + width < hidden.length) queue.push(i + width);
  }
}

/** Each pixel of a flat picture in a box of the table, in inches. */
function eachIn(
  { width, height, perInch, left, top }: Flat,
  x0: number,
  y0: number,
  x1: number,
  y1: number,
  act: (i: number, x: number, y: number) => void,
): void {
  for (let y = Math.max(0, Math.floor((y0 - top) * perInch)); y < Math.min(height, (y1 - top) * perInch); y++)
    for (
      let x = Math.max(0, Math.floor((x0 - left) * perInch));
      x < Math.min(width, (x1 - left) * perInch);
      x++
    )
      act(y * width + x, left + (x + 0.5) / perInch, top + (y + 0.5) / perInch);
}

/** Where there is most likely ground: along the rim of the photo. */
export function rimOf(flat: Flat, camera: Camera, width: number, height: number): Uint8Array {
  const near = new Uint8Array(flat.width * flat.height);
  for (let y = 0, i = 0; y < flat.height; y++)
    for (let x = 0; x < flat.width; x++, i++) {
      if (!flat.shown[i]) continue;
      const p = camera.seen({
        x: flat.left + (x + 0.5) / flat.perInch,
        y: flat.top + (y + 0.5) / flat.perInch,
      });
      const rim = Math.min(Math.min(p.x, width - p.x) / width, Math.min(p.y, height - p.y) / height);
      if (rim < RIM) near[i] = 1;
    }
  return near;
}
