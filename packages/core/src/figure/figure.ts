/** A value together with how it was come by. Whatever shows the value can show the working. */
export interface Figure {
  readonly value: number;
  readonly kind: 'length' | 'count' | 'money';
  /** Lines a quilter can check with a pencil; lengths in the plan's unit, fractions as `1 1/2`. */
  readonly working: readonly string[];
}

/** A length in the plan's unit, with its working. */
export const lengthOf = (value: number, ...working: string[]): Figure => ({ value, kind: 'length', working });

/** A whole number of things, with its working. */
export const countOf = (value: number, ...working: string[]): Figure => ({ value, kind: 'count', working });

/**
 * A count with its noun, for workings: `1 strip`, `6 strips`.
 *
 * @example
 * numberOf(1, 'block'); // '1 block'
 * numberOf(3, 'patch', 'patches'); // '3 patches'
 */
export const numberOf = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;
