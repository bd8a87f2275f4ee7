import type { EntryBody, LogEntry } from '../../src/index.ts';

/** Entries of a log as a test says them: each its kind, its body and when, numbered in the order they are said. */
export function entriesOf(quilt = 'q1') {
  let made = 0;
  return <K extends keyof EntryBody>(at: string, kind: K, body: EntryBody[K], id?: string): LogEntry => {
    made += 1;
    return { id: id ?? `entry-${String(made).padStart(4, '0')}`, quilt, at, kind, body } as LogEntry;
  };
}
