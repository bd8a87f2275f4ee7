import type { Figure } from '../figure/figure.ts';
import type { Unit } from '../length/unit.ts';
import { shopCut } from '../shopping/shop-cut.ts';

/** Something a topic asks for, as a flag on the command line or a field on a page. Lengths are in the unit asked in. */
export type Flag = {
  readonly key: string;
  readonly label: string;
} & (
  | { readonly type: 'length'; /** Null: it has to be given, or another flag in its place. Inches; shown and used in the unit asked in. */ readonly start: number | null; readonly least?: number }
  | { readonly type: 'count'; readonly start: number | null }
  | { readonly type: 'choice'; readonly start: string; readonly choices: readonly string[] }
  | { readonly type: 'lengths'; readonly start: readonly number[] }
);

/** Flags as they were understood, by key; a length that was left out and has no start is null. */
export type Given = Readonly<Record<string, number | string | readonly number[] | null>>;

/** One line of an answer. */
export interface Said {
  readonly what: string;
  readonly figure: Figure;
}

/** A quick answer: the contract for scripts, and the same figures with their working for people. */
export interface Answer {
  readonly json: Readonly<Record<string, unknown>>;
  readonly said: readonly Said[];
}

/** What is asked of a topic: what was given, the unit, and the seam it is sewn with. */
export interface Question {
  readonly given: Given;
  readonly unit: Unit;
}

/** One thing people ask at the counter. Its answer may be a refusal: one line that says which flag, and what would be right. */
export interface Topic {
  readonly name: string;
  readonly describes: string;
  readonly flags: readonly Flag[];
  readonly answer: (question: Question) => Answer | string;
}

/** A length that was given, or its start. The flag has been parsed, so it is a number. */
export const lengthIn = ({ given }: Question, key: string): number => given[key] as number;

/** A shop cut as it stands in an answer for scripts. */
export function shopCutJson(needed: number, unit: Unit): { inches: number; yards: string } | { centimetres: number; metres: string } {
  const { length, amount } = shopCut(needed, unit);
  return unit === 'in' ? { inches: length.value, yards: amount } : { centimetres: length.value, metres: amount };
}
