import type { Doubt } from './doubts.ts';
import type { PhotoRefused } from '../reference/asked.ts';

/** What each doubt means, and what to do about it. */
export const DOUBT_WORDS: Readonly<Record<Doubt, string>> = {
  'two-blocks':
    'More than one block lies there: the larger is measured. Lay one down at a time, or move the corners to the one you mean.',
  'cut-off': 'The block reaches the edge of the photo: step back, so that some table shows all round it.',
  'too-unsure':
    'Too unsure to judge an eighth of an inch: come closer, or lay the squares round the block rather than beside it.',
  'come-closer': 'Come closer: an eighth of an inch is only a few dots of this photo.',
  tilted: 'It is tilted too much: hold the camera straight above the block.',
  'reference-far':
    'The sheet is too far from the block: lay it close beside, or lay four cards round the block.',
  'reference-small':
    'The block is much larger than what it is measured by: lay four cards round it, as far apart as they can be.',
  'faint-edge':
    'An edge hardly shows against the table: look at it closely, or lay the block on another ground.',
  'ragged-edge': 'An edge is frayed by more than 1/32″: its line is drawn through the middle of the fray.',
  'bowed-edge':
    'An edge is bowed by more than 1/16″: lay the block flat, or press it; its middle differs from its ends.',
  'odd-shape': 'Opposite edges differ by more than a seventh: is the outline on the block’s own edges?',
  'not-square':
    'The outline is far from square: is it on the block’s own edges? Move its corners there, or lay the block on another ground.',
  'odd-lens':
    'This lens bends or looks otherwise than phones do: lay cards all round the block, or hold the camera straighter above it.',
  'printed-small':
    'The sheet seems to be printed too small: its line of 4 inches (10 cm) should measure just that. Print it at 100 %, not fitted to the page.',
  'printed-large':
    'The sheet seems to be printed too large, or on other paper: its line of 4 inches (10 cm) should measure just that.',
  'is-a4': 'The sheet in this photo is the A4 one, not the Letter one: it is measured as that.',
  'is-letter': 'The sheet in this photo is the Letter one, not the A4 one: it is measured as that.',
  'no-colours': 'The photo has no colours: sizes can be judged, colours cannot.',
};

/** Why a photo cannot be measured, and what to do. */
export const REFUSED_WORDS: Readonly<Record<PhotoRefused, string>> = {
  'no-reference':
    'No four black squares are seen. Lay the printed sheet flat beside the block, all of it in the photo and none of its squares covered or in glare; or choose four points whose distances you know.',
  'other-rectangle':
    'Four squares are seen, but they do not lie as a rectangle with the sides that were told. Measure both sides again, or lay the cards anew.',
  'no-block':
    'The squares are seen, but no block beside them. Lay it flat on a ground of another colour, with some table showing all round; or point at its corners.',
  'not-flat':
    'No rectangle on a table looks like this in a photo. Check the order of the four points and their distances.',
};

/** What a file of bytes is that should be a photo. */
export type PhotoKind = 'jpeg' | 'png' | 'webp' | 'heic' | 'avif' | 'none';

/** Tells a photo by its first bytes (JFIF, PNG, RIFF, ISO 14496-12). */
export function photoKindOf(bytes: ArrayLike<number>): PhotoKind {
  const text = (from: number, to: number) =>
    Array.from({ length: to - from }, (_, i) => String.fromCharCode(bytes[from + i] ?? 0)).join('');
  if (bytes[0] === 0xff && bytes[1] === 0xd8) return 'jpeg';
  if (text(1, 4) === 'PNG') return 'png';
  if (text(0, 4) === 'RIFF' && text(8, 12) === 'WEBP') return 'webp';
  // Both lie in one kind of box; the brand tells them apart.
  if (text(4, 8) === 'ftyp' && /^avi[fs]/.test(text(8, 12))) return 'avif';
  if (text(4, 8) === 'ftyp' && /^(hei[cmxs]|hev[cmx]|mif1|msf1)/.test(text(8, 12))) return 'heic';
  return 'none';
}

/** Why a file cannot be read as a photo, in words; null where it may. */
export const KIND_WORDS: Readonly<Record<PhotoKind, string | null>> = {
  jpeg: null,
  png: null,
  webp: null,
  heic: 'This is a HEIC photo, which cannot be read everywhere. Let the phone save or send it as JPEG, or take a picture of it on the screen.',
  avif: 'This is an AVIF picture, which cannot be read everywhere. Save it as JPEG or PNG.',
  none: 'This is not a photo: a JPEG, PNG or WebP is needed.',
};
