import { type Cut, cutOf } from '../../src/cut/cut.ts';
import { type CutLine, linesOf } from '../../src/cut/line.ts';
import { countOf, lengthOf } from '../../src/figure/figure.ts';

/** Rectangles to cut: `width` by `length`, so many times. */
export interface Rectangles extends Partial<Pick<Cut, 'name' | 'grain' | 'joins' | 'oneWay'>> {
  readonly width: number;
  readonly length: number;
  readonly count: number;
}

let made = 0;

/** One line of a cutting list, named by whatever is said of it. */
export function lineOf({ width, length, count, name = `Pieces of ${length}`, ...more }: Rectangles): CutLine {
  const cut = cutOf({
    id: `cut-${++made}`,
    // Of the edge each cut has a line by itself, under its own name.
    owner: 'edge',
    role: 'sash',
    name,
    fabric: 'sash',
    use: { what: 'sash' },
    size: { shape: 'rectangle', width: lengthOf(width), length: lengthOf(length) },
    count: countOf(count),
    ...more,
  });
  return linesOf([cut], () => 'none')[0]!;
}
