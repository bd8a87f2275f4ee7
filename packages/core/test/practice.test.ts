import fc from 'fast-check';
import {
  type Exercise,
  exerciseOf,
  EXERCISES,
  type Given,
  isRight,
  judgeTop,
  type Level,
  LEVELS,
  logEntrySchema,
  MAKER,
  nextUp,
  parseLength,
  randomFrom,
  rightSaid,
  standingsIn,
  type Unit,
  verdictOn,
} from '../src/index.ts';
import { dayOf } from '../src/index.ts';
import { entriesOf } from './support/entries.ts';

/** Every wrong answer there is to a choice or by pointing; some to a count. */
function wrongs({ answer, drawing }: Exercise): Given[] {
  switch (answer.by) {
    case 'choice':
      return answer.choices.map(({ id }) => id).filter((id) => id !== answer.right);
    case 'count':
      return [answer.right - 1, answer.right + 1, answer.right + 0.5, String(answer.right)];
    case 'point':
      return (drawing?.shapes ?? []).map(({ id }) => id).filter((id) => !answer.right.includes(id));
  }
}
const rightOf = ({ answer }: Exercise): Given => (answer.by === 'point' ? answer.right[0]! : answer.right);

/** Numbers of a text as a person reads them: "3 8 1/4″" is three, and eight and a quarter. */
const numbersIn = (text: string): number[] =>
  [...text.matchAll(/(?:(\d+) )?(\d+)\/(\d+)|(\d+(?:\.\d+)?)/g)].map(([, whole, up, down, plain]) =>
    plain === undefined ? Number(whole ?? 0) + Number(up) / Number(down) : Number(plain),
  );
type Dot = { readonly x: number; readonly y: number };
const close = (a: number, b: number) => Math.abs(a - b) < 1e-6;

/**
 * By pencils of their own: what the words and the drawing of an exercise come to, without the core's rooms. Null where one
 * cannot tell it from them. The rules are common practice, as docs/trade-rules.md has them; inches only where a ruler is read.
 */
const PENCILS: Readonly<Record<string, (exercise: Exercise, unit: Unit) => Given | null>> = {
  'sash-count': ({ asks }) => {
    const [n, m] = numbersIn(asks) as [number, number];
    const outer = asks.includes('all round');
    // Along rows and along columns, one more line than blocks with an outer sash, one fewer without.
    const [columns, rows] = outer ? [n + 1, m + 1] : [n - 1, m - 1];
    return asks.endsWith('cornerstones?') ? columns * rows : columns * m + rows * n;
  },
  'binding-strips': ({ asks }, unit) => {
    if (unit !== 'in') return null;
    const [w, h] = numbersIn(asks) as [number, number];
    const usable = numbersIn(asks).at(-1)!;
    const length = 2 * (w + h) + 10;
    const strips = Math.ceil(length / usable - 1e-9);
    return strips * usable - length < 2 - 1e-9 ? strips + 1 : strips;
  },
  'points-meet': ({ asks }, unit) => {
    if (unit !== 'in') return null;
    const [, seam, overlap] = numbersIn(asks) as [number, number, number];
    return overlap === 2 * seam ? 'meet' : overlap < 2 * seam ? 'gap' : 'over';
  },
  'which-square': ({ asks }) => (asks.includes('side triangles') ? 'side-twice' : 'corner-once'),
  verdict: ({ asks, drawing }, unit) => {
    if (unit !== 'in') return null;
    const meant = numbersIn(asks)[0]!;
    const [top, side, bottom] = drawing!.marks.map(({ label }) => numbersIn(label)[0]!);
    // Sides that face one another and differ by more than an eighth: the block is crooked.
    if (bottom !== undefined && Math.abs(bottom - top!) > 1 / 8) return 'crooked';
    const off = [top! - meant, side! - meant];
    if (Math.min(...off) < -1 / 8) return 'small';
    if (Math.max(...off) > 1 / 8) return 'trim';
    return Math.max(...off.map(Math.abs)) > 1 / 16 ? 'ease' : 'fine';
  },
  'cut-all-to': ({ asks }, unit) => {
    if (unit !== 'in') return null;
    const [count, , meant, few, size] = numbersIn(asks) as [number, number, number, number, number];
    return (few === 1 || few <= count / 10 ? meant : size).toFixed(4);
  },
  six: ({ drawing }, unit) => {
    if (unit !== 'in') return null;
    const read = drawing!.marks.map(({ label }) => numbersIn(label)[0]!);
    const apart = [read.slice(0, 3), read.slice(3)].map((three) => Math.max(...three) - Math.min(...three));
    const worst = Math.max(...apart);
    return worst <= 1 / 8 ? 'true' : worst < 3 / 4 ? 'ease' : 'square-up';
  },
  grain: ({ drawing }) => {
    const { width, height, shapes } = drawing!;
    const asked = shapes.find(({ fill }) => fill === 'accent')!.outline;
    const onRim = (p: Dot, q: Dot) =>
      [0, width].some((x) => close(p.x, x) && close(q.x, x)) ||
      [0, height].some((y) => close(p.y, y) && close(q.y, y));
    // What lies on the rim of the quilt must not stretch.
    return `edge-${asked.findIndex((p, i) => onRim(p, asked[(i + 1) % asked.length]!))}`;
  },
  disappears: ({ drawing }) => {
    const parts = (colour: string) => [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16));
    const far = (a: string, b: string) => Math.hypot(...parts(a).map((part, i) => part - parts(b)[i]!));
    const edge = drawing!.shapes.find(({ id }) => id.endsWith('-a'))!.fill;
    const sashes = drawing!.shapes.filter(({ name }) => name !== undefined);
    return sashes.reduce((a, b) => (far(a.fill, edge) < far(b.fill, edge) ? a : b)).id;
  },
  elbow: ({ drawing }) => {
    const bend = ([a, b, c]: readonly Dot[]) => Math.abs(b!.y - (a!.y + c!.y) / 2);
    return [...drawing!.shapes].sort((a, b) => bend(b.outline) - bend(a.outline))[0]!.id;
  },
  points: ({ asks }, unit) => {
    if (unit !== 'in') return null;
    const [square, overlap, seam, side] = numbersIn(asks) as [number, number, number, number];
    const [pitch, base] = [square - overlap, square - 2 * seam];
    // Where bases lie over one another the last needs its whole base (PP-2).
    return pitch < base ? 1 + Math.round((side - base) / pitch) : Math.round(side / pitch);
  },
  press: ({ drawing }) => {
    const of = new Map(drawing!.shapes.map(({ id, label }) => [label!, id]));
    const find = (pattern: RegExp) => [...of].find(([label]) => pattern.test(label))?.[1] ?? null;
    // Toward the sash from block and cornerstone, toward a setting triangle from a block.
    return find(/sash/) ?? find(/triangle/);
  },
};

