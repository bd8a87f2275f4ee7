/** A text a maker may read, and where it stands. */
export interface Said {
  readonly file: string;
  readonly line: number;
  readonly text: string;
}
export function saidInSource(): Said[];
export function saidIn(file: string, source: string): Said[];
