import { near } from '../length/tolerance.ts';
import { isPieced, type PiecedBorder } from '../border/border.ts';
import { withPieced } from '../border/pieced/choose.ts';
import { type UnitsAlong, unitLength, unitsRound } from '../border/pieced/fit.ts';
import { piecedKind } from '../border/pieced/registry.ts';
import { spacerFits, withSpacer } from '../border/spacer.ts';
import { PIECED_KINDS, PIECED_NAMES, type PiecedKindId } from '../choice/pieced-borders.ts';
import { cutsOfTop, cuttingList } from '../cutting/top-cuts.ts';
import { countOf, numberOf } from '../figure/figure.ts';
import { layOut } from '../layout/lay-out.ts';
import { formatLength, formatSize, formatWithUnit, formatWorking } from '../length/format.ts';
import type { Unit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { startBorder } from '../plan/start.ts';
import { planProblems } from '../soundness/problems.ts';
import { USUAL } from '../usual/lengths.ts';
import { toCut } from './to-cut.ts';
import { type AnswerLine, lengthIn, type Question, type Topic, wholeOfSize, wrongFlag } from './topic.ts';

/** Whether a pieced border comes out round a top, the spacer that makes it, and what is cut for it (rules PB-1 to PB-4, BO-7). */
export const piecedBorder: Topic = {
  name: 'pieced-border',
  describes: 'Units of a pieced border round a top, and the spacer that makes them come out.',
  flags: [
    { key: 'width', label: 'Top, finished width', type: 'length', start: null },
    { key: 'height', label: 'Top, finished height', type: 'length', start: null },
    {
      key: 'of',
      label: 'Pieced of',
      type: 'choice',
      start: 'half-square',
      choices: PIECED_KINDS,
      names: (id) => PIECED_NAMES[id as PiecedKindId],
    },
    { key: 'depth', label: 'Border, finished width', type: 'length', start: { in: 3, cm: 8 } },
  ],
  answer: (question) => {
    const { unit } = question;
    const bare = bareOf(question);
    const [problem] = planProblems(bare);
    if (problem) return wrongFlag(problem.path[0] === 'borders' ? 'depth' : 'width', problem.message);
    const plan = spaced(bare);
    const at = plan.borders.length - 1;
    const border = plan.borders[at] as PiecedBorder;
    const { sizes } = layOut(plan);
    const { across, down } = unitsRound(border, sizes[at]!);
    const spacer = at > 0 ? plan.borders[0]! : null;
    const [fit] = spacer ? spacerFits(bare, layOut(bare).sizes, 0) : [];
    const { one, many } = piecedKind(border.pieced.kind);
    const patches = toCut(plan, ({ role }) => role === 'border-patch');
    return {
      ok: true,
      headline: spacer
        ? `Spacer ${spacerSays(spacer, unit)}, then ${numberOf(2 * (across.count + down.count), one, many)}`
        : `${numberOf(2 * (across.count + down.count), one, many)}, with no spacer`,
      json: {
        across: across.count,
        down: down.count,
        spacer: spacer && { sides: spacer.sides, ends: spacer.ends },
        unit: unitLength(border),
      },
      said: [
        ...(fit ? [{ what: 'Spacer, finished, at the sides', figure: fit.sides }] : []),
        ...(fit ? [{ what: 'Spacer, finished, top and bottom', figure: fit.ends }] : []),
        along('Along top and bottom, each', across, border, unit),
        along('At the sides, each', down, border, unit),
        ...patchesOf(plan).map(({ name, squares, count }) => ({
          what: `${name}, how many${squares ? ' squares' : ''}`,
          figure: squares?.count ?? count,
        })),
        ...patches,
      ],
    };
  },
  quilt: (question) => spaced(bareOf(question)),
};

const spacerSays = (
  { sides, ends }: { readonly sides: number; readonly ends: number },
  unit: Unit,
): string => (near(sides, ends) ? formatWithUnit(sides, unit) : formatSize(sides, ends, unit));

function along(what: string, side: UnitsAlong, border: PiecedBorder, unit: Unit): AnswerLine {
  const { one, many } = piecedKind(border.pieced.kind);
  const length = unitLength(border);
  return {
    what,
    figure: countOf(
      side.count,
      `${numberOf(side.count, one, many)} × ${formatWorking(length, unit)} = ${formatLength(side.comesTo, unit)}, the side with its spacer`,
    ),
  };
}

/** A top of that size with that border and nothing inside it. */
function bareOf(question: Question): Plan {
  const { unit, given } = question;
  const seam = USUAL.seam[unit];
  const top = wholeOfSize(unit, {
    kind: 'whole-top',
    width: lengthIn(question, 'width') + 2 * seam,
    height: lengthIn(question, 'height') + 2 * seam,
  });
  const border = startBorder('1', lengthIn(question, 'depth'), 'border');
  return withPieced({ ...top, borders: [border] }, 0, given['of'] as PiecedKindId);
}

/** What is cut for the units. */
const patchesOf = (plan: Plan) =>
  cuttingList(plan, cutsOfTop(plan, layOut(plan))).filter(({ role }) => role === 'border-patch');

/** That top with the spacer that makes its units come out, where they do not by themselves. */
function spaced(plan: Plan): Plan {
  const { sizes } = layOut(plan);
  const [border] = plan.borders;
  if (!border || !isPieced(border)) return plan;
  const { across, down } = unitsRound(border, sizes[0]!);
  if (near(across.over, 0) && near(down.over, 0)) return plan;
  const [fit] = spacerFits(plan, sizes, 0);
  return fit ? withSpacer(plan, 0, fit, '2') : plan;
}