const anyCase = fc.record({
  kind: fc.constantFrom(...EXERCISES.map(({ id }) => id)),
  seed: fc.integer({ min: 0, max: 2 ** 32 - 1 }),
  unit: fc.constantFrom<Unit>('in', 'cm'),
  level: fc.constantFrom<Level>(...LEVELS),
});

describe('exercises', () => {
  test('in 10,000 cases: the right answer is told right, every wrong one wrong, and a pencil agrees', () => {
    const pencilled = new Map<string, number>();
    fc.assert(
      fc.property(anyCase, ({ kind, seed, unit, level }) => {
        const exercise = exerciseOf(kind, seed, unit, level);
        expect(isRight(exercise, rightOf(exercise))).toBe(true);
        const wrong = wrongs(exercise);
        expect(wrong.length).toBeGreaterThan(0);
        expect(wrong.filter((given) => isRight(exercise, given))).toEqual([]);
        const own = PENCILS[kind]!(exercise, unit);
        if (own !== null) {
          pencilled.set(kind, (pencilled.get(kind) ?? 0) + 1);
          expect([exercise.asks, isRight(exercise, own)]).toEqual([exercise.asks, true]);
        }
        expect(exercise.working.length).toBeGreaterThan(0);
        expect(rightSaid(exercise)).not.toBe('');
        expect(exercise.asks).not.toMatch(/NaN|undefined|Infinity/);
      }),
      { numRuns: 10_000 },
    );
    for (const { id } of EXERCISES) expect([id, (pencilled.get(id) ?? 0) > 200]).toEqual([id, true]);
  });
  test('the same seed asks the same, another asks something else', () => {
    for (const { id } of EXERCISES) {
      expect(exerciseOf(id, 5, 'in', 1)).toEqual(exerciseOf(id, 5, 'in', 1));
      const asked = new Set(
        Array.from({ length: 30 }, (_, seed) => JSON.stringify(exerciseOf(id, seed, 'in', 1))),
      );
      expect([id, asked.size > 3]).toEqual([id, true]);
    }
  });
  test('every right answer comes up: none can be had by always saying the same', () => {
    for (const { id } of EXERCISES) {
      const rights = Array.from({ length: 400 }, (_, seed) => exerciseOf(id, seed, 'in', 1)).map((exercise) =>
        rightSaid(exercise),
      );
      const most = Math.max(...[...new Set(rights)].map((one) => rights.filter((r) => r === one).length));
      expect([id, most < 0.85 * rights.length]).toEqual([id, true]);
    }
  });
  test('the verdict by hand: an eighth is eased, three sixteenths are not (rule BL-1)', () => {
    const verdicts = Array.from({ length: 300 }, (_, seed) => exerciseOf('verdict', seed, 'in', 2));
    const of = (text: RegExp) => verdicts.filter(({ working }) => working.some((line) => text.test(line)));
    for (const one of of(/1\/8″ (short|over)/)) expect(rightOf(one)).toBe('ease');
    for (const one of of(/^3\/16″ too small/)) expect(rightOf(one)).toBe('small');
    expect(of(/Trim/).length).toBeGreaterThan(3);
  });
});

