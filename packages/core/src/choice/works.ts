/** Kinds of work that take a maker's time, in the order they come. */
export const WORKS = ['measure', 'cut', 'sew', 'press', 'baste', 'quilt', 'bind', 'other'] as const;
export type Work = (typeof WORKS)[number];

/** What each is called, and what its time is counted by. */
export const WORK_WORDS: Readonly<Record<Work, { readonly name: string; readonly per: string }>> = {
  measure: { name: 'Measuring blocks', per: 'block' },
  cut: { name: 'Cutting', per: 'cut' },
  sew: { name: 'Sewing', per: 'seam' },
  press: { name: 'Pressing', per: 'trip to the iron' },
  baste: { name: 'Layering and basting', per: 'square foot' },
  quilt: { name: 'Quilting', per: 'square foot' },
  bind: { name: 'Binding', per: 'foot of edge' },
  other: { name: 'Something else', per: 'sitting' },
};
