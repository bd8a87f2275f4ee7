import {
  formatLength,
  formatWithUnit,
  numberOf,
  readStashCsv,
  type StashPiece,
  type Unit,
  writeStashCsv,
} from '@lattice/core';
import { FileDown, FileUp, Plus } from 'lucide-react';
import { useState } from 'react';
import { FileTrigger, Input, SearchField } from 'react-aria-components';
import styled from 'styled-components';
import { fileText } from '../../browser/fileText.ts';
import { PageFrame } from '../frame/PageFrame.tsx';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { useSheet } from '../../browser/useInAddress.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { pictureAddress } from '../drawing/faces.tsx';
import { download } from '../../browser/download.ts';
import { type Draft, freshDraft, KIND_NAMES, StashPieceForm } from './StashPieceForm.tsx';
import { moveStash, putInStash, selectStash } from './stash.ts';

const Looking = styled.div`
  .search {
    display: flex;
    align-items: center;
    gap: 10px;
    margin: 10px 0 16px;
  }
  .search input {
    width: 30ch;
    max-width: 100%;
    padding: 6px 11px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--card);
  }
  .sum {
    margin-bottom: 12px;
    font-size: var(--size-text);
    color: var(--soft);
  }
`;
const Grid = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 16px;
  li {
    display: grid;
    grid-template-rows: 120px auto;
    border: 1px solid var(--line);
    border-radius: 12px;
    background: var(--card);
  }
  svg {
    width: 100%;
    height: 120px;
    padding: 12px;
    border-radius: 12px 12px 0 0;
    background: var(--ground);
  }
  .words {
    padding: 10px 14px 12px;
    font-size: var(--size-text);
  }
  strong {
    display: block;
    font-size: var(--size-read);
  }
  .soft {
    color: var(--soft);
  }
  .tools {
    display: flex;
    gap: 4px;
    margin: 6px 0 0 -10px;
  }
`;
const Wrong = styled.p`
  margin: 8px 0;
  padding: 8px 12px;
  border-radius: 8px;
  background: var(--wrong-wash);
  font-size: var(--size-text);
