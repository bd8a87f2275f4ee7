import {
  type Clash,
  type ClashReason,
  type Crowd,
  numberOf,
  type RowLabel,
  type WallPlace,
} from '@lattice/core';
import { memo, useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { Section } from '../../rooms/figures/Section.tsx';

const List = styled.ul`
  max-height: 190px;
  overflow: auto;
  font-size: var(--size-note);
  button {
    display: block;
    width: 100%;
    padding: 5px 6px;
    border: 0;
    border-radius: 6px;
    background: none;
    text-align: left;
    cursor: pointer;
  }
  button:hover,
  button:focus-visible {
    background: var(--chalk-wash);
  }
  .rest {
    color: var(--soft);
  }
`;

const REASONS: Readonly<Record<ClashReason, string>> = {
  kind: 'the same kind',
  maker: 'the same maker',
  colour: 'the same main colour',
  cloth: 'a cloth in common',
  turn: 'the same way round',
};

/** More than anybody goes through one by one. */
const MOST_SHOWN = 60;

interface ClashListProps {
  readonly clashes: readonly Clash[];
  /** Blocks of which some must meet, however they lie. */
  readonly crowds: readonly Crowd[];
  readonly places: readonly WallPlace[];
  readonly labels: readonly RowLabel[];
  readonly onPoint: (clash: Clash | null) => void;
  readonly onChoose: (clash: Clash) => void;
}

/** Every two blocks that lie beside each other and should not, with the reason; pointing at one lights its thread. */
export const ClashList = memo(function ClashList({
  clashes,
  crowds,
  places,
  labels,
  onPoint,
  onChoose,
}: ClashListProps) {
  const [shown, setShown] = useState(MOST_SHOWN);
  const at = (place: number) => `${labels[place]!.row}·${labels[place]!.number}`;
  return (
    <Section title={clashes.length === 0 ? 'Clashes' : `Clashes: ${clashes.length}`}>
      {clashes.length === 0 ? (
        <p>None: no two that meet are alike by the rules below.</p>
      ) : (
        <List aria-label="Clashes" onPointerLeave={() => onPoint(null)}>
          {clashes.slice(0, shown).map((clash) => {
            const names = `${places[clash.a]!.block?.name} and ${places[clash.b]!.block?.name}`;
            return (
              <Line
                key={`${clash.a}-${clash.b}`}
                {...{ clash, names, onPoint, onChoose }}
                where={`${at(clash.a)}, ${at(clash.b)}`}
              />
            );
          })}
        </List>
      )}
      {clashes.length > shown && (
        <Button look="quiet" onPress={() => setShown(clashes.length)}>
          Show the other {clashes.length - shown}
        </Button>
      )}
      {crowds.map((crowd) => (
        <p key={`${crowd.by} ${crowd.of}`}>
          <small>{crowdWords(crowd)}</small>
        </p>
      ))}
    </Section>
  );
});

function Line({
  clash,
  names,
  where,
  onPoint,
  onChoose,
}: Pick<ClashListProps, 'onPoint' | 'onChoose'> & { clash: Clash; names: string; where: string }) {
  return (
    <li>
      <button
        type="button"
        onPointerEnter={() => onPoint(clash)}
        onFocus={() => onPoint(clash)}
        onBlur={() => onPoint(null)}
        onClick={() => onChoose(clash)}
      >
        {names}{' '}
        <span className="rest">
          ({where}): {clash.reasons.map((r) => REASONS[r]).join(', ')}
          {clash.how === 'corner' ? ', corner to corner' : ''}
        </span>
      </button>
    </li>
  );
}

function crowdWords({ by, of, hang, room, least }: Crowd): string {
  const what =
    by === 'kind' ? `${hang} blocks of the kind “${of}” hang here` : `${hang} blocks by ${of} hang here`;
  return `${what}, and only ${room} can lie without meeting along a side or at a corner: at least ${numberOf(least, 'clash stays', 'clashes stay')}, however they are laid.`;
}
