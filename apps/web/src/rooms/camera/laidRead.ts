import type { LayoutAsked, ReadLayout } from '@lattice/photo';

type Now = LayoutAsked['now'];

/** Above this a photo and a pile are hardly of one quilt (CIELAB, the median over the places; from memory of trials). */
const HARDLY = 22;

/** Places that were read otherwise than the wall has them: another block, or rotated differently. */
export const othersIn = ({ places }: ReadLayout, now: Now): ReadonlySet<number> =>
  new Set(
    places.flatMap(({ block, turn }, i) => {
      const was = now[i] ?? null;
      return block !== (was?.block ?? null) || (was !== null && turn !== was.turn) ? [i] : [];
    }),
  );

/** Places worth telling of: what is unsure, and what differs. */
export const toldOf = ({ places }: ReadLayout, others: ReadonlySet<number>): readonly number[] =>
  places.flatMap(({ unsure }, i) => (unsure || others.has(i) ? [i] : []));

/** What was read, in a sentence. */
export function saysOfRead({ places, unlike }: ReadLayout, others: ReadonlySet<number>): string {
  if (unlike > HARDLY)
    return 'This hardly looks like the blocks of this quilt: check that the corners sit on the blocks, and give each block a picture or a drawn face.';
  const asking = places.filter((p) => p.unsure).length;
  if (others.size === 0 && asking === 0) return 'It lies as on your wall.';
  const asked = asking > 0 ? `; ${asking} to be asked` : '';
  return `${others.size} of ${places.length} places differ from the wall${asked}.`;
}

/** A place settled by hand. A block lies in one place: where it lay before, what lay here is asked about again. */
export function withChosen(read: ReadLayout, place: number, block: number | null): ReadLayout {
  const before = read.places[place]?.block ?? null;
  return {
    ...read,
    places: read.places.map((p, i) => {
      if (i === place) return { ...p, block, unsure: false };
      return block !== null && p.block === block ? { ...p, block: before, unsure: true } : p;
    }),
  };
}
