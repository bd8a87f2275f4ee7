import { FileUp } from 'lucide-react';
import { FileTrigger } from 'react-aria-components';
import { Button } from '../../design/controls/Button.tsx';

/** Takes up a plan file from the disk, or a zip of whole quilts. */
export function PlanFileButton({ onOpen }: { onOpen: (files: FileList | null) => Promise<void> }) {
  return (
    <FileTrigger acceptedFileTypes={['.json', '.zip']} onSelect={(files) => void onOpen(files)}>
      <Button>
        <FileUp size={16} aria-hidden />
        Open a plan file
      </Button>
    </FileTrigger>
  );
}
