import { readFileSync } from 'node:fs';
import { TERMS } from '../../packages/core/src/choice/terms.ts';
import { type Said, saidIn, saidInSource } from '../said.mjs';

const RETIRED = TERMS.flatMap(({ term, not = [] }) => not.map((word) => ({ term, word })));
/** Names of fields and flags, which are written and not said. */
const WRITTEN = /\/api\/\S*|--[a-z-]+|`[^`]*`|"[a-z.]+"/g;
/** Said to whoever asks for the app's own address book, in its words. */
const retiredIn = ({ text }: Pick<Said, 'text'>): string[] =>
  RETIRED.flatMap(({ term, word }) =>
    new RegExp(`\\b${word}\\b`, 'i').test(text.replace(WRITTEN, '')) ? [`${word}: say ${term}`] : [],
  );

describe('one thing has one name', () => {
  // The list itself names what is retired.
  const said = saidInSource().filter(({ file }) => !file.endsWith('choice/terms.ts'));
  test('the check reads markup, strings and templates, and no names of modules', () => {
    const read = (source: string) => saidIn('a.tsx', source).map(({ text }) => text);
    expect(read('const a = <p>Cut the cloth.</p>;')).toEqual(['Cut the cloth.']);
    expect(read('const b = `Cut ${n} of the cloth`; const c = "two words";')).toEqual([
      'Cut … of the cloth',
      'two words',
    ]);
    expect(read("import x from './two words';")).toEqual([]);
    expect(read('const s = styled.p`color: red blue`;')).toEqual([]);
    expect(retiredIn({ text: 'A telephone over the fabric' })).toEqual([
      'fabric: say cloth',
      'telephone: say phone',
    ]);
    expect(retiredIn({ text: '--fabric NAME' })).toEqual([]);
    expect(said.length).toBeGreaterThan(4000);
  });
  test('no retired word is said anywhere', () => {
    const found = said.flatMap((one) =>
      retiredIn(one).map((what) => `${one.file}:${one.line} ${what}: “${one.text}”`),
    );
    expect(found).toEqual([]);
  });
  test('no word is kept and retired at once, and each rule named is one', () => {
    const kept = new Set(TERMS.map(({ term }) => term));
    expect(RETIRED.filter(({ word }) => kept.has(word))).toEqual([]);
    expect(kept.size).toBe(TERMS.length);
    const rules = readFileSync('docs/trade-rules.md', 'utf8');
    for (const { rule } of TERMS) if (rule) expect(rules).toContain(`### ${rule} ·`);
  });
});
