/** Why something cannot be, in the quilter's words, and where it stands: in a plan, or among what was asked. */
export interface Problem {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

/** What was wished for, or why it cannot be had. A wish is never refused by throwing: that is for faults of ours. */
export type Granted<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

/** A wish that is granted. */
export const granted = <T>(value: T): Granted<T> => ({ ok: true, value });

/** A wish that is not, and why. */
export const refused = (message: string): Granted<never> => ({ ok: false, message });
