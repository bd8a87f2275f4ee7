import { numberOf, type ReadBlocks } from '@lattice/core';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Sheet } from '../../design/Sheet.tsx';

const Understood = styled.div`
  ul {
    margin: 10px 0;
    padding: 10px 14px;
    max-height: 34vh;
    overflow: auto;
    border-radius: 8px;
    background: var(--wrong-wash);
    font-size: var(--size-text);
  }
  li + li {
    margin-top: 6px;
  }
  .note {
    color: var(--soft);
    font-size: var(--size-text);
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 16px;
  }
`;

/** One thing that can be done with what was understood; the first is the usual one. */
export interface Taking {
  readonly name: string;
  readonly take: (read: ReadBlocks) => void;
}

/** So many blocks, pointed at: "this one", "these 30". */
export const theseOf = (count: number): string => (count === 1 ? 'this one' : `these ${count}`);

/** What a table of blocks was understood as, before anything of it is taken. */
export function UnderstoodSheet({
  read,
  ways,
  leave,
  onClose,
}: {
  read: ReadBlocks | null;
  ways: readonly Taking[];
  leave: string;
  onClose: () => void;
}) {
  return (
    <Sheet
      title={
        read?.blocks.length === 0
          ? 'No blocks could be taken'
          : `${numberOf(read?.blocks.length ?? 0, 'block')} understood`
      }
      width={560}
      isOpen={read !== null}
      onClose={onClose}
    >
      {read && (
        <Understood>
          {read.notes.map((note) => (
            <p className="note" key={note}>
              {note}
            </p>
          ))}
          {read.problems.length > 0 && (
            <>
              <p>
                {read.problems.length === 1
                  ? 'One thing needs your eye:'
                  : `${read.problems.length} things need your eye:`}
              </p>
              <ul>
                {read.problems.slice(0, 100).map((p) => (
                  <li key={p}>
                    <Lengths text={p} />
                  </li>
                ))}
              </ul>
              {read.problems.length > 100 && (
                <p className="note">And {read.problems.length - 100} more like these.</p>
              )}
            </>
          )}
          <div className="ways">
            {read.blocks.length > 0 &&
              ways.map(({ name, take }, i) => (
                <Button
                  key={name}
                  look={i === 0 ? 'main' : 'plain'}
                  onPress={() => {
                    take(read);
                    onClose();
                  }}
                >
                  {name}
                </Button>
              ))}
            <Button onPress={onClose}>{read.blocks.length > 0 ? leave : 'Close'}</Button>
          </div>
        </Understood>
      )}
    </Sheet>
  );
}
