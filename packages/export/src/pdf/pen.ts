import { ontoCorners, pathData, type LineKind, type Path, type Scene, type SceneItem } from '@lattice/core';

/** Points of a PDF in an inch, and in a centimetre. */
export const POINTS = { in: 72, cm: 72 / 2.54 } as const;

/** How each kind of line is broken, in points. */
const BROKEN: Readonly<Record<LineKind, readonly [number, number] | null>> = {
  outline: null,
  seam: null,
  stitch: [2, 2],
  cut: null,
  join: [3, 2],
  fold: [6, 4],
  tape: [1, 4],
  empty: [4, 4],
};
const HAIR = 0.5;

/** Where a scene is drawn: its box's upper left corner there, and how many points a unit of it takes. */
export interface At {
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}

/** Draws a scene on a page, clipped to its box. Words of the scene are written by `write`, which knows the fonts. */
export function drawScene(
  doc: PDFKit.PDFDocument,
  { box, layers }: Scene,
  { x, y, scale }: At,
  faces: ReadonlyMap<string, Uint8Array>,
  write: (text: string, at: { x: number; y: number }, size: number, middle: boolean, strong: boolean) => void,
): void {
  doc.save();
  doc.rect(x - HAIR, y - HAIR, box.width * scale + 2 * HAIR, box.height * scale + 2 * HAIR).clip();
  doc.transform(scale, 0, 0, scale, x - box.x * scale, y - box.y * scale);
  for (const { items } of layers) for (const item of items) drawItem(doc, item, scale, faces, write);
  doc.restore();
}

function drawItem(
  doc: PDFKit.PDFDocument,
  item: SceneItem,
  scale: number,
  faces: ReadonlyMap<string, Uint8Array>,
  write: Parameters<typeof drawScene>[4],
): void {
  const line = (kind: LineKind) => {
    const broken = BROKEN[kind];
    doc.lineWidth(HAIR / scale).strokeColor('#000000');
    if (broken) doc.dash(broken[0] / scale, { space: broken[1] / scale });
    else doc.undash();
  };
  switch (item.what) {
    case 'shape': {
      if (item.paths.length === 0 || (item.fill === null && item.line === null)) return;
      doc.path(item.paths.map(pathData).join(''));
      if (item.line !== null) line(item.line);
      if (item.fill !== null && item.line !== null) doc.fillAndStroke(item.fill, '#000000');
      else if (item.fill !== null) doc.fill(item.fill);
      else doc.stroke();
      return;
    }
    case 'block': {
      doc.save();
      const [a, b, c, d, e, f] = ontoCorners(item.corners)
        .slice('matrix('.length, -1)
        .split(' ')
        .map(Number) as [number, number, number, number, number, number];
      doc.transform(a, b, c, d, e, f);
      const photo = faces.get(item.look.picture ?? '');
      if (photo) doc.image(photo as Buffer, 0, 0, { width: 1, height: 1 });
      else doc.rect(0, 0, 1, 1).fill(item.look.ground);
      for (const { colour, outlines } of item.look.patches) {
        const rounds = outlines.map((points): Path => {
          const [from, ...rest] = points.map(([px, py]) => ({ x: px, y: py }));
          return { from: from!, steps: rest.map((to) => ({ to })), closed: true };
        });
        doc.path(rounds.map(pathData).join('')).fill(colour);
      }
      doc.restore();
      return;
    }
    case 'text':
      write(item.text, item.at, item.size, item.align === 'middle', item.strong ?? false);
      return;
    case 'dimension': {
      const { from, to, text } = item;
      line('outline');
      doc.moveTo(from.x, from.y).lineTo(to.x, to.y).stroke();
      const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
      // Beside an upright line, over a level one.
      if (from.x === to.x) write(text, { x: middle.x + 5 / scale, y: middle.y }, 10 / scale, false, false);
      else write(text, { x: middle.x, y: middle.y - 3 / scale }, 10 / scale, true, false);
      return;
    }
  }
}
