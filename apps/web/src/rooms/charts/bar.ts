/** A part of a bar: how much, how that is said, and its colour where it has one of its own. */
interface BarPart {
  readonly value: number;
  readonly says: string;
  readonly colour?: string;
}
/** One bar: what of, and its parts end to end. */
export interface OneBar {
  readonly name: string;
  readonly parts: readonly BarPart[];
}
