/** How a quilt is made ready to hang (rule SL-1). */
export const HANGINGS = ['none', 'sleeve', 'corners'] as const;
export type HangingKind = (typeof HANGINGS)[number];

/** As they read in a list. */
export const HANGING_NAMES: Readonly<Record<HangingKind, string>> = {
  none: 'Not to be hung',
  sleeve: 'A sleeve for a rod',
  corners: 'Two corners for a dowel',
};
