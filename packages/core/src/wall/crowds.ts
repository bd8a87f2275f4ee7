import type { WallJob } from './job.ts';

/** More blocks alike than can lie apart: some of them must meet, however they are laid. */
export interface Crowd {
  readonly by: 'kind' | 'maker';
  /** What they share, as the quilter says it. */
  readonly of: string;
  /** How many have to hang, and the most that could without two of them meeting. */
  readonly hang: number;
  readonly room: number;
  /** Clashes there are at the least. */
  readonly least: number;
}

/**
 * The crowds of a wall under the rules that have a weight. Places are parted into groups in which every two
 * meet, a square of four for most; one block of a kind in each is the most there can be without a clash
 * (geometry), and a group that holds k of them has k(k − 1)/2 clashes. Blocks to spare may stay off the wall.
 */
export function crowdsOf({ blocks, places, meetings, rules, at }: WallJob): Crowd[] {
  const room = groupsOf(places.length, meetings);
  // Of an empty place nobody has to hang anything: what lies nowhere is spare.
  const filled = at.filter((block) => block >= 0).length;
  const spare = Math.max(0, blocks.length - filled);
  const by = (['kind', 'maker'] as const).filter((what) => rules[what] > 0);
  return by.flatMap((what) => {
    const counts = new Map<string, number>();
    for (const block of blocks)
      if (block[what] !== null) counts.set(block[what], (counts.get(block[what]) ?? 0) + 1);
    return [...counts].flatMap(([of, count]): Crowd[] => {
      const hang = count - spare;
      return hang > room ? [{ by: what, of, hang, room, least: hang - room }] : [];
    });
  });
}

/** Into how few groups the places fall in which every two meet, taken greedily; no fewer than blocks that can lie apart. */
function groupsOf(places: number, meetings: WallJob['meetings']): number {
  const meets = Array.from({ length: places }, () => new Set<number>());
  for (const { a, b } of meetings) {
    meets[a]!.add(b);
    meets[b]!.add(a);
  }
  const taken = new Set<number>();
  let groups = 0;
  for (let i = 0; i < places; i++) {
    if (taken.has(i)) continue;
    groups++;
    const group = [i];
    for (const j of [...meets[i]!].sort((a, b) => a - b))
      if (!taken.has(j) && group.every((g) => meets[g]!.has(j))) group.push(j);
    for (const g of group) taken.add(g);
  }
  return groups;
}
