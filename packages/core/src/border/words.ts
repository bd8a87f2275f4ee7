import { PIECED_NAMES } from '../choice/pieced-borders.ts';
import type { Border } from './border.ts';

/** What a border is pieced of, after its width: " (sawtooth)"; nothing where it is of one cloth. */
export const piecedSays = ({ pieced }: Pick<Border, 'pieced'>): string =>
  pieced ? ` (${PIECED_NAMES[pieced.kind].toLowerCase()})` : '';
