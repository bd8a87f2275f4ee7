import { formatSize, type Plan, startPlan, STARTS } from '@lattice/core';
import { Copy, FileUp, Moon, ShieldCheck, Sun, X } from 'lucide-react';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import {
  api,
  type ListedQuilt,
  serverError,
  type StoredQuilt,
  useDrawnQuery,
  useRemoveQuiltMutation,
  useRestoreQuiltMutation,
  useShelfInfiniteQuery,
} from '../app/api.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { useTheme } from '../app/useTheme.ts';
import { Button } from '../design/controls/Button.tsx';
import { Lengths } from '../design/Lengths.tsx';
import { Thumbnail } from '../drawing/Thumbnail.tsx';
import { selectBooked } from '../outbox/logSlice.ts';
import { OutboxNote } from '../outbox/OutboxNote.tsx';
import { addQuilt } from '../quilt/newQuilts.ts';
import { STAGE_NAMES } from '../quilt/stageNames.ts';

const Page = styled.div`
  max-width: 1180px;
  margin: 0 auto;
  padding: 0 24px 64px;
  @media (max-width: 420px) {
    padding: 0 14px 48px;
  }
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 10px;
    padding: 22px 0 6px;
  }
  h1 {
    font: 700 30px/1.1 var(--name);
    margin-right: auto;
  }
  .ask {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    padding: 5px 12px;
    font-size: 14px;
    font-weight: 600;
  }
  .shelf {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 6px 16px;
  }
  .shelf input {
    width: 26ch;
    max-width: 100%;
    padding: 5px 10px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--card);
  }
  .more {
    margin-top: 18px;
    text-align: center;
  }
  h2 {
    margin: 26px 0 12px;
    font-size: 14px;
    font-weight: 600;
    color: var(--soft);
  }
`;
const Grid = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 20px;
`;
const Card = styled.li`
  position: relative;
  display: flex;
  flex-direction: column;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--card);
  transition: box-shadow 120ms;
  &:hover {
    box-shadow: var(--shadow);
  }
  .art {
    display: block;
    height: 250px;
    padding: 18px;
    border-radius: 12px 12px 0 0;
    background: var(--ground);
  }
  .art svg {
    filter: drop-shadow(0 2px 4px rgb(0 0 0 / 28%));
  }
  &[data-unreadable] .art {
    background: repeating-linear-gradient(45deg, var(--ground) 0 10px, var(--line) 10px 11px);
  }
  .words {
    padding: 12px 84px 14px 16px;
  }
  a.title {
    font-weight: 650;
    text-decoration: none;
  }
  a.title::after {
    content: '';
    position: absolute;
    inset: 0;
    border-radius: 12px;
  }
  a.title:focus-visible {
    outline: none;
  }
  a.title:focus-visible::after {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
  .rest {
    font-size: 14px;
    color: var(--soft);
  }
  .tools {
    position: absolute;
    z-index: 1;
    right: 6px;
    bottom: 10px;
    display: flex;
    button {
      padding: 4px 9px;
    }
  }
`;
const Starts = styled(Grid)`
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 14px;
  button {
    display: flex;
    align-items: center;
    gap: 14px;
    width: 100%;
    padding: 10px 14px;
    border: 1px dashed var(--soft);
    border-radius: 12px;
    background: transparent;
    text-align: left;
    cursor: pointer;
    &:hover {
      background: var(--card);
      border-style: solid;
    }
  }
  svg {
    width: 52px;
    height: 60px;
  }
  strong {
    display: block;
    font-size: 14px;
  }
  span {
    font-size: 13px;
    color: var(--soft);
  }
`;
const Notice = styled.div`
  display: flex;
  align-items: center;
  gap: 12px;
  margin-top: 14px;
  padding: 10px 16px;
  border-radius: 10px;
  background: var(--brass-wash);
  color: var(--ink);
  &[data-wrong] {
    background: var(--wrong-wash);
  }
  p {
    flex: 1;
  }
`;

/** With more than these a name is quicker than looking. */
const MANY = 24;

/** The quilts in hand, drawn; new ones from a real starting point or a plan file. */
export function Shelf() {
  const [words, setWords] = useState('');
  const shelf = useShelfInfiniteQuery(words, { refetchOnMountOrArgChange: true });
  const { data, error, isLoading, refetch } = shelf;
  const quilts = data?.pages.flatMap((page) => page.quilts);
  const total = data?.pages.at(-1)?.total ?? 0;
  const { who, readOnly } = useAppSelector((s) => s.house);
  const looking = who === 'view';
  const dispatch = useAppDispatch();
  const [removeQuilt] = useRemoveQuiltMutation();
  const [restoreQuilt] = useRestoreQuiltMutation();
  const [notice, setNotice] = useState<{ text: string; wrong?: boolean; undo?: () => void } | null>(null);
  const [theme, toggleTheme] = useTheme();
  const navigate = useNavigate();

  const add = async (plan: Plan, open: boolean) => {
    const id = await dispatch(addQuilt(plan));
    if (open) await navigate(`/quilts/${id}/setting`);
  };
  const importPlan = async (files: FileList | null) => {
    const file = files?.[0];
    if (!file) return;
    const { readPlanJson } = await import('./readPlanFile.ts');
    const read = readPlanJson(await file.text());
    if (read.ok) return add(read.plan, true);
    const [first, ...more] = read.problems;
    const place = first!.path.length > 0 ? ` (at ${first!.path.join('.')})` : '';
    setNotice({
      text: `${file.name} was not taken. ${first!.message}${place}${more.length > 0 ? ` And ${more.length} more like it.` : ''}`,
      wrong: true,
    });
  };
  const copy = async ({ id, revision }: ListedQuilt) => {
    const asked = dispatch(api.endpoints.drawn.initiate({ id, revision }, { subscribe: false }));
    const { plan } = (await asked.unwrap()) as StoredQuilt;
    await add({ ...plan, title: `${plan.title}, copy`.slice(0, 120) }, false);
  };
  const remove = async (quilt: ListedQuilt) => {
    try {
      await removeQuilt(quilt.id).unwrap();
      setNotice({
        text: `“${quilt.card.title}” is off the shelf.`,
        undo: () =>
          void restoreQuilt(quilt.id)
            .unwrap()
            .then(
              () => setNotice(null),
              (failure) => setNotice({ text: serverError(failure).message, wrong: true }),
            ),
      });
    } catch (failure) {
      setNotice({ text: serverError(failure).message, wrong: true });
    }
  };
  return (
    <Page>
      <header>
        <h1>Dapper Lattice</h1>
        <Link className="ask" to="/ask/binding">
          Quick answers
        </Link>
        <Link className="ask" to="/stash">
          Stash
        </Link>
        <Link className="ask" to="/keeping">
          <ShieldCheck size={15} aria-hidden /> Safe keeping
        </Link>
        {!looking && (
          <FileTrigger
            acceptedFileTypes={['.json', 'application/json']}
            onSelect={(files) => void importPlan(files)}
          >
            <Button>
              <FileUp size={16} aria-hidden />
              Open a plan file
            </Button>
          </FileTrigger>
        )}
        <Button aria-label={theme === 'day' ? 'Evening light' : 'Daylight'} onPress={toggleTheme}>
          {theme === 'day' ? <Moon size={16} aria-hidden /> : <Sun size={16} aria-hidden />}
        </Button>
      </header>
      <main>
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
        <div className="shelf">
          <h2>On the shelf{total > MANY ? `, ${total} quilts` : ''}</h2>
          {(total > MANY || words !== '') && (
            <input
              type="search"
              aria-label="Find by name"
              placeholder="Find by name"
              value={words}
              onChange={({ target }) => setWords(target.value)}
            />
          )}
        </div>
        {isLoading && <p role="status">Fetching the quilts…</p>}
        {error && (
          <Notice role="alert" data-wrong>
            <p>{serverError(error).message}</p>
            <Button onPress={() => void refetch()}>Try again</Button>
          </Notice>
        )}
        {quilts?.length === 0 && words !== '' && <p role="status">No quilt on the shelf is called so.</p>}
        {quilts?.length === 0 && words === '' && (
          <p>The shelf is empty. Begin with one of the starting points below, or open a plan file.</p>
        )}
        <Grid>
          {quilts?.map((quilt) => (
            <QuiltCard
              key={quilt.id}
              quilt={quilt}
              looking={looking}
              onCopy={() =>
                void copy(quilt).catch((failure: unknown) =>
                  setNotice({ text: serverError(failure).message, wrong: true }),
                )
              }
              onRemove={() => void remove(quilt)}
            />
          ))}
        </Grid>
        {shelf.hasNextPage && (
          <div className="more">
            <Button isDisabled={shelf.isFetchingNextPage} onPress={() => void shelf.fetchNextPage()}>
              Show more
            </Button>
          </div>
        )}
        {!looking && <h2>Begin another</h2>}
        <Starts hidden={looking}>
          {STARTS.map(({ id, name, unit, block, across, down }) => (
            <li key={id}>
              <button type="button" onClick={() => void add(startPlan(id), true)}>
                <Thumbnail plan={startPlan(id)} />
                <span>
                  <strong>{name}</strong>
                  {across} × {down} blocks of {block}
                  {unit === 'in' ? '″' : ' cm'}
                </span>
              </button>
            </li>
          ))}
        </Starts>
      </main>
    </Page>
  );
}

function QuiltCard({
  quilt,
  looking,
  onCopy,
  onRemove,
}: {
  quilt: ListedQuilt;
  looking: boolean;
  onCopy: () => void;
  onRemove: () => void;
}) {
  const { card, id } = quilt;
  const booked = useAppSelector(selectBooked).has(id);
  const unreadable = 'unreadable' in card;
  return (
    <Card data-unreadable={unreadable || undefined}>
      <div className="art">{!unreadable && <CardArt id={id} revision={quilt.revision} />}</div>
      <div className="words">
        <Link
          className="title"
          to={`/quilts/${id}/${unreadable ? 'setting' : booked ? card.atBooked : card.at}`}
        >
          {card.title}
        </Link>
        <p className="rest">
          {unreadable ? (
            'It cannot be read any more: open it to see what can be done'
          ) : (
            <>
              <Lengths text={formatSize(card.width, card.height, card.unit)} /> · {card.setting.toLowerCase()}{' '}
              · {`at\u00a0${STAGE_NAMES[booked ? card.atBooked : card.at]}`}
            </>
          )}
        </p>
      </div>
      {!looking && (
        <div className="tools">
          {!unreadable && (
            <Button look="quiet" aria-label={`Duplicate ${card.title}`} onPress={onCopy}>
              <Copy size={15} aria-hidden />
            </Button>
          )}
          <Button look="quiet" aria-label={`Take ${card.title} off the shelf`} onPress={onRemove}>
            <X size={16} aria-hidden />
          </Button>
        </div>
      )}
    </Card>
  );
}

/** The quilt drawn on its card, from its plan: fetched when the card is there, and then known for opening it. */
function CardArt({ id, revision }: { id: string; revision: number }) {
  const { data } = useDrawnQuery({ id, revision });
  return data && data.problems.length === 0 ? <Thumbnail plan={data.plan} edged /> : null;
}
