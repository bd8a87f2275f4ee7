import { Matrix, solve } from 'ml-matrix';
import type { Point } from '@lattice/core';

/**
 * A camera over a flat table. Values in turn: logarithm of its focal length in pixels; where the lens looks at,
 * across and down, in pixels; how much the lens bends (see below); how it is turned (three, as a rotation vector);
 * and where the table's beginning lies before it (three, in inches).
 *
 * A lens bends by the first term of the usual series (Brown, 1966): seen at x·(1 + bend·r²), r counted in focal lengths.
 */
export type CameraValues = readonly number[];

export const CAMERA_VALUES = 10;

export interface Camera {
  readonly values: CameraValues;
  /** Where a place on the table, in inches, is seen, in pixels. */
  readonly seen: (p: Point) => Point;
  /** Which place on the table, in inches, is seen at a pixel. */
  readonly place: (p: Point) => Point;
  /** Where a pixel would lie if the lens did not bend, in pixels. */
  readonly unbent: (p: Point) => Point;
  /** How far away the table is at a place, along the way the camera looks, in inches. */
  readonly away: (p: Point) => number;
}

type Nine = readonly [number, number, number, number, number, number, number, number, number];

/** The camera of ten values. */
export function cameraOf(values: CameraValues): Camera {
  const focal = Math.exp(values[0]!);
  const cx = values[1]!;
  const cy = values[2]!;
  const bend = values[3]!;
  const r = turned(values[4]!, values[5]!, values[6]!);
  const tx = values[7]!;
  const ty = values[8]!;
  const tz = values[9]!;
  // The table is flat: a place is seen through three columns, two of the turn and the shift.
  const m: Nine = [r[0], r[1], tx, r[3], r[4], ty, r[6], r[7], tz];
  const back = inverted(m);
  const unbentRay = (p: Point) => {
    const x = (p.x - cx) / focal;
    const y = (p.y - cy) / focal;
    const bent = Math.hypot(x, y);
    if (bent < 1e-12) return { x, y };
    let straight = bent;
    for (let i = 0; i < 8; i++) {
      const f = straight * (1 + bend * straight * straight) - bent;
      const slope = 1 + 3 * bend * straight * straight;
      straight -= f / (Math.abs(slope) > 0.2 ? slope : 0.2);
    }
    return { x: (x * straight) / bent, y: (y * straight) / bent };
  };
  return {
    values,
    seen: (p) => {
      const z = m[6] * p.x + m[7] * p.y + m[8];
      const x = (m[0] * p.x + m[1] * p.y + m[2]) / z;
      const y = (m[3] * p.x + m[4] * p.y + m[5]) / z;
      const k = focal * (1 + bend * (x * x + y * y));
      return { x: cx + k * x, y: cy + k * y };
    },
    place: (p) => {
      const { x, y } = unbentRay(p);
      const w = back[6] * x + back[7] * y + back[8];
      return {
        x: (back[0] * x + back[1] * y + back[2]) / w,
        y: (back[3] * x + back[4] * y + back[5]) / w,
      };
    },
    unbent: (p) => {
      const { x, y } = unbentRay(p);
      return { x: cx + focal * x, y: cy + focal * y };
    },
    away: (p) => m[6] * p.x + m[7] * p.y + m[8],
  };
}

/** The turn of a rotation vector, row by row (Rodrigues). */
function turned(x: number, y: number, z: number): Nine {
  const angle = Math.hypot(x, y, z);
  if (angle < 1e-12) return [1, -z, y, z, 1, -x, -y, x, 1];
  const c = Math.cos(angle);
  const s = Math.sin(angle) / angle;
  const k = (1 - c) / (angle * angle);
  return [
    c + k * x * x,
    k * x * y - s * z,
    k * x * z + s * y,
    k * x * y + s * z,
    c + k * y * y,
    k * y * z - s * x,
    k * x * z - s * y,
    k * y * z + s * x,
    c + k * z * z,
  ];
}

