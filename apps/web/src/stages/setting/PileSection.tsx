import { formatSize, numberOf, type ReadBlocks, settingOf } from '@lattice/core';
import { FileUp, Scissors } from 'lucide-react';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { useSheet } from '../../browser/useInAddress.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { withPile } from '../../state/pileEdits.ts';
import { useEdit } from '../../state/useEdit.ts';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { AddByLine } from '../../rooms/beginning/AddByLine.tsx';
import { SpareOffers } from '../../rooms/beginning/SpareOffers.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { readTable } from '../blocks/readTable.ts';
import { theseOf, UnderstoodSheet } from '../blocks/UnderstoodSheet.tsx';
import { SplitSheet } from './SplitSheet.tsx';

const Summary = styled.p`
  margin-bottom: 8px;
  font-size: var(--size-text);
`;

/** The pile: how many blocks, what they should measure cut, and a table of them taken in from a file. */
export function PileSection() {
  const plan = useAppSelector(selectPlan);
  const { pile } = useAppSelector(selectQuilt);
  const { whole } = settingOf(plan.setting.kind);
  const edit = useEdit();
  const [read, setRead] = useState<ReadBlocks | null>(null);
  const splitting = useSheet('split');
  if (whole) return null;
  return (
    <Section title="Pile of blocks">
      <Summary data-testid="pile-summary">
        {pile.blocks === 0 ? (
          <>No blocks entered; this setting takes {numberOf(pile.needed, 'block')}. </>
        ) : (
          <>
            {numberOf(pile.blocks, 'block')}, {numberOf(pile.needed, 'place')}.{' '}
          </>
        )}
        Cut size meant: <Lengths text={formatSize(pile.meant.width, pile.meant.height, plan.unit)} />.
      </Summary>
      <AdviceFor path="pile" />
      <SpareOffers />
      <div style={{ marginTop: 8 }}>
        <AddByLine />
      </div>
      <div style={{ marginTop: 8 }}>
        <FileTrigger
          acceptedFileTypes={['.csv', '.tsv', '.txt', 'text/csv']}
          onSelect={(files) => void readTable(files, plan.unit).then(setRead)}
        >
          <Button>
            <FileUp size={15} aria-hidden />
            Take measurements from a CSV
          </Button>
        </FileTrigger>
      </div>
      <div style={{ marginTop: 8 }}>
        <Button onPress={() => splitting.show()}>
          <Scissors size={15} aria-hidden />
          Split into smaller quilts…
        </Button>
      </div>
      {splitting.open !== null && <SplitSheet onClose={splitting.close} />}
      <UnderstoodSheet
        read={read}
        ways={[
          {
            name:
              plan.pile.length > 0
                ? `Put ${theseOf(read?.blocks.length ?? 0)} in place of the pile`
                : `Use ${theseOf(read?.blocks.length ?? 0)}`,
            take: ({ blocks }) => edit((p) => withPile(p, blocks)),
          },
        ]}
        leave="Leave the pile as it is"
        onClose={() => setRead(null)}
      />
    </Section>
  );
}
