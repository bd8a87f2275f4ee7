import { formatLength, formatWithUnit, numberOf, type TableCloth, type Unit } from '@lattice/core';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Section } from '../../rooms/figures/Section.tsx';

const Line = styled.li`
  padding: 6px 0;
  font-size: var(--size-read);
  .words {
    display: flex;
    justify-content: space-between;
    gap: 10px;
  }
  b {
    white-space: nowrap;
    font-variant-numeric: tabular-nums;
  }
  .bar {
    height: 7px;
    margin-top: 4px;
    border-radius: 4px;
    background: var(--line);
    overflow: hidden;
  }
  .bar div {
    height: 100%;
    background: var(--good);
  }
`;
const Note = styled.p`
  margin-top: 8px;
  padding: 10px 12px;
  border-radius: 10px;
  background: var(--brass-wash);
  font-size: var(--size-text);
  color: var(--ink);
`;

/** Spare pieces of one name and size together, whichever cut they were for. */
function alike(spare: TableCloth['spare']): { name: string; count: number; w: number; h: number }[] {
  const kinds = new Map<string, { name: string; count: number; w: number; h: number }>();
  for (const { name, count, w, h } of spare) {
    const key = [name, Math.min(w, h), Math.max(w, h)].join();
    kinds.set(key, { name, w, h, count: count + (kinds.get(key)?.count ?? 0) });
  }
  return [...kinds.values()];
}

/** How many of each are cut and how many are wanted; what is spare; what changed. */
export function CutSoFar({
  onStash,
  table,
  waits,
  unit,
}: {
  table: TableCloth;
  waits: readonly string[];
  unit: Unit;
  /** Puts what is left into the stash; null where nothing is left. */
  onStash: (() => void) | null;
}) {
  const { counts, spare, stripsOver, replanned } = table;
  return (
    <Section title="Cut so far">
      <ul data-testid="cut-so-far">
        {counts.map(({ line, name, cut, wanted, joined }) => (
          <Line key={`${line} ${joined}`}>
            <span className="words">
              <span>{joined ? `Strips for ${name.toLowerCase()}` : name}</span>
              <b>
                {cut} of {wanted}
              </b>
            </span>
            <div className="bar" aria-hidden>
              <div style={{ width: `${(100 * cut) / Math.max(1, wanted)}%` }} />
            </div>
          </Line>
        ))}
      </ul>
      {replanned && (
        <Note role="status">
          {replanned === 'mishap'
            ? 'Something went wrong with this cloth. What is good stays cut; the rest is planned anew from what is left.'
            : 'The quilt changed since this cloth was begun. What is cut stays cut; the rest is planned anew from what is left.'}
        </Note>
      )}
      {alike(spare).map(({ name, count, w, h }) => (
        <Note key={`${name} ${w} ${h}`}>
          <Lengths
            text={`Spare: ${count} ${name.toLowerCase()} of ${formatLength(Math.min(w, h), unit)} × ${formatWithUnit(Math.max(w, h), unit)}, cut and no longer wanted.`}
          />
        </Note>
      ))}
      {stripsOver.map(({ name, count, w, h }) => (
        <Note key={`${name} ${w} ${h}`}>
          <Lengths
            text={`${numberOf(count, 'strip')} of ${formatWithUnit(Math.min(w, h), unit)}, cut for ${name.toLowerCase()}, ${count === 1 ? 'is' : 'are'} left over: nothing of this quilt is cut from ${count === 1 ? 'it' : 'them'} now. Into the stash, or for binding.`}
          />
        </Note>
      ))}
      {onStash && (
        <Button look="quiet" onPress={onStash}>
          Put what is left into the stash
        </Button>
      )}
      {waits.map((says) => (
        <Note key={says}>
          <Lengths text={says} />
        </Note>
      ))}
    </Section>
  );
}
