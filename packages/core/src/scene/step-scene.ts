import { pathRound } from '../geometry/path.ts';
import type { Sewing, SewingWay } from '../sewing/sewing.ts';
import type { Scene, SceneLayer } from './scene.ts';

/** What is sewn in a step, what was before it, and what is still to come; colours that tell apart in grey too. */
const NOW = '#c4532f';
const BEFORE = '#d9d4c6';

/** The top at one step of the sewing: what is joined in it stands out, what was joined before is filled. */
export function stepScene(
  { top }: Sewing,
  { steps, seams }: SewingWay,
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
  return {
    name: steps[at]!.title,
    unit,
    box: { x: 0, y: 0, width, height },
    layers: [
      layer('later', 'Still to come', (i) => !before.has(i) && !now.has(i), null),
      layer('before', 'Joined before', (i) => before.has(i) && !now.has(i), BEFORE),
      layer('now', 'Joined now', (i) => now.has(i), NOW),
    ],
  };
}
