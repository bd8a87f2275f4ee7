/** Whether a first start is followed hand in hand, and where it has come to; kept in this browser. */
const KEY = 'lattice-hand-in-hand';

interface Walk {
  readonly quilt: string;
  readonly step: number;
}

/** A first quilt is gone through hand in hand; whoever has done so, or left it, is not asked again. */
export function beginHandInHand(quilt: string): void {
  try {
    if (localStorage.getItem(KEY) === null) localStorage.setItem(KEY, JSON.stringify({ quilt, step: 0 }));
  } catch {
    // A browser that keeps nothing goes without.
  }
}

/** Where it has come to with this quilt; null where it is done with, or another's. */
export function walkOf(quilt: string): Walk | null {
  try {
    const walk = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Walk | 'done' | null;
    return walk !== null && walk !== 'done' && walk.quilt === quilt ? walk : null;
  } catch {
    return null;
  }
}

export function keepWalk(walk: Walk | 'done'): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(walk));
  } catch {
    // As above.
  }
}