`;

/** What the address says of a cloth that is not in the stash yet. */
const NEW = 'new';

/** The maker's cloth, whatever quilt it goes into: looked up, put in, said otherwise, in and out as a table. */
export function StashPage() {
  const [unit, setUnit] = useState<Unit>('in');
  const stash = useAppSelector((s) => selectStash(s, unit));
  const dispatch = useAppDispatch();
  const [words, setWords] = useState('');
  const sheet = useSheet('cloth');
  const draft: Draft | undefined =
    sheet.open === NEW ? freshDraft(unit) : stash.find(({ id }) => id === sheet.open);
  const [wrong, setWrong] = useState<readonly string[]>([]);
  const found = stash.filter((piece) =>
    `${piece.name} ${piece.from} ${KIND_NAMES[piece.kind]}`
      .toLowerCase()
      .includes(words.trim().toLowerCase()),
  );
  // Batting is no cloth.
  const area = stash
    .filter(({ kind }) => kind !== 'batting')
    .reduce((sum, piece) => sum + piece.width * piece.length * (piece.count - piece.gone), 0);
  const takeIn = async (files: FileList | null) => {
    const file = files?.[0];
    if (!file) return;
    const read = readStashCsv(await fileText(file), unit);
    setWrong(read.problems);
    if (read.pieces.length > 0) await dispatch(putInStash(read.pieces));
  };
  return (
    <PageFrame
      title="Stash"
      head={
        <>
          <FileTrigger acceptedFileTypes={['.csv', 'text/csv']} onSelect={(files) => void takeIn(files)}>
            <Button>
              <FileUp size={15} aria-hidden /> Take in a table
            </Button>
          </FileTrigger>
          <Button
            isDisabled={stash.length === 0}
            onPress={() => download('stash.csv', writeStashCsv(stash, unit), 'text/csv')}
          >
            <FileDown size={15} aria-hidden /> As a table
          </Button>
          <Button look="main" onPress={() => sheet.show(NEW)}>
            <Plus size={15} aria-hidden /> Put cloth in
          </Button>
        </>
      }
    >
      <Looking>
        <div className="search">
          <SearchField aria-label="Look for cloth" value={words} onChange={setWords}>
            <Input placeholder="A name, a kind, where it is from" />
          </SearchField>
          <ChoiceField
            label="Unit"
            value={unit}
            choices={[
              { id: 'in', name: 'Inches' },
              { id: 'cm', name: 'Centimetres' },
            ]}
            onChange={(id) => setUnit(id as Unit)}
          />
        </div>
        {wrong.length > 0 && <Wrong role="alert">{wrong.join(' ')}</Wrong>}
        {stash.length === 0 ? (
          <p>
            Nothing yet. What you put in here can be set aside for any quilt, and is cut before cloth is
            bought; what a quilt leaves over can come here.
          </p>
        ) : (
          <p className="sum" role="status">
            {numberOf(found.length, 'cloth')}
            {words.trim() === '' ? '' : ` of ${stash.length}`}, <Lengths text={areaSays(area, unit)} /> in
            all.
          </p>
        )}
        <Grid aria-label="Cloth in the stash">
          {found.map((piece) => (
            <Piece
              key={piece.id}
              piece={piece}
              unit={unit}
              onChange={() => sheet.show(piece.id)}
              onGone={() =>
                void dispatch(moveStash({ piece: piece.id, count: 1, to: 'gone', quilt: null, cloth: null }))
              }
            />
          ))}
        </Grid>
        {draft && (
          <StashPieceForm
            key={sheet.open}
            draft={draft}
            onClose={sheet.close}
            onPut={(put) => {
              void dispatch(putInStash([put]));
              sheet.close();
            }}
          />
        )}
      </Looking>
    </PageFrame>
  );
}

function areaSays(area: number, unit: Unit): string {
  return unit === 'in'
    ? `${(area / (36 * 40)).toFixed(1)} yards of 40″ cloth`
    : `${(area / 10_000).toFixed(1)} square metres`;
}

function Piece({
  piece,
  unit,
  onChange,
  onGone,
}: {
  piece: StashPiece;
  unit: Unit;
  onChange: () => void;
  onGone: () => void;
}) {
  const { id, name, colour, kind, width, length, free, aside, from, washed, picture } = piece;
  const set = aside.reduce((sum, { count }) => sum + count, 0);
  // A yard square fills the picture, so that pieces stand in proportion; longer cloth is drawn as long as that.
  const whole = Math.max(unit === 'in' ? 40 : 106, Math.min(width, length) * 1.1);
  return (
    <li>
      <svg viewBox={`0 0 ${whole} ${whole / 2}`} aria-hidden preserveAspectRatio="xMidYMid meet">
        {picture !== undefined && (
          <pattern id={`photo-${id}`} width="1" height="1" patternContentUnits="objectBoundingBox">
            <image href={pictureAddress(picture)} width="1" height="1" preserveAspectRatio="xMidYMid slice" />
          </pattern>
        )}
        <rect
          x={(whole - Math.min(width, whole)) / 2}
          y={(whole / 2 - Math.min(length, whole / 2)) / 2}
          width={Math.min(width, whole)}
          height={Math.min(length, whole / 2)}
          fill={picture === undefined ? colour : `url(#photo-${id})`}
          stroke="var(--soft)"
          strokeWidth={whole / 300}
        />
      </svg>
      <div className="words">
        <strong>{name}</strong>
        <span>
          <Lengths
            text={`${KIND_NAMES[kind]}, ${formatLength(width, unit)} × ${formatWithUnit(length, unit)}`}
          />
        </span>
        <p className="soft">
          {numberOf(free, 'piece')} free
          {set > 0 && `, ${set} set aside`}
          {washed && ', washed'}
          {from && `; from ${from}`}
        </p>
        <div className="tools">
          <Button look="quiet" aria-label={`Change ${name}`} onPress={onChange}>
            Change
          </Button>
          <Button look="quiet" aria-label={`One is gone: ${name}`} isDisabled={free === 0} onPress={onGone}>
            One is gone
          </Button>
        </div>
      </div>
    </li>
  );
}
