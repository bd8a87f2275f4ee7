/**
 * Draws the pages of a PDF by a library that had no part in writing it, and tells what is on them as JSON. Run by the
 * tests as a program of its own: the library is a module the test runner does not take in.
 *
 * Usage: render.mjs FILE DPI [PAGE OUT], the last two for the dots of one page as grey bytes.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { createCanvas } from '@napi-rs/canvas';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const [file, dpi, only, out] = process.argv.slice(2);
const doc = await getDocument({ data: new Uint8Array(readFileSync(file)), verbosity: 0 }).promise;
const pages = [];
for (let number = 1; number <= doc.numPages; number += 1) {
  if (only !== undefined && Number(only) !== number) continue;
  const page = await doc.getPage(number);
  const viewport = page.getViewport({ scale: Number(dpi) / 72 });
  const [width, height] = [Math.ceil(viewport.width), Math.ceil(viewport.height)];
  const canvas = createCanvas(width, height);
  const context = canvas.getContext('2d');
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, width, height);
  await page.render({ canvasContext: context, viewport }).promise;
  const { data } = context.getImageData(0, 0, width, height);
  const grey = new Uint8Array(width * height);
  for (let i = 0; i < grey.length; i += 1)
    grey[i] = 0.3 * data[4 * i] + 0.59 * data[4 * i + 1] + 0.11 * data[4 * i + 2];
  const { items } = await page.getTextContent();
  pages.push({
    width,
    height,
    dark: grey.reduce((sum, dot) => sum + (dot < 128 ? 1 : 0), 0),
    text: items.map(({ str }) => str).join(' '),
    words: items.map(({ str, transform }) => ({ str, x: transform[4], y: transform[5], size: transform[3] })),
  });
  if (out) writeFileSync(out, grey);
}
const { info } = await doc.getMetadata();
const outline = ((await doc.getOutline()) ?? []).map(({ title }) => title);
console.log(JSON.stringify({ pages, info, outline, marked: await doc.getMarkInfo() }));
