import { addressOf, type AnswerOf, type Arrived } from '@lattice/contract';
import { api, serverError } from '../../sync/api.ts';
import type { AppDispatch } from '../../sync/thunk.ts';
import { hearOthers } from '../../sync/outbox/hearOthers.ts';

/** How often it is asked how far it has come. */
const ASK_MS = 700;

/** What came of a parcel: what is to be said, and where to go. */
export interface Taken {
  readonly problem: string | null;
  readonly to: string | null;
}

/** How the taking in is followed: how far it has come is told, and it can be stopped. */
export interface Taking {
  readonly tell: (says: string) => void;
  readonly signal: AbortSignal;
}

/**
 * Has the server take a parcel in, telling how far it has come until it is done; stopped, the server ends after the quilt
 * in hand, and what came by then stays.
 */
export async function takeParcel(
  file: File,
  dispatch: AppDispatch,
  { tell, signal }: Taking,
): Promise<Taken> {
  tell(`Sending ${file.name}…`);
  // An answer that comes when it is over has nothing to tell any more.
  let isOver = false;
  const tellNow = (says: string) => void (isOver || tell(says));
  const timer = setInterval(() => void howFar(tellNow), ASK_MS);
  const sending = dispatch(api.endpoints.addParcel.initiate(file));
  signal.addEventListener('abort', () => sending.abort());
  try {
    const arrived = await sending;
    // What came with the quilts is in the server's log.
    await dispatch(hearOthers());
    if (signal.aborted) {
      dispatch(api.util.invalidateTags(['shelf']));
      return { problem: `${file.name} was stopped. Quilts that had come by then are on the shelf.`, to: '/' };
    }
    if (arrived.error !== undefined)
      return { problem: `${file.name} was not taken. ${serverError(arrived.error).message}`, to: null };
    const { quilts, left } = arrived.data;
    return {
      problem: left.length > 0 ? notAll(file.name, arrived.data) : null,
      to: quilts.length === 1 && left.length === 0 ? `/quilts/${quilts[0]!.id}/setting` : '/',
    };
  } finally {
    isOver = true;
    clearInterval(timer);
  }
}

/** Asks once; a question that is not answered is asked again. */
async function howFar(tell: (says: string) => void): Promise<void> {
  try {
    const { arriving } = (await (await fetch(addressOf('arriving', {}))).json()) as AnswerOf<'arriving'>;
    if (arriving)
      tell(
        arriving.done === 0
          ? `Looking through ${arriving.of === 1 ? 'the quilt' : `${arriving.of} quilts`} before anything is put on the shelf…`
          : `${arriving.done} of ${arriving.of} quilts are on the shelf…`,
      );
  } catch {
    // It goes on without a word.
  }
}

/** What came of a file of several quilts, and what did not: by name, with why. */
function notAll(file: string, { quilts, left }: Arrived): string {
  const why = left.map((one) => `“${one.title}”: ${one.why}`).join(' ');
  return `Of ${quilts.length + left.length} quilts in ${file}, ${quilts.length} are on the shelf. Not taken: ${why} Take the file in again for these: what is there already comes as a copy.`;
}
