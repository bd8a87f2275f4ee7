import { CAUTIONS } from '../../choice/cautions.ts';
import { CLOSING_NAMES } from '../../choice/edge.ts';
import { formatWithUnit } from '../../length/format.ts';
import type { Plan } from '../../plan/shape.ts';
import { foldedIn, fromCorner } from './facing.ts';
import type { EdgeStep } from './finish.ts';

/** How a facing is sewn on and turned, by its corners (rule FC-1). */
export function facingSteps({ edge: { facing: chosen }, unit, seam }: Plan): EdgeStep[] {
  const show = (v: number) => formatWithUnit(v, unit);
  const [strip, by] = [show(chosen.width), show(seam)];
  const flat = [
    `Fold the strips of ${strip} in half along their length, wrong sides together, and press.`,
    `Lay the side strips on the front, raw edges even, and sew them ${by} from the edge.`,
    'Turn them out, press the seam toward the strip and sew along the strip a thread’s width from it, through strip and seam: it rolls the edge to the back.',
    `Turn the sides to the back. Lay top and bottom on, their ends folded in by ${show(foldedIn(unit))} at both corners, and sew, press and turn them in the same way.`,
  ];
  const bevelled = [
    'Fold each square corner to corner, wrong sides together, and lay it on a corner of the front, its fold toward the middle, raw edges even.',
    `Fold the strips of ${strip} in half along their length and lay them between, ${show(fromCorner(unit))} from the corners, over the squares’ ends.`,
    `Sew all round, ${by} from the edge, one stitch across each corner; trim the corners across.`,
    'Press the seam toward the strips and sew along them a thread’s width from it, as near to the corners as the foot gets.',
    'Turn it all to the back, and push the corners out with something blunt.',
  ];
  return [
    {
      id: 'facing',
      title: CLOSING_NAMES.facing,
      pick: 'The facing strips, and the quilt, its edge sewn down once all round.',
      does: [
        ...(chosen.corners === 'flat' ? flat : bevelled),
        'Press the edge, and sew the folds down to the back by hand, through backing and batting only.',
      ],
      wrong: [
        'Where the facing peeps out at the front, the seam was not sewn to the strip: do that before it is turned.',
        'Trim the seam a little narrower at the corners, or they will be thick.',
      ],
      cautions: [CAUTIONS.iron, CAUTIONS.needle],
    },
  ];
}
