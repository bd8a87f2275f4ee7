import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import * as core from '../src/index.ts';

const src = path.resolve(__dirname, '../src');

/** An example as it stands over a function: what it is of, what is prepared, and each line with what comes of it. */
interface Example {
  readonly of: string;
  readonly lines: readonly string[];
}

/** The examples of a source: the lines after each @example, to the end of its docblock. */
const examplesIn = (text: string): Example[] =>
  [...text.matchAll(/@example\n((?: \* .*\n)+) \*\/\nexport (?:const|function) (\w+)/g)].map(
    ([, lines = '', of = '']) => ({
      of,
      lines: lines
        .trimEnd()
        .split('\n')
        .map((line) => line.slice(3)),
    }),
  );

const examples = (readdirSync(src, { recursive: true }) as string[])
  .filter((file) => file.endsWith('.ts'))
  .flatMap((file) => examplesIn(readFileSync(path.join(src, file), 'utf8')));

/** Runs an example with the core's doors in hand; answers what each line said to come of it came to, beside that. */
function run({
  lines,
}: Example): { readonly line: string; readonly came: unknown; readonly said: unknown }[] {
  const names = Object.keys(core);
  const code = lines.map((line) => {
    const [, does, said] = /^(.*?); \/\/ (.*)$/.exec(line) ?? [];
    return does ? `out.push({ line: ${JSON.stringify(line)}, came: (${does}), said: (${said}) });` : line;
  });
  const out: ReturnType<typeof run> = [];
  new Function('out', ...names, `'use strict';\n${code.join('\n')}`)(out, ...Object.values(core));
  return out;
}

describe('examples over the core’s doors', () => {
  test('twenty doors and more have one, each of a function outside may call', () => {
    expect(new Set(examples.map(({ of }) => of)).size).toBeGreaterThanOrEqual(20);
    for (const { of } of examples) expect(core).toHaveProperty(of);
  });
  test.each(examples.map((example) => [example.of, example] as const))('%s', (of, example) => {
    expect(example.lines.join('\n')).toContain(`${of}(`);
    const came = run(example);
    expect(came.length).toBeGreaterThan(0);
    // As they are written: what was worked out elsewhere has prototypes of its own.
    for (const { line, came: is, said } of came)
      expect([line, JSON.parse(JSON.stringify(is))]).toEqual([line, said]);
  });
  test('one that is wrong is noticed', () => {
    const text = '/**\n * Adds.\n *\n * @example\n * near(1, 2); // true\n */\nexport const near = 1;\n';
    const [wrong] = examplesIn(text);
    expect(run(wrong!)).toEqual([{ line: 'near(1, 2); // true', came: false, said: true }]);
  });
});
