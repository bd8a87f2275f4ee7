import { type BackingOption, SEAM_NAMES } from '@lattice/core';

/** A way of backing in words: "3 panels, level seams". */
export function backingName({ way, panels, seams, stripe }: BackingOption): string {
  if (way === 'wide') return 'Wide cloth, one width, no seam';
  const said = `${panels} ${panels === 1 ? 'panel' : 'panels'}`;
  return stripe ? `${said} and a stripe, ${SEAM_NAMES[seams]}` : `${said}, ${SEAM_NAMES[seams]}`;
}
