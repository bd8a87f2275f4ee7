/** Ways of making a backing wide enough. */
export const BACKING_WAYS = ['vertical', 'horizontal', 'wide', 'stripe'] as const;
export type BackingWay = (typeof BACKING_WAYS)[number];

/** What a quilter can choose: a way, or whichever is best. */
export const BACKING_CHOICES = ['best', ...BACKING_WAYS] as const;

/** Ways of marking a top for quilting at home. */
export const MARKINGS = ['ditch', 'grid', 'even', 'diagonal'] as const;
export type Marking = (typeof MARKINGS)[number];

/** As they read in a list. */
export const MARKING_NAMES: Readonly<Record<Marking, string>> = {
  ditch: 'Along the seams',
  grid: 'Grid, level and upright',
  even: 'Grid, sides divided evenly',
  diagonal: 'Grid, on the diagonal',
};

/** How the seams of a backing run, in words. */
export const SEAM_NAMES = {
  none: 'no seam',
  vertical: 'upright seams',
  horizontal: 'level seams',
} as const;
