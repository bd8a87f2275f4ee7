import type { ListedQuilt, StoredQuilt } from '@lattice/contract';
import type { Stage } from '@lattice/core';
import { Plus, ShieldCheck, X } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import {
  api,
  serverError,
  type ShelfAsked,
  useRemoveQuiltMutation,
  useRestoreQuiltMutation,
  useSaveQuiltMutation,
  useShelfInfiniteQuery,
} from '../../sync/api.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { useSettled } from '../../browser/useSettled.ts';
import { ThemeButton } from '../frame/ThemeButton.tsx';
import { freeName } from '../beginning/makeQuilt.ts';
import { useFilesHere } from '../../browser/useFilesHere.ts';
import { PlanFileButton } from '../beginning/PlanFileButton.tsx';
import { usePlanFile } from '../beginning/usePlanFile.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Landmark } from '../../design/Landmark.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { OutboxNote } from '../frame/OutboxNote.tsx';
import { addQuilt } from '../../sync/newQuilts.ts';
import { Fetching } from './Fetching.tsx';
import { Notice } from './Notice.ts';
import { Cards, QuiltCard } from './QuiltCard.tsx';
import { ShelfPage } from './ShelfPage.ts';
import { ShelfTools } from './ShelfTools.tsx';

const TagsSheet = lazy(async () => ({ default: (await import('./TagsSheet.tsx')).TagsSheet }));

/** What of the shelf an address asks for. */
const askedIn = (params: URLSearchParams): ShelfAsked =>
  Object.fromEntries(
    (['words', 'sort', 'stage', 'tag'] as const).flatMap((key) => {
      const value = params.get(key);
      return value ? [[key, value]] : [];
    }),
  );

