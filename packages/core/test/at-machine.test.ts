import fc from 'fast-check';
import {
  actsWith,
  afterPiece,
  type AtMachine,
  atMachine,
  computeQuilt,
  easeSays,
  centreWithSeamError,
  guideOf,
  judgePart,
  type LogEntry,
  placedBefore,
  type Plan,
  rowsOf,
  seamWords,
  seamDrift,
  sewingOf,
  sewRecord,
  startBorder,
  withPieced,
} from '../src/index.ts';
import { inchPlan, wholeSetting } from './support/plans.ts';

const QUILT = 'raffle';
const sampler = (change: Partial<Plan> = {}) =>
  inchPlan({ grid: { across: 3, down: 2 }, borders: [startBorder('1', 4, 'border')], ...change });

/** A device that sews by the log. */
class Machine {
  log: LogEntry[] = [];
  private clock = 0;
  constructor(
    public plan: Plan,
    public method = 'rows',
  ) {}
  now() {
    const quilt = computeQuilt(this.plan);
    const sewing = sewingOf(this.plan, quilt.layout);
    const way = sewing.ways.find(({ method }) => method.id === this.method)!;
    const guide = guideOf(this.plan, quilt, sewing, way);
    const words = seamWords(sewing, way);
    const at = atMachine(sewing, way, guide, sewRecord(this.log, QUILT, this.plan.unit), words);
    return { quilt, sewing, way, guide, at, words };
  }
  add(kind: LogEntry['kind'], body: unknown): void {
    const n = ++this.clock;
    const at = new Date(Date.UTC(2026, 10, 26, 9, 0, n)).toISOString();
    this.log.push({ id: `entry-${String(n).padStart(6, '0')}`, quilt: QUILT, at, kind, body } as LogEntry);
  }
  done(acts: AtMachine['acts']): void {
    const { way } = this.now();
    const seams = acts.flatMap(({ key, seam }) =>
      seam === null ? [] : [{ seam: key, length: way.seams[seam]!.length }],
    );
    if (seams.length > 0) this.add('seams-sewn', { unit: this.plan.unit, seams });
    for (const { key, seam } of acts) if (seam === null) this.add('sewing-done', { what: key, done: true });
  }
  undone(acts: AtMachine['acts']): void {
    const seams = acts.flatMap(({ key, seam }) => (seam === null ? [] : [key]));
    if (seams.length > 0) this.add('seams-ripped', { seams });
    for (const { key, seam } of acts) if (seam === null) this.add('sewing-done', { what: key, done: false });
  }
  tick(): boolean {
    const { at } = this.now();
    if (at.next === null) return false;
    this.done([at.acts[at.next]!]);
    return true;
  }
}

describe('units that are sewn in one go', () => {
  test('a unit that was measured is trimmed or made again, never eased', () => {
    const unit = { meant: 4.5, other: 4.5, ease: 0 };
    expect(judgePart(unit, 4.5625, 'in').kind).toBe('true');
    expect(judgePart(unit, 4.75, 'in')).toEqual({ kind: 'again', text: '1/4″ too large: trim it.' });
    expect(judgePart(unit, 4.375, 'in').text).toBe('1/8″ too small: its seams are fat. Make it again.');
    expect(easeSays({ width: 0, height: 0 }, 'in')).toBe('trimmed to that');
  });
  const pieced = (kind: 'half-square' | 'keys' | 'checkers') => {
    const machine = new Machine(withPieced(sampler(), 0, kind));
    const { at, guide } = machine.now();
    const step = guide.findIndex(({ id }) => id.endsWith(kind === 'keys' ? '-joined' : '-units'));
    const first = at.acts.findIndex((act) => act.step === step);
    machine.done(at.acts.slice(0, first));
    return { machine, step };
  };
  test.each(['half-square', 'keys', 'checkers'] as const)(
    '%s: one press sews them all, one takes them all back',
    (kind) => {
      const { machine, step } = pieced(kind);
      const seams = machine.now().guide[step]!.seams.length;
      const state = () => {
        const { at } = machine.now();
        return [at.steps[step]!.done, at.next !== null && at.acts[at.next]!.kind];
      };
      expect(seams).toBeGreaterThan(20);
      const { at, guide } = machine.now();
      machine.done(actsWith(at, guide, at.acts[at.next!]!));
      expect(state()).toEqual([seams, 'press']);
      const then = machine.now();
      machine.undone(
        actsWith(
          then.at,
          then.guide,
          then.at.acts.findLast(({ done }) => done)!,
        ),
      );
      expect(state()).toEqual([0, 'seam']);
    },
  );
  test('one by one they are acts of their own, as the press is', () => {
    const machine = new Machine(
      (() => {
        const plan = withPieced(sampler(), 0, 'half-square');
        return {
          ...plan,
          borders: plan.borders.map((b) => ({
            ...b,
            pieced: b.pieced && { ...b.pieced, made: 'one' as const },
          })),
        };
      })(),
    );
    const { at, guide } = machine.now();
    for (const act of at.acts) expect(actsWith(at, guide, act)).toEqual([act]);
    const whole = new Machine(withPieced(sampler(), 0, 'half-square')).now();
    const press = whole.at.acts.find(({ key }) => key.endsWith('-units'))!;
    expect(actsWith(whole.at, whole.guide, press)).toEqual([press]);
  });
});

