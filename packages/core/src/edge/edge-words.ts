import { formatWithUnit } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';

/** What is said of an edge, apart from the rules that decide when; lengths in the plan's unit. */
export const edgeWords = (unit: Unit) => {
  const show = (value: number) => formatWithUnit(value, unit);
  return {
    measuredOtherwise: (measured: number, computed: number) =>
      `The edge was measured ${show(measured)} and comes to ${show(computed)} now. If the quilt or its edge was changed since, measure again, or forget the measurement.`,

    gentleCurve:
      'Scallops as gentle as these take a straight-grain binding pulled taut through the valleys; bias lies flatter.',
    curve: 'Curves need a bias binding: straight grain puckers round them.',
    biasOnStraight:
      'Straight edges do not need bias: it takes more cloth and stretches. It does show stripes and checks on the slant.',
    singleFold:
      'A single fold wears through first: good for small hangings and tight curves, not for a quilt in use.',
    seamShowsBehind: (sewn: number, behind: number, better: number | null) => {
      const instead = better === null ? '' : `: sew it at ${show(better)}`;
      return `Sewn ${show(sewn)} from the edge, this strip leaves ${show(behind)} behind and does not cover its seam there${instead}, or cut it wider.`;
    },
    bulkyJoin: (clear: number, better: { start: number; clear: number } | null) => {
      const remedy = better
        ? `Begin ${show(better.start)} from the left and the nearest is ${show(better.clear)} away.`
        : 'Shorten the first strip, or cut one strip more.';
      return `A join falls ${show(clear)} from a corner. ${remedy}`;
    },
    squareTooWide: (side: number) =>
      `A square of ${show(side)} is wider than this cloth. Cut the bias from a length of cloth instead.`,
    ruleOfRootShort: (rule: number, enough: number) =>
      `The square-root rule gives ${show(rule)}, which is too little. Cut ${show(enough)}.`,
    leftoverTooNarrow: (strip: number) =>
      `This leftover is narrower than the ${show(strip)} strip. Take it off the list, or use a narrower strip.`,
    tipsCovered: (whose: 'blocks' | 'border', seam: number, bound: number) =>
      `Points of the ${whose} reach the quilt’s edge, a seam of ${show(seam)} inside the raw one, and the binding is sewn ${show(bound)} deep: it covers their tips by ${show(bound - seam)}. Sew it at ${show(seam)} with a narrower strip, ${whose === 'blocks' ? 'or float the blocks, or add a border' : 'or add a plain border outside'}.`,
    twoFlanges: 'There is a flange built into this binding and another beside it: two will show.',

    pointsApart: (apart: number) =>
      `Spread over the side, points stand ${show(apart)} apart at their raw edges. Choose another square or overlap.`,
    pointsGape: (gap: number, meeting: number) =>
      `At the seam a gap of up to ${show(gap)} lies between two points. With an overlap of ${show(meeting)} they just meet; or keep this overlap and slide the two at each corner together until they touch.`,
    lastPointsCrowd: 'The last three lie more than half over one another: spread the difference over all.',
  };
};
