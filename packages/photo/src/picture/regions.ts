/** A connected patch of a mask. */
export interface Region {
  /** Its number in `labels`. */
  readonly label: number;
  readonly area: number;
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/**
 * The connected patches of a mask (sides only, not corners), and which of them each pixel belongs to.
 *
 * @param mask not 0 where the pixel belongs to a patch
 */
export function regionsOf(
  mask: ArrayLike<number>,
  width: number,
  height: number,
): { readonly labels: Int32Array; readonly regions: readonly Region[] } {
  const labels = new Int32Array(width * height);
  const parent: number[] = [0];
  const rootOf = (a: number): number => {
    let root = a;
    while (parent[root]! !== root) root = parent[root]!;
    while (parent[a]! !== root) {
      const next = parent[a]!;
      parent[a] = root;
      a = next;
    }
    return root;
  };
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      if (!mask[i]) continue;
      const left = x > 0 ? labels[i - 1]! : 0;
      const above = y > 0 ? labels[i - width]! : 0;
      if (left && above && left !== above) {
        const a = rootOf(left);
        const b = rootOf(above);
        if (a < b) parent[b] = a;
        else parent[a] = b;
        labels[i] = Math.min(a, b);
      } else if (left || above) labels[i] = left || above;
      else {
        labels[i] = parent.length;
        parent.push(parent.length);
      }
    }
  const found = new Map<number, { -readonly [K in keyof Region]: Region[K] }>();
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      if (!labels[i]) continue;
      const label = rootOf(labels[i]!);
      labels[i] = label;
      const region = found.get(label);
      if (!region) found.set(label, { label, area: 1, left: x, top: y, right: x, bottom: y });
      else {
        region.area++;
        if (x < region.left) region.left = x;
        if (x > region.right) region.right = x;
        region.bottom = y;
      }
    }
  return { labels, regions: [...found.values()] };
}
