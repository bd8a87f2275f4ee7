import type { CutLine } from '../cut/line.ts';
import { formatWithUnit } from '../length/format.ts';
import type { Plan } from '../plan/shape.ts';
import { computeQuilt } from '../quilt/compute.ts';
import { planProblems } from '../soundness/problems.ts';
import type { AnswerLine } from './topic.ts';

/** Cut sizes, whole strips and what to ask the shop for of everything but the blocks; nothing where it is not a quilt that can be cut. */
export function toCut(plan: Plan, asked: (line: CutLine) => boolean = () => true): AnswerLine[] {
  if (planProblems(plan).length > 0) return [];
  const { pieces: all, fabrics } = computeQuilt(plan);
  const pieces = all.filter(asked);
  const used = fabrics.filter(({ fabric }) => pieces.some((line) => line.fabric === fabric.id));
  const sized = ({ name, cut }: CutLine): AnswerLine[] =>
    cut.shape === 'rectangle'
      ? [
          { what: `${name}, cut wide`, figure: cut.width },
          { what: `${name}, cut long`, figure: cut.length },
        ]
      : [{ what: `${name}, squares to cut`, figure: cut.side }];
  return [
    ...pieces.flatMap(sized),
    ...used.flatMap(({ fabric, strips, buy }) => [
      ...strips.flatMap(({ width, strips: count, along }) =>
        along
          ? []
          : [{ what: `${fabric.name}, strips of ${formatWithUnit(width, plan.unit)}`, figure: count }],
      ),
      { what: `${fabric.name}, ask for ${buy.text}`, figure: buy.length },
    ]),
  ];
}
