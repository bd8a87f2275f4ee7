import { z } from 'zod';
import { FACE_NAMES } from '../face/face.ts';
import { BORDER_CORNERS } from '../border/corners.ts';
import { settingOptionsSchema } from '../setting/registry.ts';

/** The version this program writes. Older ones are brought up by `migrations.ts`; newer ones are refused. */
export const SCHEMA_VERSION = 2;

/** The most blocks one pile may hold: fifty by fifty. */
export const PILE_LIMIT = 2500;

const length = (what: string) => z.number(`${what} must be a length, as a plain number in the plan’s unit.`);
const colour = z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour is written like #2e4a5f.');
const name = (what: string, max = 80) =>
  z.string(`${what} must be words.`).trim().min(1, `${what} is missing.`).max(max, `${what} is longer than ${max} letters.`);
const whole = (what: string) => z.int(`${what} must be a whole number.`);

const pileBlockSchema = z.strictObject({
  name: name('The block’s name'),
  maker: z.string().max(80).optional(),
  face: z.enum(FACE_NAMES, `A drawn face is one of: ${FACE_NAMES.join(', ')}.`).optional(),
  colours: z.array(colour).max(3).optional(),
  /** Cut (unfinished) size as measured, edge to edge. */
  width: length('The measured width'),
  height: length('The measured height'),
});

const fabricSchema = z.strictObject({
  id: name('The fabric’s id', 40),
  name: name('The fabric’s name', 60),
  colour,
  /** Usable width, selvages off. */
  usableWidth: length('The usable width'),
});

const fabricId = name('The fabric', 40);

/** One border of the stack. `sides` is its finished width left and right, `ends` top and bottom. */
const borderSchema = z.strictObject({
  sides: length('The border’s width at the sides'),
  ends: length('The border’s width at top and bottom'),
  corners: z.enum(BORDER_CORNERS, `A border’s corners are one of: ${BORDER_CORNERS.join(', ')}.`),
  cut: z.enum(['crosswise', 'lengthwise'], 'A border is cut crosswise or lengthwise.'),
  fabric: fabricId,
  /** For the squares of a border with corner squares. */
  cornerFabric: fabricId,
});

/**
 * The shape of a plan: everything the quilter decided or measured, and nothing that can be worked
 * out from it. Lengths are plain numbers in `unit`; sizes are finished unless they say otherwise.
 */
export const planShape = z.strictObject({
  schemaVersion: z.literal(SCHEMA_VERSION),
  title: name('The quilt’s name', 120),
  unit: z.enum(['in', 'cm'], 'The unit is "in" or "cm".'),
  seam: length('The seam allowance'),
  block: z.strictObject({ width: length('The block’s width'), height: length('The block’s height') }),
  pile: z.array(pileBlockSchema).max(PILE_LIMIT, `A pile holds at most ${PILE_LIMIT} blocks.`),
  grid: z.strictObject({ across: whole('Blocks across'), down: whole('Blocks down') }),
  setting: settingOptionsSchema,
  borders: z.array(borderSchema),
  target: z.strictObject({ width: length('The target width'), height: length('The target height') }).nullable(),
  backing: z.strictObject({ overhang: length('The overhang'), fabric: fabricId }),
  binding: z.strictObject({ stripWidth: length('The binding strip'), fabric: fabricId }),
  fabrics: z.array(fabricSchema).min(1, 'A plan needs at least one fabric.').max(24, 'A plan holds at most 24 fabrics.'),
  fabricFor: z.strictObject({ sash: fabricId, 'middle-sash': fabricId, cornerstone: fabricId, triangle: fabricId, plain: fabricId, frame: fabricId }),
});

export type Plan = z.infer<typeof planShape>;
export type PileBlock = Plan['pile'][number];
export type Fabric = Plan['fabrics'][number];
