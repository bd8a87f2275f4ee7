/** Shapes a quilt's edge can have. */
export const EDGE_SHAPES = ['square', 'rounded', 'clipped', 'posts', 'scalloped'] as const;
export type EdgeShape = (typeof EDGE_SHAPES)[number];

/** As they read on a card. */
export const EDGE_SHAPE_NAMES: Readonly<Record<EdgeShape, string>> = {
  square: 'Square corners',
  rounded: 'Rounded corners',
  clipped: 'Corners cut off',
  posts: 'Cut out for bed posts',
  scalloped: 'Scallops',
};

/** The sides of a quilt in order, clockwise, and the corner each ends at. */
export const SIDES = ['top', 'right', 'bottom', 'left'] as const;
export type Side = (typeof SIDES)[number];

/** What an edge can be finished with, alone or together, in the order they are put on. */
export const EDGE_FINISHES = [
  'piping',
  'flange',
  'binding',
  'prairie-points',
  'facing',
  'self-binding',
  'turned-edge',
] as const;
export type EdgeFinish = (typeof EDGE_FINISHES)[number];

/** As they read on a card. */
export const FINISH_NAMES: Readonly<Record<EdgeFinish, string>> = {
  flange: 'Flange',
  binding: 'Binding',
  'prairie-points': 'Prairie points',
  facing: 'Facing',
  'self-binding': 'Self-binding',
  'turned-edge': 'Turned edge',
  piping: 'Piping',
};

/** What the step is called that closes an edge, by its id. */
export const CLOSING_NAMES = {
  binding: 'Bind it',
  points: 'Sew the prairie points on',
  facing: 'Face it',
  'self-binding': 'Bind it with its backing',
  'turned-edge': 'Turn the edge in',
} as const;
export type ClosingStep = keyof typeof CLOSING_NAMES;
/** The steps an edge may be closed by. */
export const CLOSING_STEPS = Object.keys(CLOSING_NAMES) as readonly ClosingStep[];

/** How a facing turns a corner: top and bottom lapped over the sides, or all under a folded square. */
export const FACING_CORNERS = ['flat', 'bevelled'] as const;
export type FacingCorners = (typeof FACING_CORNERS)[number];

/** As they read in a list. */
export const FACING_CORNER_NAMES: Readonly<Record<FacingCorners, string>> = {
  flat: 'Lapped, flat',
  bevelled: 'Bevelled, with squares',
};

/** How binding strips are cut: with the straight grain, or on the bias from a square, from a length of fabric, or as one continuous strip. */
export const BINDING_GRAINS = ['straight', 'bias-square', 'bias-length', 'bias-tube'] as const;
export type BindingGrain = (typeof BINDING_GRAINS)[number];

/** As they read in a list. */
export const GRAIN_NAMES: Readonly<Record<BindingGrain, string>> = {
  straight: 'Straight grain',
  'bias-square': 'Bias, from a square',
  'bias-length': 'Bias, from a length of cloth',
  'bias-tube': 'Bias, one continuous strip',
};

/** How squares become prairie points: folded corner to corner twice, in half with both corners down, or along one uncut strip. */
export const POINT_FOLDS = ['nested', 'centre', 'strip'] as const;
export type PointFold = (typeof POINT_FOLDS)[number];

/** As they read in a list. */
export const FOLD_NAMES: Readonly<Record<PointFold, string>> = {
  nested: 'Nested, corner to corner twice',
  centre: 'Centre fold, corners down',
  strip: 'One continuous strip',
};

/** How prairie points come to the edge (rule PP-4): once the quilt is quilted, or to the top, which is then turned with its backing. */
export const POINTS_SEWN = ['quilted', 'turned'] as const;
export type PointsSewn = (typeof POINTS_SEWN)[number];

/** As they read in a list. */
export const SEWN_NAMES: Readonly<Record<PointsSewn, string>> = {
  quilted: 'After quilting',
  turned: 'First, then turned',
};

/** How cloths that take turns follow one another: in order, or scattered with no two alike side by side. */
export const COLOUR_ORDERS = ['sequence', 'scattered'] as const;
