/** What practised hands know, each said at the step it helps (common practice). */
export const TIPS = {
  wash: 'Wash all the cloths of a quilt or none. Test strong reds, blues and blacks first: lay a wet white scrap on them and see whether it takes colour.',
  ruler: 'Trust the ruler, not the lines of the mat.',
  elbow:
    'A strip with an elbow was cut over a kinked fold: square the end again, cut the strip at its kink and join it, or use it for short pieces.',
  starch: 'Starch it and let it dry before it is cut: edges on the bias stretch.',
  joins:
    'At 45° joins, tape laid on the machine bed in front of the needle keeps the line without marking; keep your eye on it, not on the needle. Lay the whole strip out flat and look for a twist before a join is pressed.',
  stayWhole:
    'Whole cornerstones stand over the edge: stay-stitch just inside the line before they are trimmed, for the cut leaves bias.',
  stayHalved:
    'Halved cornerstones leave bias at the edge: stay-stitch it, and handle it little until the border is on.',
  topEdge: 'Mark the top edge of the backing and of the top with a pin, where anything has a right way up.',
  walking: 'A walking foot keeps three layers from creeping.',
  label:
    'A label goes on the back, in a lower corner: two of its sides lie under the binding’s fold if it is laid on before that is sewn down.',
  faceDown:
    'Lay finished rows face down on one another: then the first lies on top when they are turned over.',
} as const;
