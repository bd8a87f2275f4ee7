import type { LogEntry } from './entry.ts';
import type { NameOf } from './kinds/log-kind.ts';
import { LOG_KINDS } from './kinds/registry.ts';

/** What a copy says where the quilt said this; null where it says nothing. */
function bodyInCopy({ kind, body }: LogEntry, nameOf: NameOf): LogEntry['body'] | null {
  const { inCopy } = LOG_KINDS[kind];
  if (inCopy === 'stays') return null;
  if (inCopy === 'same') return body;
  return (inCopy as (of: LogEntry['body'], nameOf: NameOf) => LogEntry['body'])(body, nameOf);
}

/**
 * The log of a copy of a quilt: its entries under ids of their own, naming one another by those. Ids are known by the
 * field that holds them, never by what a text happens to say.
 *
 * @param log the quilt's own entries
 */
export function logInCopy(
  log: readonly LogEntry[],
  { quilt, newId }: { readonly quilt: string; readonly newId: () => string },
): LogEntry[] {
  const names = new Map(log.map(({ id }) => [id, newId()]));
  const nameOf: NameOf = (entry) => names.get(entry) ?? entry;
  return log.flatMap((entry): LogEntry[] => {
    const body = bodyInCopy(entry, nameOf);
    return body === null ? [] : [{ ...entry, id: nameOf(entry.id), quilt, body } as LogEntry];
  });
}
