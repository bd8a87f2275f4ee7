/** Hands a text to the browser as a file to keep. Characters a file name cannot have become dashes. */
export function download(name: string, text: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name.replace(/[\\/:*?"<>|]+/g, '-');
  link.click();
  URL.revokeObjectURL(url);
}
