import type { z } from 'zod';
import type { Name } from './addresses.ts';
import type { OPERATIONS } from './operations/all.ts';

type Of<N extends Name> = (typeof OPERATIONS)[N];

/** What is asked behind the address, as it is said; and as it is read. */
export type QuerySaid<N extends Name> =
  Of<N> extends { query: infer Q extends z.ZodType } ? z.input<Q> : undefined;
export type QueryRead<N extends Name> =
  Of<N> extends { query: infer Q extends z.ZodType } ? z.output<Q> : undefined;

/** What a call carries, as it is said; and as it is read. */
export type BodySaid<N extends Name> =
  Of<N> extends { body: infer B extends z.ZodType } ? z.input<B> : undefined;
export type BodyRead<N extends Name> =
  Of<N> extends { body: infer B extends z.ZodType } ? z.output<B> : undefined;

/** Statuses an operation answers with when it goes well. */
export type StatusOf<N extends Name> = keyof Of<N>['answers'];

/** What comes back under a status; undefined where it is no JSON. */
export type AnswerAt<N extends Name, S extends StatusOf<N>> = Of<N>['answers'][S] extends {
  schema: infer A extends z.ZodType;
}
  ? z.output<A>
  : undefined;

/** What comes back when it goes well. */
export type AnswerOf<N extends Name> = { [S in StatusOf<N>]: AnswerAt<N, S> }[StatusOf<N>];