describe('at the machine', () => {
  test('seams in their order, the iron after each step, then layers, quilting and edge; all is done at last', () => {
    const machine = new Machine(sampler());
    const { at, guide, way } = machine.now();
    expect(guide.map(({ id }) => id)).toEqual([
      ...['rows', 'join-rows', 'border-1-sides', 'border-1-ends'],
      ...['layer', 'quilt', 'trim', 'binding'],
    ]);
    expect(at.acts.filter(({ kind }) => kind === 'seam')).toHaveLength(way.seams.length);
    expect(at.acts.filter(({ kind }) => kind === 'press')).toHaveLength(4);
    expect([at.next, at.sewn]).toEqual([0, 0]);
    let acts = 0;
    while (machine.tick()) acts++;
    expect(acts).toBe(at.acts.length);
    const end = machine.now().at;
    expect([end.next, end.sewn]).toEqual([null, way.seams.length]);
    expect(end.steps.every(({ done, all }) => done === all)).toBe(true);
  });
  test('the place lasts: in any order, twice over, from two devices', () => {
    const machine = new Machine(sampler());
    for (let i = 0; i < 9; i++) machine.tick();
    const state = JSON.stringify(machine.now().at);
    machine.log = [
      ...machine.log,
      ...machine.log.map((entry) => ({ ...entry, id: `${entry.id}-b` })),
    ].reverse();
    expect(JSON.stringify(machine.now().at)).toBe(state);
  });
  test('a name, a colour, another border: what is sewn stays sewn; a wider sash: what no longer fits is named', () => {
    const machine = new Machine(sampler());
    for (let i = 0; i < 12; i++) machine.tick();
    machine.plan = {
      ...machine.plan,
      title: 'Another name',
      borders: [startBorder('2', 2, 'accent'), ...machine.plan.borders],
    };
    expect(machine.now().at).toMatchObject({ sewn: 12, next: 12, noLonger: [] });
    machine.plan = { ...machine.plan, block: { width: 10, height: 10 } };
    const { sewn, noLonger } = machine.now().at;
    expect(sewn + noLonger.length).toBe(12);
    expect(noLonger.length).toBeGreaterThan(0);
    expect(noLonger[0]).toMatch(/^Row 1.*: sewn at another length$/);
    machine.plan = { ...machine.plan, setting: wholeSetting({ kind: 'edge-to-edge' }) };
    expect(machine.now().at.noLonger[0]).toBe('A seam between pieces that are no longer side by side');
  });
  test('another way keeps the seams it shares', () => {
    const machine = new Machine(inchPlan({ setting: wholeSetting({ kind: 'edge-to-edge' }) }));
    for (let i = 0; i < 5; i++) machine.tick();
    const before = machine.now().at.sewn;
    machine.method = 'web';
    expect(machine.now().at.sewn).toBe(before);
    expect(machine.now().at.noLonger).toEqual([]);
  });
});

describe('when the place is lost', () => {
  test('put anywhere, everything before it is done and nothing after; whatever was ticked before', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(60), { maxLength: 6 }), fc.nat(200), (ticked, where) => {
        const machine = new Machine(sampler(), 'units');
        const { at } = machine.now();
        machine.done(ticked.map((i) => at.acts[i % at.acts.length]!));
        const place = where % at.acts.length;
        const { sewn, ripped } = placedBefore(machine.now().at, place);
        if (sewn.length > 0) machine.done(sewn);
        if (ripped.length > 0) machine.undone(ripped);
        const after = machine.now().at;
        expect(after.next).toBe(place);
        expect(after.acts.map(({ done }) => done)).toEqual(after.acts.map((_, i) => i < place));
      }),
      { numRuns: 25 },
    );
  });
  test('by its row and the last piece that holds, or by pointing at that piece', () => {
    const machine = new Machine(
      inchPlan({ setting: wholeSetting({ kind: 'edge-to-edge' }), grid: { across: 4, down: 3 } }),
      'web',
    );
    const { at, way, words, sewing } = machine.now();
    expect(rowsOf(at, 0, way, words)).toEqual([1, 2, 3]);
    // Row 2, block 3 is the fifth seam of the web: column 2 in three rows, then column 3 in two.
    const piece = sewing.top.index.get('block-1-2')!;
    expect(afterPiece(at, piece, sewing, way)).toBe(5);
    // Wherever the work stands in that step: block 4 may not be on it yet.
    expect(afterPiece({ ...at, next: 7 }, piece, sewing, way)).toBe(5);
  });
});

