/** What a part of the top is called. */
export interface PartName {
  /** "the sash row below row 1" */
  readonly the: string;
  /** What it is one of: "sash row"; parts of one kind may be of several sizes. */
  readonly kind: string;
}
