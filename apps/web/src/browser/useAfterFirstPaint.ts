import { useDeferredValue } from 'react';

/**
 * False while something is first drawn, true right after it stands: what may follow the drawing is put together in
 * slices behind it, so that a quilt is seen before its figures are worked out.
 */
export const useAfterFirstPaint = (): boolean => useDeferredValue(true, false);
