import { cutPieces } from '../cutting/pieces.ts';
import { type Figure, lengthOf } from '../figure/figure.ts';
import { layOut } from '../layout/lay-out.ts';
import { formatLength } from '../length/format.ts';
import { planProblems } from '../plan/problems.ts';
import type { Plan } from '../plan/shape.ts';
import { startPlan } from '../plan/start.ts';
import { lengthIn, type Topic } from './topic.ts';

/** Covered sashing between blocks that are quilted already (handbook 4): the cutting list of such a quilt. `block` is the cut size. */
export const quiltedBlocks: Topic = {
  name: 'quilted-blocks',
  describes: 'Strips that join blocks quilted already.',
  flags: [
    { key: 'block', label: 'Block, trimmed (cut size)', type: 'length', start: null },
    { key: 'across', label: 'Blocks across', type: 'count', start: null },
    { key: 'down', label: 'Blocks down', type: 'count', start: null },
    { key: 'sash', label: 'Sash, finished', type: 'length', start: 2 },
  ],
  answer: (question) => {
    const { unit, given } = question;
    const start = startPlan(unit === 'in' ? 'sashed-sampler' : 'metric-sashed');
    const side = lengthIn(question, 'block') - 2 * start.seam;
    const quilt: Plan = {
      ...start, borders: [], block: { width: side, height: side }, grid: { across: given['across'] as number, down: given['down'] as number }, setting: { kind: 'quilted', sash: lengthIn(question, 'sash') },
    };
    const [problem] = planProblems(quilt);
    if (problem) return `--${{ setting: 'sash', block: 'block', grid: String(problem.path[1]) }[String(problem.path[0])] ?? 'block'}: ${problem.message}`;
    const layout = layOut(quilt);
    // However many there are, a sash is made of the same three strips; a single row or column has only one kind.
    const pair = layOut({ ...quilt, grid: { across: 2, down: 2 } });
    const strips = cutPieces(quilt, pair);
    const wide = (layer: string): Figure => {
      const { cut } = strips.find((p) => p.name === `Upright sashes, ${layer}`)!;
      return cut.shape === 'rectangle' ? cut.width : cut.side;
    };
    const [front, batting, back] = [wide('front'), wide('batting'), wide('back')];
    const { width } = layout.centre;
    const row = lengthOf(width.value + 2 * start.seam, ...width.working, `+ 2 × ${formatLength(start.seam, unit)} seam = ${formatLength(width.value + 2 * start.seam, unit)}`);
    const count = (key: string) => layout.parts[key]?.count.value ?? 0;
    return {
      json: { frontStrip: front.value, battingStrip: batting.value, backStrip: back.value, rowLength: row.value, uprights: count('upright'), levels: count('level') },
      said: [
        { what: 'Front strips, cut wide', figure: front }, { what: 'Batting, cut wide', figure: batting }, { what: 'Back strips, cut wide', figure: back },
        { what: 'Row strips, cut long', figure: row },
        ...Object.values(layout.parts).filter((p) => p.role === 'sash').map((p) => ({ what: p.name, figure: p.count })),
      ],
    };
  },
};
