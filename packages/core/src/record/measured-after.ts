import { formatExact, formatSize } from '../length/format.ts';
import { convertLength, type Unit } from '../length/unit.ts';
import type { EntryBody } from '../log/kinds/registry.ts';
import type { LogEntry } from '../log/entry.ts';
import { mergeLogs } from '../log/merge.ts';

/** When a whole quilt was measured. */
export type MeasuredWhen = EntryBody['quilt-measured']['when'];

/** A size in the plan's unit. */
interface Size {
  readonly width: number;
  readonly height: number;
}

/** What a quilt measured once it was quilted and once it was washed, in the plan's unit; null where nobody measured. */
export function measuredAfter(
  log: readonly LogEntry[],
  quilt: string,
  unit: Unit,
): Readonly<Record<MeasuredWhen, Size | null>> {
  const measured: Record<MeasuredWhen, Size | null> = { quilted: null, washed: null };
  for (const entry of mergeLogs(log.filter((one) => one.quilt === quilt))) {
    if (entry.kind !== 'quilt-measured') continue;
    const { when, unit: given, width, height } = entry.body;
    const there = (length: number) => convertLength(length, given, unit);
    measured[when] = { width: there(width), height: there(height) };
  }
  return measured;
}

/** What it measured, and what that is less than what was planned: "68 × 79 1/2″, drawn in by 2.9 and 2.5 %". */
export function measuredSays(measured: Size, planned: Size, unit: Unit): string {
  const [across, down] = (['width', 'height'] as const).map(
    (way) => 100 * (1 - measured[way] / planned[way]),
  ) as [number, number];
  const size = formatSize(measured.width, measured.height, unit);
  const share = (value: number) => formatExact(Math.round(Math.abs(value) * 10) / 10);
  if (across < 0 || down < 0)
    return `${size}; ${formatSize(planned.width, planned.height, unit)} was planned`;
  return `${size}, drawn in by ${share(across)} % across and ${share(down)} % down`;
}
