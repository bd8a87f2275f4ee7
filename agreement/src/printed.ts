import { take, takeaway } from '@lattice/export';
import { ON_NODE } from '../../packages/export/src/node.ts';
import { wordsOnPages } from '../../packages/export/test/support/words-on-pages.ts';
import type { Claim } from './claim.ts';
import type { Evening } from './evening.ts';
import { job } from './surface.ts';
import { paperWith } from './surfaces.ts';

/** Papers that are printed, and read again by a library that had no part in writing them. */
const PAPERS = ['shopping', 'cuts', 'steps', 'layout'] as const;

/** Letters alone: where a line or a page ends, and which sign stands for a fraction's stroke, is the paper's own affair. */
const letters = (text: string): string => text.replace(/⁄/g, '/').replace(/→/g, '>').replace(/\s+/g, '');

/** All that stands on the pages, without the line at the foot of each: it stands between two halves of what goes on overleaf. */
const lettersOn = (pages: readonly string[], title: string): string =>
  pages
    .map((page, i) => {
      const [text, foot] = [letters(page), letters(`${title} · ${i + 1} of ${pages.length}`)];
      return text.endsWith(foot) ? text.slice(0, -foot.length) : text;
    })
    .join('');

/** Everything that is written on papers, and whether it stands on them once they are printed. */
export async function printedClaims(evening: Evening): Promise<Claim[]> {
  const claims: Claim[] = [];
  for (const what of PAPERS) {
    const written = paperWith(what, evening).filter(({ text }) => text.trim() !== '');
    const pdf = await take(takeaway('pdf', what)!, { ...job(evening), ...ON_NODE });
    const printed = lettersOn(await wordsOnPages(pdf.bytes), evening.plan.title);
    written.forEach(({ text }, i) => {
      const of = `${what}, line ${i + 1}`;
      claims.push({ surface: 'paper', of, value: text });
      claims.push({
        surface: 'paper as printed',
        of,
        value: printed.includes(letters(text)) ? text : '(not there)',
      });
    });
  }
  return claims;
}
