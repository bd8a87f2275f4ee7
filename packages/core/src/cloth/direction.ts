/**
 * Which way a cloth's print runs, seen with the selvages upright: no way at all, one way up, or in stripes,
 * which look the same upside down and not when they lie across.
 */
export const CLOTH_DIRECTIONS = ['none', 'one-way', 'stripe'] as const;
export type ClothDirection = (typeof CLOTH_DIRECTIONS)[number];

/** As they read in a list. */
export const DIRECTION_NAMES: Readonly<Record<ClothDirection, string>> = {
  none: 'No direction',
  'one-way': 'One way up',
  stripe: 'Stripe along the selvage',
};
