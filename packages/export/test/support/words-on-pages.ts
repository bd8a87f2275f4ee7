/** The words of a PDF, page by page, as a library reads them that had no part in writing it. For plain processes: the test runner does not take that library in. */
export async function wordsOnPages(bytes: Uint8Array): Promise<string[]> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const doc = await getDocument({ data: bytes, verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let number = 1; number <= doc.numPages; number++) {
    const { items } = await (await doc.getPage(number)).getTextContent();
    pages.push(items.map((item) => ('str' in item ? item.str : '')).join(''));
  }
  return pages;
}
