import type { Clash, ClashReason, Laid, RowLabel } from '@lattice/core';
import { memo } from 'react';
import styled from 'styled-components';
import { Section } from '../../figures/Section.tsx';

const List = styled.ul`
  max-height: 190px;
  overflow: auto;
  font-size: 13px;
  button { display: block; width: 100%; padding: 5px 6px; border: 0; border-radius: 6px; background: none; text-align: left; cursor: pointer; }
  button:hover, button:focus-visible { background: var(--chalk-wash); }
  .rest { color: var(--soft); }
`;

const REASONS: Readonly<Record<ClashReason, string>> = { kind: 'the same kind', maker: 'the same maker', colour: 'the same main colour', cloth: 'a cloth in common', turn: 'the same way round' };

interface ClashListProps {
  readonly clashes: readonly Clash[];
  readonly places: readonly Laid[];
  readonly labels: readonly RowLabel[];
  readonly onPoint: (clash: Clash | null) => void;
  readonly onChoose: (clash: Clash) => void;
}

/** Every two blocks that lie beside each other and should not, with the reason; pointing at one lights its thread. */
export const ClashList = memo(function ClashList({ clashes, places, labels, onPoint, onChoose }: ClashListProps) {
  const at = (place: number) => `${labels[place]!.row}·${labels[place]!.number}`;
  return (
    <Section title={clashes.length === 0 ? 'Clashes' : `Clashes: ${clashes.length}`}>
      {clashes.length === 0 ? <p>None: no two that meet are alike by the rules below.</p> : (
        <List aria-label="Clashes" onPointerLeave={() => onPoint(null)}>
          {clashes.map((clash) => (
            <li key={`${clash.a}-${clash.b}`}>
              <button type="button" onPointerEnter={() => onPoint(clash)} onFocus={() => onPoint(clash)} onBlur={() => onPoint(null)} onClick={() => onChoose(clash)}>
                {places[clash.a]!.block?.name} and {places[clash.b]!.block?.name} <span className="rest">({at(clash.a)}, {at(clash.b)}): {clash.reasons.map((r) => REASONS[r]).join(', ')}{clash.how === 'corner' ? ', corner to corner' : ''}</span>
              </button>
            </li>
          ))}
        </List>
      )}
    </Section>
  );
});
