import {
  atTable,
  computeQuilt,
  cutRecord,
  cuttingJob,
  type LogEntry,
  planEntry,
  type Plan,
  stepEntry,
  type TableCloth,
} from '../../src/index.ts';

/** The quilt a table's log is of. */
export const QUILT = 'raffle';

/** A table that keeps its own log, as a device does. */
export class Table {
  log: LogEntry[] = [];
  private clock = 0;
  constructor(
    public plan: Plan,
    readonly cloth = 'sash',
  ) {}

  now(): TableCloth {
    const { plan } = this;
    return atTable(cuttingJob(plan, computeQuilt(plan), this.cloth), this.record());
  }
  record = () => cutRecord(this.log, QUILT, this.cloth, this.plan.unit);
  private add(kind: LogEntry['kind'], body: unknown): string {
    const n = ++this.clock;
    const id = `entry-${String(n).padStart(6, '0')}`;
    const at = new Date(Date.UTC(2026, 10, 26, 9, 0, n)).toISOString();
    this.log.push({ id, quilt: QUILT, at, kind, body } as LogEntry);
    return id;
  }
  /** Does the next step, or nothing when all is cut. */
  tick(): boolean {
    const table = this.now();
    if (table.next === null) return false;
    const id = table.plan.id ?? this.add('cutting-planned', planEntry(this.cloth, table, this.plan.unit));
    this.add('step-cut', stepEntry(this.cloth, id, table.steps[table.next]!, this.plan.unit));
    return true;
  }
  undo(): void {
    const { done } = this.record();
    const last = [...done.values()].at(-1);
    if (last) this.add('step-uncut', { entries: last });
  }
  flaw(length: number, leaves: { w: number; h: number }[]): void {
    const { unit } = this.plan;
    this.add('cut-lost', { cloth: this.cloth, unit, why: 'flaw', pieces: [], instead: [], length, leaves });
  }
  spoil(): void {
    const [pieces] = this.record().made.filter(({ joined }) => !joined);
    if (pieces)
      this.add('cut-lost', {
        cloth: this.cloth,
        unit: this.plan.unit,
        why: 'miscut',
        pieces: [{ ...pieces, count: 1 }],
        instead: [],
        length: 0,
      });
  }
}

/** Ticks to the end. @throws where there is none */
export const all = (table: Table) => {
  let steps = 0;
  while (table.tick()) if (++steps > 500) throw new Error('There is no end of it.');
};
