import styled from 'styled-components';
import { Sheet } from '../../design/Sheet.tsx';
import { small } from '../../design/media.ts';

const Keys = styled.div`
  columns: 2;
  column-gap: 30px;
  ${small} {
    columns: 1;
  }
  section {
    break-inside: avoid;
    margin-bottom: 14px;
  }
  h3 {
    margin: 0 0 4px;
    font-size: var(--size-text);
    font-weight: 650;
  }
`;

/** Every key that does something, by where it does. */
const KEYS: readonly {
  readonly where: string;
  readonly keys: readonly (readonly [keys: readonly string[], does: string])[];
}[] = [
  {
    where: 'Anywhere in a quilt',
    keys: [
      [['Ctrl', 'Z'], 'Undo'],
      [['Ctrl', 'Shift', 'Z'], 'Redo'],
      [['F6'], 'The next part of the page; with Shift, the one before'],
      [['?'], 'These keys'],
      [['Esc'], 'Close what lies over the page, or leave what was typed'],
    ],
  },
  {
    where: 'On a tape',
    keys: [[['←', '→', '↑', '↓'], 'One mark of the ruler narrower or wider']],
  },
  {
    where: 'In a size',
    keys: [
      [['↑', '↓'], 'One mark more or less'],
      [['Enter'], 'Take what was typed'],
    ],
  },
  {
    where: 'In the table of blocks',
    keys: [
      [['Enter'], 'The same size of the next block'],
      [['Tab'], 'The next size'],
      [['Ctrl', 'V'], 'Take in a table'],
    ],
  },
  {
    where: 'On the wall',
    keys: [
      [['←', '→', '↑', '↓'], 'Go from block to block'],
      [['Enter'], 'Take a block up, and lay it down'],
      [['Space'], 'Choose a block besides'],
      [['R'], 'Rotate a quarter; with Shift, back'],
      [['L'], 'Lock, or let go'],
      [['P'], 'Park beside the wall'],
      [['Esc'], 'Leave it where it was'],
    ],
  },
  {
    where: 'At the table and the machine',
    keys: [
      [['Space'], 'Done: the next one'],
      [['Page down'], 'The next seam'],
      [['Page up'], 'The seam before'],
    ],
  },
];

/** The keys of a part of the work, as the sheet has them. */
export const keysOf = (where: string) => KEYS.find((part) => part.where === where)?.keys ?? [];

const List = styled.dl`
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 4px 12px;
  font-size: var(--size-text);
  dd {
    color: var(--soft);
  }
  kbd {
    padding: 1px 6px;
    border: 1px solid var(--line);
    border-bottom-width: 2px;
    border-radius: 5px;
    font: 600 var(--size-note)/1.3 var(--text);
  }
`;

/** Keys and what they do. */
export function KeyList({ keys }: { keys: (typeof KEYS)[number]['keys'] }) {
  return (
    <List>
      {keys.map(([pressed, does]) => (
        <div key={does} style={{ display: 'contents' }}>
          <dt>
            {pressed.map((key) => (
              <span key={key}>
                <kbd>{key}</kbd>{' '}
              </span>
            ))}
          </dt>
          <dd>{does}</dd>
        </div>
      ))}
    </List>
  );
}

/** A sheet of all of them. */
export function KeysSheet({ onClose }: { onClose: () => void }) {
  return (
    <Sheet title="Keys" width={720} isOpen onClose={onClose}>
      <Keys>
        {KEYS.map(({ where, keys }) => (
          <section key={where}>
            <h3>{where}</h3>
            <KeyList keys={keys} />
          </section>
        ))}
      </Keys>
    </Sheet>
  );
}
