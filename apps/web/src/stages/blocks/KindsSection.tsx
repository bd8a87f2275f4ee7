import { formatLength, kindOf, measureOf, type PileBlock, type Unit } from '@lattice/core';
import styled from 'styled-components';
import { Lengths } from '../../design/Lengths.tsx';
import { BlockArt } from '../../rooms/drawing/faces.tsx';
import { Section } from '../../rooms/figures/Section.tsx';

const Kinds = styled.ul`
  button {
    display: grid;
    grid-template-columns: 28px 1fr auto;
    align-items: center;
    gap: 10px;
    width: 100%;
    padding: 4px 6px;
    border: 1.5px solid transparent;
    border-radius: 8px;
    background: none;
    font-size: var(--size-text);
    text-align: left;
    cursor: pointer;
  }
  button:hover {
    background: var(--chalk-wash);
  }
  button[aria-pressed='true'] {
    border-color: var(--ink);
  }
  .art {
    width: 28px;
    height: 28px;
    svg {
      display: block;
    }
  }
  .rest {
    font-size: var(--size-note);
    color: var(--soft);
  }
`;

interface KindsSectionProps {
  readonly pile: readonly PileBlock[];
  readonly unit: Unit;
  /** The kind the table is narrowed to; null for all. */
  readonly chosen: string | null;
  readonly onChoose: (kind: string | null) => void;
}

/** The pile by kind: how many of each, and between what sizes they lie; pressing one shows it alone. */
export function KindsSection({ pile, unit, chosen, onChoose }: KindsSectionProps) {
  const kinds = [...new Set(pile.map(kindOf))]
    .map((kind) => {
      const blocks = pile.filter((b) => kindOf(b) === kind);
      const sizes = blocks.flatMap((b) => {
        const m = measureOf(b);
        return m ? [m.leastWidth, m.leastHeight, m.mostWidth, m.mostHeight] : [];
      });
      return {
        kind,
        blocks,
        least: Math.min(...sizes),
        most: Math.max(...sizes),
        measured: sizes.length > 0,
      };
    })
    .sort((a, b) => b.blocks.length - a.blocks.length || a.kind.localeCompare(b.kind));
  if (kinds.length < 2) return null;
  return (
    <Section title="By kind">
      <Kinds>
        {kinds.map(({ kind, blocks, least, most, measured }) => (
          <li key={kind}>
            <button
              type="button"
              aria-pressed={chosen === kind}
              onClick={() => onChoose(chosen === kind ? null : kind)}
            >
              <span className="art">
                <BlockArt block={blocks[0]!} />
              </span>
              <span>
                {blocks.length} {kind}
              </span>
              <span className="rest">
                <Lengths
                  text={
                    !measured
                      ? 'not measured'
                      : least === most
                        ? formatLength(least, unit)
                        : `${formatLength(least, unit)} to ${formatLength(most, unit)}`
                  }
                />
              </span>
            </button>
          </li>
        ))}
      </Kinds>
    </Section>
  );
}
