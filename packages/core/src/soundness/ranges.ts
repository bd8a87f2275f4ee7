/** Between what a length makes sense. */
export interface Range {
  /** As it opens a sentence. */
  readonly what: string;
  /** Inches; shown and checked in the plan's unit. */
  readonly least: number;
  readonly most: number;
}

/**
 * The sizes between which a length makes sense at a cutting table (common practice, generously drawn).
 * They catch a slipped decimal point, not an unusual quilt.
 */
export const RANGES = {
  seam: { what: 'A seam allowance', least: 1 / 16, most: 1 },
  squaring: { what: 'What squaring an end takes', least: 0, most: 4 },
  block: { what: 'A block', least: 1, most: 60 },
  measured: { what: 'A measured block', least: 1, most: 62 },
  /** Five metres a side: no quilt is (common practice; the largest beds ask for three). */
  finished: { what: 'A quilt', least: 1, most: 200 },
  border: { what: 'A border', least: 1 / 4, most: 30 },
  key: { what: 'A piano key', least: 1 / 2, most: 12 },
  repeat: { what: 'A repeat', least: 1 / 2, most: 40 },
  top: { what: 'A measured top', least: 2, most: 220 },
  drop: { what: 'A drop or tuck', least: 0, most: 40 },
  depth: { what: 'A mattress', least: 1, most: 30 },
  target: { what: 'A target', least: 4, most: 200 },
  overhang: { what: 'A backing’s overhang', least: 0, most: 12 },
  piece: { what: 'A piece of batting', least: 2, most: 200 },
  roll: { what: 'A roll’s width', least: 20, most: 130 },
  made: { what: 'A measured backing', least: 4, most: 300 },
  spacing: { what: 'The distance of quilting lines', least: 1 / 4, most: 20 },
  radius: { what: 'A shaped corner', least: 1 / 2, most: 60 },
  cutOut: { what: 'A corner that is cut out', least: 1, most: 40 },
  scallopWidth: { what: 'A scallop', least: 2, most: 24 },
  scallopDepth: { what: 'A scallop’s depth', least: 1 / 4, most: 8 },
  around: { what: 'A measured edge', least: 8, most: 900 },
  visible: { what: 'What shows of a flange', least: 1 / 16, most: 2 },
  facing: { what: 'A facing strip', least: 1, most: 12 },
  selfBinding: { what: 'What shows of a self-binding', least: 1 / 8, most: 2 },
  sleeve: { what: 'A sleeve', least: 1, most: 12 },
  cord: { what: 'A cord', least: 1 / 32, most: 1 },
  pointSquare: { what: 'A square for a prairie point', least: 1, most: 12 },
  pointOverlap: { what: 'An overlap', least: 0, most: 8 },
  opening: { what: 'An opening to turn through', least: 3, most: 20 },
  leftover: { what: 'A leftover’s width', least: 1 / 2, most: 130 },
  leftoverLength: { what: 'A leftover’s length', least: 2, most: 300 },
  overLong: { what: 'What is cut over-long', least: 0, most: 12 },
  start: { what: 'Where a binding begins', least: 0, most: 220 },
  strip: { what: 'A binding strip', least: 1, most: 6 },
  bindingSeam: { what: 'A binding’s seam', least: 1 / 8, most: 2 },
  usable: { what: 'A cloth’s usable width', least: 8, most: 130 },
} satisfies Record<string, Range>;
