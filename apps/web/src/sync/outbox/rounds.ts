/**
 * Work done in rounds, one at a time: asked for while a round is under way it is done once more after it, however often
 * it was asked for. What is asked for always sees a round that began after the asking; the answer ends with the last.
 */
export function inRounds(round: () => Promise<unknown>): () => Promise<void> {
  let asked = false;
  let running: Promise<void> | null = null;
  const run = async () => {
    try {
      while (asked) {
        asked = false;
        await round();
      }
    } finally {
      // In the same breath as the last look at `asked`: nobody may ask in between and be forgotten.
      running = null;
    }
  };
  return () => {
    asked = true;
    running ??= run();
    return running;
  };
}
