import { readFileSync } from 'node:fs';
import { sourcesIn } from './support/sources.ts';

/** A look that is said by a number of its own instead of by the scale, and the one place that may. */
const OWN: readonly { what: string; pattern: RegExp; home: RegExp }[] = [
  {
    what: 'a size of letters: use --size-…',
    pattern: /\bfont(-size)?:[^;]*\d(px|rem|vw)/,
    home: /GlobalStyle\.ts$/,
  },
  { what: 'a width: use design/media.ts', pattern: /@media[^{]*-width/, home: /design\/media\.ts$/ },
  {
    what: 'fingers: use touch of design/media.ts',
    pattern: /\(pointer: coarse\)/,
    home: /browser\/fingers\.ts$/,
  },
  {
    what: 'ink on cloth: use inkOn',
    pattern: /#1b2433|#fbfcfc/i,
    home: /GlobalStyle\.ts$|journal\/LabelPage\.tsx$/,
  },
];
const ownIn = (file: string, text: string): string[] =>
  text
    .split('\n')
    .flatMap((line, i) =>
      OWN.flatMap(({ what, pattern, home }) =>
        pattern.test(line) && !home.test(file) ? [`${file}:${i + 1} ${what}`] : [],
      ),
    );

test('looks come from one scale: sizes of letters, widths, fingers, ink on cloth', () => {
  const web = sourcesIn('apps/web/src');
  expect(web.length).toBeGreaterThan(250);
  expect(web.flatMap((file) => ownIn(file, readFileSync(file, 'utf8')))).toEqual([]);
});

test('a size, a width, a finger or an ink of one’s own is noticed', () => {
  const seen = (line: string) => ownIn('apps/web/src/stages/a.tsx', line).length;
  const lines = [
    ...['  font-size: 14px;', '  font: 600 15px/1.2 var(--text);', '  @media (max-width: 711px) {'],
    ...['  @media (pointer: coarse) {', "  fill: '#1B2433',"],
  ];
  expect(lines.map(seen)).toEqual([1, 1, 1, 1, 1]);
  expect(seen('  font: 600 var(--size-read)/1.2 var(--text);')).toBe(0);
});

test('every size of letters that is used is on the scale, and every one of the scale is used', () => {
  const style = readFileSync('apps/web/src/design/GlobalStyle.ts', 'utf8');
  const scale = new Set([...style.matchAll(/^ *(--size-[a-z-]+):/gm)].map(([, name]) => name));
  const used = new Set(
    sourcesIn('apps/web/src').flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/var\((--size-[a-z-]+)\)/g)].map(([, name]) => name),
    ),
  );
  expect([...used].sort()).toEqual([...scale].sort());
});

test('what is near, more or longer is asked of length/tolerance.ts: no bound of one’s own in the core', () => {
  const own = (file: string) =>
    /\b1e-(6|9)\b/.test(readFileSync(file, 'utf8')) && !file.endsWith('length/tolerance.ts');
  expect(sourcesIn('packages/core/src').filter(own)).toEqual([]);
});
