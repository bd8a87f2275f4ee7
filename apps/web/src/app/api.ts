import type { LogEntry, LongArmAnswer, LongArmJob, Plan, Problem, Stage } from '@lattice/core';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type { MadePicture } from '../outbox/items.ts';
import { deviceName } from './device.ts';
import { doorShut } from './accessSlice.ts';

const logReader = async () => (await import('./readLog.ts')).logEntrySchema;
const longArmReader = async () => (await import('./readLongArm.ts')).longArmAnswerSchema;

/** A quilt as the server keeps it. */
export interface StoredQuilt {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
  /** What the device calls itself that saved it last; empty where it did not say. */
  readonly savedBy: string;
  readonly plan: Plan;
  /** What stands in the way of drawing it; empty for a sound one. */
  readonly problems: readonly Problem[];
}

/** What came out of a zip of quilts. */
export interface Arrived {
  readonly quilts: readonly { readonly id: string; readonly title: string; readonly copy: boolean }[];
  readonly left: readonly { readonly title: string; readonly why: string }[];
}

/** What the server answers to a save. */
export type Saved = Pick<StoredQuilt, 'id' | 'revision' | 'updatedAt'>;

/** What the shelf shows of a quilt that can be read. */
interface Card {
  readonly title: string;
  readonly tags: readonly string[];
  readonly unit: Plan['unit'];
  readonly width: number;
  readonly height: number;
  readonly setting: string;
  readonly at: Stage;
  readonly atBooked: Stage;
}

/** A quilt as the shelf lists it. */
export interface ListedQuilt extends Omit<StoredQuilt, 'plan' | 'problems'> {
  readonly card: Card | { readonly title: string; readonly unreadable: true };
  /** When it was taken off the shelf, of one that was. */
  readonly removedAt?: string;
}

/** A page of the shelf; `next` asks for what comes after it. */
export interface ShelfPage {
  readonly quilts: readonly ListedQuilt[];
  readonly total: number;
  readonly next: string | null;
  /** Every tag a quilt of the shelf has. */
  readonly tags: readonly string[];
}

/** What of the shelf is asked for: with words in its name or tags, at a stage, with a tag; in which order. */
export interface ShelfAsked {
  readonly words?: string;
  readonly sort?: 'recent' | 'newest' | 'name';
  readonly stage?: Stage | '';
  readonly tag?: string;
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
  /** What the request is called in the server's log, to be read out. */
  readonly request?: string;
}

/** What a failed call means, in words: the server's own, or that it cannot be reached. */
export function serverError(error: unknown): ServerError {
  const data = (error as { data?: ServerError } | undefined)?.data;
  if (data && typeof data.message === 'string') {
    // A fault of the server's own is found by the name of its request.
    const named = data.code === 'unexpected' && data.request !== undefined;
    return named ? { ...data, message: `${data.message} (Its mark in the log: ${data.request}.)` } : data;
  }
  return {
    code: 'offline',
    message: 'The server cannot be reached. What you have is kept in this browser.',
    details: null,
  };
}

const ask = fetchBaseQuery({ baseUrl: '/api', timeout: 15_000 });

/** Quilts over HTTP. */
export const api = createApi({
  reducerPath: 'api',
  async baseQuery(wanted: Parameters<typeof ask>[0], around, extra) {
    const answer = await ask(wanted, around, extra);
    // Whoever is not let in, or not any more, is shown the door.
    if (answer.error?.status === 401) around.dispatch(doorShut());
    return answer;
  },
  tagTypes: ['shelf'],
  endpoints: (build) => ({
    shelf: build.infiniteQuery<ShelfPage, ShelfAsked, string | null>({
      infiniteQueryOptions: { initialPageParam: null, getNextPageParam: ({ next }) => next ?? undefined },
      query: ({ queryArg: asked, pageParam: after }) => ({
        url: '/quilts',
        params: { ...asked, ...(after === null ? {} : { after }) },
      }),
      providesTags: ['shelf'],
    }),
    takenOff: build.query<{ readonly quilts: readonly ListedQuilt[] }, void>({
      query: () => '/quilts/taken-off',
      providesTags: ['shelf'],
    }),
    quilt: build.query<StoredQuilt, string>({ query: (id) => `/quilts/${id}` }),
    // For its drawing on the shelf: of one revision it is always the same.
    drawn: build.query<StoredQuilt, { id: string; revision: number }>({ query: ({ id }) => `/quilts/${id}` }),
    // Under an id made here: sent again after a lost answer, it is the same quilt.
    addQuilt: build.mutation<StoredQuilt, { id: string; plan: Plan }>({
      query: (body) => ({ url: '/quilts', method: 'POST', body: { ...body, by: deviceName() } }),
      invalidatesTags: ['shelf'],
    }),
    addParcel: build.mutation<Arrived, Blob>({
      query: (body) => ({
        url: '/parcels',
        method: 'POST',
        body,
        headers: { 'Content-Type': 'application/octet-stream' },
      }),
      invalidatesTags: ['shelf'],
    }),
    saveQuilt: build.mutation<Saved, { id: string; revision: number; plan: Plan }>({
      query: ({ id, ...body }) => ({
        url: `/quilts/${id}`,
        method: 'PUT',
        body: { ...body, by: deviceName() },
      }),
      invalidatesTags: ['shelf'],
    }),
    addPicture: build.mutation<MadePicture, { id: string; file: Blob }>({
      query: ({ id, file }) => ({
        url: `/pictures?id=${id}`,
        method: 'POST',
        body: file,
        headers: { 'Content-Type': file.type.startsWith('image/') ? file.type : 'application/octet-stream' },
      }),
    }),
    addEntries: build.mutation<{ added: number }, readonly LogEntry[]>({
      query: (entries) => ({ url: '/log', method: 'POST', body: { entries } }),
    }),
    logSince: build.query<LogPage, number>({
      query: (since) => `/log?since=${since}`,
      transformResponse: async ({ entries, ...page }: Omit<LogPage, 'entries'> & { entries: unknown[] }) => {
        if (entries.length === 0) return { ...page, entries: [] };
        const log = await logReader();
        // What a newer server writes and this app does not know is left to newer apps.
        return { ...page, entries: entries.flatMap((entry) => log.safeParse(entry).data ?? []) };
      },
    }),
    askLongArm: build.mutation<LongArmAnswer, LongArmJob>({
      query: (job) => ({ url: '/long-arm/quotes', method: 'POST', body: job }),
      transformResponse: async (said) => (await longArmReader()).parse(said),
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
      transformResponse: async ({ entry, answer }: { entry: unknown; answer: unknown }) => ({
        entry: entry === null ? null : (await logReader()).parse(entry),
        answer: answer === null ? null : (await longArmReader()).parse(answer),
      }),
    }),
    cancelLongArm: build.mutation<{ entry: LogEntry }, { quilt: string; entry: string; number: string }>({
      query: ({ number, ...body }) => ({
        url: `/long-arm/bookings/${encodeURIComponent(number)}/cancel`,
        method: 'POST',
        body,
      }),
      transformResponse: async ({ entry }: { entry: unknown }) => ({
        entry: (await logReader()).parse(entry),
      }),
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

export const {
  useAddPictureMutation,
  useAskLongArmMutation,
  useDrawnQuery,
  useShelfInfiniteQuery,
  useRemoveQuiltMutation,
  useRestoreQuiltMutation,
  useSaveQuiltMutation,
  useTakenOffQuery,
} = api;
