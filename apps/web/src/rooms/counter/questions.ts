import { type Flag, flagStart, formatLength, type Topic, TOPICS, type Unit, unitMark } from '@lattice/core';

/** Texts by what they answer. */
export type Texts = Readonly<Record<string, string>>;

/** A question as people ask it. */
export interface Question {
  readonly name: string;
  readonly topic: string;
  readonly asked?: Texts;
}

/** What people ask for, in their words: a topic, and what it begins with where one topic answers two questions. */
export const QUESTIONS: readonly Question[] = [
  { name: 'Setting triangles', topic: 'triangles' },
  { name: 'Quilt size', topic: 'setting' },
  { name: 'Sashing', topic: 'setting', asked: { kind: 'sashed' } },
  { name: 'Binding', topic: 'binding' },
  { name: 'Bias', topic: 'binding', asked: { grain: 'bias' } },
  { name: 'What it binds', topic: 'bound-by' },
  { name: 'Backing', topic: 'backing' },
  { name: 'Flange', topic: 'flange' },
  { name: 'Prairie points', topic: 'prairie-points' },
  { name: 'Facing', topic: 'facing' },
  { name: 'Piping', topic: 'piping' },
  { name: 'Sleeve', topic: 'sleeve' },
  { name: 'Precuts', topic: 'precut' },
  { name: 'Pieced units', topic: 'units' },
  { name: 'Pieced border', topic: 'pieced-border' },
  { name: 'Quilted blocks', topic: 'quilted-blocks' },
];

/** What a flag is known by while it is asked about: its key and what it is called; a question's own choice is its own. */
export const meaning = (question: Question, { key, label }: Flag): string =>
  question.asked?.[key] === undefined ? `${key} ${label}` : `${key} ${question.name}`;

/** What an address says was typed for a question. */
export const inAddress = (
  params: URLSearchParams,
  question: Question | undefined,
  topic: Topic | undefined,
): Readonly<Record<string, string>> =>
  Object.fromEntries(
    (question && topic ? topic.flags : []).flatMap((flag) => {
      const text = params.get(flag.key);
      return text === null ? [] : [[meaning(question!, flag), text.slice(0, 60)]];
    }),
  );

/** As it stands in the address. */
export const slugOf = (name: string): string => name.toLowerCase().replace(/ /g, '-');

/** The stage that shows what a topic asks about, where it is not the setting. */
export const TO: Readonly<Record<string, string>> = {
  binding: 'edge',
  'bound-by': 'edge',
  flange: 'edge',
  'prairie-points': 'edge',
  facing: 'edge',
  piping: 'edge',
  sleeve: 'edge',
  backing: 'layers',
  'pieced-border': 'borders',
};

/** Everyday figures to begin with where a topic has none of its own, so that there is always an answer to change. */
const EVERYDAY: Readonly<Record<Unit, Readonly<Record<string, string>>>> = {
  in: { block: '12', across: '3', down: '4', width: '60', height: '72' },
  cm: { block: '30', across: '3', down: '4', width: '150', height: '180' },
};

/** Where a flag begins that has no figure of its own; a length all round is asked for only by who has one. */
export const beginsAt = ({ start, key }: Flag, unit: Unit): string | undefined =>
  start === null && key !== 'perimeter' ? EVERYDAY[unit][key] : undefined;

/** A question by what people call it, or by the topic's own name. */
export const questionOf = (slug: string | undefined): Question | undefined =>
  QUESTIONS.find((q) => slugOf(q.name) === slug) ?? QUESTIONS.find((q) => q.topic === slug);

export const topicOf = (question: Question | undefined): Topic | undefined =>
  TOPICS.find(({ name }) => name === question?.topic);

/** What was typed of a question's own flags, by their keys. */
export const ownOf = (question: Question, topic: Topic, typed: Texts): Texts =>
  Object.fromEntries(
    topic.flags.flatMap((flag) => {
      const text = typed[meaning(question, flag)] ?? question.asked?.[flag.key];
      return text === undefined ? [] : [[flag.key, text]];
    }),
  );

/** What is asked in all: what was typed, and where the rest begins. */
export function askedOf(topic: Topic, own: Texts, unit: Unit): Texts {
  const asked = Object.fromEntries(
    topic.flags.flatMap((flag) => {
      const text = own[flag.key] ?? beginsAt(flag, unit);
      return text === undefined || text.trim() === '' ? [] : [[flag.key, text]];
    }),
  );
  // A length all round stands for the two sides.
  const round = asked['perimeter'] !== undefined;
  return Object.fromEntries(
    Object.entries(asked).filter(([key]) => !round || (key !== 'width' && key !== 'height')),
  );
}

/** What was asked, as it stands on paper: typed or chosen, or where it begins; empty where nothing was. */
export function saysOf(flag: Flag, typed: string | undefined, unit: Unit): string {
  if (flag.type === 'choice') return flag.names(typed ?? flag.start, unit);
  if (typed === undefined) return flag.type === 'lengths' ? '' : placeholderOf(flag, unit);
  const bare = flag.type === 'length' && /^[\d\s./-]+$/.test(typed);
  return bare ? `${typed}${unitMark(unit)}` : typed;
}

/** What stands in a field nobody has typed in: where it begins. */
export function placeholderOf(flag: Flag, unit: Unit): string {
  if (flag.type === 'lengths') return 'like 1, 3 1/2';
  if (flag.type === 'count') return flag.start === null ? '' : String(flag.start);
  const start = flag.type === 'length' ? flagStart(flag, unit) : null;
  return typeof start === 'number' ? `${formatLength(start, unit)}${unitMark(unit)}` : '';
}
