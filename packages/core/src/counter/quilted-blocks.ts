import { cutsOfTop } from '../cutting/top-cuts.ts';
import { type Figure, lengthOf } from '../figure/figure.ts';
import { layOut } from '../layout/lay-out.ts';
import { formatLength, formatWithUnit } from '../length/format.ts';
import { planProblems } from '../soundness/problems.ts';
import type { Plan } from '../plan/shape.ts';
import { USUAL } from '../usual/lengths.ts';
import { blankQuilt, lengthIn, type Question, type Topic, wrongFlag } from './topic.ts';

/** Covered sashing between blocks that are quilted already (rule ST-8): the cutting list of such a quilt. `block` is the cut size. */
export const quiltedBlocks: Topic = {
  name: 'quilted-blocks',
  describes: 'Strips that join blocks quilted already.',
  flags: [
    { key: 'block', label: 'Block, trimmed (cut size)', type: 'length', start: null },
    { key: 'across', label: 'Blocks across', type: 'count', start: null },
    { key: 'down', label: 'Blocks down', type: 'count', start: null },
    { key: 'sash', label: 'Sash, finished', type: 'length', start: USUAL.wideSash },
  ],
  answer: (question) => {
    const { unit } = question;
    const quilt = quiltedQuilt(question);
    const { seam } = quilt;
    const [problem] = planProblems(quilt);
    if (problem) {
      const [place, key] = problem.path.map(String);
      const flags: Readonly<Record<string, string>> = {
        setting: 'sash',
        block: 'block',
        grid: key ?? 'across',
      };
      return wrongFlag(flags[place ?? ''] ?? 'block', problem.message);
    }
    const layout = layOut(quilt);
    // However many there are, a sash is made of the same three strips; a single row or column has only one kind.
    const pair = layOut({ ...quilt, grid: { across: 2, down: 2 } });
    const strips = cutsOfTop(quilt, pair);
    const wide = (id: string): Figure => {
      const { size } = strips.find((cut) => cut.id === id)!;
      return size.shape === 'rectangle' ? size.width : size.side;
    };
    const [front, batting, back] = [wide('upright'), wide('upright-batting'), wide('upright-back')];
    const { width } = layout.centre;
    const row = lengthOf(
      width.value + 2 * seam,
      ...width.working,
      `+ 2 × ${formatLength(seam, unit)} seam = ${formatLength(width.value + 2 * seam, unit)}`,
    );
    const count = (key: string) => layout.parts[key]?.count.value ?? 0;
    return {
      ok: true,
      headline: `Front strips ${formatWithUnit(front.value, unit)}, batting ${formatWithUnit(batting.value, unit)}, back ${formatWithUnit(back.value, unit)}`,
      json: {
        frontStrip: front.value,
        battingStrip: batting.value,
        backStrip: back.value,
        rowLength: row.value,
        uprights: count('upright'),
        levels: count('level'),
      },
      said: [
        { what: 'Front strips, cut wide', figure: front },
        { what: 'Batting, cut wide', figure: batting },
        { what: 'Back strips, cut wide', figure: back },
        { what: 'Row strips, cut long', figure: row },
        ...Object.values(layout.parts)
          .filter((p) => p.role === 'sash')
          .map((p) => ({ what: p.name, figure: p.count })),
      ],
    };
  },
  quilt: quiltedQuilt,
};

/** The quilt such blocks make, without a border. */
function quiltedQuilt(question: Question): Plan {
  const { given, unit } = question;
  const blank = blankQuilt(unit, {});
  const side = lengthIn(question, 'block') - 2 * blank.seam;
  return {
    ...blank,
    block: { width: side, height: side },
    grid: { across: given['across'] as number, down: given['down'] as number },
    setting: { kind: 'quilted', sash: lengthIn(question, 'sash') },
  };
}
