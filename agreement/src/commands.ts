import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { journalMarkdown, journalOf, namesFrom, writePlanJson } from '@lattice/core';
import { cut } from '../../apps/cli/src/cut.ts';
import { sew } from '../../apps/cli/src/sew.ts';
import { QUILT } from './evening.ts';
import { lengthIn, PRINTED } from './read.ts';
import { known, type Said, type Surface } from './surface.ts';

/** What a command prints for a plan in a file; nothing where it refuses. */
function printed(
  plan: string,
  command: (file: string, base: string, out: (line: string) => void) => number,
): string[] {
  const base = mkdtempSync(path.join(tmpdir(), 'lattice-evening-'));
  const lines: string[] = [];
  writeFileSync(path.join(base, 'x.plan.json'), plan);
  const code = command('x.plan.json', base, (line) => lines.push(line));
  rmSync(base, { recursive: true });
  return code === 0 ? lines : [];
}

/** What is printed of a plan's cutting and sewing, as text, and the journal as text. They know the plan alone, the journal the log. */
export const commands: Surface = {
  name: 'cut, sew, journal',
  says: ({ plan, log }) => {
    const { quilt } = known({ plan, log });
    const text = writePlanJson(plan);
    const quiet = () => undefined;
    const cuts = printed(text, (file, base, out) =>
      cut(file, { json: false }, { base, out, complain: quiet }),
    );
    const sewn = printed(text, (file, base, out) =>
      sew(file, { json: false }, { base, out, complain: quiet }),
    );
    const journal = journalMarkdown('The evening', journalOf(log, QUILT, namesFrom(plan)), (at) => ({
      day: at.slice(0, 10),
      time: at.slice(11, 16),
    }));
    const sum = (pattern: RegExp) =>
      [...journal.matchAll(pattern)].reduce((all, [, count]) => all + Number(count), 0);
    const chosen = log.some(({ kind }) => kind === 'sewing-chosen');
    return [
      ...(log.length === 0
        ? cutSaid(
            cuts,
            plan.unit,
            quilt.fabrics.map(({ fabric }) => fabric.name),
          )
        : []),
      ...(chosen ? [] : sewSaid(sewn)),
      {
        of: 'seams sewn',
        value: sum(/(\d+) seams? sewn/g) - sum(/(\d+) seams? taken out/g),
      },
    ];
  },
};

function cutSaid(lines: readonly string[], unit: 'in' | 'cm', names: readonly string[]): Said[] {
  const heads = lines.flatMap((line, at) => (/^\S.* of it, (thrifty|simple)$/.test(line) ? [at] : []));
  return heads.flatMap((at, i): Said[] => {
    const own = lines.slice(at, heads[i + 1] ?? lines.length);
    const needed = /usable: (.*?) of it/.exec(own[0]!)![1]!;
    return [
      { of: `still needed: ${names[i]}`, value: lengthIn(needed, unit), within: PRINTED[unit] },
      { of: `steps at the table: ${names[i]}`, value: own.filter((line) => /^ +\d+\. /.test(line)).length },
    ];
  });
}

function sewSaid(lines: readonly string[]): Said[] {
  const head = lines.findIndex((line, i) => i > 0 && lines[i - 1] === '' && /: /.test(line));
  if (head < 0) return [];
  const told = lines.flatMap((line) => {
    const read = /^ +(\d+)\. (.*): (\d+) seams?, /.exec(line);
    return read ? [{ title: read[2]!, seams: Number(read[3]) }] : [];
  });
  const nest = lines.map((line) => /^(\d+) of \d+ crossings? nest/.exec(line)?.[1]).find(Boolean);
  return [
    { of: 'sewn', value: lines[head]!.split(':')[0]! },
    { of: 'seams', value: told.reduce((all, { seams }) => all + seams, 0) },
    { of: 'crossings that nest', value: Number(nest ?? 0) },
    ...told.map(({ title }, i): Said => ({ of: `step ${i + 1}`, value: title })),
  ];
}
