import {
  computingAgain,
  type Layout,
  layOut,
  layOutAgain,
  type Plan,
  type Quilt,
  toTheEnd,
} from '@lattice/core';

/** What was worked out last. A quilt is open alone: more is never asked for again. */
let laid: { readonly plan: Plan; readonly layout: Layout } | null = null;
let known: { readonly plan: Plan; readonly quilt: Quilt } | null = null;

/** The layout of a plan, once; where no piece moved since the last one, the very same. */
export function layoutOf(plan: Plan): Layout {
  if (laid?.plan !== plan) laid = { plan, layout: laid ? layOutAgain(plan, laid) : layOut(plan) };
  return laid.layout;
}

/** Everything worked out from a plan, once. */
export function quiltOf(plan: Plan): Quilt {
  if (known?.plan !== plan) known = { plan, quilt: toTheEnd(computingAgain(plan, layoutOf(plan), known)) };
  return known.quilt;
}

/** Lets whatever waits have its turn: a hand, a frame. */
const aMoment = () => new Promise((resolve) => setTimeout(resolve));

/**
 * Works a plan out in parts, with whatever waits let through in between, so that it is known when it is asked for.
 *
 * @param signal gives up: there is a later plan
 */
export async function workOutCalmly(plan: Plan, signal: AbortSignal): Promise<void> {
  if (known?.plan === plan) return;
  const parts = computingAgain(plan, layoutOf(plan), known);
  for (;;) {
    await aMoment();
    if (signal.aborted) return;
    const { done, value } = parts.next();
    if (done) {
      known = { plan, quilt: value };
      return;
    }
  }
}