function inverted(m: Nine): Nine {
  const [a, b, c, d, e, f, g, h, i] = m;
  const det = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  return [
    (e * i - f * h) / det,
    (c * h - b * i) / det,
    (b * f - c * e) / det,
    (f * g - d * i) / det,
    (a * i - c * g) / det,
    (c * d - a * f) / det,
    (d * h - e * g) / det,
    (b * g - a * h) / det,
    (a * e - b * d) / det,
  ];
}

/**
 * The plain perspective that takes four or more places to where they are seen, as nine numbers row by row
 * (the last is 1); null where three of them lie in a line.
 */
export function perspective(places: readonly Point[], seen: readonly Point[]): Nine | null {
  const rows: number[][] = [];
  const right: number[] = [];
  places.forEach((p, i) => {
    const { x, y } = seen[i]!;
    rows.push([p.x, p.y, 1, 0, 0, 0, -x * p.x, -x * p.y], [0, 0, 0, p.x, p.y, 1, -y * p.x, -y * p.y]);
    right.push(x, y);
  });
  const found = solve(new Matrix(rows), Matrix.columnVector(right), true).to1DArray();
  return found.every(Number.isFinite) ? ([...found, 1] as unknown as Nine) : null;
}

/** A place taken through a perspective. */
export function through(h: Nine, p: Point): Point {
  const w = h[6] * p.x + h[7] * p.y + h[8];
  return { x: (h[0] * p.x + h[1] * p.y + h[2]) / w, y: (h[3] * p.x + h[4] * p.y + h[5]) / w };
}

/**
 * A first guess of the camera from a plain perspective: its lens does not bend, looks at the picture's middle, and has
 * the focal length given.
 */
export function cameraFrom(h: Nine, focal: number, cx: number, cy: number): CameraValues {
  // K⁻¹·H is, up to a size, two columns of the turn and the shift.
  const columns = [0, 1, 2].map((j) => {
    const w = h[6 + j]!;
    return [(h[j]! - cx * w) / focal, (h[3 + j]! - cy * w) / focal, w];
  });
  const length = (v: readonly number[]) => Math.hypot(...v);
  const size = (2 / (length(columns[0]!) + length(columns[1]!))) * (columns[2]![2]! < 0 ? -1 : 1);
  const a = columns[0]!.map((v) => (v / length(columns[0]!)) * Math.sign(size));
  let b = columns[1]!.map((v) => v * size);
  const along = a[0]! * b[0]! + a[1]! * b[1]! + a[2]! * b[2]!;
  b = b.map((v, i) => v - along * a[i]!);
  b = b.map((v) => v / length(b));
  const c = [a[1]! * b[2]! - a[2]! * b[1]!, a[2]! * b[0]! - a[0]! * b[2]!, a[0]! * b[1]! - a[1]! * b[0]!];
  const turn = vectorOf([a[0]!, b[0]!, c[0]!, a[1]!, b[1]!, c[1]!, a[2]!, b[2]!, c[2]!]);
  return [Math.log(focal), cx, cy, 0, ...turn, ...columns[2]!.map((v) => v * size)];
}

/** The rotation vector of a turn. */
function vectorOf(r: Nine): readonly [number, number, number] {
  const cos = Math.min(1, Math.max(-1, (r[0] + r[4] + r[8] - 1) / 2));
  const angle = Math.acos(cos);
  const axis = [r[7] - r[5], r[2] - r[6], r[3] - r[1]] as const;
  const long = Math.hypot(...axis);
  if (long < 1e-9) {
    if (cos > 0) return [0, 0, 0];
    // Half a turn: the axis is read off the diagonal.
    const x = Math.sqrt(Math.max(0, (r[0] + 1) / 2));
    const y = Math.sqrt(Math.max(0, (r[4] + 1) / 2)) * (r[1] < 0 ? -1 : 1);
    const z = Math.sqrt(Math.max(0, (r[8] + 1) / 2)) * (r[2] < 0 ? -1 : 1);
    return [angle * x, angle * y, angle * z];
  }
  return [(angle * axis[0]) / long, (angle * axis[1]) / long, (angle * axis[2]) / long];
}
