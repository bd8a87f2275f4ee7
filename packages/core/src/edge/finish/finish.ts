import { type EdgeFinish, type EdgeShape, FINISH_NAMES } from '../../choice/edge.ts';
import type { Cut } from '../../cut/cut.ts';
import type { Figure } from '../../figure/figure.ts';
import type { Plan } from '../../plan/shape.ts';
import type { Problem } from '../../refusal/refusal.ts';
import type { EdgeOutline } from '../outline.ts';
import type { FlangeWish } from '../flange.ts';

/** A figure of a finish as it stands in every list: on the screen, on paper, on the command line. */
export interface FinishLine {
  readonly name: string;
  readonly figure: Figure;
  /** After the figure: "at 2 1/2″". */
  readonly after?: string;
  readonly rest?: string;
}

/** A band along the edge as the finished quilt shows it, measured from its edge into the quilt; below 0 it stands out. */
interface EdgeBand {
  readonly name: string;
  readonly from: number;
  readonly wide: number;
  /** Id of its cloth. */
  readonly fabric: string;
  /** Seen from the front, or lying behind, where only its outline is drawn. */
  readonly face: 'front' | 'back';
}

/** What a finish is worked out from. */
interface FinishAsked {
  readonly plan: Plan;
  /** What the top finishes at. */
  readonly top: { readonly width: number; readonly height: number };
  readonly outline: EdgeOutline;
  /** All round, as measured or as computed. */
  readonly around: Figure;
  /** The raw edges strips lie along. */
  readonly edges: FlangeWish['edges'];
  /** How far inside the finished edge the seam lies that closes it; null where the edge is that seam, turned. */
  readonly closedAt: number | null;
}

/** What a finish comes to round one quilt. */
export interface FinishedEdge {
  readonly finish: EdgeFinish;
  readonly lines: readonly FinishLine[];
  readonly cuts: readonly Cut[];
  readonly bands: readonly EdgeBand[];
}

/** A step as it is told, without what only a step of the top has. */
export interface EdgeStep {
  readonly id: string;
  readonly title: string;
  /** What to pick up, and how it lies. */
  readonly pick: string;
  readonly does: readonly string[];
  /** What usually goes wrong here, and what helps (common practice). */
  readonly wrong: readonly string[];
  /** Where it can hurt; empty where it cannot. */
  readonly cautions: readonly string[];
}

/** How the quilted layers are trimmed before a finish is put on. */
interface Trim {
  /** "batting and backing even with the top" */
  readonly says: string;
}

/**
 * One finish of an edge: a file beside this one, and a line in the registry. What it may stand beside is asked of it by
 * whoever puts finishes together (rule ED-2; common practice).
 */
export interface Finish {
  /** It closes the raw edge by itself; one that does not needs another that does. */
  readonly closes: boolean;
  /** Where the finished edge lies, of one that closes it: where it was trimmed, or at the seam that was turned. */
  readonly ends: 'trimmed' | 'seam';
  /** Why it cannot go with another finish; null when it can. */
  readonly against: (other: EdgeFinish) => string | null;
  /** Why it cannot go round an edge of this shape; null when it can. */
  readonly around: (shape: EdgeShape) => string | null;
}

/** A finish that tells all it is by itself. */
export interface WholeFinish extends Finish {
  /** In a sentence, with when it has to be decided. */
  readonly describes: string;
  /** What of the plan stands against it, besides the shape of the edge. */
  readonly refusals: (plan: Plan, top: FinishAsked['top']) => readonly Problem[];
  readonly plan: (asked: FinishAsked) => FinishedEdge;
  /** Where it needs the layers trimmed otherwise than even; null where it does not. */
  readonly trim: (plan: Plan) => Trim | null;
  /** How far from the edge the quilting has to stop; 0 where it may reach it. */
  readonly quiltingShort: (plan: Plan) => number;
}

/** Why a finish that closes an edge cannot stand beside another: of two that do one is enough. */
export const closesBeside = (name: string, own: EdgeFinish, other: EdgeFinish): string | null =>
  other === own || other === 'piping'
    ? null
    : `${name} closes the edge by itself, and so does ${FINISH_NAMES[other].toLowerCase()}: choose one of the two.`;
