import { type BackingOption, numberOf, SEAM_NAMES } from '@lattice/core';

/** A way of backing in words: "3 panels, level seams". */
export function backingName({ way, panels, seams, stripe }: BackingOption): string {
  if (way === 'wide') return 'Wide cloth, one width, no seam';
  const said = numberOf(panels, 'panel');
  return stripe ? `${said} and a stripe, ${SEAM_NAMES[seams]}` : `${said}, ${SEAM_NAMES[seams]}`;
}
