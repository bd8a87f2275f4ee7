import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

/**
 * Figures of worked examples that are held in tests alone. What a maker reads, and what a developer reads beside the
 * code, has examples of its own.
 */
const HELD_BACK: readonly (readonly [what: string, pattern: RegExp])[] = [
  ['a pile', /\b112\b(?= (?:of these|blocks|squares|lie))/],
  ['its grid', /\b10 ?[×x] ?11\b/],
  ['a square to bind', /\b36 ?[×x] ?36\b|--width 36 --height 36/],
  ['an oblong to bind', /\b65 ?[×x] ?78\b/],
  ['its bias', /\b208 ?[×x] ?2 ?(?:½|1\/2)/],
  ['bias from a length', /\b18 ?[×x] ?18\b/],
  ['a scalloped side', /\b37″ side|\b54″? and 45\b/],
  ['quilted blocks', /\b39 ?(?:¾|3\/4)/],
  ['framed blocks', /\b7 ?[×x] ?8\b|\b83 ?(?:⅞|7\/8)/],
  ['sashed blocks', /\b42 ?[×x] ?55|\b31 sashes|\b20 cornerstones/],
  ['two borders', /\b24 ?[×x] ?36\b/],
  ['setting triangles', /\b15 ?(?:½|1\/2)″? and 8\b|\b14 ?(?:⅛|1\/8) ?[×x]/],
  ['prairie points', /every 3 ?(?:¾|3\/4)/],
];

const heldBackIn = (text: string): string[] =>
  HELD_BACK.flatMap(([what, pattern]) => (pattern.test(text) ? [`${what}: ${pattern.exec(text)![0]}`] : []));

const tracked = execFileSync('git', ['ls-files', '*.md', 'demo', 'packages', 'apps'], { encoding: 'utf8' })
  .split('\n')
  .filter((file) => /\.(?:md|tsx?|mjs|json|csv)$/.test(file) && !/(?:^|\/)test\/|\.test\./.test(file));

describe('examples of our own', () => {
  test('the check can fail', () => {
    expect(heldBackIn('112 of these, cut 5"')).toEqual(['a pile: 112']);
    expect(heldBackIn('a row of 39 3/4″, 36 x 36')).toHaveLength(2);
    expect(heldBackIn('every 3¾″ · 15½ and 8')).toHaveLength(2);
    expect(heldBackIn('slice(0, 112)')).toEqual([]);
  });
  test('README, docs, demo and everything that is said repeat no figure that is for tests alone', () => {
    expect(tracked.length).toBeGreaterThan(500);
    const found = tracked.flatMap((file) =>
      heldBackIn(readFileSync(file, 'utf8')).map((what) => `${file}: ${what}`),
    );
    expect(found).toEqual([]);
  });
});
