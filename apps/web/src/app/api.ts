import {
  type LogEntry,
  logEntrySchema,
  type LongArmAnswer,
  longArmAnswerSchema,
  type LongArmJob,
  type Plan,
} from '@lattice/core';
import type { MadePicture } from '../outbox/items.ts';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

/** A quilt as the server keeps it. */
export interface StoredQuilt {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly plan: Plan;
}

/** What the log has heard since an entry: the newest it has at all, and whether there is more to ask for. */
export interface LogPage {
  readonly entries: readonly LogEntry[];
  readonly latest: number;
  readonly newest: number;
  readonly more: boolean;
}

/** An error as the server words it. */
export interface ServerError {
  readonly code: string;
  readonly message: string;
  readonly details: unknown;
}

/** What a failed call means, in words: the server's own, or that it cannot be reached. */
export function serverError(error: unknown): ServerError {
  const data = (error as { data?: ServerError } | undefined)?.data;
  if (data && typeof data.message === 'string') return data;
  return {
    code: 'offline',
    message: 'The server cannot be reached. What you have is kept in this browser.',
    details: null,
  };
}

/** Quilts over HTTP. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api', timeout: 15_000 }),
  tagTypes: ['shelf'],
  endpoints: (build) => ({
    shelf: build.query<StoredQuilt[], void>({ query: () => '/quilts', providesTags: ['shelf'] }),
    quilt: build.query<StoredQuilt, string>({ query: (id) => `/quilts/${id}` }),
    // Under an id made here: sent again after a lost answer, it is the same quilt.
    addQuilt: build.mutation<StoredQuilt, { id: string; plan: Plan }>({
      query: (body) => ({ url: '/quilts', method: 'POST', body }),
      invalidatesTags: ['shelf'],
    }),
    saveQuilt: build.mutation<StoredQuilt, { id: string; revision: number; plan: Plan }>({
      query: ({ id, ...body }) => ({ url: `/quilts/${id}`, method: 'PUT', body }),
      invalidatesTags: ['shelf'],
    }),
    addPicture: build.mutation<MadePicture, { id: string; file: Blob }>({
      query: ({ id, file }) => {
        const body = new FormData();
        body.append('picture', file);
        return { url: `/pictures?id=${id}`, method: 'POST', body };
      },
    }),
    addEntries: build.mutation<{ added: number }, readonly LogEntry[]>({
      query: (entries) => ({ url: '/log', method: 'POST', body: { entries } }),
    }),
    logSince: build.query<LogPage, number>({
      query: (since) => `/log?since=${since}`,
      transformResponse: ({ entries, ...page }: Omit<LogPage, 'entries'> & { entries: unknown[] }) => ({
        ...page,
        // What a newer server writes and this app does not know is left to newer apps.
        entries: entries.flatMap((entry) => logEntrySchema.safeParse(entry).data ?? []),
      }),
    }),
    askLongArm: build.mutation<LongArmAnswer, LongArmJob>({
      query: (job) => ({ url: '/long-arm/quotes', method: 'POST', body: job }),
      transformResponse: (said) => longArmAnswerSchema.parse(said),
    }),
    bookLongArm: build.mutation<
      { entry: LogEntry | null; answer: LongArmAnswer | null },
      { quilt: string; entry: string; job: LongArmJob }
    >({
      // Refused while the queue moved on is an answer too, not a failure.
      query: (body) => ({
        url: '/long-arm/bookings',
        method: 'POST',
        body,
        validateStatus: ({ status }) => status === 201 || status === 409,
      }),
      transformResponse: ({ entry, answer }: { entry: unknown; answer: unknown }) => ({
        entry: entry === null ? null : logEntrySchema.parse(entry),
        answer: answer === null ? null : longArmAnswerSchema.parse(answer),
      }),
    }),
    cancelLongArm: build.mutation<{ entry: LogEntry }, { quilt: string; entry: string; number: string }>({
      query: ({ number, ...body }) => ({
        url: `/long-arm/bookings/${encodeURIComponent(number)}/cancel`,
        method: 'POST',
        body,
      }),
      transformResponse: ({ entry }: { entry: unknown }) => ({ entry: logEntrySchema.parse(entry) }),
    }),
    removeQuilt: build.mutation<void, string>({
      query: (id) => ({ url: `/quilts/${id}`, method: 'DELETE' }),
      invalidatesTags: ['shelf'],
    }),
    restoreQuilt: build.mutation<StoredQuilt, string>({
      query: (id) => ({ url: `/quilts/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['shelf'],
    }),
  }),
});

export const { useAskLongArmMutation, useShelfQuery, useRemoveQuiltMutation, useRestoreQuiltMutation } = api;