describe('words and figures of the steps', () => {
  test('a web says row and block, now and next', () => {
    const { way, words } = new Machine(
      inchPlan({ setting: wholeSetting({ kind: 'edge-to-edge' }), grid: { across: 3, down: 4 } }),
      'web',
    ).now();
    expect(way.seams.slice(0, 5).map(words.seam)).toEqual([
      'Row 1: add block 2',
      'Row 2: add block 2',
      'Row 3: add block 2',
      'Row 4: add block 2',
      'Row 1: add block 3',
    ]);
    expect(words.seam(way.seams[8]!)).toBe('Row 2 onto row 1');
  });
  test('sashes, cornerstones and borders are told by the block they lie at', () => {
    const { way, words } = new Machine(sampler(), 'units').now();
    const said = way.seams.map(words.seam);
    expect(said).toContain('Row 1, block 1: left sash');
    expect(said).toContain('Row 1, block 2: sash below');
    expect(said).toContain('The left border strip onto the centre');
    expect(said.every((text) => /^[A-Z]/.test(text) && !text.includes('undefined'))).toBe(true);
  });
  // 3 × 12" blocks, four 1 1/2" sashes and two seams: 42 1/2"; a row of blocks is 12 1/2" high.
  test('a row measures what its pieces come to, with its seams', () => {
    const { guide } = new Machine(sampler()).now();
    expect(guide[0]!.measures).toMatchObject([
      { what: 'Each sash row', width: 42.5, height: 2 },
      { what: 'Each row', width: 42.5, height: 12.5 },
    ]);
    expect(guide[1]!.measures).toMatchObject([
      { what: 'The centre', width: 42.5, height: 2 * 12 + 3 * 1.5 + 0.5 },
    ]);
    expect(guide[3]!.measures).toMatchObject([{ what: 'The top', width: 50.5, height: 37 }]);
    const web = new Machine(inchPlan({ setting: wholeSetting({ kind: 'edge-to-edge' }) }), 'rows').now();
    expect(web.guide[0]!.measures).toMatchObject([{ what: 'Each row', width: 36.5, height: 12.5 }]);
  });
  test('on point, slanting rows measure along their slant; with its corners on, the centre measures level', () => {
    const plan = inchPlan({
      setting: wholeSetting({ kind: 'on-point' }),
      grid: { across: 3, down: 2 },
      block: { width: 8, height: 8 },
    });
    const { guide, quilt } = new Machine(plan, 'diagonal').now();
    // A row of two 8" blocks is 8 1/2" high with its seams.
    expect(guide[0]!.measures.map(({ height }) => height)).toEqual(
      guide[0]!.measures.map(() => expect.closeTo(8.5, 9)),
    );
    const { width, height } = quilt.layout.centre;
    expect(guide.find(({ id }) => id === 'corners')!.measures).toMatchObject([
      { width: expect.closeTo(width.value + 0.5, 9), height: expect.closeTo(height.value + 0.5, 9) },
    ]);
  });
  // Rule ST-8, common practice.
  test('covered sashing tells its three layers; columns that long strips are trimmed', () => {
    const told = (setting: 'quilted' | 'sashed', method: string) =>
      new Machine(
        inchPlan({ setting: wholeSetting({ kind: setting }), grid: { across: 2, down: 3 } }),
        method,
      )
        .now()
        .guide.map(({ does, wrong }) => [...does, ...wrong].join(' '));
    const [rows, pairs] = told('quilted', 'covered');
    expect(rows).toMatch(/back strip to both blocks.*batting in the gap.*Stitch both edges/);
    expect(pairs).toMatch(/marks of the strip to the sashes of both/);
    expect(told('sashed', 'columns')[0]).toMatch(/over-long, trimmed to the column/);
    expect(told('sashed', 'rows').join()).not.toMatch(/over-long/);
  });
  // Rule BL-1: about 1/8" can be eased in at each block.
  test('what was measured against what it should be', () => {
    const part = { meant: 42.5, other: 12.5, ease: 3 / 8 };
    expect(judgePart(part, 42.5, 'in').kind).toBe('true');
    expect(judgePart(part, 42.25, 'in')).toMatchObject({
      kind: 'ease',
      text: expect.stringMatching(/^1\/4″ too short/),
    });
    expect(judgePart(part, 43, 'in')).toMatchObject({ kind: 'again', text: expect.stringMatching(/scant/) });
    expect(judgePart(part, 42, 'in').text).toMatch(/fat/);
    // A tape laid the other way is not a seam that is off.
    expect(judgePart({ meant: 2, other: 12, ease: 1 / 8 }, 12.0625, 'in')).toMatchObject({
      kind: 'part',
      text: 'That is its other way: this way it should be 2″, that way 12″.',
    });
  });
  test('every step says what to pick up, what to do and what goes wrong', () => {
    for (const setting of ['sashed', 'framed', 'on-point', 'quilted', 'coped', 'half-drop'] as const) {
      const plan = inchPlan({
        setting: wholeSetting({ kind: setting }),
        borders: [{ ...startBorder('1', 3, 'border'), corners: 'mitred' }],
      });
      const quilt = computeQuilt(plan);
      const sewing = sewingOf(plan, quilt.layout);
      for (const way of sewing.ways)
        for (const step of guideOf(plan, quilt, sewing, way)) {
          for (const text of [step.title, step.pick, ...step.does, ...step.wrong])
            expect(text).toMatch(/^[A-Z0-9].*\.?$/);
          expect([step.does.length, step.wrong.length].every((n) => n > 0)).toBe(true);
        }
    }
  });
});

