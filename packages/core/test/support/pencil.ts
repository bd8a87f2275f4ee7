/**
 * Sums of a working, done again with a pencil: knows nothing of the program but how people write figures. Words are
 * passed over; `10 1/2` is ten and a half; `×`, `÷`, `−`, `√`, `π` and brackets are what they are; a line that begins
 * with a sign goes on from the line before it.
 */

/** A sum that was written: what it comes to when it is done again, and what stands behind its equals sign. */
export interface Sum {
  readonly text: string;
  readonly done: number;
  readonly said: number;
}

type Token = number | '+' | '−' | '×' | '÷' | '(' | ')' | '√' | '%';

const FIGURE = /\d+ \d+\/\d+|\d+\/\d+|\d+(?:\.\d+)?/;
const TOKEN = new RegExp(`${FIGURE.source}|[+−×÷()√π%]`, 'g');

const figure = (text: string): number =>
  text
    .split(' ')
    .reduce(
      (sum, part) =>
        sum + (part.includes('/') ? Number(part.split('/')[0]) / Number(part.split('/')[1]) : Number(part)),
      0,
    );

const tokens = (text: string): Token[] =>
  [...text.matchAll(TOKEN)].map(([t]) => (t === 'π' ? Math.PI : /\d/.test(t) ? figure(t) : (t as Token)));

/** The sum of some tokens; NaN where they are none. */
function evaluate(list: readonly Token[]): number {
  let at = 0;
  const factor = (): number => {
    const t = list[at++];
    if (t === '√') return Math.sqrt(factor());
    if (t === '−') return -factor();
    if (t === '(') {
      const inner = sum();
      return list[at++] === ')' ? inner : NaN;
    }
    if (typeof t !== 'number') return NaN;
    if (list[at] !== '%') return t;
    at++;
    return t / 100;
  };
  const product = (): number => {
    let value = factor();
    // A root or a bracket right after a figure multiplies it.
    while (list[at] === '×' || list[at] === '÷' || list[at] === '√' || list[at] === '(') {
      const sign = list[at];
      if (sign === '×' || sign === '÷') at++;
      value = sign === '÷' ? value / factor() : value * factor();
    }
    return value;
  };
  const sum = (): number => {
    let value = product();
    while (list[at] === '+' || list[at] === '−')
      value = list[at++] === '+' ? value + product() : value - product();
    return value;
  };
  const value = sum();
  return at === list.length ? value : NaN;
}

/** Every sum in the lines of a working that can be done again. */
export function sumsIn(working: readonly string[]): Sum[] {
  let before = NaN;
  return working.flatMap((line) => {
    const sums: Sum[] = [];
    // What a trade calls by a name of its own, a tangent or a shop's yards, is not a sum of the figures before it.
    if (/tan\(| yd = /.test(line)) return [];
    const plain = line
      .replace(/\bless\b/g, '−')
      .replace(/\bhalf of (?:a square of )?([\d /.]+\d|\d)/gi, '(1/2 × $1)')
      .replace(/[″’“”]/g, '')
      .replace(/− -/g, '+ ')
      .replace(/, (?=[÷+−])/g, ' ');
    for (const clause of plain.split(/[;:]|, (?!and)|\bfrom\b/)) {
      const sides = clause.split(' = ');
      // "Together 42", "measured with a tape: 250": what the next line goes on from.
      const told = /(?:Together|up to|^) ?(\d.*)$/.exec(clause.trim())?.[1];
      if (sides.length === 1 && told !== undefined && tokens(told).length === 1)
        before = tokens(told)[0] as number;
      for (let i = 0; i + 1 < sides.length; i++) {
        const [left, right] = [tokens(sides[i]!), new RegExp(FIGURE).exec(sides[i + 1]!)?.[0]];
        if (right === undefined) continue;
        const goesOn = left[0] === '+' || left[0] === '−' || left[0] === '×' || left[0] === '÷';
        const done = evaluate(goesOn ? [before, ...left] : left);
        const said = figure(right) * (/^\s*-/.test(sides[i + 1]!) ? -1 : 1);
        before = said;
        if (Number.isFinite(done)) sums.push({ text: line, done, said });
      }
    }
    return sums;
  });
}
