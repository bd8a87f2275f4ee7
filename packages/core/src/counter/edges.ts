import { edgesAsTold, flangeRefusal, planFlange } from '../edge/flange.ts';
import { planPrairiePoints, pointBase, pointHeight, type PointsOnSide } from '../edge/prairie-points.ts';
import type { Plan } from '../plan/shape.ts';
import { USUAL } from '../usual/lengths.ts';
import {
  askFor,
  lengthIn,
  QUILT_FLAGS,
  quiltAsked,
  quiltIn,
  shopCutJson,
  stripsAndCut,
  stripsDrawn,
  type Topic,
  withUsable,
  wrongFlag,
} from './topic.ts';

/** A flange beside the binding (rule FL-1). */
export const flange: Topic = {
  name: 'flange',
  describes: 'Strips for a folded flange beside the binding.',
  flags: [
    ...QUILT_FLAGS,
    { key: 'visible', label: 'To be seen', type: 'length', start: USUAL.flange },
    { key: 'seam', label: 'Seam the binding is sewn with', type: 'length', start: USUAL.seam },
    { key: 'usable', label: 'Usable width', type: 'length', start: USUAL.usable },
  ],
  answer: (question) => {
    const { unit } = question;
    const wish = {
      edges: edgesAsTold(quiltIn(question)),
      visible: lengthIn(question, 'visible'),
      bindingSeam: lengthIn(question, 'seam'),
      seam: USUAL.seam[unit],
      usable: lengthIn(question, 'usable'),
      unit,
    };
    const refusal = flangeRefusal(wish);
    if (refusal !== null) return wrongFlag('visible', refusal);
    const { cutWidth, sides, ends, strips, fabric } = planFlange(wish);
    return {
      ok: true,
      headline: stripsAndCut(strips.value, fabric.value, unit),
      json: {
        cutWidth: cutWidth.value,
        lengths: { sides: sides.value, ends: ends.value },
        strips: strips.value,
        fabric: fabric.value,
        shopCut: shopCutJson(fabric.value, unit, strips.value),
      },
      // Every join takes a strip's width.
      drawn: stripsDrawn(
        2 * (sides.value + ends.value) + (strips.value - 1) * cutWidth.value,
        strips.value,
        cutWidth.value,
        lengthIn(question, 'usable'),
        unit,
      ),
      said: [
        { what: 'Strips, cut wide', figure: cutWidth },
        { what: 'Sides', figure: sides },
        { what: 'Top and bottom', figure: ends },
        { what: 'Strips, selvage to selvage', figure: strips },
        { what: 'Cloth', figure: fabric },
        askFor(fabric.value, unit, strips.value),
      ],
    };
  },
  quilt: (question) => {
    const plan = quiltAsked(question);
    const flanged: Plan = {
      ...plan,
      edge: {
        ...plan.edge,
        finishes: ['flange', 'binding'],
        flange: { ...plan.edge.flange, visible: lengthIn(question, 'visible') },
      },
      binding: { ...plan.binding, seam: lengthIn(question, 'seam') },
    };
    return withUsable(flanged, plan.edge.flange.fabric, lengthIn(question, 'usable'));
  },
};

/** Prairie points in place of a binding (rule PP-1). */
export const prairiePoints: Topic = {
  name: 'prairie-points',
  describes: 'Folded points round the edge in place of a binding.',
  flags: [
    ...QUILT_FLAGS,
    { key: 'square', label: 'Squares, cut', type: 'length', start: USUAL.pointSquare },
    { key: 'overlap', label: 'Overlap', type: 'length', start: USUAL.pointOverlap, least: 0 },
    { key: 'usable', label: 'Usable width', type: 'length', start: USUAL.usable },
  ],
  answer: (question) => {
    const { unit } = question;
    const [square, overlap, usable] = [
      lengthIn(question, 'square'),
      lengthIn(question, 'overlap'),
      lengthIn(question, 'usable'),
    ];
    if (overlap >= square) return wrongFlag('overlap', 'it has to be less than the square.');
    if (square > usable) return wrongFlag('square', 'it is wider than the cloth.');
    const quilt = quiltIn(question);
    const seam = USUAL.seam[unit];
    if (square <= 2 * seam) return wrongFlag('square', 'it leaves no point beyond its seam.');
    if (square > Math.min(quilt.width, quilt.height))
      return wrongFlag('square', 'it is wider than the quilt.');
    const points = planPrairiePoints(quilt, { square, overlap, seam, usable, unit });
    const both = (pick: (side: PointsOnSide) => number) => ({
      across: pick(points.across),
      down: pick(points.down),
    });
    return {
      ok: true,
      headline: `${points.total.value} points, ${stripsAndCut(points.strips.value, points.fabric.value, unit)}`,
      json: {
        pitch: points.pitch.value,
        perSide: both((s) => s.count.value),
        adjustedOverlap: both((s) => s.overlap.value),
        gapAtSeam: both((s) => s.gap.value),
        total: points.total.value,
        strips: points.strips.value,
        fabric: points.fabric.value,
        shopCut: shopCutJson(points.fabric.value, unit, points.strips.value),
      },
      drawn: {
        what: 'points',
        ...quilt,
        base: pointBase(square, seam),
        rise: pointHeight(square, seam),
        across: points.across.middles,
        down: points.down.middles,
      },
      said: [
        { what: 'A point every', figure: points.pitch },
        { what: 'Across', figure: points.across.count },
        { what: 'Down', figure: points.down.count },
        { what: 'Overlap across', figure: points.across.overlap },
        { what: 'Overlap down', figure: points.down.overlap },
        { what: 'Gap at the seam, across', figure: points.across.gap },
        { what: 'Gap at the seam, down', figure: points.down.gap },
        { what: 'Points in all', figure: points.total },
        { what: 'Strips', figure: points.strips },
        askFor(points.fabric.value, unit, points.strips.value),
      ],
    };
  },
  quilt: (question) => {
    const plan = quiltAsked(question);
    const { points } = plan.edge;
    const pointed: Plan = {
      ...plan,
      edge: {
        ...plan.edge,
        finishes: ['prairie-points'],
        points: {
          ...points,
          square: lengthIn(question, 'square'),
          overlap: lengthIn(question, 'overlap'),
        },
      },
    };
    return withUsable(pointed, points.fabrics[0]!, lengthIn(question, 'usable'));
  },
};