/** The quilts in hand, drawn; and first of all, a new one. */
export function Shelf() {
  const [params, setParams] = useSearchParams();
  const asked = askedIn(params);
  const narrowed = asked.words !== undefined || asked.stage !== undefined || asked.tag !== undefined;
  const shelf = useShelfInfiniteQuery(asked, { refetchOnMountOrArgChange: true });
  const { data, error, isLoading, refetch } = shelf;
  const quilts = data?.pages.flatMap((page) => page.quilts);
  const total = data?.pages.at(-1)?.total ?? 0;
  const tags = data?.pages[0]?.tags ?? [];
  const { who, readOnly } = useAppSelector((s) => s.house);
  const looking = who === 'view';
  const settled = useSettled();
  const dispatch = useAppDispatch();
  const [removeQuilt] = useRemoveQuiltMutation();
  const [restoreQuilt] = useRestoreQuiltMutation();
  const [saveQuilt] = useSaveQuiltMutation();
  const [notice, setNotice] = useState<{ text: string; wrong?: boolean; undo?: () => void } | null>(null);
  const [tagged, setTagged] = useState<ListedQuilt | null>(null);
  const file = usePlanFile();
  useFilesHere(file.open);

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
  const failed = (failure: unknown) => setNotice({ text: serverError(failure).message, wrong: true });
  const whole = async ({ id, revision }: ListedQuilt): Promise<StoredQuilt> =>
    (await dispatch(
      api.endpoints.drawn.initiate({ id, revision }, { subscribe: false }),
    ).unwrap()) as StoredQuilt;
  const copy = async (quilt: ListedQuilt) => {
    const { plan } = await whole(quilt);
    const taken = quilts?.map(({ card }) => card.title) ?? [];
    await dispatch(addQuilt({ ...plan, title: freeName(`${plan.title}, copy`.slice(0, 112), taken) }));
  };
  const retag = async (quilt: ListedQuilt, next: readonly string[]) => {
    const { id, revision, plan } = await whole(quilt);
    await saveQuilt({ id, revision, plan: { ...plan, tags: [...next] } }).unwrap();
  };
  const remove = async (quilt: ListedQuilt) => {
    try {
      await removeQuilt(quilt.id).unwrap();
      setNotice({
        text: `“${quilt.card.title}” is off the shelf.`,
        undo: () =>
          void restoreQuilt(quilt.id)
            .unwrap()
            .then(() => setNotice(null), failed),
      });
    } catch (failure) {
      failed(failure);
    }
  };
  return (
    <ShelfPage>
      <Landmark of="banner">
        <h1>Dapper Lattice</h1>
        <Link className="ask" to="/ask/binding">
          Quick answers
        </Link>
        <Link className="ask" to="/stash">
          Stash
        </Link>
        <Link className="ask" to="/practice">
          Practice
        </Link>
        <Link className="ask" to="/keeping">
          <ShieldCheck size={15} aria-hidden /> Safe keeping
        </Link>
        {!looking && <PlanFileButton onOpen={file.open} />}
        <ThemeButton />
      </Landmark>
      <Landmark of="main">
        {file.underWay && (
          <Notice role="status">
            <p>{file.underWay.says}</p>
            <Button onPress={file.underWay.stop}>Stop</Button>
          </Notice>
        )}
        {file.problem && (
          <Notice role="alert" data-wrong>
            <p>
              <Lengths text={file.problem} />
            </p>
            <Button look="quiet" aria-label="Close this note" onPress={file.clear}>
              <X size={15} aria-hidden />
            </Button>
          </Notice>
        )}
        {notice && (
          <Notice role={notice.wrong ? 'alert' : 'status'} data-wrong={notice.wrong || undefined}>
            <p>
              <Lengths text={notice.text} />
            </p>
            {notice.undo && <Button onPress={notice.undo}>Put it back</Button>}
            <Button look="quiet" aria-label="Close this note" onPress={() => setNotice(null)}>
              <X size={15} aria-hidden />
            </Button>
          </Notice>
        )}
        <OutboxNote />
        {readOnly !== null && (
          <Notice role="alert" data-wrong>
            <p>
              The shelf is open for reading only: {readOnly}. What you change is kept in this browser until
              that is mended.
            </p>
          </Notice>
        )}
        <div className="first">
          {!looking && (
            <Link className="new" to="/new">
              <Plus size={18} aria-hidden /> New quilt
            </Link>
          )}
          <ShelfTools asked={asked} tags={tags} onAsk={ask} />
        </div>
        <h2>On the shelf{total > SOME ? `, ${total} quilts` : ''}</h2>
        <Fetching waiting={isLoading} error={error} onAgain={() => void refetch()} />
        {quilts?.length === 0 && narrowed && (
          <p role="status">
            No quilt matches.{' '}
            <Button onPress={() => ask({ words: '', stage: '' as Stage, tag: '' })}>Show all of them</Button>
          </p>
        )}
        {quilts?.length === 0 && !narrowed && (
          <p>The shelf is empty. Choose New quilt and say what you have, or open a plan file.</p>
        )}
        <Cards>
          {quilts?.map((quilt, i) => (
            <QuiltCard
              key={quilt.id}
              quilt={quilt}
              tools={settled && !looking}
              first={i < IN_SIGHT}
              onCopy={() => void copy(quilt).catch(failed)}
              onTags={() => setTagged(quilt)}
              onRemove={() => void remove(quilt)}
            />
          ))}
        </Cards>
        {shelf.hasNextPage && (
          <div className="more">
            <Button isDisabled={shelf.isFetchingNextPage} onPress={() => void shelf.fetchNextPage()}>
              Show more
            </Button>
          </div>
        )}
        <p className="foot">
          <Link to="/taken-off">What was taken off the shelf</Link> can be put back for a month.
        </p>
        {tagged && 'tags' in tagged.card && (
          <Suspense>
            <TagsSheet
              title={tagged.card.title}
              tags={tagged.card.tags}
              known={tags}
              onClose={() => setTagged(null)}
              onKeep={(next) => {
                setTagged(null);
                void retag(tagged, next).catch(failed);
              }}
            />
          </Suspense>
        )}
      </Landmark>
    </ShelfPage>
  );
}

/** So many cards a screen shows at once, or nearly. */
const IN_SIGHT = 8;
/** With more than these their number is worth saying. */
const SOME = 12;
