/** A word of the trade as this program uses it. */
export interface Term {
  readonly term: string;
  readonly means: string;
  /** The rule of docs/trade-rules.md behind it, where there is one. */
  readonly rule?: string;
  /** What else the same thing might be called, and is not: one thing, one name. */
  readonly not?: readonly string[];
}

/** One thing, one name; one name, one thing (common practice; British spelling, the trade's own words). */
export const TERMS: readonly Term[] = [
  {
    term: 'cloth',
    means: 'What is cut: a length, a fat quarter, a leftover.',
    not: ['fabric', 'fabrics', 'material'],
  },
  { term: 'usable width', means: 'A cloth’s width without its selvages.' },
  {
    term: 'upright',
    means: 'From top to bottom of the quilt: a sash, a seam.',
    not: ['vertical', 'vertically'],
  },
  { term: 'level', means: 'From side to side of the quilt.', not: ['horizontal', 'horizontally'] },
  { term: 'version', means: 'A quilt as it was, kept to go back to.', not: ['snapshot', 'snapshots'] },
  { term: 'long-arm service', means: 'Who quilts a top on a frame for others.', not: ['finishing service'] },
  { term: 'journal', means: 'What happened to a quilt, in its order. As a table it is the log.' },
  {
    term: 'overhang',
    means: 'How far backing and batting reach past the top.',
    rule: 'BK-2',
    not: ['stands over', 'standing over'],
  },
  { term: 'spare', means: 'Blocks that are in no place.' },
  { term: 'left over', means: 'Cloth that remains when all is cut.' },
  { term: 'press', means: 'With an iron, straight down. A screen is tapped or clicked.', rule: 'SW-3' },
  {
    term: 'build up',
    means: 'To bring a small block to size with strips round it.',
    rule: 'BL-4',
    not: ['frame it with strips'],
  },
  {
    term: 'in turn',
    means: 'Several cloths, one after the other along the pieces of a job.',
    not: ['by turns'],
  },
  {
    term: 'stack',
    means: 'Cut pieces of one kind, in the order they are sewn. Blocks lie on the pile.',
    not: ['slips for the piles'],
  },
  { term: 'phone', means: 'What is held over a block.', not: ['telephone', 'smartphone'] },
  { term: 'toward', means: 'Which way a seam is pressed.', not: ['towards'] },
  {
    term: 'float',
    means: 'What lies between the points of blocks and the edge they would touch.',
    rule: 'ST-5',
  },
  { term: 'nest', means: 'Two seams that cross and lie opposite ways fit into one another.', rule: 'SW-3' },
  { term: 'ease', means: 'To sew a longer edge to a shorter one without a pleat.', rule: 'SW-7' },
  { term: 'half drop', means: 'Every other column lower by half a block.', rule: 'ST-13' },
  { term: 'flange', means: 'A folded strip that shows a thin line inside the binding.', rule: 'FL-1' },
  { term: 'prairie points', means: 'Folded triangles along the edge.', rule: 'PP-1' },
  { term: 'coping strip', means: 'A strip that builds a small block up.', rule: 'BL-4' },
  { term: 'cornerstone', means: 'The square where sashes meet.', rule: 'ST-2' },
  { term: 'bias', means: 'At 45° to the threads, where cloth stretches.', rule: 'BI-1' },
  { term: 'selvage', means: 'The woven edge along a cloth’s sides.', not: ['selvedge'] },
  { term: 'pieced border', means: 'A border sewn of units instead of whole strips.', rule: 'PB-1' },
  { term: 'sawtooth', means: 'Half-square units all turned one way.', rule: 'PB-1' },
  {
    term: 'flying geese',
    means: 'Triangles half as high as they are wide, one behind the other.',
    rule: 'PB-1',
  },
  { term: 'piano keys', means: 'Bars in turn, as deep as the border.', rule: 'PB-1' },
  { term: 'half-square unit', means: 'A square of two triangles.', rule: 'PB-3' },
  { term: 'quarter-square unit', means: 'A square of four triangles.', rule: 'PB-3' },
  { term: 'crosscut', means: 'Cut across strips that are sewn together.', rule: 'PB-4' },
  {
    term: 'rotate',
    means: 'What a block does on the wall, by quarters. A fold or an edge is turned.',
    not: ['turn a quarter', 'turned a quarter', 'turned half round', 'turned differently'],
  },
  {
    term: 'reading',
    means: 'What a tape or a ruler said once.',
    not: ['measured places'],
  },
  { term: 'spacer', means: 'A border so wide that the next one’s repeat comes out even.', rule: 'BO-7' },
  {
    term: 'web',
    means: 'Units chained column by column, so that rows hang together by their threads.',
    rule: 'SW-5',
  },
];
