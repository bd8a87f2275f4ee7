/** One figure as a surface gives it: what of, where, how much. */
export interface Claim {
  /** The screen, paper, file or command that says it. */
  readonly surface: string;
  /** What is said, and of what: "finished width", "to buy: Sash". The same words mean the same thing everywhere. */
  readonly of: string;
  /** As a number in the plan's unit, or as words where words are the answer. */
  readonly value: number | string;
  /** Half the step a printed figure is rounded to; 0 where it is not rounded. */
  readonly within?: number;
}

/** Two surfaces that give one figure differently. */
export interface Disagreement {
  readonly of: string;
  readonly one: Claim;
  readonly other: Claim;
}

const same = (a: Claim, b: Claim): boolean =>
  typeof a.value === 'number' && typeof b.value === 'number'
    ? Math.abs(a.value - b.value) <= (a.within ?? 0) + (b.within ?? 0) + 1e-6
    : a.value === b.value;

/** Every figure that two surfaces give differently; the first that gave it is held to be meant. */
export function disagreementsIn(claims: readonly Claim[]): Disagreement[] {
  const first = new Map<string, Claim>();
  return claims.flatMap((claim): Disagreement[] => {
    const one = first.get(claim.of);
    if (!one) {
      first.set(claim.of, claim);
      return [];
    }
    return same(one, claim) ? [] : [{ of: claim.of, one, other: claim }];
  });
}

/** What no second surface says: nothing is known of how those agree. */
export function saidOnce(claims: readonly Claim[]): string[] {
  const surfaces = new Map<string, Set<string>>();
  for (const { of, surface } of claims) surfaces.set(of, (surfaces.get(of) ?? new Set()).add(surface));
  return [...surfaces].flatMap(([of, by]) => (by.size < 2 ? [of] : []));
}
