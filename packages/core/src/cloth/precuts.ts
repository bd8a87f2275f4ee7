import type { Unit } from '../length/unit.ts';

/** Cloth as it is sold cut already, usable (rule PC-1; common practice). */
export const PRECUTS = {
  'fat-quarter': { name: 'Fat quarter', size: { in: [21, 17.5], cm: [53, 45] } },
  'fat-eighth': { name: 'Fat eighth', size: { in: [21, 8.5], cm: [53, 22] } },
  strip: { name: 'Strip, 2½″', size: { in: [40, 2.5], cm: [102, 6.35] } },
  'square-10': { name: 'Square, 10″', size: { in: [10, 10], cm: [25.4, 25.4] } },
  'square-5': { name: 'Square, 5″', size: { in: [5, 5], cm: [12.7, 12.7] } },
} as const satisfies Record<
  string,
  { readonly name: string; readonly size: Readonly<Record<Unit, readonly [width: number, length: number]>> }
>;
export type PrecutId = keyof typeof PRECUTS;
/** Their ids, the largest first. */
export const PRECUT_IDS = Object.keys(PRECUTS) as [PrecutId, ...PrecutId[]];
