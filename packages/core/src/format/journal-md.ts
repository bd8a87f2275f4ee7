import type { JournalLine } from '../log/line.ts';

/** What would be read as a mark of Markdown, written so that it is read as itself. */
const plain = (text: string): string => text.replace(/([\\`*_[\]<>#|])/g, '\\$1');

/**
 * A journal as a text anyone can read and any editor opens: a heading a day, a line a thing, notes whole with what they
 * said before. Times are the ones handed in: the maker's own.
 *
 * @param dayOf the day a moment falls on, and the time of day, as the maker's clock has them
 */
export function journalMarkdown(
  title: string,
  lines: readonly JournalLine[],
  dayOf: (at: string) => { readonly day: string; readonly time: string },
): string {
  const out = [`# ${plain(title)}`];
  let last = '';
  for (const { at, text, earlier, struck } of lines) {
    const { day, time } = dayOf(at);
    if (day !== last) out.push('', `## ${day}`, '');
    last = day;
    const said = plain(text).replace(/\r?\n/g, '\n  ');
    out.push(`- ${time} ${struck ? `~~${said}~~` : said}`);
    for (const before of earlier) out.push(`  - before: ${plain(before).replace(/\r?\n/g, '\n    ')}`);
  }
  return `${out.join('\n')}\n`;
}
