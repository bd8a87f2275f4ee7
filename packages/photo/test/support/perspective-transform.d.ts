declare module 'perspective-transform' {
  /** Corner by corner: x0, y0, x1, y1, … of the one and of the other. */
  export default function PerspT(
    from: readonly number[],
    to: readonly number[],
  ): { transform(x: number, y: number): [number, number] };
}
