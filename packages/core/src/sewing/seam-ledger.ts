import { near } from '../length/tolerance.ts';
import { group } from 'd3-array';
import { areaOf } from '../geometry/outline.ts';
import type { Point } from '../geometry/point.ts';
import { disjointSets } from './disjoint-sets.ts';
import { pointAt, type Shared, type Top } from './top.ts';

/** One straight seam: of two assemblies, or of a corner's mitre within one. */
export interface Seam {
  /** Index of a piece of each side, where the seam begins. */
  readonly a: number;
  readonly b: number;
  readonly line: readonly [Point, Point];
  readonly length: number;
  readonly mitre: boolean;
  /** Points at which its two sides bring earlier seams together: they should lie against one another there. */
  readonly crossings: readonly Crossing[];
  /** Unit vector across the seam, towards the side of `a`. */
  readonly towardA: Point;
  /** Pieces on either side at this seam, with the length they lie along it. */
  readonly beside: readonly Beside[];
  /** How many pieces each side has by then. */
  readonly pieces: readonly [a: number, b: number];
  /** Area of both sides together: what hangs on the needle, in square units of the plan. */
  readonly area: number;
}

/** A piece along a seam. */
interface Beside {
  readonly piece: number;
  readonly side: 'a' | 'b';
  readonly length: number;
}

/** Where seams of both sides end at one point of a seam; each with its sign along the seam when pressed toward its `a`. */
export interface Crossing {
  readonly at: Point;
  readonly a: readonly End[];
  readonly b: readonly End[];
}

/** A seam by its number, and which way along the crossing seam it leans when pressed toward its own `a`. */
export interface End {
  readonly seam: number;
  readonly sign: 1 | -1;
}

/** Seams that are sewn at one sitting, before a trip to the iron. */
export interface SewnStep {
  readonly id: string;
  readonly title: string;
  readonly seams: readonly number[];
}

/** Something that cannot be sewn by straight seams this way. */
export class NotSewable extends Error {}

/** An assembly, by any of its pieces. */
export type Assembly = number;

/** Crossing points this near, as a share of the top's side, are one. */
const AT_ONE_POINT = 100;

/**
 * The sewing table: pieces are joined two assemblies at a time, and every join is held against the geometry. It is
 * sewn along the whole of what the two share, which is one stretch of one straight line, or not at all.
 */
export class SeamLedger {
  readonly seams: Seam[] = [];
  private readonly joined: ReturnType<typeof disjointSets>;
  private readonly members: number[][];
  private readonly areas: number[];
  private readonly ends = new Map<string, { seam: number; at: Point }[]>();
  private readonly open = new Set<Shared>();
  private readonly done: { id: string; title: string; seams: number[] }[] = [];

  constructor(readonly top: Top) {
    this.joined = disjointSets(top.pieces.length);
    this.members = top.pieces.map((_, i) => [i]);
    this.areas = top.pieces.map(({ outline }) => areaOf(outline));
  }

  get steps(): readonly SewnStep[] {
    return this.done.filter(({ seams }) => seams.length > 0);
  }

  /** What is sewn from here on belongs to this step. */
  step(id: string, title: string): void {
    this.done.push({ id, title, seams: [] });
  }

  /** Joins two assemblies; answers the one they make. @throws NotSewable where they share no whole straight edge */
  join(a: Assembly, b: Assembly, { slits = false }: { slits?: boolean } = {}): Assembly {
    const [A, B] = [this.joined.root(a), this.joined.root(b)];
    if (A === B) throw new NotSewable('These are sewn together already.');
    const fewer = this.members[A]!.length <= this.members[B]!.length ? A : B;
    const other = fewer === A ? B : A;
    const shared = this.members[fewer]!.flatMap((piece) =>
      this.top.shared[piece]!.filter((s) => this.joined.root(s.left === piece ? s.right : s.left) === other),
    );
    // A mitre stays open until both its strips are on: only what lies along the inner edge is sewn now.
    const [main, left] = slits ? apart(shared, this.top) : [shared, []];
    this.sew(main, A, false);
    for (const slit of left) this.open.add(slit);
    for (const piece of this.members[fewer]!) this.members[other]!.push(piece);
    this.members[fewer] = [];
    this.areas[other]! += this.areas[fewer]!;
    this.joined.join(other, fewer);
    return other;
  }

  /** Joins assemblies in a row, each to what is there already. @param fromEnd the last of them first */
  inRow(assemblies: readonly Assembly[], fromEnd = false): Assembly {
    const [first, ...rest] = fromEnd ? [...assemblies].reverse() : assemblies;
    return rest.reduce((sewn, next) => this.join(sewn, next), first!);
  }

  /** Closes every mitre that is still open, from the inner corner out. */
  closeMitres(): void {
    const lines = group(
      this.open,
      ({ line, left, right }) => `${line} ${Math.min(left, right)} ${Math.max(left, right)}`,
    );
    this.open.clear();
    for (const slits of lines.values()) this.sew(slits, null, true);
  }

