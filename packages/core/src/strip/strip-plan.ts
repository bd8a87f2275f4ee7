import type { CutLine } from '../cut/line.ts';
import type { Figure } from '../figure/figure.ts';
import type { Unit } from '../length/unit.ts';

/** Strips of one width, selvage to selvage, and what comes out of them. */
export interface StripGroup {
  readonly width: number;
  readonly strips: Figure;
  readonly yields: readonly StripYield[];
  /** The nearest a join falls to an end or the middle of its piece, and what one strip more would make of it; null where nothing is joined. */
  readonly joined: { readonly clear: number; readonly withOneMore: number } | null;
}

/** Pieces of one line, as they come out of their strips. */
interface StripYield {
  /** Id of the line of the cutting list they are on. */
  readonly line: string;
  readonly name: string;
  readonly length: number;
  readonly count: number;
  /** For each piece made of joined strips: where the joins fall, from its start as cut. Empty when the fabric is wide enough. */
  readonly joins: readonly (readonly number[])[];
  /** The joins run straight across; otherwise on the diagonal. */
  readonly straight: boolean;
}

/** Pieces cut along the selvage, side by side, before anything else. */
export interface LengthwiseCut {
  readonly length: Figure;
  readonly yields: StripGroup['yields'];
}

/** Strips for a fabric; `tooWide` names what its usable width cannot hold, and which of its measures that is. */
export interface StripPlan {
  readonly lengthwise: LengthwiseCut | null;
  readonly groups: readonly StripGroup[];
  readonly tooWide: readonly { readonly wanted: Wanted; readonly measure: 'width' | 'length' }[];
}

/** Rectangles one line of the cutting list wants: `width` by `length` as cut, `width` the shorter, in the plan's unit. */
export interface Wanted extends Pick<CutLine, 'name' | 'grain' | 'joins' | 'oneWay'> {
  readonly line: string;
  readonly width: number;
  readonly length: number;
  readonly count: number;
}

/** Rectangles of one line, and the strips they come from: how wide those are, and what one of them takes of their length. */
export interface InStrips extends Wanted {
  readonly stripWidth: number;
  readonly along: number;
}

/** The fabric's usable width, and the seam straight joins are sewn with. */
export interface Cloth {
  readonly usable: number;
  readonly seam: number;
  readonly unit: Unit;
}
