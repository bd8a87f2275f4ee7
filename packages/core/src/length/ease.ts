/** A difference up to about 1/8" can be eased in (rules BL-1, SW-7): of a block, and of each block along a side. */
export const EASE_INCHES = 1 / 8;

/** A difference a tape cannot be trusted on, of a block or of a part of the top: 1/16" (from memory). */
export const TRUE_INCHES = 1 / 16;