  private sew(shared: readonly Shared[], A: number | null, mitre: boolean): void {
    const [first] = shared;
    if (!first) throw new NotSewable('They lie nowhere side by side.');
    const { tolerance, lines } = this.top;
    const along = [...shared].sort((p, q) => p.from - q.from);
    const leftIsA = A === null || this.joined.root(first.left) === A;
    let reach = along[0]!.from;
    for (const stretch of along) {
      if (stretch.line !== first.line) throw new NotSewable('The edge they share bends.');
      if (stretch.from > reach + 8 * tolerance) throw new NotSewable('The edge they share is in parts.');
      if (A !== null && (this.joined.root(stretch.left) === A) !== leftIsA)
        throw new NotSewable('They interlock.');
      reach = Math.max(reach, stretch.to);
    }
    const line = lines[first.line]!;
    const [from, to] = [along[0]!.from, reach];
    const number = this.seams.length;
    const ofA = (stretch: Shared) => (leftIsA ? stretch.left : stretch.right);
    const ofB = (stretch: Shared) => (leftIsA ? stretch.right : stretch.left);
    const across = { x: -line.way.y, y: line.way.x };
    const B = this.joined.root(ofB(first));
    const seam: Seam = {
      a: ofA(along[0]!),
      b: ofB(along[0]!),
      line: [pointAt(line, from), pointAt(line, to)],
      length: to - from,
      mitre,
      towardA: leftIsA ? across : { x: -across.x, y: -across.y },
      crossings:
        A === null ? [] : this.crossingsAlong(along, line.way, (along_) => pointAt(line, along_), A, B),
      beside: along.flatMap((stretch): Beside[] => [
        { piece: ofA(stretch), side: 'a', length: stretch.to - stretch.from },
        { piece: ofB(stretch), side: 'b', length: stretch.to - stretch.from },
      ]),
      pieces: A === null ? [1, 1] : [this.members[A]!.length, this.members[B]!.length],
      area: A === null ? this.areas[B]! : this.areas[A]! + this.areas[B]!,
    };
    this.seams.push(seam);
    this.done.at(-1)!.seams.push(number);
    for (const at of seam.line) {
      const key = this.cell(at);
      this.ends.set(key, [...(this.ends.get(key) ?? []), { seam: number, at }]);
    }
  }

  /** Corners of pieces inside a seam where seams of both sides end. */
  private crossingsAlong(
    along: readonly Shared[],
    way: Point,
    at: (along: number) => Point,
    A: number,
    B: number,
  ): Crossing[] {
    const same = AT_ONE_POINT * this.top.tolerance;
    const least = along[0]!.from + same;
    const most = Math.max(...along.map(({ to }) => to)) - same;
    const corners = along.flatMap(({ from, to }) => [from, to]).filter((c) => c > least && c < most);
    corners.sort((p, q) => p - q);
    return corners
      .filter((corner, i) => i === 0 || corner - corners[i - 1]! > same)
      .flatMap((corner): Crossing[] => {
        const point = at(corner);
        const ends = this.endsAt(point, same);
        const of = (assembly: number) =>
          ends
            .filter(({ seam }) => this.joined.root(this.seams[seam]!.a) === assembly)
            .flatMap(({ seam }) => this.endOf(seam, way));
        const [a, b] = [of(A), of(B)];
        return a.length > 0 && b.length > 0 ? [{ at: point, a, b }] : [];
      });
  }

  private endOf(seam: number, way: Point): End[] {
    const { towardA } = this.seams[seam]!;
    const sign = Math.sign(towardA.x * way.x + towardA.y * way.y);
    return sign === 0 ? [] : [{ seam, sign: sign as 1 | -1 }];
  }

  private cell = ({ x, y }: Point): string => {
    const size = 4 * AT_ONE_POINT * this.top.tolerance;
    return `${Math.floor(x / size)} ${Math.floor(y / size)}`;
  };

  /** Ends of seams at a point, whichever cell of the grid they fell into. */
  private endsAt(point: Point, same: number): { seam: number; at: Point }[] {
    const cells = new Set(
      [-same, same].flatMap((dx) =>
        [-same, same].map((dy) => this.cell({ x: point.x + dx, y: point.y + dy })),
      ),
    );
    return [...cells]
      .flatMap((key) => this.ends.get(key) ?? [])
      .filter(({ at }) => Math.hypot(at.x - point.x, at.y - point.y) <= same);
  }
}

/** What two assemblies share along the inner edge of a border, and along mitres: a mitre lies aslant. */
function apart(shared: readonly Shared[], { lines }: Top): [main: Shared[], slits: Shared[]] {
  const straight = ({ line }: Shared) => {
    const { x, y } = lines[line]!.way;
    return near(x, 0) || near(y, 0);
  };
  return [shared.filter(straight), shared.filter((s) => !straight(s))];
}
