import { formatSize, readBlocksCsv, type ReadBlocks } from '@lattice/core';
import { FileUp, Scissors } from 'lucide-react';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { selectPlan, selectQuilt } from '../../quilt/selectors.ts';
import { useEdit } from '../../quilt/useEdit.ts';
import { AdviceFor } from '../../figures/AdviceFor.tsx';
import { Section } from '../../figures/Section.tsx';
import { SplitSheet } from './SplitSheet.tsx';

const Understood = styled.div`
  ul { margin: 10px 0; padding: 10px 14px; max-height: 34vh; overflow: auto; border-radius: 8px; background: var(--wrong-wash); font-size: 14px; }
  li + li { margin-top: 6px; }
  .note { color: var(--soft); font-size: 14px; }
  .ways { display: flex; flex-wrap: wrap; gap: 8px; margin-top: 16px; }
`;
const Summary = styled.p`
  margin-bottom: 8px;
  font-size: 14px;
`;

/** More than this is no table of blocks; reading it would only stall the page. */
const FILE_LIMIT = 5_000_000;

/** The pile: how many blocks, what they should measure cut, and a table of them taken in from a file. */
export function PileSection() {
  const plan = useAppSelector(selectPlan);
  const { pile } = useAppSelector(selectQuilt);
  const edit = useEdit();
  const [read, setRead] = useState<ReadBlocks | null>(null);
  const [splitting, setSplitting] = useState(false);

  const take = async (files: FileList | null) => {
    const file = files?.[0];
    if (!file) return;
    if (file.size > FILE_LIMIT) {
      setRead({ blocks: [], notes: [], problems: [`${file.name} is larger than any table of blocks. Nothing was taken.`] });
      return;
    }
    try {
      setRead(readBlocksCsv(await file.text(), plan.unit));
    } catch {
      setRead({ blocks: [], notes: [], problems: [`${file.name} could not be read. Nothing was taken.`] });
    }
  };
  return (
    <Section title="Pile of blocks">
      <Summary data-testid="pile-summary">
        {pile.blocks === 0
          ? <>No blocks entered; {pile.needed} fit this setting. </>
          : <>{pile.blocks} blocks, {pile.needed} places. </>}
        Cut size meant: <Lengths text={formatSize(pile.meant.width, pile.meant.height, plan.unit)} />.
      </Summary>
      <AdviceFor path="pile" />
      <div style={{ marginTop: 8 }}>
        <FileTrigger acceptedFileTypes={['.csv', '.tsv', '.txt', 'text/csv']} onSelect={(files) => void take(files)}>
          <Button><FileUp size={15} aria-hidden />Take measurements from a CSV</Button>
        </FileTrigger>
      </div>
      <div style={{ marginTop: 8 }}><Button onPress={() => setSplitting(true)}><Scissors size={15} aria-hidden />Split into smaller quilts…</Button></div>
      {splitting && <SplitSheet onClose={() => setSplitting(false)} />}
      <Sheet
        title={read?.blocks.length === 0 ? 'No blocks could be taken' : `${read?.blocks.length} blocks understood`}
        width={560}
        isOpen={read !== null}
        onClose={() => setRead(null)}
      >
        {read && (
          <Understood>
            {read.notes.map((note) => <p className="note" key={note}>{note}</p>)}
            {read.problems.length > 0 && (
              <>
                <p>{read.problems.length === 1 ? 'One thing needs your eye:' : `${read.problems.length} things need your eye:`}</p>
                <ul>{read.problems.slice(0, 100).map((p) => <li key={p}><Lengths text={p} /></li>)}</ul>
                {read.problems.length > 100 && <p className="note">And {read.problems.length - 100} more like these.</p>}
              </>
            )}
            <div className="ways">
              {read.blocks.length > 0 && (
                <Button
                  look="main"
                  onPress={() => {
                    edit((p) => ({ ...p, pile: [...read.blocks] }));
                    setRead(null);
                  }}
                >
                  {plan.pile.length > 0 ? `Put these ${read.blocks.length} in place of the pile` : `Use these ${read.blocks.length} blocks`}
                </Button>
              )}
              <Button onPress={() => setRead(null)}>{read.blocks.length > 0 ? 'Leave the pile as it is' : 'Close'}</Button>
            </div>
          </Understood>
        )}
      </Sheet>
    </Section>
  );
}
