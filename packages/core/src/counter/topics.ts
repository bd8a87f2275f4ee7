import { limitIn } from '../length/rounding.ts';
import { parseLength } from '../length/parse.ts';
import type { Unit } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { backing } from './backing.ts';
import { binding } from './binding.ts';
import { flange, prairiePoints } from './edges.ts';
import { quiltedBlocks } from './quilted-blocks.ts';
import { setting } from './setting.ts';
import type { Answer, Flag, Given, Question, Topic } from './topic.ts';
import { triangles } from './triangles.ts';

/** Everything that can be asked at the counter. A new topic is its own file and one name here. */
export const TOPICS: readonly Topic[] = [
  triangles,
  setting,
  binding,
  backing,
  flange,
  prairiePoints,
  quiltedBlocks,
];

/** No quilt, and no piece of one, is longer: a slipped decimal point is. */
const MOST_INCHES = 2000;
const MOST_COUNT = 200;

/**
 * Answers a topic from flags as they were typed. Never throws; a wrong flag or value is one line that
 * says which, and what would be right.
 */
export function askCounter(name: string, typed: Typed, unit: Unit): Answer | string {
  const asked = understand(name, typed, unit);
  return typeof asked === 'string' ? asked : asked.topic.answer(asked.question);
}

/** A quilt that begins with a question that has an answer; the one line that is wrong with it otherwise. */
export function quiltFromCounter(name: string, typed: Typed, unit: Unit): Plan | string {
  const asked = understand(name, typed, unit);
  if (typeof asked === 'string') return asked;
  const answer = asked.topic.answer(asked.question);
  return typeof answer === 'string' ? answer : asked.topic.quilt(asked.question);
}

/** Flags as they were typed, by key. */
type Typed = Readonly<Record<string, string | undefined>>;

function understand(name: string, typed: Typed, unit: Unit): { topic: Topic; question: Question } | string {
  const topic = TOPICS.find((t) => t.name === name);
  if (!topic)
    return `${name}: nothing is known about that. Ask about ${TOPICS.map((t) => t.name).join(', ')}.`;
  const given: Record<string, Given[string]> = {};
  for (const key of Object.keys(typed)) {
    if (!topic.flags.some((f) => f.key === key))
      return `--${key}: ${name} does not ask for that. It asks for ${topic.flags.map((f) => `--${f.key}`).join(', ')}.`;
  }
  for (const flag of topic.flags) {
    const text = typed[flag.key];
    const value = text === undefined ? flagStart(flag, unit) : read(flag, text, unit);
    if (typeof value === 'object' && value !== null && 'wrong' in value)
      return `--${flag.key} ${text}: ${value.wrong}`;
    if (value === null && !('instead' in flag && flag.instead))
      return `--${flag.key}: ${flag.label.toLowerCase()} is missing; ${wanted(flag)}`;
    given[flag.key] = value;
  }
  return { topic, question: { given, unit } };
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

function read(flag: Flag, text: string, unit: Unit): Given[string] | { wrong: string } {
  if (flag.type === 'choice') return flag.choices.includes(text) ? text : { wrong: wanted(flag) };
  if (flag.type === 'count') {
    const count = Number(text);
    return Number.isInteger(count) && count >= 1 && count <= MOST_COUNT && text.trim() !== ''
      ? count
      : { wrong: wanted(flag) };
  }
  const one = (part: string, least: number | undefined) => {
    const parsed = parseLength(part, unit);
    if (!parsed.ok) return { wrong: parsed.message };
    const enough = least === undefined ? parsed.value > 0 : parsed.value >= least;
    return enough && parsed.value <= limitIn(MOST_INCHES, unit)
      ? parsed.value
      : {
          wrong: `a length ${least === undefined ? 'above nothing' : `of ${least} or more`}, and no longer than ${limitIn(MOST_INCHES, unit)}.`,
        };
  };
  if (flag.type === 'length') return one(text, flag.least);
  const lengths: number[] = [];
  for (const part of text.split(',')) {
    const length = one(part, undefined);
    if (typeof length !== 'number') return length;
    lengths.push(length);
  }
  return lengths;
}