describe('what to practise next (SM-2)', () => {
  const e = entriesOf(MAKER);
  const did = (day: string, exercise: string, right: boolean) =>
    e(`${day}T09:00:00Z`, 'practised', { exercise, seed: 1, right });
  test('right answers push it out: a day, six, then by its ease; a wrong one brings it back tomorrow', () => {
    const of = (log: Parameters<typeof standingsIn>[0]) =>
      standingsIn(log).find(({ kind }) => kind === 'grain')!;
    const one = [did('2026-11-01', 'grain', true)];
    const two = [...one, did('2026-11-02', 'grain', true)];
    const three = [...two, did('2026-11-08', 'grain', true)];
    expect(of(one).due! - dayOf('2026-11-01')).toBe(1);
    expect(of(two).due! - dayOf('2026-11-02')).toBe(6);
    // Quality 4 leaves the ease at 2.5 (Woźniak): 6 × 2.5 = 15.
    expect(of(three).due! - dayOf('2026-11-08')).toBe(15);
    const wrong = of([...three, did('2026-11-23', 'grain', false)]);
    expect(wrong.due! - dayOf('2026-11-23')).toBe(1);
    // Quality 2: 2.5 + 0.1 − 3 × (0.08 + 3 × 0.02) = 2.18.
    expect(wrong.ease).toBeCloseTo(2.18);
    expect(of(two).level).toBe(1);
    expect(wrong.level).toBe(0);
  });
  test('what was got wrong comes before what is new, and what is new before what is not due', () => {
    const log = [did('2026-11-01', 'grain', false), did('2026-11-01', 'elbow', true)];
    const today = dayOf('2026-11-02');
    expect(nextUp(standingsIn(log), today).kind).toBe('grain');
    const all = EXERCISES.flatMap(({ id }) => [
      did('2026-11-01', id, true),
      did('2026-11-02', id, id !== 'six'),
    ]);
    expect(nextUp(standingsIn(all), dayOf('2026-11-03')).kind).toBe('six');
    expect(nextUp(standingsIn([]), today).kind).toBe(EXERCISES[0]!.id);
  });
  test('any order of arrival, twice: one standing', () => {
    const random = randomFrom(3);
    const log = Array.from({ length: 40 }, (_, i) =>
      did(`2026-11-${String(1 + (i % 28)).padStart(2, '0')}`, EXERCISES[i % 5]!.id, random() < 0.6),
    );
    for (const entry of log) expect(logEntrySchema.safeParse(entry).success).toBe(true);
    fc.assert(
      fc.property(fc.shuffledSubarray([...log, ...log], { minLength: 80 }), (some) => {
        expect(standingsIn(some)).toEqual(standingsIn(log));
      }),
      { numRuns: 50 },
    );
  });
});

// What is printed is all there is to judge by: the figures on the drawing, read again, give the answer that counts as right.
test.each(['in', 'cm'] as const)(
  'verdicts and six measurements in %s by their printed figures alone',
  (unit) => {
    const read = (text: string) => {
      const length = parseLength(text, unit);
      if (!length.ok) throw new Error(`${text}: ${length.message}`);
      return length.value;
    };
    for (let seed = 0; seed < 250; seed++)
      for (const level of LEVELS) {
        const one = exerciseOf('verdict', seed, unit, level);
        const meant = read(/cut to (.*?) square/.exec(one.asks)![1]!);
        const [top, height, bottom] = one.drawing!.marks.map(({ label }) => read(label));
        const edges = { top: top!, bottom: bottom ?? top!, left: height!, right: height! };
        const width = (edges.top + edges.bottom) / 2;
        const block = { id: 'b', name: 'B', width, height: height!, ...(bottom !== undefined && { edges }) };
        const seam = unit === 'in' ? 0.25 : 0.75;
        const judged = verdictOn(block, { width: meant, height: meant }, unit, seam).kind;
        expect([seed, level, isRight(one, judged)]).toEqual([seed, level, true]);
        const six = exerciseOf('six', seed, unit, level);
        const marks = six.drawing!.marks.map(({ label }) => read(label)) as [
          number,
          number,
          number,
          number,
          number,
          number,
        ];
        const said = judgeTop(
          { borders: 0, width: [marks[0], marks[1], marks[2]], height: [marks[3], marks[4], marks[5]] },
          unit,
        );
        expect([seed, level, isRight(six, said.kind)]).toEqual([seed, level, true]);
      }
  },
);
