import { addHeard, hearLog } from './heard.ts';
import type { Around, AppDispatch } from '../thunk.ts';
import type { LogEntry } from '@lattice/core';
import { takeLandedPictures } from '../pictures.ts';
import { heardOfDraft } from '../saving.ts';
import type { OutboxItem, PlanItem } from '../../state/items.ts';
import type { BrowserStore } from './browserStore.ts';
import { earlierKeys } from './earlierKeys.ts';
import { entriesHeard } from '../../state/logSlice.ts';
import { Outbox, type OutboxEvent } from './outbox.ts';
import {
  bookingAnswered,
  itemsChanged,
  keptInMemory,
  sendingStarted,
  sendingWaits,
  type ShownItem,
} from '../../state/outboxSlice.ts';
import type { Answers } from './answers.ts';
import { sendersOver } from './senders.ts';

type Event = OutboxEvent<Answers>;

/** An outbox that sends through the store's calls and tells it how things went. */
export function wireOutbox(
  outside: Pick<Around, 'browser' | 'tab' | 'openTabs'>,
  dispatch: () => AppDispatch,
): Outbox<Answers> {
  return new Outbox<Answers>({
    ...outside,
    senders: sendersOver(dispatch),
    left: whatIsLeft,
    tell: (event) => void hear(event, dispatch(), outside.browser),
  });
}

/** A draft changed on its way was made to the new revision; a block's picture waits for its quilt; nothing else is left. */
function whatIsLeft(sent: OutboxItem, now: OutboxItem, answer: unknown): OutboxItem | null {
  if (now.kind === 'picture' && now.block !== null) return { ...now, made: answer as Answers['picture'] };
  if (now.kind === 'plan' && now.order !== sent.order)
    return { ...now, revision: (answer as Answers['plan']).revision, base: (sent as PlanItem).plan };
  return null;
}

async function hear(event: Event, dispatch: AppDispatch, browser: BrowserStore): Promise<void> {
  dispatch(heardOfDraft(event));
  switch (event.what) {
    case 'changed':
      dispatch(itemsChanged(event.items.map(shown)));
      break;
    case 'sending':
      dispatch(sendingStarted());
      break;
    case 'not-yet':
      dispatch(sendingWaits(event.message));
      break;
    case 'sent':
      await heardAnswer(event, dispatch, browser);
      break;
    case 'refused':
      break;
  }
}

async function heardAnswer(
  event: Extract<Event, { what: 'sent' }>,
  dispatch: AppDispatch,
  browser: BrowserStore,
): Promise<void> {
  const { item, answer } = event;
  if (item.kind === 'picture') dispatch(takeLandedPictures());
  if (item.kind === 'cancel' && answer) await addHeard([answer as LogEntry], dispatch, browser);
  if (item.kind !== 'booking') return;
  const said = answer as Answers['booking'];
  if (said.entry) await addHeard([said.entry], dispatch, browser);
  if (said.answer) dispatch(bookingAnswered({ id: item.id, answer: said.answer }));
}

const shown = (item: OutboxItem): ShownItem => {
  const { id, kind, quilt, tab, order, refused } = item;
  return {
    id,
    kind,
    quilt,
    tab,
    order,
    ...(refused === undefined ? {} : { refused }),
    ...(item.kind === 'picture' && item.block !== null ? { block: item.block } : {}),
    ...(item.kind === 'quilt' ? { title: item.plan.title } : {}),
  };
};

/** Takes up what this browser kept: the log, and whatever was not sent; from then on tries whenever it may work. */
export async function beginKeeping(around: Around, dispatch: AppDispatch): Promise<void> {
  const { outbox, browser } = around;
  if (!(await browser.lasts())) dispatch(keptInMemory());
  const { entries } = await browser.log();
  dispatch(entriesHeard(entries));
  globalThis.addEventListener?.('online', () => void outbox.send());
  globalThis.addEventListener?.('focus', () => void outbox.send());
  try {
    // Reading a plan takes more script than the shelf does.
    if (earlierKeys(localStorage).length > 0) {
      const { takeUpEarlierDrafts } = await import('./earlierDrafts.ts');
      await takeUpEarlierDrafts(around, localStorage);
    }
  } catch {
    // A browser that keeps nothing kept no drafts either.
  }
  await outbox.send();
  await hearLog(browser, dispatch);
}
