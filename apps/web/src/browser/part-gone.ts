/** What browsers say of a part of the app that could not be fetched; each has words of its own for it. */
const SAID = [/dynamically imported module/i, /importing a module script failed/i, /unable to preload/i];

/** Whether a screen failed because its part of the app is not there: a newer app took the place of this one, or no line. */
export const isPartGone = (error: unknown): boolean =>
  error instanceof Error && SAID.some((words) => words.test(error.message));
