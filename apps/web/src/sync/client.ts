import { addressOf, type BodySaid, type Name, type Params, placeOf, type QuerySaid } from '@lattice/contract';
import type { FetchArgs } from '@reduxjs/toolkit/query/react';

type Needs<Key extends string, T> = [T] extends [undefined] ? object : { readonly [K in Key]: T };

/** All that one call says: what changes in its address, what is asked behind it, and what it carries. */
export type Said<N extends Name> = Needs<'body', BodySaid<N>> &
  (Params<N> extends Readonly<Record<never, string>>
    ? [keyof Params<N>] extends [never]
      ? object
      : { readonly params: Params<N> }
    : object) & {
    readonly query?: QuerySaid<N>;
    /** A file it carries. */
    readonly file?: Blob;
  };

/** What a file is sent as. */
const FILE = 'application/octet-stream';

/** A call of the server as it goes out, by what the contract says of it. */
export function callOf<N extends Name>(name: N, said: Said<N>): FetchArgs {
  const { params, query, body, file } = said as {
    params?: Params<N>;
    query?: Readonly<Record<string, string | number | undefined>>;
    body?: object;
    file?: Blob;
  };
  const { method } = placeOf(name);
  const url = addressOf(name, params ?? ({} as Params<N>), query);
  if (!file) return { url, method, ...(body && { body }) };
  const type = file.type.startsWith('image/') ? file.type : FILE;
  return { url, method, body: file, headers: { 'Content-Type': type } };
}
