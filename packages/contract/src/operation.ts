import type { z } from 'zod';
import type { ErrorCode } from './errors.ts';

/** What comes back when it goes well, of one status. */
export interface Answer {
  readonly says: string;
  /** Of JSON: its shape. */
  readonly schema?: z.ZodType;
  /** Of anything else: its media type. */
  readonly type?: string;
}

/** What a call carries that is no JSON. */
interface Sends {
  readonly type: string;
  readonly most: number | string;
}

/** One thing that can be asked of the server: what it takes, what it answers, and what a stranger is told of it. */
export interface Operation {
  readonly says: string;
  readonly query?: z.ZodType;
  readonly body?: z.ZodType;
  /** What is said where query or body cannot be read. */
  readonly wrong?: string;
  readonly sends?: Sends;
  /** Only whoever sits at the machine may. */
  readonly ownersOnly?: true;
  readonly answers: Readonly<Record<number, Answer>>;
  /** What it refuses, beside what any call may meet. */
  readonly refuses?: readonly ErrorCode[];
  /** A call one can copy, after the address of the server. */
  readonly curl?: string;
}

/** For a call one can copy: that it carries JSON. */
export const JSON_TYPE = "-H 'Content-Type: application/json'";
