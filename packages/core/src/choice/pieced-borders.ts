/** What a pieced border is made of, unit by unit. */
export const PIECED_KINDS = [
  'half-square',
  'sawtooth',
  'quarter-square',
  'geese',
  'checkers',
  'keys',
] as const;
export type PiecedKindId = (typeof PIECED_KINDS)[number];

/** The field's words for each. */
export const PIECED_NAMES: Readonly<Record<PiecedKindId, string>> = {
  'half-square': 'Half-square triangles, in pairs',
  sawtooth: 'Sawtooth',
  'quarter-square': 'Quarter-square triangles',
  geese: 'Flying geese',
  checkers: 'Checkers',
  keys: 'Piano keys',
};

/** How units are made: one by one, several of one pair of squares, or crosscut from strips sewn together. */
export const UNITS_MADE = ['one', 'two', 'four', 'eight', 'strips'] as const;
export type UnitsMade = (typeof UNITS_MADE)[number];

/** As they read in a list. */
export const MADE_NAMES: Readonly<Record<UnitsMade, string>> = {
  one: 'One by one',
  two: 'Two at a time',
  four: 'Four at a time',
  eight: 'Eight at a time',
  strips: 'From strips',
};

/** What stands at the corners of a pieced border. */
export const PIECED_CORNERS = ['plain', 'unit'] as const;
export type PiecedCorner = (typeof PIECED_CORNERS)[number];

/** As they read in a list. */
export const PIECED_CORNER_NAMES: Readonly<Record<PiecedCorner, string>> = {
  plain: 'A plain square',
  unit: 'A unit, so that it runs through',
};

/** The most rows a border of checkers has. */
export const CHECKER_ROWS = [2, 3, 4] as const;
