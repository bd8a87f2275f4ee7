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

/** A stage as something outside has it: what is none of ours, of an app that knows more, is none. */
export const stageOf = (text: string): Stage | '' => STAGES.find((stage) => stage === text) ?? '';
