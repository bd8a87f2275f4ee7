import { median, quantile } from 'd3-array';
import { type Work, WORK_WORDS, WORKS } from '../choice/works.ts';
import { numberOf } from '../figure/figure.ts';
import type { Unit } from '../length/unit.ts';
import type { Sitting } from './sittings.ts';
import { sayMinutes } from './words.ts';

/** What usual practice takes: minutes for one of what the work is counted by, and by how much makers differ. */
interface Usual {
  readonly minutes: number;
  /** About two makers in three lie between minutes ÷ and × this. */
  readonly factor: number;
}

/** Common practice, from memory: to begin with, until a maker's own sittings say otherwise. */
const USUAL: Readonly<Record<Work, Usual>> = {
  measure: { minutes: 1.5, factor: 1.6 },
  cut: { minutes: 2.5, factor: 1.7 },
  sew: { minutes: 1.2, factor: 1.7 },
  press: { minutes: 3, factor: 1.7 },
  baste: { minutes: 3, factor: 1.7 },
  quilt: { minutes: 12, factor: 2 },
  bind: { minutes: 9, factor: 1.7 },
  other: { minutes: 45, factor: 2 },
};
/** What is usual weighs as much as so many sittings of one's own. */
const USUAL_SITTINGS = 2;
const USUAL_SPREADS = 3;
/** Sittings shorter than this say little about a pace. */
const LEAST_MINUTES = 2;
/** The middle four fifths: the nine-tenths point of the normal curve. */
const Z90 = 1.2815515655;
/** A median deviation, as a standard deviation of a normal curve (Rousseeuw and Croux, 1993). */
const MAD_TO_SIGMA = 1.4826;

/** How fast a maker does one kind of work, on a scale of logarithms: twice as long is as far off as half as long. */
export interface Pace {
  readonly work: Work;
  /** Own sittings it is made of. */
  readonly sittings: number;
  /** Logarithm of minutes for one, its standard deviation from sitting to sitting, and its degrees of freedom. */
  readonly middle: number;
  readonly spread: number;
  readonly freedom: number;
  /** How well the middle itself is known: it counts as so many sittings. */
  readonly weight: number;
  /** Minutes for one: the middle, and where four sittings in five lie. */
  readonly minutes: number;
  readonly low: number;
  readonly high: number;
  /** In the maker's unit: "1.4 min a seam", "129 min a square metre". */
  readonly rate: string;
  /** Where it comes from, and how far sittings differ. */
  readonly says: string;
  /** How it was come by. */
  readonly working: readonly string[];
}

/** How much of a work that is counted by a quilt's size was done on one: square feet or feet; null until it is done. */
export type SizeDone = (quilt: string, work: Work) => number | null;

/**
 * A maker's pace at every kind of work, from sittings of any of their quilts. Where there are none it is what is usual,
 * and says so; each sitting moves it. The middle of the sittings is Hodges and Lehmann's (1963), which one odd evening
 * does not move; their spread the median deviation; both are put together with what is usual as a normal law with unknown
 * mean and variance is (Gelman and others, Bayesian Data Analysis, 3.3).
 *
 * @param unit what it is told in; it is reckoned in feet whatever the unit
 */
export function pacesFrom(
  sittings: readonly Sitting[],
  sizeDone: SizeDone,
  unit: Unit = 'in',
): Readonly<Record<Work, Pace>> {
  const seen = observations(sittings, sizeDone);
  return Object.fromEntries(WORKS.map((work) => [work, paceOf(work, seen[work], unit)])) as Record<
    Work,
    Pace
  >;
}

