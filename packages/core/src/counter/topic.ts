import { squaredAgain } from '../cutting/squared.ts';
import type { BiasStrip } from '../edge/bias.ts';
import { type Figure, numberOf } from '../figure/figure.ts';
import type { Slab } from '../layer/slabs.ts';
import { convertLength, type Unit } from '../length/unit.ts';
import { type Plan } from '../plan/shape.ts';
import { blankPlan } from '../plan/start.ts';
import { settingOf } from '../setting/registry.ts';
import { type Allowance, type ShopCut, shopCut } from '../shopping/shop-cut.ts';
import { USUAL, type Usual } from '../usual/lengths.ts';

/** Something a topic asks for, as a flag on the command line or a field on a page. Lengths are in the unit asked in. */
export type Flag = {
  readonly key: string;
  readonly label: string;
} & (
  | {
      readonly type: 'length';
      /** Null: it has to be given. */ readonly start: Usual | null;
      readonly least?: number;
      /** Another flag may be given in its place; the topic says which. */ readonly instead?: true;
    }
  | { readonly type: 'count'; readonly start: number | null }
  | {
      readonly type: 'choice';
      readonly start: string;
      readonly choices: readonly string[];
      /** As each reads in a list. */ readonly names: (choice: string, unit: Unit) => string;
    }
  | { readonly type: 'lengths'; readonly start: readonly number[] }
);

/** Flags as they were understood, by key; a length that was left out and has no start is null. */
export type Given = Readonly<Record<string, number | string | readonly number[] | null>>;

/** One line of an answer. */
export interface AnswerLine {
  readonly what: string;
  readonly figure: Figure;
}

/** What an answer is drawn from, to scale: panels under a quilt, points round it, strips on the cloth that was asked for, or a square cut on the bias. */
export type AnswerDrawn =
  | {
      readonly what: 'strips';
      readonly usable: number;
      readonly bought: number;
      readonly strip: number;
      readonly count: number;
      /** Of the last strip. */ readonly used: number;
    }
  | {
      readonly what: 'bias';
      readonly width: number;
      readonly height: number;
      /** It is cut folded corner to corner. */
      readonly fold: boolean;
      readonly strips: readonly BiasStrip[];
    }
  | {
      readonly what: 'backing';
      readonly width: number;
      readonly height: number;
      readonly overhang: number;
      readonly slabs: readonly Slab[];
    }
  | {
      readonly what: 'points';
      readonly width: number;
      readonly height: number;
      readonly base: number;
      readonly rise: number;
      readonly across: readonly number[];
      readonly down: readonly number[];
    };

/** A quick answer: the contract for scripts, and the same figures with their working for people. */
export interface Answer {
  readonly ok: true;
  /** What to say first: whole strips and a shop cut, or the size. */
  readonly headline: string;
  readonly json: Readonly<Record<string, unknown>>;
  readonly said: readonly AnswerLine[];
  /** Where it takes more than the quilt it would begin. */
  readonly drawn?: AnswerDrawn;
}

/** What is asked of a topic: what was given, the unit, and the seam it is sewn with. */
export interface Question {
  readonly given: Given;
  readonly unit: Unit;
}

/** A question that cannot be answered: which flag is wrong, and what would be right. */
export interface FlagRefusal {
  readonly ok: false;
  readonly flag: string;
  /** What is wrong, without the flag: as it stands beside a field. */
  readonly message: string;
  /** The same in one line, for scripts: "--strip: a binding strip is far narrower than its cloth." */
  readonly line: string;
}

/** A refusal of a flag; `written` is how it stands in the line, where not by its name alone. */
export const wrongFlag = (flag: string, message: string, written = `--${flag}`): FlagRefusal => ({
  ok: false,
  flag,
  message,
  line: `${written}: ${message}`,
});

/** One thing people ask at the counter. */
export interface Topic {
  readonly name: string;
  readonly describes: string;
  readonly flags: readonly Flag[];
  readonly answer: (question: Question) => Answer | FlagRefusal;
  /** A quilt that begins with what was asked. It has been answered, so it can be laid out. */
  readonly quilt: (question: Question) => Plan;
}

