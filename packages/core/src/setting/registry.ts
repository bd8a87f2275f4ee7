import { z } from 'zod';
import type { Unit } from '../length/unit.ts';
import { alternate } from './alternate.ts';
import { coped } from './coped.ts';
import { edgeToEdge } from './edge-to-edge.ts';
import { framed } from './framed.ts';
import { onPoint } from './on-point.ts';
import { onPointSashed } from './on-point-sashed.ts';
import { quilted } from './quilted.ts';
import { sashed } from './sashed.ts';
import type { Setting } from './setting.ts';
import { stripSet } from './strip-set.ts';

/** Every setting there is, in the order they are offered. A new one is its own file and one line here. */
export const SETTINGS = [
  edgeToEdge,
  sashed,
  onPoint,
  alternate,
  onPointSashed,
  framed,
  stripSet,
  coped,
  quilted,
] as const;

/** The options of whichever setting was chosen; `kind` tells which. */
export const settingOptionsSchema = z.discriminatedUnion(
  'kind',
  // Each setting's schema is an object with its own literal `kind`; the shared interface only promises what it parses to.
  SETTINGS.map((s) => s.options) as unknown as [z.ZodObject<{ kind: z.ZodLiteral<string> }>],
  `Choose a setting this program knows: ${SETTINGS.map((s) => s.kind).join(', ')}.`,
) as unknown as z.ZodType<SettingOptions>;

export type SettingOptions = z.infer<(typeof SETTINGS)[number]['options']>;
export type SettingKind = SettingOptions['kind'];

/** The setting of this kind. The kind has been parsed, so there is one. */
export function settingOf(kind: SettingKind): Setting<SettingKind, SettingOptions> {
  const found = SETTINGS.find((s) => s.kind === kind);
  if (!found) throw new Error(`No setting is called ${String(kind)}.`);
  return found as unknown as Setting<SettingKind, SettingOptions>;
}

/**
 * Options for another kind of setting, keeping every choice the two have in common (a sash stays
 * 1 1/2" when the sashed blocks are turned on point), the rest at its start.
 */
export function turnInto(kind: SettingKind, previous: SettingOptions, unit: Unit): SettingOptions {
  const start = settingOf(kind).start(unit);
  const kept = Object.fromEntries(Object.entries(previous).filter(([key]) => key !== 'kind' && key in start));
  return { ...start, ...kept } as SettingOptions;
}
