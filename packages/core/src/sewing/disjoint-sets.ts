/** Which of so many pieces hang together, as they are joined. */
export function disjointSets(count: number) {
  const up = Array.from({ length: count }, (_, i) => i);
  const root = (piece: number): number => {
    let at = piece;
    while (up[at] !== at) at = up[at] = up[up[at]!]!;
    return at;
  };
  return {
    root,
    same: (a: number, b: number): boolean => root(a) === root(b),
    join: (a: number, b: number): void => {
      up[root(b)] = root(a);
    },
  };
}
