import { limitIn } from '../length/rounding.ts';
import { parseLength } from '../length/parse.ts';
import type { Unit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { backing } from './backing.ts';
import { binding } from './binding.ts';
import { boundBy } from './bound-by.ts';
import { flange, prairiePoints } from './edges.ts';
import { facing } from './facing.ts';
import { piecedBorder } from './pieced-border.ts';
import { piping } from './piping.ts';
import { precut } from './precut.ts';
import { quiltedBlocks } from './quilted-blocks.ts';
import { setting } from './setting.ts';
import { sleeve } from './sleeve.ts';
import { type Granted, granted, refused } from '../refusal/refusal.ts';
import {
  type Answer,
  type Flag,
  type FlagRefusal,
  type Given,
  type Question,
  type Topic,
  wrongFlag,
} from './topic.ts';
import { triangles } from './triangles.ts';
import { units } from './units.ts';

/** Everything that can be asked at the counter. A new topic is its own file and one name here. */
export const TOPICS: readonly Topic[] = [
  triangles,
  setting,
  binding,
  boundBy,
  backing,
  flange,
  prairiePoints,
  facing,
  piping,
  sleeve,
  precut,
  units,
  piecedBorder,
  quiltedBlocks,
];

/** No quilt, and no piece of one, is longer: a slipped decimal point is. */
const MOST_INCHES = 2000;
const MOST_COUNT = 200;

/**
 * Answers a topic from flags as they were typed. Never throws; a wrong flag or value is one line that
 * says which, and what would be right.
 *
 * @example
 * askCounter('binding', { width: '46', height: '58' }, 'in').headline; // '6 strips, 1/2 yd'
 */
export function askCounter(name: string, typed: Typed, unit: Unit): Answer | FlagRefusal {
  const asked = understand(name, typed, unit);
  return asked.ok ? asked.topic.answer(asked.question) : asked;
}

/**
 * A quilt that begins with a question that has an answer; the one line that is wrong with it otherwise.
 *
 * @example
 * quiltFromCounter('binding', { width: '46', height: '58' }, 'in').plan.setting; // { kind: 'whole-quilt', width: 46, height: 58 }
 */
export function quiltFromCounter(
  name: string,
  typed: Typed,
  unit: Unit,
): { readonly ok: true; readonly plan: Plan } | FlagRefusal {
  const asked = understand(name, typed, unit);
  if (!asked.ok) return asked;
  const answer = asked.topic.answer(asked.question);
  return answer.ok ? { ok: true, plan: asked.topic.quilt(asked.question) } : answer;
}

/** Flags as they were typed, by key. */
type Typed = Readonly<Record<string, string | undefined>>;

function understand(
  name: string,
  typed: Typed,
  unit: Unit,
): { ok: true; topic: Topic; question: Question } | FlagRefusal {
  const topic = TOPICS.find((t) => t.name === name);
  if (!topic)
    return wrongFlag(
      'topic',
      `nothing is known about that. Ask about ${TOPICS.map((t) => t.name).join(', ')}.`,
      name,
    );
  const given: Record<string, Given[string]> = {};
  for (const key of Object.keys(typed)) {
    if (!topic.flags.some((f) => f.key === key))
      return wrongFlag(
        key,
        `${name} does not ask for that. It asks for ${topic.flags.map((f) => `--${f.key}`).join(', ')}.`,
      );
  }
  for (const flag of topic.flags) {
    const text = typed[flag.key];
    const read: Read = text === undefined ? taken(flagStart(flag, unit)) : readFlag(flag, text, unit);
    if (!read.ok) return wrongFlag(flag.key, read.message, `--${flag.key} ${text}`);
    const { value } = read;
    if (value === null && !('instead' in flag && flag.instead))
      return wrongFlag(flag.key, `${flag.label.toLowerCase()} is missing; ${wanted(flag)}`);
    given[flag.key] = value;
  }
  return { ok: true, topic, question: { given, unit } };
}

/** Where a flag begins in this unit: its own start, as it would be said there. */
export const flagStart = (flag: Flag, unit: Unit): Given[string] =>
  flag.type === 'length' ? (flag.start?.[unit] ?? null) : flag.start;

/** What would be right for a flag. */
function wanted(flag: Flag): string {
  switch (flag.type) {
    case 'choice':
      return `one of ${flag.choices.join(', ')}.`;
    case 'count':
      return `a whole number from 1 to ${MOST_COUNT}.`;
    case 'length':
      return 'a length like 12 1/2 or 12.5.';
    case 'lengths':
      return 'lengths like 1,3 1/2.';
  }
}

/** What was typed for a flag, understood; or why not. */
type Read = Granted<Given[string]>;
const taken = (value: Given[string]): Read => granted(value);

function readFlag(flag: Flag, text: string, unit: Unit): Read {
  switch (flag.type) {
    case 'choice':
      return flag.choices.includes(text) ? taken(text) : refused(wanted(flag));
    case 'count': {
      const count = Number(text);
      const sound = Number.isInteger(count) && count >= 1 && count <= MOST_COUNT && text.trim() !== '';
      return sound ? taken(count) : refused(wanted(flag));
    }
    case 'length':
      return readLength(text, flag.least, unit);
    case 'lengths': {
      const lengths: number[] = [];
      for (const part of text.split(',')) {
        const length = readLength(part, undefined, unit);
        if (!length.ok) return length;
        lengths.push(length.value);
      }
      return taken(lengths);
    }
  }
}

function readLength(text: string, least: number | undefined, unit: Unit): Granted<number> {
  const parsed = parseLength(text, unit);
  if (!parsed.ok) return refused(parsed.message);
  const most = limitIn(MOST_INCHES, unit);
  const enough = least === undefined ? parsed.value > 0 : parsed.value >= least;
  if (enough && parsed.value <= most) return granted(parsed.value);
  const from = least === undefined ? 'above nothing' : `of ${least} or more`;
  return refused(`a length ${from}, and no longer than ${most}.`);
}
