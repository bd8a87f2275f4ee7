import { FINGERS } from '../browser/fingers.ts';

/**
 * Where the page is looked at otherwise: the few widths at which pages are laid out anew, and hands instead of a mouse.
 * Used as the head of a block of style: `${narrow} { … }`.
 */

/** A window beside others, a tablet held upright: words beside signs go, columns of figures go below the drawing. */
export const tight = '@media (max-width: 900px)';
/** One column. */
export const narrow = '@media (max-width: 760px)';
/** A large telephone, as the browser is asked it: what stood side by side within a column is put below one another. */
export const SMALL = '(max-width: 620px)';
export const small = `@media ${SMALL}`;
/** A small telephone. */
export const slim = '@media (max-width: 480px)';
/** Fingers are what points. */
export const touch = `@media ${FINGERS}`;
/** Nothing hovers and fingers point: there is no keyboard to speak of. */
export const withoutKeys = `@media (hover: none) and ${FINGERS}`;
export const onPaper = '@media print';
/** The browser has colours of its own forced on the page. */
export const forcedColours = '@media (forced-colors: active)';

/** Tall enough for a finger wherever fingers are used. */
export const fingerHigh = `${touch} { min-height: var(--finger); }`;
