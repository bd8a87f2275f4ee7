import { createContext } from 'react';

/** Parts that are pointed at: their cloth is drawn lit, which costs nothing where a second drawing over it would. */
export const LitParts = createContext<readonly string[]>([]);
