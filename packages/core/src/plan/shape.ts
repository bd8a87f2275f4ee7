import { z } from 'zod';
import { CLOTH_DIRECTIONS } from '../cloth/direction.ts';
import { FACE_NAMES } from '../face/face.ts';
import { BORDER_CORNERS } from '../choice/border-corners.ts';
import { CHECKER_ROWS, PIECED_CORNERS, PIECED_KINDS, UNITS_MADE } from '../choice/pieced-borders.ts';
import { SETTING_FABRICS, type SettingFabric } from '../piece/piece.ts';
import { overLongSchema, pictureId, rotationSchema, stockSchema } from './cloth-shape.ts';
import { settingOptionsSchema } from '../setting/registry.ts';
import { BED_IDS } from '../choice/beds.ts';
import { HANGINGS } from '../choice/hanging.ts';
import { bindingSchema, edgeSchema } from './edge-shape.ts';
import { colour, fabricId, length, name, oneOf, wholeNumber } from './fields.ts';
import { backingSchema, battingSchema, quiltingSchema } from './layer-shape.ts';

/** The version this program writes. Older ones are brought up by `migrations.ts`; newer ones are refused. */
export const SCHEMA_VERSION = 15;

/** How light a block is, squinting. */
export const BLOCK_VALUES = ['light', 'medium', 'dark'] as const;

/** The most blocks one pile may hold: fifty by fifty. */
export const PILE_LIMIT = 2500;
/** The most tags a quilt has. */
export const TAG_LIMIT = 8;
/** The most borders a stack holds. */
export const BORDER_LIMIT = 6;

const pileBlockSchema = z.strictObject({
  id: name('The block’s id', 40),
  name: name('The block’s name'),
  maker: z.string().max(80).optional(),
  /** What it is called by those who make it: "Star", "Bear’s way". Blocks of one kind are kept apart on the wall. */
  kind: z.string().max(60).optional(),
  face: z.enum(FACE_NAMES, `A drawn face is one of: ${FACE_NAMES.join(', ')}.`).optional(),
  /** Id of a picture on the server. */
  picture: pictureId.optional(),
  /** Main colours, the most of it first. */
  colours: z.array(colour).max(3).optional(),
  /** Of a picture: the colour along its edge, which is what a sash lies beside. */
  edge: colour.optional(),
  /** As the quilter sees it, where that is not what its colours say. */
  value: z.enum(BLOCK_VALUES, `A value is one of: ${BLOCK_VALUES.join(', ')}.`).optional(),
  /** A one-way print or picture, which has to stay upright. */
  upright: z.boolean().optional(),
  /** Its points lie at the seam line, so that trimming loses them. */
  points: z.boolean().optional(),
  /** Cut (unfinished) size as measured across the middle, edge to edge; null until it is. */
  width: length('The measured width').nullable(),
  height: length('The measured height').nullable(),
  /** Measured at its four edges too: along the top and bottom, the left and right. */
  edges: z
    .strictObject({
      top: length('The width along the top'),
      bottom: length('The width along the bottom'),
      left: length('The height along the left'),
      right: length('The height along the right'),
    })
    .optional(),
  /** Corner to corner, both ways: what tells whether its corners are square. */
  diagonals: z.tuple([length('The diagonal'), length('The other diagonal')]).optional(),
  /** What its verdict asked for has been done. */
  settled: z.boolean().optional(),
  /** A spare one that is kept to be sewn on the back as the quilt’s label. */
  label: z.boolean().optional(),
});

/** One place of the wall: the block lying there by its id, turned by quarters to the right, and whether it stays. */
const wallPlaceSchema = z.strictObject({
  block: z.string().max(64).nullable(),
  turn: z.union(
    [z.literal(0), z.literal(1), z.literal(2), z.literal(3)],
    'A block is rotated by 0, 1, 2 or 3 quarters.',
  ),
  locked: z.boolean(),
});

