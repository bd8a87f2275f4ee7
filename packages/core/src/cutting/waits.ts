import { group } from 'd3-array';
import { capital } from '../figure/many.ts';
import { isMeasuredBothWays } from '../border/sizes.ts';
import type { CutLine } from '../cut/line.ts';
import { borderIndex } from '../plan/fabric-use.ts';
import type { Plan } from '../plan/shape.ts';

/** What a piece waits for before it is cut to length, and what is risked by cutting it now. */
export interface Wait {
  /** The round it is cut in: 1 once the centre is measured, 2 once the quilt is trimmed. */
  readonly round: 1 | 2;
  /** "the centre is measured" */
  readonly until: string;
  readonly risk: string;
}

/**
 * What a line of the cutting list waits for; null where it can be cut now (rule CU-5, common
 * practice: the centre never comes out at its theoretical size, so borders are cut when it is measured). Widths never wait: corner
 * squares and strips that are joined first can be cut at once.
 */
export function waitOf(plan: Plan, { role, use }: Pick<CutLine, 'role' | 'use'>): Wait | null {
  if (role === 'border' && use.what === 'border') {
    const inside = borderIndex(plan, use.border);
    // Over-long, it is trimmed to whatever the top comes to.
    if (
      plan.overLong.borders > 0 ||
      plan.measured.some((top) => top.borders === inside && isMeasuredBothWays(top))
    )
      return null;
    const what =
      inside === 0 ? 'the centre' : `the top with ${inside === 1 ? 'its first border' : `${inside} borders`}`;
    return {
      round: 1,
      until: `${what} is measured`,
      risk: `A top seldom comes out as planned. Cut to length now, this border may be short, or ripple; wait until ${what} is measured.`,
    };
  }
  const goesRound =
    role === 'binding' ||
    role === 'binding-flange' ||
    role === 'flange' ||
    role === 'prairie-point' ||
    role === 'facing' ||
    role === 'piping';
  if (!goesRound || plan.edge.around !== null) return null;
  return {
    round: 2,
    until: 'the quilt is trimmed and measured round',
    risk: 'How far it is round is only known when the quilt is trimmed: cut now, there may be a strip too few or too many.',
  };
}

/** Which lines wait until something is measured, and in words what is risked by cutting them now. */
export interface Waiting {
  readonly lines: ReadonlySet<string>;
  readonly says: readonly string[];
}

/** What of a cloth waits: lines that wait for the same are told in one sentence (rule CU-5). */
export function waitingOf(
  plan: Plan,
  lines: readonly Pick<CutLine, 'id' | 'name' | 'role' | 'use'>[],
): Waiting {
  const waits = lines.flatMap((line) => {
    const wait = waitOf(plan, line);
    return wait ? [{ line, key: `wait until ${wait.until}: ${wait.risk}` }] : [];
  });
  const told = group(waits, ({ key }) => key);
  return {
    lines: new Set(waits.map(({ line }) => line.id)),
    says: [...told].map(([says, those]) => {
      const names = those.map(({ line }) => line.name.toLowerCase()).join(', ');
      return `${capital(names)} ${says}`;
    }),
  };
}
