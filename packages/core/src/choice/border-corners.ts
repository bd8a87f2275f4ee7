/** How a border turns its corners. */
export const BORDER_CORNERS = ['sides-first', 'top-first', 'squares', 'mitred'] as const;
export type BorderCorners = (typeof BORDER_CORNERS)[number];

/** The field's words for each. */
export const CORNER_NAMES: Readonly<Record<BorderCorners, string>> = {
  'sides-first': 'Butted, sides first',
  'top-first': 'Butted, top first',
  squares: 'Corner squares',
  mitred: 'Mitred',
};
