import { pathRound } from '../geometry/path.ts';
import type { Point } from '../geometry/point.ts';
import type { Pressing } from '../sewing/pressing.ts';
import type { Sewing, SewingWay } from '../sewing/sewing.ts';
import type { Scene, SceneLayer } from './scene.ts';

/** What is sewn in a step, what was before it, and what is still to come; colours that tell apart in grey too. */
const NOW = '#c4532f';
const BEFORE = '#d9d4c6';

const ARROW = '#1b2433';
/** Arrows for pressing are this long, in shares of the shorter of the two: the seam, and a twelfth of the top. */
const LONG = 0.5;

/**
 * The top at one step of the sewing: what is joined in it stands out, what was joined before is filled, and an arrow
 * lies across each of its seams the way it is pressed; none where it is pressed open.
 */
export function stepScene(
  { top }: Sewing,
  { steps, seams }: SewingWay,
  { press }: Pick<Pressing, 'press'>,
  at: number,
  unit: Scene['unit'],
): Scene {
  const joined = (from: number, to: number) =>
    new Set(
      steps.slice(from, to).flatMap((step) => step.seams.flatMap((seam) => [seams[seam]!.a, seams[seam]!.b])),
    );
  const before = joined(0, at);
  const now = joined(at, at + 1);
  const layer = (
    id: string,
    name: string,
    wanted: (piece: number) => boolean,
    fill: string | null,
  ): SceneLayer => ({
    id,
    name,
    items: [
      {
        what: 'shape',
        id,
        paths: top.pieces.flatMap(({ outline }, i) => (wanted(i) ? [pathRound(outline)] : [])),
        fill,
        line: 'seam',
      },
    ],
  });
  const points = top.pieces.flatMap(({ outline }) => outline);
  const [width, height] = [Math.max(...points.map((p) => p.x)), Math.max(...points.map((p) => p.y))];
  const arrows = steps[at]!.seams.flatMap((seam) =>
    arrowOn(seams[seam]!, press[seam]!, Math.max(width, height)),
  );
  return {
    name: steps[at]!.title,
    unit,
    box: { x: 0, y: 0, width, height },
    layers: [
      layer('later', 'Still to come', (i) => !before.has(i) && !now.has(i), null),
      layer('before', 'Joined before', (i) => before.has(i) && !now.has(i), BEFORE),
      layer('now', 'Joined now', (i) => now.has(i), NOW),
      {
        id: 'pressing',
        name: 'Pressed that way',
        items:
          arrows.length === 0
            ? []
            : [{ what: 'shape', id: 'arrows', paths: arrows.map(pathRound), fill: ARROW, line: null }],
      },
    ],
  };
}

/** The outline of an arrow across a seam's middle, its head on the side it is pressed to. */
function arrowOn(
  { line: [from, to], towardA, length }: SewingWay['seams'][number],
  press: Pressing['press'][number],
  side: number,
): Point[][] {
  if (press === 'open') return [];
  const long = LONG * Math.min(length, side / 12);
  const sign = press === 'a' ? 1 : -1;
  const way = { x: towardA.x * sign, y: towardA.y * sign };
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const place = (ahead: number, aside: number): Point => ({
    x: middle.x + long * (way.x * ahead - way.y * aside),
    y: middle.y + long * (way.y * ahead + way.x * aside),
  });
  const half = [
    [-0.4, 0.1],
    [0.1, 0.1],
    [0.1, 0.32],
    [0.7, 0],
  ] as const;
  return [
    [
      ...half.map(([ahead, aside]) => place(ahead, aside)),
      ...[...half]
        .reverse()
        .slice(1)
        .map(([ahead, aside]) => place(ahead, -aside)),
    ],
  ];
}
