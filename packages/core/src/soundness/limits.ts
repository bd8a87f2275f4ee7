/**
 * The most that may be said at once, each stated here once: fields hold no more, schemas take no more, and what looks a
 * document over before it is read lets as much pass. A check holds every schema against them.
 */
export const LIMITS = {
  /** Letters of a note. */
  note: 10_000,
  /**
   * Letters of any text: what a cutting plan says that it was made for takes some 120 a line of the cutting list, and no
   * quilt has eight hundred lines.
   */
  letters: 100_000,
  /** Entries of one list: seams of a top, pieces of a cutting plan. */
  entries: 10_000,
  /** Fields of one object. */
  fields: 100,
  /** Lists and objects inside one another. */
  depth: 16,
  /** Values in all: a full pile on a full wall, measured at every edge, twice over. */
  values: 150_000,
} as const;
