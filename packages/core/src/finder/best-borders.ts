import { howManyCover, howManyFit } from '../length/tolerance.ts';
import {
  type BorderTotal,
  costsOf,
  type SearchScale,
  type Lengths,
  type Shape,
  weigh,
  WIDEST_SHARE,
} from './score.ts';

/** Border totals a search may choose, in ruler steps: none at all, or from `least` to `most` on both sides and ends. */
export interface BorderSteps {
  readonly least: number;
  readonly most: number;
  readonly even: boolean;
}

/** The totals a request allows. */
export function borderSteps({ request: { borders } }: SearchScale, step: number): BorderSteps {
  const least = Math.max(1, howManyCover(borders.least, step));
  const most = borders.count === 0 ? -1 : howManyFit(borders.most, step);
  return { least, most, even: borders.even };
}

/**
 * The border totals of least score round a centre, on the ruler. The score is made of pieces that are
 * straight in the sides for given ends, and the other way round, broken where the target is hit, where
 * a border grows wider than the block, and where sides and ends are alike. So its least lies where both
 * are at such a break, or where they are alike; along alike ones it is either bowed upward, and downhill
 * leads to its least, or bowed downward between breaks. Of equal ones the narrower is kept.
 */
export function bestBorders(
  scale: SearchScale,
  shape: Shape,
  lengths: Lengths,
  centre: { width: number; height: number },
  steps: BorderSteps,
  step: number,
  look: () => void,
): { border: BorderTotal; score: number } {
  const { request, block } = scale;
  const scoreAt = (sides: number, ends: number) => {
    look();
    return weigh(costsOf(scale, shape, lengths, centre, { sides: sides * step, ends: ends * step }), request);
  };
  let best = { sides: 0, ends: 0, score: scoreAt(0, 0) };
  const take = (sides: number, ends: number) => {
    const score = scoreAt(sides, ends);
    if (score < best.score || (score === best.score && sides + ends < best.sides + best.ends))
      best = { sides, ends, score };
    return score;
  };
  const { least, most } = steps;
  if (most >= least) {
    const wide = Math.min(block.width, block.height) / WIDEST_SHARE[request.borders.count]!;
    const breaks = (missing: number | null) => {
      const at = [wide, ...(missing === null ? [] : [missing / 2])].flatMap((width) => [
        howManyFit(width, step),
        howManyCover(width, step),
      ]);
      return [...new Set([least, most, ...at].map((s) => Math.min(most, Math.max(least, s))))];
    };
    const { target } = request;
    const sides = breaks(target && target.width - centre.width);
    const ends = breaks(target && target.height - centre.height);
    if (!steps.even) for (const s of sides) for (const e of ends) if (s !== e) take(s, e);
    let low = { at: least, score: Infinity };
    for (const alike of new Set([...sides, ...ends])) {
      const score = take(alike, alike);
      if (score < low.score) low = { at: alike, score };
    }
    if (request.weights.fabric > (target ? 0 : request.weights.size)) {
      for (const way of [-1, 1]) {
        let there = low.score;
        for (let next = low.at + way; next >= least && next <= most; next += way) {
          const score = take(next, next);
          if (score > there) break;
          there = score;
        }
      }
    }
  }
  return { border: { sides: best.sides * step, ends: best.ends * step }, score: best.score };
}