const fabricSchema = z.strictObject({
  id: name('The cloth’s id', 40),
  name: name('The cloth’s name', 60),
  colour,
  /** Usable width, selvages off. */
  usableWidth: length('The usable width'),
  /** What a yard, or a metre, of it costs; null where nobody has said. */
  price: z
    .number('A price is a plain number.')
    .min(0, 'A price is not less than nothing.')
    .max(1000, 'A price above 1000 cannot be right.')
    .nullable(),
  /** Which way its print runs along the selvage: none, one way up, or stripes that have no up. */
  direction: oneOf('A cloth’s direction', CLOTH_DIRECTIONS),
  /** Both sides look alike, as of a batik or a solid. */
  alike: z.boolean('Say whether both sides of a cloth look alike: true or false.'),
  /** Of its length, in the wash before it is cut; per cent, 0 for cloth that is not washed first. */
  shrinkage: z
    .number('Shrinkage is a plain number of per cent.')
    .min(0, 'Shrinkage is not less than nothing.')
    .max(20, 'Shrinkage above 20 per cent cannot be right.'),
  /** It is washed already: what shrinks has shrunk. */
  washed: z.boolean('Say whether a cloth is washed already: true or false.'),
  /** Where it comes from, as far as anyone remembers. */
  from: z.string('Where a cloth is from is said in words.').max(120),
  /** Id of a picture of it on the server. */
  picture: pictureId.optional(),
});

/** What a border is pieced of; its first cloth is the border's own. */
const piecedSchema = z.strictObject({
  kind: oneOf('What a border is pieced of', PIECED_KINDS),
  /** The second of its two cloths. */
  fabric: fabricId,
  made: oneOf('How units are made', UNITS_MADE),
  corner: oneOf('A pieced border’s corner', PIECED_CORNERS),
  /** Of checkers. */
  rows: z.union(
    CHECKER_ROWS.map((rows) => z.literal(rows)),
    `Checkers have ${CHECKER_ROWS.join(', ')} rows.`,
  ),
  /** How wide a piano key finishes. */
  key: length('The piano key’s width'),
});

/** One border of the stack. `sides` is its finished width left and right, `ends` top and bottom. */
const borderSchema = z.strictObject({
  id: name('The border’s id', 40),
  sides: length('The border’s width at the sides'),
  ends: length('The border’s width at top and bottom'),
  corners: z.enum(BORDER_CORNERS, `A border’s corners are one of: ${BORDER_CORNERS.join(', ')}.`),
  cut: z.enum(['crosswise', 'lengthwise'], 'A border is cut crosswise or lengthwise.'),
  /** How strips shorter than the border are joined. */
  joins: z.enum(['diagonal', 'straight'], 'A border’s joins are "diagonal" or "straight".'),
  /** Length its print or piecing repeats in; null for plain cloth. What lies inside it should be a whole number of them. */
  repeat: length('The repeat').nullable(),
  fabric: fabricId,
  /** Units it is pieced of; null where its strips are of one cloth. */
  pieced: piecedSchema.nullable(),
  /** For the squares of a border with corner squares. */
  cornerFabric: fabricId,
});

const place = (what: string) => length(what).nullable();
const three = (what: string) =>
  z.tuple([place(what), place(what), place(what)], `${what} is measured in three places.`);

/**
 * What the top measured, raw edge to raw edge, with so many borders on: at each edge and across the middle, both ways.
 * A place that no tape has been laid on is null: what was planned never stands for it.
 */
const measuredSchema = z.strictObject({
  borders: wholeNumber('The number of borders already on'),
  width: three('The width'),
  height: three('The height'),
});

/** What the quilt should come to: a size, a bed with what hangs over it, or a wall with what stays free round it. */
const targetSchema = z.discriminatedUnion(
  'of',
  [
    z.strictObject({
      of: z.literal('size'),
      width: length('The target width'),
      height: length('The target height'),
    }),
    z.strictObject({
      of: z.literal('bed'),
      bed: z.enum(BED_IDS, 'This bed is not in the list.'),
      /** Below the mattress's top edge. */
      drop: z.strictObject({
        left: length('The drop at the left'),
        right: length('The drop at the right'),
        foot: length('The drop at the foot'),
      }),
      /** Added at the head, to fold under and over pillows. */
      tuck: length('The pillow tuck'),
      /** Of the mattress; null when it does not matter. */
      depth: length('The mattress’s depth').nullable(),
    }),
    z.strictObject({
      of: z.literal('wall'),
      width: length('The wall’s width'),
      height: length('The wall’s height'),
      free: length('What stays free'),
    }),
  ],
  'A target is of a "size", a "bed" or a "wall".',
);