/** A length that was given, or its start. The flag has been parsed, so it is a number. */
export const lengthIn = ({ given }: Question, key: string): number => given[key] as number;

/** A quilt that has yet to be set, in this unit: blocks of a size, sashed until something else is asked for. */
export const blankQuilt = (unit: Unit, change: Partial<Plan>): Plan => ({
  ...blankPlan(unit),
  setting: settingOf('sashed').start(unit),
  title: 'From a quick answer',
  ...change,
});

/** A top or a quilt that is there already, of this size; nothing else is asked of it. */
export const wholeOfSize = (
  unit: Unit,
  setting: Extract<Plan['setting'], { kind: 'whole-top' | 'whole-quilt' }>,
): Plan => blankQuilt(unit, { setting, grid: { across: 1, down: 1 } });

/** The quilt whose two sides were given, quilted already: what is asked about is its edge. */
export const quiltAsked = (question: Question): Plan => ({
  ...wholeOfSize(question.unit, {
    kind: 'whole-quilt',
    width: lengthIn(question, 'width'),
    height: lengthIn(question, 'height'),
  }),
});

/** The plan with the usable width of one of its cloths as it was given. */
export const withUsable = (plan: Plan, fabric: string, usableWidth: number): Plan => ({
  ...plan,
  fabrics: plan.fabrics.map((cloth) => (cloth.id === fabric ? { ...cloth, usableWidth } : cloth)),
});

/** What is asked for at a counter besides what is needed: the end squared, nothing washed. */
const counterAllowance = (unit: Unit, strips: number): Allowance => ({
  squaring: USUAL.squaring[unit],
  again: squaredAgain(strips),
  spare: 0,
  shrinkage: 0,
});

/** What to ask for at a counter, for so many strips or a piece in one. */
export const counterCut = (needed: number, unit: Unit, strips = 1): ShopCut =>
  shopCut(needed, counterAllowance(unit, strips), unit);

/** What to ask for, as it is said at the counter, with the length it stands for. */
export function askFor(needed: number, unit: Unit, strips = 1): AnswerLine {
  const cut = counterCut(needed, unit, strips);
  return { what: `Ask for ${cut.text}`, figure: cut.length };
}

/** A count with its noun, and a shop cut: "4 strips, 1/3 yd". */
export const stripsAndCut = (strips: number, needed: number, unit: Unit): string =>
  `${numberOf(strips, 'strip')}, ${counterCut(needed, unit, strips).text}`;

/** Strips as they are cut from what the shop was asked for, selvage to selvage; `length` is what is used of them end to end, joins and all. */
export const stripsDrawn = (
  length: number,
  count: number,
  strip: number,
  usable: number,
  unit: Unit,
): AnswerDrawn => ({
  what: 'strips',
  usable,
  strip,
  count,
  bought: counterCut(count * strip, unit, count).length.value,
  used: Math.min(usable, Math.max(0, length - (count - 1) * usable)),
});

/** A shop cut as it stands in an answer for scripts: always in yards, and in metres too where centimetres were asked for. */
export function shopCutJson(
  needed: number,
  unit: Unit,
  strips = 1,
): { inches: number; yards: string; centimetres?: number; metres?: string } {
  const yards = counterCut(convertLength(needed, unit, 'in'), 'in', strips);
  const metres = counterCut(needed, unit, strips);
  return {
    inches: yards.length.value,
    yards: yards.amount,
    ...(unit === 'cm' ? { centimetres: metres.length.value, metres: metres.amount } : {}),
  };
}

/** The two sides of a quilt, as many topics ask for them. */
export const QUILT_FLAGS: readonly Flag[] = [
  { key: 'width', label: 'Quilt width', type: 'length', start: null },
  { key: 'height', label: 'Quilt height', type: 'length', start: null },
];
/** The quilt those say. */
export const quiltIn = (question: Question): { readonly width: number; readonly height: number } => ({
  width: lengthIn(question, 'width'),
  height: lengthIn(question, 'height'),
});
