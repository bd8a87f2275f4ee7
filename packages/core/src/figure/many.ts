/** More than one of a kind: "rows", "sashes with their cornerstones". */
export function manyOf(kind: string): string {
  const [first = '', ...rest] = kind.split(' with ');
  const many =
    /(s|sh|ch|x)$/.test(first) && !/(rows|columns)$/.test(first)
      ? `${first}es`
      : first.endsWith('s')
        ? first
        : `${first}s`;
  return [many, ...rest.map((own) => own.replace(/^its /, 'their '))].join(' with ');
}

/** "rows, sash rows and the centre" */
export const listed = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** A sentence's first letter. */
export const capital = (text: string) => (text === '' ? text : text[0]!.toUpperCase() + text.slice(1));
