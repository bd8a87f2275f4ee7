import { useEffect } from 'react';

/** Files that are dropped on the page, or pasted into it where nothing is being typed. */
export function useFilesHere(open: (files: FileList | null) => Promise<void>): void {
  useEffect(() => {
    const over = (event: DragEvent) => {
      if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      if (!event.dataTransfer?.files.length) return;
      event.preventDefault();
      void open(event.dataTransfer.files);
    };
    const paste = (event: ClipboardEvent) => {
      const types = event.target instanceof HTMLElement && event.target.closest('input, textarea');
      if (types || !event.clipboardData?.files.length) return;
      event.preventDefault();
      void open(event.clipboardData.files);
    };
    document.addEventListener('dragover', over);
    document.addEventListener('drop', drop);
    document.addEventListener('paste', paste);
    return () => {
      document.removeEventListener('dragover', over);
      document.removeEventListener('drop', drop);
      document.removeEventListener('paste', paste);
    };
  }, [open]);
}
