import { halfSquareSide, quarterSquareSide } from '../cutting/cut-shape.ts';
import { type Figure, lengthOf } from '../figure/figure.ts';
import { formatExact, formatLength, formatWithUnit } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import { USUAL } from '../usual/lengths.ts';
import { settingOf, type SettingOptions } from '../setting/registry.ts';
import { blankQuilt, lengthIn, type Topic } from './topic.ts';

/** A square as the contract names it: exact, by the trade's rule for a quarter inch (there is none in centimetres: exact again), and what to cut. */
const square = (finished: number, exact: number, trade: number, cut: Figure, unit: Unit) => ({
  exact: finished + exact,
  tradeRule: finished + (unit === 'in' ? trade : exact),
  cut: cut.value,
});

/** Side and corner setting triangles, and the triangles of a framed block, for a block on point (rules TR-1, TR-2). */
export const triangles: Topic = {
  name: 'triangles',
  describes: 'Squares for the setting triangles of blocks on point.',
  flags: [
    { key: 'block', label: 'Block, finished', type: 'length', start: null },
    { key: 'sash', label: 'Sash round the blocks', type: 'length', start: { in: 0, cm: 0 }, least: 0 },
    { key: 'seam', label: 'Seam allowance', type: 'length', start: USUAL.seam },
  ],
  answer: (question) => {
    const { unit } = question;
    const [f, s, a] = [lengthIn(question, 'block'), lengthIn(question, 'sash'), lengthIn(question, 'seam')];
    const diagonal = f * Math.SQRT2;
    const long = (f + s) * Math.SQRT2;
    const corner = (f + 2 * s) / Math.SQRT2;
    const frame = f / Math.SQRT2;
    const cuts = {
      side: quarterSquareSide(long, a, unit),
      corner: halfSquareSide(corner, a, unit),
      frame: halfSquareSide(frame, a, unit),
    };
    return {
      ok: true,
      headline: `Side squares ${formatWithUnit(cuts.side.value, unit)}, corner squares ${formatWithUnit(cuts.corner.value, unit)}`,
      json: {
        diagonal,
        sideSquare: square(long, 2 * a * (1 + Math.SQRT2), 1.25, cuts.side, unit),
        cornerSquare: square(corner, a * (2 + Math.SQRT2), 0.875, cuts.corner, unit),
        frameSquare: square(frame, a * (2 + Math.SQRT2), 0.875, cuts.frame, unit),
      },
      said: [
        {
          what: 'Across the block, corner to corner',
          figure: lengthOf(diagonal, `${formatLength(f, unit)} × √2 = ${formatExact(diagonal)}`),
        },
        { what: 'Squares for side triangles, cut twice', figure: cuts.side },
        { what: 'Squares for corner triangles, cut once', figure: cuts.corner },
        { what: 'Squares for a frame, two a block, cut once', figure: cuts.frame },
      ],
    };
  },
  quilt: (question) => {
    const sash = lengthIn(question, 'sash');
    const kind = sash > 0 ? 'on-point-sashed' : 'on-point';
    const setting = {
      ...settingOf(kind).start(question.unit),
      ...(sash > 0 ? { sash } : {}),
    } as SettingOptions;
    return blankQuilt(question.unit, {
      setting,
      block: { width: lengthIn(question, 'block'), height: lengthIn(question, 'block') },
      seam: lengthIn(question, 'seam'),
    });
  },
};
