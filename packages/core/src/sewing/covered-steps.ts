/** Three layers at every seam of blocks that are quilted already (rule ST-8), by what is covered. */
export const COVERED_STEPS = {
  sash: [
    'The back strip to both blocks, right sides together, on the back; press it flat.',
    'Lay the batting in the gap, cut back before the ends; glue the folded strip over it from the front and set the glue with the iron.',
    'Stitch both edges of the strip down through all layers.',
  ],
  strip: [
    'The back strip to both rows, marks of the strip to the sashes of both; press it flat.',
    'Batting into the gap, the folded strip glued over it, its marks on the sashes; set the glue with the iron.',
    'Stitch both edges down; begin the crosses of the quilting grid in the middle of each crossing.',
  ],
} as const;
