import { createContext, use } from 'react';

/** How many units one pixel takes where that is known; null in a drawing that is scaled by its own box. */
export const Pixel = createContext<number | null>(null);

type Stroked = Pick<React.SVGProps<SVGPathElement>, 'strokeWidth' | 'strokeDasharray' | 'vectorEffect'>;

/**
 * Strokes that stay so many pixels wide at any scale, dashes too. Where the scale is known they are given in units: a
 * stroke that the browser keeps from scaling is laid out anew for every piece each time a drawing changes.
 */
export function useStroked(): (width: number, dashes?: readonly number[]) => Stroked {
  const pixel = use(Pixel);
  return (width, dashes) => ({
    strokeWidth: width * (pixel ?? 1),
    ...(dashes && { strokeDasharray: dashes.map((dash) => dash * (pixel ?? 1)).join(' ') }),
    ...(pixel === null && { vectorEffect: 'non-scaling-stroke' }),
  });
}
