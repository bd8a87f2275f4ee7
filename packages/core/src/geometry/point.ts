/** A point on the quilt's plane: x to the right, y down, in the plan's unit, from the quilt's top left corner. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A point by its two figures. */
export const at = (x: number, y: number): Point => ({ x, y });
