import { valueOf } from '@lattice/core';

/** Lightness at which dark and light words stand out alike, by the contrast of WCAG 2.2 (its luminance is then 0.21). */
const ALIKE = 0.532;

/** Words and marks on cloth of this colour: dark on light, light on dark; by day and in the evening the same. */
export const inkOn = (colour: string): string =>
  valueOf(colour) > ALIKE ? 'var(--on-light-cloth)' : 'var(--on-dark-cloth)';