/**
 * The shape of a plan: everything the quilter decided or measured, and nothing that can be worked
 * out from it. Lengths are plain numbers in `unit`; sizes are finished unless they say otherwise.
 */
export const planShape = z.strictObject({
  schemaVersion: z.literal(SCHEMA_VERSION),
  title: name('The quilt’s name', 120),
  /** Groups it belongs to, in the maker’s words: "guild", "presents". */
  tags: z.array(name('A tag', 30)).max(TAG_LIMIT, `A quilt has at most ${TAG_LIMIT} tags.`),
  unit: z.enum(['in', 'cm'], 'The unit is "in" or "cm".'),
  seam: length('The seam allowance'),
  /** Bought with every fabric besides what is needed: for squaring its end before the first cut. */
  squaring: length('What squaring an end takes'),
  /** Whether a strip to spare is bought of every fabric, as wide as the widest it is cut in. */
  spareStrip: z.boolean('A strip to spare is bought or not.'),
  block: z.strictObject({ width: length('The block’s width'), height: length('The block’s height') }),
  pile: z.array(pileBlockSchema).max(PILE_LIMIT, `A pile holds at most ${PILE_LIMIT} blocks.`),
  /** WallPlace out on the wall, place by place; empty while blocks lie in the pile’s order. Places beyond its end are filled from what is left of the pile. */
  wall: z
    .array(wallPlaceSchema, 'The wall is a list of places; empty while nothing is laid out.')
    .max(PILE_LIMIT, `A wall has at most ${PILE_LIMIT} places.`),
  grid: z.strictObject({ across: wholeNumber('Blocks across'), down: wholeNumber('Blocks down') }),
  setting: settingOptionsSchema,
  borders: z.array(borderSchema).max(BORDER_LIMIT, `A plan holds at most ${BORDER_LIMIT} borders.`),
  /** How blocks lie in their places: turned by quarters, backgrounds swapped, on odd and even places. */
  places: z.strictObject({
    turn: z.enum(
      ['none', 'odd', 'round'],
      'Blocks are rotated "none", on "odd" places, or "round" in fours.',
    ),
    swap: z.enum(['none', 'odd'], 'Backgrounds swap on "none" or "odd" places.'),
  }),
  /** Latest last; one for each number of borders on. */
  measured: z.array(measuredSchema).max(7, 'There are more measurements than borders.'),
  measureBy: z.enum(
    ['middle', 'average'],
    'Borders are cut by the "middle" measurement or the "average" of three.',
  ),
  target: targetSchema.nullable(),
  backing: backingSchema,
  batting: battingSchema,
  quilting: quiltingSchema,
  edge: edgeSchema,
  binding: bindingSchema,
  /** What it is hung by, on its back: how deep a sleeve finishes, or how large the squares of its corners are. */
  hanging: z.strictObject({
    as: z.enum(HANGINGS, 'A quilt is hung by a "sleeve", by "corners", or by "none".'),
    depth: length('The sleeve'),
    fabric: fabricId,
  }),
  fabrics: z
    .array(fabricSchema)
    .min(1, 'A plan needs at least one cloth.')
    .max(24, 'A plan holds at most 24 cloths.'),
  fabricFor: z.strictObject(
    Object.fromEntries(SETTING_FABRICS.map((use) => [use, fabricId])) as Record<
      SettingFabric,
      typeof fabricId
    >,
  ),
  /** Jobs that several cloths take in turns; the first of them is the one in `fabricFor`. */
  rotations: z
    .array(rotationSchema)
    .max(SETTING_FABRICS.length, 'Each job has its cloths in turn once at most.'),
  /** What is cut longer than it has to be, and trimmed once it is sewn. */
  overLong: overLongSchema,
  /** Pieces in hand that were taken along with the plan: what is in the maker's stash is the log's. */
  stock: z.array(stockSchema).max(60, 'At most 60 pieces in hand can be listed.'),
});

export type Plan = z.infer<typeof planShape>;
export type Measured = Plan['measured'][number];
export type Target = NonNullable<Plan['target']>;
export type PileBlock = Plan['pile'][number];
export type WallSpot = Plan['wall'][number];
export type Fabric = Plan['fabrics'][number];
export type InStock = Plan['stock'][number];