describe('a seam that is not as it was meant', () => {
  // Rule SM-2: twice the difference at every seam; four blocks and five sashes have eight seams: 8 × 2 × 1/32 = 1/2".
  test('1/32 fat: how much rows lose, whether they meet, what points lose', () => {
    const plan = inchPlan({ grid: { across: 4, down: 2 } });
    const { top } = sewingOf(plan, computeQuilt(plan).layout);
    const { rows, says } = centreWithSeamError(plan, top, 1 / 32);
    expect(rows).toEqual(Array(5).fill(0.5));
    expect(says.join(' ')).toMatch(/up to 1\/2″ too short.*still meet.*Points at the seam line lose 1\/32″/);
    const long = { ...plan, setting: wholeSetting({ kind: 'sashed', cornerstones: false }) };
    const bare = centreWithSeamError(long, sewingOf(long, computeQuilt(long).layout).top, 1 / 32);
    // The long sashes have no seam of their own.
    expect(bare.rows).toEqual([0, 0.5, 0, 0.5, 0]);
    expect(bare.says.join(' ')).toMatch(
      /Rows differ by up to 1\/2″ where their seams should cross: they do not meet/,
    );
    // By the pencil: 1/32 fat, 12″ blocks, 4 × 5; a line loses 1/16 at every seam it crosses, slanting ones ÷ √2.
    const fatOf = (setting: Parameters<typeof wholeSetting>[0]) => {
      const of = inchPlan({ grid: { across: 4, down: 5 }, setting: wholeSetting(setting) });
      const fat = centreWithSeamError(of, sewingOf(of, computeQuilt(of).layout).top, 1 / 32);
      return {
        ...fat,
        drift: [seamDrift(of, 3.5 - 4 / 32).row.value, seamDrift(of, 3.5 - 4 / 32).column.value],
      };
    };
    // A column of five has four seams; one that is dropped, with a half block at either end, five.
    const dropped = fatOf({ kind: 'half-drop' });
    expect([dropped.lines, ...dropped.rows]).toEqual(['columns', 0.25, 0.3125, 0.25, 0.3125]);
    expect([dropped.apart, dropped.says.join(' ')]).toEqual([0.0625, expect.stringMatching(/do not meet/)]);
    const strips = fatOf({ kind: 'strip-set' });
    expect(new Set(strips.rows)).toEqual(new Set([0, 0.25]));
    expect(strips.apart).toBe(0.25);
    const coped = fatOf({ kind: 'coped' });
    expect(Math.max(...coped.rows)).toBeCloseTo(7 / 16, 9);
    const framed = fatOf({ kind: 'framed' });
    expect(framed.rows).toEqual(Array(5).fill(expect.closeTo(8 / 16 / Math.SQRT2 + 3 / 16, 9)));
    const pieced = fatOf({ kind: 'sashed', strips: '3' });
    expect(Math.max(...pieced.drift)).toBeCloseTo(11 / 8, 9);
    expect(pieced.says[0]).toMatch(/1 1\/8″ too narrow and 1 3\/8″ too short/);
    const onPoint = fatOf({ kind: 'on-point' });
    expect([onPoint.lines, onPoint.apart]).toEqual(['slanting rows', expect.closeTo(0, 9)]);
    expect(onPoint.says.join(' ')).toMatch(/still meet/);
    expect(centreWithSeamError(plan, top, 0).says).toEqual(['As it is meant: nothing moves.']);
    expect(centreWithSeamError(plan, top, -1 / 32).says.join(' ')).toMatch(/too long/);
  });
});
