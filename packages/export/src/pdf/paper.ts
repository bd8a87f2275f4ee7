import PDFDocument from 'pdfkit';
import { drawScene, POINTS } from './pen.ts';
import type { Scene } from '@lattice/core';
import { PAPERS, type PaperName } from '../formats.ts';

/** The letters of a document: static WOFF files, plain and strong. A WOFF2 would print pages that look empty. */
export interface Letters {
  readonly plain: Uint8Array;
  readonly strong: Uint8Array;
}

/** White round a page, in points. */
export const MARGIN = 40;
const INK = '#1b2433';
const SOFT = '#5d6674';
/** Signs the letters lack, by those they have. */
const INSTEAD: Readonly<Record<string, string>> = {
  '→': '>',
  '☐': '',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '≤': '<=',
};

interface Known {
  hasGlyphForCodePoint(code: number): boolean;
}

/** A document being written, page by page, top down; words, lists and drawings flow, and go on to a new page where one is full. */
export class PaperWriter {
  readonly doc: PDFKit.PDFDocument;
  readonly width: number;
  readonly bottom: number;
  /** Signs that could not be written: no letter is there for them. */
  lost = 0;
  private readonly known: Known;
  private readonly root: PDFKit.PDFStructureElement;

  /**
   * @param faces pictures of blocks by their ids, as JPEG
   * @param made when it is written, 2026-11-27T10:00:00Z: the same document of the same moment is the same file
   */
  constructor(
    private readonly title: string,
    paper: PaperName,
    letters: Letters,
    made: string,
    private readonly faces: ReadonlyMap<string, Uint8Array> = new Map(),
  ) {
    const day = new Date(made);
    this.doc = new PDFDocument({
      size: [...PAPERS[paper]],
      margin: MARGIN,
      // None of the fonts the package brings: their letters are not embedded.
      font: null as unknown as string,
      bufferPages: true,
      tagged: true,
      displayTitle: true,
      lang: 'en',
      pdfVersion: '1.7',
      info: {
        Title: title,
        Producer: 'Dapper Lattice',
        Creator: 'Dapper Lattice',
        CreationDate: day,
        ModDate: day,
      },
    });
    this.doc.registerFont('plain', letters.plain as Buffer).registerFont('strong', letters.strong as Buffer);
    this.doc.font('plain');
    this.known = (this.doc as unknown as { _font: { font: Known } })._font.font;
    this.root = this.doc.struct('Document');
    this.doc.addStructure(this.root);
    const [width, height] = PAPERS[paper];
    this.width = width - 2 * MARGIN;
    this.bottom = height - MARGIN - 14;
  }

  /** Room that is left on this page. */
  get left(): number {
    return this.bottom - this.doc.y;
  }

  page(): void {
    this.doc.addPage();
  }

  /** How high a drawing comes out that may be so high at most; null for true to size. */
  heightOf({ box: { width, height }, unit }: Scene, most: number | null): number {
    return height * (most === null ? POINTS[unit] : Math.min(this.width / width, most / height));
  }

  /** Goes on to a new page where less room is left than that. */
  room(height: number): void {
    if (this.left < height) this.page();
  }

  /**
   * A heading, entered into the outline.
   *
   * @param before room that what belongs under it takes, so that it does not stand alone at the end of a page
   */
  heading(text: string, level: 1 | 2 = 1, before = 0): void {
    const size = level === 1 ? 19 : 13;
    this.room(size * 4 + before);
    const said = this.writable(text);
    this.doc.outline.addItem(said);
    if (this.doc.y > MARGIN) this.doc.moveDown(0.5);
    this.tagged(level === 1 ? 'H1' : 'H2', () => this.words(said, size, true));
    this.doc.moveDown(0.25);
  }

  /** Words, over as many lines as they take. */
  says(text: string, { size = 10, strong = false, soft = false, indent = 0 } = {}): void {
    const said = this.writable(text);
    if (said === '') return;
    this.doc.font(strong ? 'strong' : 'plain').fontSize(size);
    this.room(this.doc.heightOfString(said, { width: this.width - indent }));
    this.tagged('P', () => this.words(said, size, strong, soft, indent));
  }

  /** Words with a box to tick before them; ticked already where that is done. */
  tick(text: string, done = false): void {
    const said = this.writable(text);
    this.doc.font('plain').fontSize(10);
    const height = this.doc.heightOfString(said, { width: this.width - 18 });
    this.room(height + 3);
    const { y } = this.doc;
    this.tagged('P', () => {
      this.doc
        .lineWidth(0.7)
        .undash()
        .rect(MARGIN, y + 1, 8, 8)
        .stroke(INK);
      if (done)
        this.doc
          .lineWidth(1.2)
          .moveTo(MARGIN + 1.5, y + 5)
          .lineTo(MARGIN + 3.5, y + 7.5)
          .lineTo(MARGIN + 7, y + 2)
          .stroke(INK);
      this.words(said, 10, false, false, 18);
    });
    this.doc.y = y + height + 3;
  }

