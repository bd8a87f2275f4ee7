import { planFlange } from '../edge/flange.ts';
import { planPrairiePoints, pointBase, pointHeight, type PointsOnSide } from '../edge/prairie-points.ts';
import { USUAL_SEAM } from '../plan/start.ts';
import { shopCut } from '../shopping/shop-cut.ts';
import { type Flag, lengthIn, type Question, quiltOfSize, shopCutJson, stripsAndCut, stripsDrawn, type Topic } from './topic.ts';

const QUILT: readonly Flag[] = [
  { key: 'width', label: 'Quilt width', type: 'length', start: null },
  { key: 'height', label: 'Quilt height', type: 'length', start: null },
];
const quiltOf = (question: Question) => ({ width: lengthIn(question, 'width'), height: lengthIn(question, 'height') });

/** A flange beside the binding (handbook 8). */
export const flange: Topic = {
  name: 'flange',
  describes: 'Strips for a folded flange beside the binding.',
  flags: [...QUILT, { key: 'visible', label: 'To be seen', type: 'length', start: 0.25 }, { key: 'usable', label: 'Usable width', type: 'length', start: 40 }],
  answer: (question) => {
    const { unit } = question;
    const { cutWidth, sides, ends, strips, fabric } = planFlange(quiltOf(question), lengthIn(question, 'visible'), USUAL_SEAM[unit], lengthIn(question, 'usable'), unit);
    return {
      headline: stripsAndCut(strips.value, fabric.value, unit),
      json: { cutWidth: cutWidth.value, lengths: { sides: sides.value, ends: ends.value }, strips: strips.value, fabric: fabric.value, shopCut: shopCutJson(fabric.value, unit) },
      // Every join takes a strip's width.
      drawn: stripsDrawn(2 * (sides.value + ends.value) + (strips.value - 1) * cutWidth.value, strips.value, cutWidth.value, lengthIn(question, 'usable'), unit),
      said: [
        { what: 'Strips, cut wide', figure: cutWidth }, { what: 'Sides', figure: sides }, { what: 'Top and bottom', figure: ends },
        { what: 'Strips, selvage to selvage', figure: strips }, { what: 'Fabric', figure: fabric }, { what: 'Ask for', figure: shopCut(fabric.value, unit).length },
      ],
    };
  },
  quilt: quiltOfSize,
};

/** Prairie points in place of a binding (handbook 8). */
export const prairiePoints: Topic = {
  name: 'prairie-points',
  describes: 'Folded points round the edge in place of a binding.',
  flags: [
    ...QUILT, { key: 'square', label: 'Squares, cut', type: 'length', start: 4 }, { key: 'overlap', label: 'Overlap', type: 'length', start: 0.25, least: 0 },
    { key: 'usable', label: 'Usable width', type: 'length', start: 40 },
  ],
  answer: (question) => {
    const { unit } = question;
    const [square, overlap, usable] = [lengthIn(question, 'square'), lengthIn(question, 'overlap'), lengthIn(question, 'usable')];
    if (overlap >= square) return '--overlap: it has to be less than the square.';
    if (square > usable) return '--square: it is wider than the fabric.';
    const quilt = quiltOf(question);
    const points = planPrairiePoints(quilt, { square, overlap, seam: USUAL_SEAM[unit], usable, unit });
    const both = (pick: (side: PointsOnSide) => number) => ({ across: pick(points.across), down: pick(points.down) });
    return {
      headline: `${points.total.value} points, ${stripsAndCut(points.strips.value, points.fabric.value, unit)}`,
      json: {
        pitch: points.pitch.value, perSide: both((s) => s.count.value), adjustedOverlap: both((s) => s.overlap.value), gapAtSeam: both((s) => s.gap.value),
        total: points.total.value, strips: points.strips.value, fabric: points.fabric.value, shopCut: shopCutJson(points.fabric.value, unit),
      },
      drawn: { what: 'points', ...quilt, base: pointBase(square, USUAL_SEAM[unit]), rise: pointHeight(square, USUAL_SEAM[unit]), across: points.across.middles, down: points.down.middles },
      said: [
        { what: 'A point every', figure: points.pitch }, { what: 'Across', figure: points.across.count }, { what: 'Down', figure: points.down.count },
        { what: 'Overlap across', figure: points.across.overlap }, { what: 'Overlap down', figure: points.down.overlap },
        { what: 'Gap at the seam, across', figure: points.across.gap }, { what: 'Gap at the seam, down', figure: points.down.gap },
        { what: 'Points in all', figure: points.total }, { what: 'Strips', figure: points.strips }, { what: 'Ask for', figure: shopCut(points.fabric.value, unit).length },
      ],
    };
  },
  quilt: quiltOfSize,
};
