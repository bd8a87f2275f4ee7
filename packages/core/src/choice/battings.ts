/** A kind of batting, as far as it decides how a quilt lies and how it has to be quilted. */
export interface Fibre {
  readonly name: string;
  /** Thickness once quilted, in inches (from memory): what a binding has to wrap round. */
  readonly loft: number;
  /** The farthest apart its quilting may be, in inches (from memory; the package has the last word). */
  readonly spacing: number;
  /** What a first wash takes of a quilt with it, as shares from the least to the most (rule QL-2; from memory). */
  readonly wash: { readonly least: number; readonly most: number };
  /** How it lies and wears (rule BT-2: cotton lies flat, poly blends puff; the rest from memory). */
  readonly says: string;
}

/** The battings to choose from. */
export const FIBRES = {
  cotton: {
    name: 'Cotton',
    wash: { least: 0.03, most: 0.05 },
    loft: 1 / 16,
    spacing: 8,
    says: 'Lies flat and drapes; shrinks a little when washed, which crinkles the quilt.',
  },
  'cotton-poly': {
    name: 'Cotton and polyester',
    wash: { least: 0.02, most: 0.03 },
    loft: 1 / 8,
    spacing: 8,
    says: 'Puffs a little and shrinks less than cotton.',
  },
  wool: {
    name: 'Wool',
    wash: { least: 0.01, most: 0.03 },
    loft: 3 / 16,
    spacing: 4,
    says: 'Light, warm and springy; quilting stands out. Wash it cool.',
  },
  polyester: {
    name: 'Polyester',
    wash: { least: 0, most: 0.01 },
    loft: 1 / 4,
    spacing: 4,
    says: 'Puffs most, and is light. Press it cool: it melts.',
  },
} as const satisfies Record<string, Fibre>;

export type FibreId = keyof typeof FIBRES;
/** Their ids, in the order they are offered. */
export const FIBRE_IDS = Object.keys(FIBRES) as [FibreId, ...FibreId[]];

/** Colours batting comes in. */
export const BATTING_COLOURS = ['natural', 'white', 'dark'] as const;

/** Where batting comes from. */
const BATTING_WAYS = ['pieces', 'package', 'roll', 'joined'] as const;
export type BattingWay = (typeof BATTING_WAYS)[number];
/** What a quilter can choose: a source, or whichever is best. */
export const BATTING_CHOICES = ['best', ...BATTING_WAYS] as const;
