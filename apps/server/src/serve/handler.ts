import type { AnswerAt, AnswerOf, BodyRead, Name, Params, QueryRead, StatusOf } from '@lattice/contract';
import type { Request, RequestHandler, Response } from 'express';

/** A call, read: what changes in its address, what is asked behind it, and what it carries. */
export interface Call<N extends Name> {
  readonly params: Params<N>;
  readonly query: QueryRead<N>;
  readonly body: BodyRead<N>;
  readonly request: Request;
  readonly response: Response;
}

/** JSON that is there already and goes out as it lies. */
export class JsonText {
  constructor(readonly text: string) {}
}

/** An answer under one of several statuses. */
export class Under<N extends Name, S extends StatusOf<N>> {
  constructor(
    readonly status: S,
    readonly body: AnswerAt<N, S>,
  ) {}
}
type AnyUnder<N extends Name> = { [S in StatusOf<N>]: Under<N, S> }[StatusOf<N>];

/** What a handler gives back: the answer; undefined where there is none, or it went out already (a file, a stream). */
type Given<N extends Name> =
  AnswerOf<N> | JsonText | AnyUnder<N> | (undefined extends AnswerOf<N> ? void : never);

/** Answers one operation. */
export type Handle<N extends Name> = (call: Call<N>) => Given<N> | Promise<Given<N>>;

/** The same with what comes before the call is read. */
export interface Guarded<N extends Name> {
  readonly before: readonly RequestHandler[];
  readonly handle: Handle<N>;
}

/** Handlers of some operations. One that is forgotten is a type error where all are put together. */
export type Handlers<N extends Name> = { readonly [K in N]: Handle<K> | Guarded<K> };
