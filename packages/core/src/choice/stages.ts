/** The stages of the work, in their order (rule WK-1). */
export const STAGES = [
  'blocks',
  'setting',
  'wall',
  'borders',
  'layers',
  'edge',
  'cut',
  'sew',
  'journal',
] as const;
export type Stage = (typeof STAGES)[number];
