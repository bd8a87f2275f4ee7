import {
  type PileBlock,
  type Piece,
  type Plan,
  type Wall,
  withLocked,
  withMoved,
  withParked,
  withPlaced,
  withTurned,
} from '@lattice/core';

/** What is dragged or pressed: a place of the wall, or a block from beside it. */
export type Source = { readonly place: number } | { readonly spare: string };
/** Where it is dropped. */
export type Target = { readonly place: number } | 'tray' | null;

/** What the quilter has in the hand at the wall: chosen places, a spare block, a place carried by the keyboard. */
export interface Hand {
  readonly chosen: readonly number[];
  readonly spare: string | null;
  readonly carried: number | null;
  /** What was said of the last act; empty where there is nothing to say. */
  readonly said: string;
}

export const EMPTY_HAND: Hand = { chosen: [], spare: null, carried: null, said: '' };

/** The wall an act is done on. */
export interface OnWall {
  readonly plan: Plan;
  readonly wall: Wall;
  /** Pieces of the layout that are places, in their order, and the middles of what lies there. */
  readonly pieces: readonly Piece[];
  readonly places: readonly { readonly x: number; readonly y: number }[];
}

/**
 * What comes of an act: the plan it makes, and what is in the hand once that is taken. Null: it cannot be done, and `refused`
 * says why; absent: the plan stays.
 */
export interface Act {
  readonly plan?: Plan | null;
  readonly refused?: string;
  readonly hand: Hand;
  /** The place a key goes on to. */
  readonly focus?: number;
}

const LOCKED = 'That place is locked.';
const NO_ROOM = 'a block would leave the wall, or a place is locked.';

/** Of `place`: all that are chosen where it is one of them, else it alone. */
const acting = ({ chosen }: Hand, place: number): readonly number[] =>
  chosen.includes(place) ? chosen : [place];

/** A spare block is laid on a place. */
const laySpare = ({ plan, pieces }: OnWall, hand: Hand, spare: string, place: number): Act => ({
  plan: withPlaced(plan, pieces.length, spare, place),
  refused: LOCKED,
  hand,
});

/** Something was dragged and let go; null where that is nowhere. */
export function dropped(on: OnWall, hand: Hand, source: Source, target: Target): Act | null {
  if (target === null) return null;
  if ('spare' in source) return target === 'tray' ? null : laySpare(on, hand, source.spare, target.place);
  const moving = acting(hand, source.place);
  if (target === 'tray') return parked(on, { ...hand, chosen: moving });
  if (target.place === source.place) return null;
  return {
    plan: withMoved(on.plan, on.pieces, moving, source.place, target.place),
    refused: `They cannot go there: ${NO_ROOM}`,
    hand: { ...hand, chosen: [target.place] },
  };
}

/** Pressed and let go: chosen or not any more, alone or with others; a spare block in the hand is laid there. */
export function tapped(on: OnWall, hand: Hand, source: Source, more: boolean): Act {
  if ('spare' in source)
    return { hand: { ...hand, spare: hand.spare === source.spare ? null : source.spare } };
  const { place } = source;
  if (hand.spare !== null) return laySpare(on, { ...hand, spare: null }, hand.spare, place);
  const { chosen } = hand;
  const others = more ? chosen.filter((p) => p !== place) : [];
  const was = more ? chosen.includes(place) : chosen.length === 1 && chosen[0] === place;
  return { hand: { ...hand, chosen: was ? others : [...others, place], said: '' } };
}

/** Enter: taken up here, or what was taken up is laid here. */
function carried(on: OnWall, hand: Hand, place: number): Act {
  if (hand.spare !== null) return tapped(on, hand, { place }, false);
  if (hand.carried === null) {
    const name = on.wall.places[place]?.block?.name ?? 'An empty place';
    const said = `${name} taken up. Arrows to where it goes, Enter to lay it there, Escape to leave it.`;
    return { hand: { ...hand, carried: place, said } };
  }
  const laid: Hand = { ...hand, carried: null, chosen: [], said: 'Laid there.' };
  if (hand.carried === place) return { hand: laid };
  return {
    plan: withMoved(on.plan, on.pieces, acting(hand, hand.carried), hand.carried, place),
    refused: `It cannot go there: ${NO_ROOM}`,
    hand: laid,
  };
}

/** The chosen blocks turned by quarters. */
export const turned = ({ plan, pieces }: OnWall, hand: Hand, quarters = 1): Act => ({
  plan: withTurned(plan, pieces.length, hand.chosen, quarters),
  hand,
});

/** The chosen places locked or not. */
export const locked = ({ plan, pieces }: OnWall, hand: Hand, on: boolean): Act => ({
  plan: withLocked(plan, pieces.length, hand.chosen, on),
  hand,
});

/** The chosen blocks put beside the wall. */
export const parked = ({ plan, pieces }: OnWall, hand: Hand): Act => ({
  plan: withParked(plan, pieces.length, hand.chosen),
  hand: { ...hand, chosen: [] },
});

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A key on a place; null where it means nothing. What is done to the place leaves what was chosen chosen. */
export function keyed(on: OnWall, hand: Hand, key: string, shift: boolean, place: number): Act | null {
  const arrow = ARROWS[key];
  if (arrow) return { hand, focus: stepFrom(on.places, place, arrow[0], arrow[1]) };
  const here = { ...hand, chosen: acting(hand, place) };
  const keeping = (act: Act): Act => ({ ...act, hand });
  switch (key.length === 1 ? key.toLowerCase() : key) {
    case 'Enter':
      return carried(on, hand, place);
    case ' ':
      return tapped(on, hand, { place }, true);
    case 'Escape':
      return { hand: EMPTY_HAND };
    case 'r':
      return keeping(turned(on, here, shift ? -1 : 1));
    case 'l':
      return keeping(locked(on, here, !on.wall.places[place]?.locked));
    case 'p':
    case 'Delete':
      return keeping(parked(on, here));
    default:
      return null;
  }
}

/** The next place in a direction, by where the middles lie: the nearest that lies more that way than to the side. */
export function stepFrom(points: OnWall['places'], from: number, dx: number, dy: number): number {
  const at = points[from];
  if (!at) return from;
  let best = { place: from, away: Infinity };
  points.forEach((p, place) => {
    const along = (p.x - at.x) * dx + (p.y - at.y) * dy;
    const aside = Math.abs((p.x - at.x) * dy) + Math.abs((p.y - at.y) * dx);
    if (place === from || along <= 0 || aside > along) return;
    const away = along + 2 * aside;
    if (away < best.away) best = { place, away };
  });
  return best.place;
}

/** The block a source stands for, to be shown at the pointer. */
export const blockOf = ({ wall }: OnWall, source: Source): PileBlock | null =>
  ('spare' in source ? wall.spare.find((b) => b.id === source.spare) : wall.places[source.place]?.block) ??
  null;
