import type { ListedQuilt, StoredQuilt } from '@lattice/contract';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import {
  api,
  serverError,
  type ShelfAsked,
  useRemoveQuiltMutation,
  useRestoreQuiltMutation,
  useSaveQuiltMutation,
  useShelfInfiniteQuery,
} from '../../sync/api.ts';
import { addQuilt } from '../../sync/newQuilts.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { freeName } from '../beginning/makeQuilt.ts';

/** What of the shelf an address asks for. */
const askedIn = (params: URLSearchParams): ShelfAsked =>
  Object.fromEntries(
    (['words', 'sort', 'stage', 'tag'] as const).flatMap((key) => {
      const value = params.get(key);
      return value ? [[key, value]] : [];
    }),
  );

/** What is said of the last thing done to the shelf. */
export interface Said {
  readonly text: string;
  readonly wrong?: boolean;
  readonly undo?: () => void;
}

/** The shelf as its address asks for it, and what is done to a quilt of it. */
export function useShelf() {
  const [params, setParams] = useSearchParams();
  const asked = askedIn(params);
  const shelf = useShelfInfiniteQuery(asked, { refetchOnMountOrArgChange: true });
  const quilts = shelf.data?.pages.flatMap((page) => page.quilts);
  const dispatch = useAppDispatch();
  const [removeQuilt] = useRemoveQuiltMutation();
  const [restoreQuilt] = useRestoreQuiltMutation();
  const [saveQuilt] = useSaveQuiltMutation();
  const [said, say] = useState<Said | null>(null);

  const ask = (change: Partial<ShelfAsked>) =>
    setParams(
      (had) => {
        const next = new URLSearchParams(had);
        for (const [key, value] of Object.entries(change))
          if (value === undefined || value === '' || (key === 'sort' && value === 'recent')) next.delete(key);
          else next.set(key, value);
        return next;
      },
      { replace: true },
    );
  const failed = (failure: unknown) => say({ text: serverError(failure).message, wrong: true });
  const whole = async ({ id, revision }: ListedQuilt): Promise<StoredQuilt> =>
    (await dispatch(
      api.endpoints.drawn.initiate({ id, revision }, { subscribe: false }),
    ).unwrap()) as StoredQuilt;
  const copy = async (quilt: ListedQuilt) => {
    const { plan } = await whole(quilt);
    const taken = quilts?.map(({ card }) => card.title) ?? [];
    await dispatch(addQuilt({ ...plan, title: freeName(`${plan.title}, copy`.slice(0, 112), taken) }));
  };
  const retag = async (quilt: ListedQuilt, tags: readonly string[]) => {
    const { id, revision, plan } = await whole(quilt);
    await saveQuilt({ id, revision, plan: { ...plan, tags: [...tags] } }).unwrap();
  };
  const remove = async ({ id, card }: ListedQuilt) => {
    await removeQuilt(id).unwrap();
    const undo = () =>
      void restoreQuilt(id)
        .unwrap()
        .then(() => say(null), failed);
    say({ text: `“${card.title}” is off the shelf.`, undo });
  };
  return {
    ...{ shelf, quilts, asked, ask, said },
    narrowed: asked.words !== undefined || asked.stage !== undefined || asked.tag !== undefined,
    total: shelf.data?.pages.at(-1)?.total ?? 0,
    tags: shelf.data?.pages[0]?.tags ?? [],
    unsay: () => say(null),
    copy: (quilt: ListedQuilt) => void copy(quilt).catch(failed),
    retag: (quilt: ListedQuilt, tags: readonly string[]) => void retag(quilt, tags).catch(failed),
    remove: (quilt: ListedQuilt) => void remove(quilt).catch(failed),
  };
}
