import { lengthOf } from '../../figure/figure.ts';
import { formatExact, formatWithUnit, formatWorking } from '../../length/format.ts';
import { ofUnit } from '../../length/unit.ts';
import type { Plan } from '../../plan/shape.ts';
import { settingOf } from '../../setting/registry.ts';
import { closesBeside, type WholeFinish } from './finish.ts';

/** Quilting stops so far from an edge that is turned in: both cloths have to fold there (common practice: ¾ to 1 inch). */
const short = ({ unit }: Pick<Plan, 'unit'>): number => ofUnit(unit, 1, 2.5);

/** Top and backing turned in toward one another (rule TE-1). */
export const turnedEdge: WholeFinish = {
  closes: true,
  ends: 'seam',
  describes:
    'Top and backing turned in toward one another and sewn together: no cloth of its own. To be decided before quilting, which stops short of the edge.',
  against: (other) =>
    other === 'flange'
      ? 'A flange lies against a binding, and a turned edge has none: choose piping, or bind the quilt.'
      : closesBeside('A turned edge', 'turned-edge', other),
  around: (shape) =>
    shape === 'scalloped' ? 'A turned edge puckers in the valleys of scallops: bind them on the bias.' : null,
  refusals: ({ setting }) =>
    settingOf(setting.kind).trimmed
      ? [
          {
            path: ['edge', 'finishes'],
            message:
              'This quilt is quilted and trimmed to its edge: nothing is left to turn in. Bind or face it.',
          },
        ]
      : [],
  trim: ({ unit, seam }) => ({
    says: `backing even with the top, and the batting ${formatWithUnit(seam, unit)} inside them`,
  }),
  quiltingShort: short,
  plan: ({ plan: { seam, unit } }) => ({
    finish: 'turned-edge',
    lines: [
      {
        name: 'Turned in, top and backing each',
        figure: lengthOf(seam, `The seam allowance: ${formatWorking(seam, unit)}`),
      },
      {
        name: 'Quilting stops before the edge',
        figure: lengthOf(short({ unit }), `So that both cloths can fold: ${formatExact(short({ unit }))}`),
      },
    ],
    cuts: [],
    bands: [],
  }),
};
