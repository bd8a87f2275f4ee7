/**
 * Where the work can hurt, in the trade's usual words (rule CT-1); each said once to a page, by screen, paper and file
 * alike. Makers' instructions and local rules come first.
 */
export const CAUTIONS = {
  blade:
    'Cut away from yourself, the other hand flat on the ruler and clear of its edge; a backing that grips keeps a ruler from slipping. Close the blade whenever you put it down, change a dull one, and keep children and pets away from it.',
  iron: 'The iron is hot: lift it and set it down, keep it off fingers and synthetic batting, and turn it off when you leave it.',
  needle:
    'Take pins out before the needle reaches them; fingers clear of the foot. Makers’ instructions come first.',
  rest: 'Rest neck and hands now and then.',
  spray: 'Basting spray only with a window open and no flame near.',
  pins: 'Count the pins in and out again; in a child’s quilt none may stay.',
  glue: 'Glue that is ironed gives off fumes: open a window.',
  baby: 'On a quilt for a baby sew every point down firmly, and follow local safe-sleep advice and product-safety law.',
} as const;
