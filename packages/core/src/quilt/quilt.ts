import type { Size } from '../border/sizes.ts';
import type { CutLine } from '../cut/line.ts';
import type { JoinLine } from '../cutting/join-lines.ts';
import type { Edge } from '../edge/edge.ts';
import type { Layers } from '../layer/layers.ts';
import type { Layout } from '../layout/lay-out.ts';
import type { RotationCounts } from '../layout/orientation.ts';
import type { Pile } from '../pile/pile.ts';
import type { FabricCut } from '../shopping/buy.ts';
import type { TargetComparison } from '../target/compare.ts';
import type { TargetSize } from '../target/size.ts';
import type { Advice } from './advice.ts';

/** Everything worked out from a plan. The drawing, the lists, print and the command line all read this. */
export interface Quilt {
  readonly layout: Layout;
  /** What the top comes to: as planned, or as far as it was measured, from there. */
  readonly finished: Size;
  readonly lies: RotationCounts;
  /** The cutting list: pieces of the top, and what layers and edge have cut besides. */
  readonly pieces: readonly CutLine[];
  readonly besides: readonly CutLine[];
  /** Null for blocks that are quilted already: every piece has a back of its own. */
  readonly layers: Layers | null;
  readonly edge: Edge;
  readonly fabrics: readonly FabricCut[];
  /** Where strips longer than their fabric is wide are joined. */
  readonly joins: readonly JoinLine[];
  readonly target: (TargetSize & { readonly against: TargetComparison }) | null;
  readonly pile: Pile;
  readonly advice: readonly Advice[];
}
