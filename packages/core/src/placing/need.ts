/**
 * What is wanted of one cloth, in whole units of its measure (sixteenths, half millimetres): x runs across the cloth
 * from selvage to selvage, y along it. Placing knows rectangles and nothing of what becomes of them.
 */
export interface Need {
  readonly key: string;
  readonly width: number;
  readonly length: number;
  readonly count: number;
  /** Cut along the selvage: never turned, never joined. */
  readonly lengthwise: boolean;
  /** How strips are joined for it where it is longer than the cloth is wide. */
  readonly joins: 'diagonal' | 'straight';
  /** The way its length has to lie; without it a piece may be turned. */
  readonly oneWay?: 'across' | 'along';
  /** Strips that hold nothing sooner are cut in a later round: 0 now, 1 or 2 once something is measured. */
  readonly round?: number;
}

/** The cloth: its usable width, and the seam strips are joined with. */
export interface Sheet {
  readonly usable: number;
  readonly seam: number;
}

/** A piece of cloth that is there already: a fat quarter, a strip, an offcut. `width` lies across its grain. */
export interface StockPiece {
  readonly key: string;
  readonly width: number;
  readonly length: number;
}

/** A rectangle on the cloth. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** One piece where it is cut. */
export interface PieceBox extends Box {
  readonly key: string;
  /** Of the piece of stock it is cut from, measured from that one's corner; absent on the cloth itself. */
  readonly stock?: string | undefined;
}

/** A strip that is joined to others. */
export interface StripBox extends Box {
  readonly stock?: string | undefined;
}

/** Strips joined end to end, and the long pieces that are cut from them. */
export interface RunPlan {
  readonly width: number;
  readonly joins: 'diagonal' | 'straight';
  readonly pieces: readonly { readonly key: string; readonly count: number }[];
  readonly segments: readonly StripBox[];
}

/** Where everything lies on one cloth, and how much of its length that takes. */
export interface SheetPlan {
  readonly length: number;
  readonly cuts: readonly PieceBox[];
  readonly runs: readonly RunPlan[];
  /** Heights of the strips right across the cloth, in the order they are cut. */
  readonly strips: readonly number[];
}

/** A piece longer than the cloth is wide, that strips are joined for. */
export const isLong = ({ lengthwise, length }: Need, { usable }: Sheet): boolean =>
  !lengthwise && length > usable;

/** What a join takes of its strips' length: one width on the diagonal, two seams straight across (rule CU-1). */
export const joinLoss = (width: number, joins: Need['joins'], { usable, seam }: Sheet): number =>
  // A strip wider than half the cloth has no length to give to a diagonal.
  joins === 'straight' || width > usable / 2 ? 2 * seam : width;
