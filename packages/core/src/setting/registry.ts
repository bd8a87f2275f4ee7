import { z } from 'zod';
import type { Unit } from '../length/unit.ts';
import { alternate } from './alternate.ts';
import { twoSizes } from './two-sizes.ts';
import { edgeToEdge } from './edge-to-edge.ts';
import { framed } from './framed.ts';
import { halfDrop } from './half-drop.ts';
import { onPoint } from './on-point.ts';
import { onPointSashed } from './on-point-sashed.ts';
import { quilted } from './quilted.ts';
import { sashed } from './sashed.ts';
import type { Setting, SettingLengths } from './setting.ts';
import { stripSet } from './strip-set.ts';
import { wholeQuilt, wholeTop } from './whole.ts';

/** Every setting there is, in the order they are offered. A new one is its own file and one line here. */
export const SETTINGS = [
  edgeToEdge,
  sashed,
  onPoint,
  alternate,
  onPointSashed,
  framed,
  stripSet,
  halfDrop,
  twoSizes,
  quilted,
  wholeTop,
  wholeQuilt,
] as const;

/** The options of whichever setting was chosen; `kind` tells which. */
export type SettingOptions = z.infer<(typeof SETTINGS)[number]['options']>;
export type SettingKind = SettingOptions['kind'];

/** A setting of whichever kind, asked with the options of that kind. */
export type AnySetting = Setting<SettingKind, SettingOptions>;

/** The schemas of a list of settings, each as its own type. */
const optionsIn = <const T extends readonly { readonly options: z.ZodType }[]>(settings: T) =>
  settings.map((setting) => setting.options) as { [I in keyof T]: T[I]['options'] };

/** The options of any setting, told apart by their kind. */
export const settingOptionsSchema = z.discriminatedUnion(
  'kind',
  optionsIn(SETTINGS),
  `Choose a setting this program knows: ${SETTINGS.map((s) => s.kind).join(', ')}.`,
);

/** The setting of this kind. The kind has been parsed, so there is one. */
export function settingOf(kind: SettingKind): AnySetting {
  const found: AnySetting | undefined = SETTINGS.find((s) => s.kind === kind);
  if (!found) throw new Error(`No setting is called ${String(kind)}.`);
  return found;
}

/** Lengths of its own that a setting has with these options: a sash, a float, both or neither. */
export const lengthsOf = (options: SettingOptions): Partial<SettingLengths> =>
  settingOf(options.kind).lengths?.(options) ?? {};

/** The same setting with other lengths of its own; those it has not are passed over. */
export const withLengths = (options: SettingOptions, lengths: Partial<SettingLengths>): SettingOptions =>
  settingOf(options.kind).withLengths?.(options, lengths) ?? options;

/**
 * Options for another kind of setting, keeping every choice the two have in common (a sash stays
 * 1 1/2" when the sashed blocks are turned on point), the rest at its start.
 */
export function turnInto(kind: SettingKind, previous: SettingOptions, unit: Unit): SettingOptions {
  const start = settingOf(kind).start(unit);
  const kept = Object.fromEntries(Object.entries(previous).filter(([key]) => key !== 'kind' && key in start));
  return { ...start, ...kept } as SettingOptions;
}
