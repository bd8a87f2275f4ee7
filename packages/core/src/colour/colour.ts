import { differenceCiede2000, type Lab65, modeLab65, modeRgb, modeXyz65, useMode } from 'culori/fn';

export type { Lab65 };

useMode(modeRgb);
useMode(modeXyz65);
const toLab = useMode(modeLab65);
const ciede2000 = differenceCiede2000();

/** Colours are asked for again and again, and a plan has few: each is worked out once. */
const known = new Map<string, Lab65>();
const MOST_KNOWN = 10_000;

/** A colour by its lightness 0–100 and its two opponent axes (CIELAB, D65). Black where the text is no colour. */
export function labOf(colour: string): Lab65 {
  const had = known.get(colour);
  if (had) return had;
  const lab = toLab(colour) ?? { mode: 'lab65', l: 0, a: 0, b: 0 };
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(colour, lab);
  return lab;
}

/** How different two colours look (CIEDE2000): below about 2 nobody sees it, above about 20 anybody does. */
export const differenceOf = (a: string | Lab65, b: string | Lab65): number =>
  ciede2000(typeof a === 'string' ? labOf(a) : a, typeof b === 'string' ? labOf(b) : b);

/**
 * Lightness of a colour from 0 (black) to 1 (white): what squinting leaves of it.
 *
 * @example
 * valueOf('#ffffff'); // 1
 * valueOf('#000000'); // 0
 */
export const valueOf = (colour: string): number => labOf(colour).l / 100;
