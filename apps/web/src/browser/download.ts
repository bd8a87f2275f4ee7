/** Hands a text, or bytes, to the browser as a file to keep. Characters a file name cannot have become dashes. */
export function download(name: string, content: string | Uint8Array | Blob, type: string): void {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name.replace(/[\\/:*?"<>|]+/g, '-');
  link.click();
  URL.revokeObjectURL(url);
}