function paceOf(work: Work, rates: readonly number[], unit: Unit): Pace {
  const usual = USUAL[work];
  const [middle0, spread0] = [Math.log(usual.minutes), Math.log(usual.factor)];
  const logs = rates.map(Math.log);
  const n = logs.length;
  const own = n === 0 ? middle0 : hodgesLehmann(logs);
  const deviation = n < 2 ? 0 : MAD_TO_SIGMA * median(logs.map((log) => Math.abs(log - own)))!;
  const weight = USUAL_SITTINGS + n;
  const middle = (USUAL_SITTINGS * middle0 + n * own) / weight;
  const freedom = USUAL_SPREADS + n;
  const apart = ((USUAL_SITTINGS * n) / weight) * (own - middle0) ** 2;
  const spread = Math.sqrt((USUAL_SPREADS * spread0 ** 2 + n * deviation ** 2 + apart) / freedom);
  const reach = studentT90(freedom) * spread * Math.sqrt(1 + 1 / weight);
  const [minutes, low, high] = [Math.exp(middle), Math.exp(middle - reach), Math.exp(middle + reach)];
  const { one, holds } = WORK_WORDS[work].per[unit];
  const fine = (perFoot: number) => fineMinutes(perFoot * holds);
  const range = `four in five between ${fine(low)} and ${fine(high)}`;
  return {
    ...{ work, sittings: n, middle, spread, freedom, weight, minutes, low, high },
    rate: `${fine(minutes)} min a ${one}`,
    says:
      n === 0
        ? `A usual pace, ${range}. Yours replaces it as you keep time.`
        : `From ${numberOf(n, 'sitting')} of yours; ${range}.`,
    working: [
      `Usual, from memory: ${fine(usual.minutes)} min a ${one}, × or ÷ ${usual.factor}; it weighs as ${USUAL_SITTINGS} sittings`,
      ...(n === 0
        ? []
        : [
            `Yours: the middle of ${numberOf(n, 'sitting')} is ${fine(Math.exp(own))} min (Hodges and Lehmann)`,
            `Together: ${fine(usual.minutes)} and ${fine(Math.exp(own))} weighed ${USUAL_SITTINGS} to ${n} = ${fine(minutes)} min a ${one}`,
          ]),
      `Four sittings in five: ${fine(low)} to ${fine(high)} min`,
    ],
  };
}

const fineMinutes = (minutes: number): string =>
  minutes < 10 ? String(Math.round(minutes * 10) / 10) : sayMinutes(minutes).replace(/ min$/, '');

/** The middle of the means of all pairs. Of a long list every so manieth pair does. */
export function hodgesLehmann(values: readonly number[]): number {
  const few =
    values.length <= 200 ? values : values.filter((_, i) => i % Math.ceil(values.length / 200) === 0);
  const means = few.flatMap((a, i) => few.slice(i).map((b) => (a + b) / 2));
  return quantile(means, 0.5)!;
}

/** The nine-tenths point of Student's curve (Abramowitz and Stegun, 26.7.5). */
export function studentT90(freedom: number): number {
  const z = Z90;
  const terms = [
    (z ** 3 + z) / 4,
    (5 * z ** 5 + 16 * z ** 3 + 3 * z) / 96,
    (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / 384,
  ];
  return terms.reduce((sum, term, i) => sum + term / freedom ** (i + 1), z);
}

/** Minutes for one, of every sitting that says. What is sewn and pressed in one sitting shares its time as is usual. */
function observations(sittings: readonly Sitting[], sizeDone: SizeDone): Record<Work, number[]> {
  const seen = Object.fromEntries(WORKS.map((work) => [work, [] as number[]])) as Record<Work, number[]>;
  const whole = new Map<string, { minutes: number; work: Work; amount: number }>();
  for (const { work, minutes, did, quilt, struck } of sittings) {
    if (struck || minutes < LEAST_MINUTES) continue;
    if (did.said !== null) seen[work].push(minutes / did.said);
    else if (work === 'sew' || work === 'press') {
      const usual = did.seams * USUAL.sew.minutes + did.presses * USUAL.press.minutes;
      if (usual === 0) continue;
      if (did.seams > 0) seen.sew.push((USUAL.sew.minutes * minutes) / usual);
      if (did.presses > 0) seen.press.push((USUAL.press.minutes * minutes) / usual);
    } else if (work === 'cut' && did.cuts > 0) seen.cut.push(minutes / did.cuts);
    else if (work === 'measure' && did.blocks > 0) seen.measure.push(minutes / did.blocks);
    else if (work === 'other') seen.other.push(minutes);
    else if (work === 'baste' || work === 'quilt' || work === 'bind') {
      const amount = sizeDone(quilt, work);
      if (amount === null) continue;
      const key = `${work} ${quilt}`;
      whole.set(key, { work, amount, minutes: (whole.get(key)?.minutes ?? 0) + minutes });
    }
  }
  // A whole quilt is one sitting of its kind, however many evenings it took.
  for (const { work, minutes, amount } of whole.values()) seen[work].push(minutes / amount);
  return seen;
}