  /** Two columns: what, and what there is to say of it. */
  pairs(rows: readonly (readonly [string, string])[], first = 110): void {
    for (const [what, says] of rows) {
      const said = this.writable(says);
      this.doc.font('plain').fontSize(10);
      const height = Math.max(13, this.doc.heightOfString(said, { width: this.width - first }));
      this.room(height + 2);
      const { y } = this.doc;
      this.tagged('P', () => {
        this.doc.fillColor(SOFT).text(this.writable(what), MARGIN, y, { width: first - 8 });
        this.doc
          .fillColor(INK)
          .text(said, MARGIN + first, y, { width: this.width - first, features: FEATURES });
      });
      this.doc.y = y + height + 2;
      this.doc.x = MARGIN;
    }
  }

  /**
   * A drawing as large as there is room for, or true to size.
   *
   * @param most the most height it takes, in points; null for true to size
   * @param alt what it shows, for who cannot see it
   */
  drawing(scene: Scene, alt: string, most: number | null, at: { x?: number; y?: number } = {}): void {
    const { width, height } = scene.box;
    const scale =
      most === null ? POINTS[scene.unit] : Math.min((this.width - (at.x ?? 0)) / width, most / height);
    if (at.y === undefined) this.room(Math.min(height * scale, this.bottom - MARGIN));
    const [x, y] = [MARGIN + (at.x ?? 0), at.y ?? this.doc.y];
    const draw = () =>
      drawScene(this.doc, scene, { x, y, scale }, this.faces, (text, place, size, middle, strong) => {
        this.doc
          .fillColor(INK)
          .font(strong ? 'strong' : 'plain')
          .fontSize(size);
        const said = this.writable(text);
        const wide = this.doc.widthOfString(said, { features: FEATURES });
        this.doc.text(said, middle ? place.x - wide / 2 : place.x, place.y, {
          baseline: 'alphabetic',
          lineBreak: false,
          features: FEATURES,
        });
      });
    this.root.add(this.doc.struct('Figure', { alt: this.writable(alt) }, [draw]));
    if (at.y === undefined) this.doc.y = y + height * scale + 8;
    this.doc.x = MARGIN;
  }

  /** Ends it: page numbers on every page. Answers the file. */
  async bytes(): Promise<Uint8Array> {
    const { doc } = this;
    if (this.lost > 0)
      this.says('Signs for which these letters have no shape are written as a question mark.', {
        size: 8,
        soft: true,
      });
    const chunks: Uint8Array[] = [];
    const ended = new Promise<void>((resolve, reject) => {
      doc.on('data', (chunk: Uint8Array) => chunks.push(chunk));
      doc.on('end', () => resolve());
      doc.on('error', reject);
    });
    const { count } = doc.bufferedPageRange();
    for (let i = 0; i < count; i += 1) {
      doc.switchToPage(i);
      // The number stands in the margin, where flowing words may not.
      doc.page.margins.bottom = 0;
      const foot = `${this.writable(this.title).slice(0, 80)}  ·  ${i + 1} of ${count}`;
      doc.markContent('Artifact', { type: 'Pagination' });
      doc.font('plain').fontSize(8).fillColor(SOFT);
      doc.text(foot, MARGIN, doc.page.height - MARGIN + 4, {
        width: this.width,
        align: 'right',
        lineBreak: false,
      });
      doc.endMarkedContent();
    }
    this.root.end();
    doc.end();
    await ended;
    const file = new Uint8Array(chunks.reduce((sum, { length }) => sum + length, 0));
    let at = 0;
    for (const chunk of chunks) {
      file.set(chunk, at);
      at += chunk.length;
    }
    return file;
  }

  private words(text: string, size: number, strong: boolean, soft = false, indent = 0): void {
    this.doc
      .font(strong ? 'strong' : 'plain')
      .fontSize(size)
      .fillColor(soft ? SOFT : INK);
    this.doc.text(text, MARGIN + indent, this.doc.y, { width: this.width - indent, features: FEATURES });
    this.doc.x = MARGIN;
  }

  private tagged(kind: 'H1' | 'H2' | 'P', write: () => void): void {
    this.root.add(this.doc.struct(kind, {}, [write]));
  }

  /** Words in the signs the letters have: right-to-left, emoji and the like are told by a question mark each. */
  private writable(text: string): string {
    const signs = [
      ...text
        .slice(0, MOST)
        .normalize('NFC')
        .replace(FRACTION, `$1${STROKE}$2`)
        .replace(/[\p{Cc}\p{Cf}\p{Zl}\p{Zp}]+/gu, ' ')
        .replace(UNBROKEN, '$& '),
    ];
    return [...signs, ...(text.length > MOST ? ['…'] : [])]
      .map((sign) => {
        const plain = INSTEAD[sign] ?? sign;
        if ([...plain].every((one) => this.known.hasGlyphForCodePoint(one.codePointAt(0)!))) return plain;
        this.lost += 1;
        return '?';
      })
      .join('')
      .trim();
  }
}

/** Longer words and texts take ever longer to be broken into lines: nobody reads them on paper. */
const MOST = 1500;
const UNBROKEN = /\S{60}/g;
const FEATURES: PDFKit.Mixins.OpenTypeFeatures[] = ['kern', 'liga'];
/** Halves to sixty-fourths are set as fractions: the letters have figures for both sides of a fraction's own stroke. */
const FRACTION = /(?<![\d/])(\d{1,2})\/(2|3|4|8|16|32|64)(?![\d/])/g;
const STROKE = '\u2044';
