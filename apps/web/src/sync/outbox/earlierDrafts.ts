import { readPlan } from '@lattice/core';
import { EARLIER, earlierKeys } from './earlierKeys.ts';
import { draftId } from '../../state/items.ts';
import { nextOrder } from '../../browser/tabs.ts';
import type { Around } from '../thunk.ts';

/**
 * Drafts as this browser kept them before there was an outbox, one slot a quilt: taken up as what a closed tab left,
 * and let go there once they are kept here. What cannot be read stays where it is.
 */
export async function takeUpEarlierDrafts(
  { outbox }: Pick<Around, 'outbox'>,
  storage: Storage,
): Promise<void> {
  for (const key of earlierKeys(storage)) {
    const draft = draftIn(storage.getItem(key));
    if (!draft) continue;
    const quilt = key.slice(EARLIER.length);
    const tab = 'earlier';
    await outbox.keep({ kind: 'plan', id: draftId(quilt, tab), quilt, tab, order: nextOrder(), ...draft });
    storage.removeItem(key);
  }
}

function draftIn(text: string | null) {
  try {
    const raw = JSON.parse(text ?? 'null') as { revision?: unknown; plan?: unknown } | null;
    if (!raw || typeof raw.revision !== 'number') return null;
    const read = readPlan(raw.plan);
    return read.ok ? { revision: raw.revision, plan: read.plan } : null;
  } catch {
    return null;
  }
}
