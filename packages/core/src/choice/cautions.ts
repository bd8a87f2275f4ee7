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
  rest: 'Rest eyes, neck and hands now and then; switch the machine off to change a needle.',
  spray: 'Basting spray only with a window open and no flame near.',
  pins: 'Count the pins in and out again; in a child’s quilt none may stay.',
  glue: 'Glue that is ironed gives off fumes: open a window.',
  sleep:
    'A quilt is no bedding for a baby: follow local safe-sleep advice, which keeps loose covers out of a cot, and product-safety law.',
  labels: 'Pinned on, a label comes off with its pin: count both before the block is sewn.',
  floor: 'On the floor or a ladder mind knees and balance.',
  baby: 'On a quilt for a baby sew every point down firmly, and follow local safe-sleep advice and product-safety law.',
} as const;
