import { take, takeaway } from '@lattice/export';
import { ON_NODE } from '../../packages/export/src/node.ts';
import type { Claim } from './claim.ts';
import type { Evening } from './evening.ts';
import { job } from './surface.ts';
import { paperWith } from './surfaces.ts';

/** Papers that are printed, and read again by a library that had no part in writing them. */
const PAPERS = ['shopping', 'cuts', 'steps', 'layout'] as const;

/** Letters alone: where a line or a page ends, and which sign stands for a fraction's stroke, is the paper's own affair. */
const letters = (text: string): string => text.replace(/⁄/g, '/').replace(/→/g, '>').replace(/\s+/g, '');

async function lettersOnPages(bytes: Uint8Array, title: string): Promise<string> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const doc = await getDocument({ data: bytes, verbosity: 0 }).promise;
  let all = '';
  for (let number = 1; number <= doc.numPages; number++) {
    const { items } = await (await doc.getPage(number)).getTextContent();
    const text = letters(items.map((item) => ('str' in item ? item.str : '')).join(''));
    // The line at the foot of a page stands between two halves of what goes on overleaf.
    const foot = letters(`${title} · ${number} of ${doc.numPages}`);
    all += text.endsWith(foot) ? text.slice(0, -foot.length) : text;
  }
  return all;
}

/** Everything that is written on papers, and whether it stands on them once they are printed. */
export async function printedClaims(evening: Evening): Promise<Claim[]> {
  const claims: Claim[] = [];
  for (const what of PAPERS) {
    const written = paperWith(what, evening).filter(({ text }) => text.trim() !== '');
    const pdf = await take(takeaway('pdf', what)!, { ...job(evening), ...ON_NODE });
    const printed = await lettersOnPages(pdf.bytes, evening.plan.title);
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
