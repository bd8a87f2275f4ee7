import type { ListedQuilt } from '@lattice/contract';
import type { Stage } from '@lattice/core';
import { Plus, ShieldCheck, X } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { useFilesHere } from '../../browser/useFilesHere.ts';
import { useSettled } from '../../browser/useSettled.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Landmark } from '../../design/Landmark.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { useAppSelector } from '../../state/hooks.ts';
import { PlanFileButton } from '../beginning/PlanFileButton.tsx';
import { usePlanFile } from '../beginning/usePlanFile.ts';
import { OutboxNote } from '../frame/OutboxNote.tsx';
import { ThemeButton } from '../frame/ThemeButton.tsx';
import { Fetching } from './Fetching.tsx';
import { Notice } from './Notice.ts';
import { Cards, QuiltCard } from './QuiltCard.tsx';
import { ShelfPage } from './ShelfPage.ts';
import { ShelfTools } from './ShelfTools.tsx';
import { type Said, useShelf } from './useShelf.ts';

const TagsSheet = lazy(async () => ({ default: (await import('./TagsSheet.tsx')).TagsSheet }));

/** So many cards a screen shows at once, or nearly. */
const IN_SIGHT = 8;
/** With more than these their number is worth saying. */
const SOME = 12;

/** The quilts in hand, drawn; and first of all, a new one. */
export function Shelf() {
  const { shelf, quilts, asked, ask, narrowed, total, tags, said, ...does } = useShelf();
  const looking = useAppSelector((s) => s.house.who === 'view');
  const settled = useSettled();
  const [tagged, setTagged] = useState<ListedQuilt | null>(null);
  const file = usePlanFile();
  useFilesHere(file.open);
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
        {file.problem && <Note said={{ text: file.problem, wrong: true }} onClose={file.clear} />}
        {said && <Note said={said} onClose={does.unsay} />}
        <OutboxNote />
        <ReadingOnly />
        <div className="first">
          {!looking && (
            <Link className="new" to="/new">
              <Plus size={18} aria-hidden /> New quilt
            </Link>
          )}
          <ShelfTools asked={asked} tags={tags} onAsk={ask} />
        </div>
        <h2>On the shelf{total > SOME ? `, ${total} quilts` : ''}</h2>
        <Fetching waiting={shelf.isLoading} error={shelf.error} onAgain={() => void shelf.refetch()} />
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
              onCopy={() => does.copy(quilt)}
              onTags={() => setTagged(quilt)}
              onRemove={() => does.remove(quilt)}
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
                does.retag(tagged, next);
              }}
            />
          </Suspense>
        )}
      </Landmark>
    </ShelfPage>
  );
}

/** What is said of the last thing that was done, to be undone or put away. */
const Note = ({ said: { text, wrong, undo }, onClose }: { said: Said; onClose: () => void }) => (
  <Notice role={wrong ? 'alert' : 'status'} data-wrong={wrong || undefined}>
    <p>
      <Lengths text={text} />
    </p>
    {undo && <Button onPress={undo}>Put it back</Button>}
    <Button look="quiet" aria-label="Close this note" onPress={onClose}>
      <X size={15} aria-hidden />
    </Button>
  </Notice>
);

/** That nothing can be written at the moment, and why. */
function ReadingOnly() {
  const readOnly = useAppSelector((s) => s.house.readOnly);
  if (readOnly === null) return null;
  return (
    <Notice role="alert" data-wrong>
      <p>
        The shelf is open for reading only: {readOnly}. What you change is kept in this browser until that is
        mended.
      </p>
    </Notice>
  );
}
