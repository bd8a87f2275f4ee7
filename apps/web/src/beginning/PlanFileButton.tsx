import { FileUp } from 'lucide-react';
import { FileTrigger } from 'react-aria-components';
import { Button } from '../design/controls/Button.tsx';

/** Takes up a plan file from the disk. */
export function PlanFileButton({ onOpen }: { onOpen: (files: FileList | null) => Promise<void> }) {
  return (
    <FileTrigger acceptedFileTypes={['.json', 'application/json']} onSelect={(files) => void onOpen(files)}>
      <Button>
        <FileUp size={16} aria-hidden />
        Open a plan file
      </Button>
    </FileTrigger>
  );
}
