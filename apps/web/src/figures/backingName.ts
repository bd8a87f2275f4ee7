import type { BackingOption } from '@lattice/core';

const SEAMS = { none: 'no seam', vertical: 'vertical seams', horizontal: 'horizontal seams' } as const;

/** A way of backing in words: "3 panels, horizontal seams". */
export function backingName({ way, panels, seams, stripe }: BackingOption): string {
  if (way === 'wide') return 'Wide cloth, one width, no seam';
  const said = `${panels} ${panels === 1 ? 'panel' : 'panels'}`;
  return stripe ? `${said} and a stripe, ${SEAMS[seams]}` : `${said}, ${SEAMS[seams]}`;
}
