import { numberOf, type Plan, writeBlocksCsv } from '@lattice/core';
import { Camera, FileDown, FileUp, Plus } from 'lucide-react';
import { FileTrigger } from 'react-aria-components';
import { download } from '../../browser/download.ts';
import { Button } from '../../design/controls/Button.tsx';
import { withUnmeasured } from '../../state/pileEdits.ts';
import { useEdit } from '../../state/useEdit.ts';

interface BlocksBarProps {
  readonly plan: Plan;
  readonly onTable: (files: FileList | null) => Promise<void>;
  readonly onPhoto: () => void;
}

/** How many blocks there are, and how more of them or their sizes come in and go out. */
export function BlocksBar({ plan, onTable, onPhoto }: BlocksBarProps) {
  const { pile, unit, title } = plan;
  const edit = useEdit();
  return (
    <div className="bar">
      <h2>{pile.length === 0 ? 'No blocks yet' : numberOf(pile.length, 'block')}</h2>
      <Button onPress={() => edit((p) => withUnmeasured(p, 1))}>
        <Plus size={15} aria-hidden />
        Add a block
      </Button>
      <FileTrigger
        acceptedFileTypes={['.csv', '.tsv', '.txt', 'text/csv']}
        onSelect={(files) => void onTable(files)}
      >
        <Button>
          <FileUp size={15} aria-hidden />
          From a CSV
        </Button>
      </FileTrigger>
      <Button
        isDisabled={pile.length === 0}
        onPress={() => download(`${title} blocks.csv`, writeBlocksCsv(pile, unit), 'text/csv')}
      >
        <FileDown size={15} aria-hidden />
        To a CSV
      </Button>
      <Button isDisabled={pile.length === 0} onPress={onPhoto}>
        <Camera size={15} aria-hidden />
        By photo
      </Button>
    </div>
  );
}
