/** Even numbers from 0 up to 1. The core is given one and never reaches for its own. */
export type Random = () => number;

/** A random source that gives the same numbers for the same seed (mulberry32, public domain). */
export function randomFrom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
