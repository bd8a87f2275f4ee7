import type {
  AnswerOf,
  Arrived,
  LogPage,
  MadePicture,
  QuerySaid,
  RefusalAnswer,
  Saved,
  ShelfPage,
  StoredQuilt,
  TakenOff,
} from '@lattice/contract';
import type { LogEntry, LongArmAnswer, LongArmJob, Plan } from '@lattice/core';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { doorShut } from '../state/accessSlice.ts';
import { callOf } from './client.ts';
import { deviceName } from '../browser/device.ts';

const logReader = async () => (await import('./readLog.ts')).logEntrySchema;
const longArmReader = async () => (await import('./readLongArm.ts')).longArmAnswerSchema;

/** An error as the server words it. */
export type ServerError = RefusalAnswer;

/** What of the shelf is asked for: with words in its name or tags, at a stage, with a tag; in which order. */
export type ShelfAsked = Omit<QuerySaid<'listQuilts'>, 'after' | 'count'>;

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

const ask = fetchBaseQuery({ timeout: 15_000 });

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
      query: ({ queryArg: asked, pageParam: after }) =>
        callOf('listQuilts', { query: { ...asked, ...(after === null ? {} : { after }) } }),
      providesTags: ['shelf'],
    }),
    takenOff: build.query<TakenOff, void>({
      query: () => callOf('takenOff', {}),
      providesTags: ['shelf'],
    }),
    quilt: build.query<StoredQuilt, string>({ query: (id) => callOf('quilt', { params: { id } }) }),
    // For its drawing on the shelf: of one revision it is always the same.
    drawn: build.query<StoredQuilt, { id: string; revision: number }>({
      query: ({ id }) => callOf('quilt', { params: { id } }),
    }),
    // Under an id made here: sent again after a lost answer, it is the same quilt.
    addQuilt: build.mutation<StoredQuilt, { id: string; plan: Plan }>({
      query: (body) => callOf('addQuilt', { body: { ...body, by: deviceName() } }),
      invalidatesTags: ['shelf'],
    }),
    addParcel: build.mutation<Arrived, Blob>({
      query: (file) => callOf('arrive', { file }),
      invalidatesTags: ['shelf'],
    }),
    saveQuilt: build.mutation<Saved, { id: string; revision: number; plan: Plan }>({
      query: ({ id, ...body }) =>
        callOf('saveQuilt', { params: { id }, body: { ...body, by: deviceName() } }),
      invalidatesTags: ['shelf'],
    }),
    addPicture: build.mutation<MadePicture, { id: string; file: Blob }>({
      query: ({ id, file }) => callOf('addPicture', { query: { id }, file }),
    }),
    addEntries: build.mutation<AnswerOf<'addEntries'>, readonly LogEntry[]>({
      query: (entries) => callOf('addEntries', { body: { entries: [...entries] } }),
    }),
    logSince: build.query<LogPage, number>({
      query: (since) => callOf('logSince', { query: { since } }),
      transformResponse: async ({ entries, ...page }: Omit<LogPage, 'entries'> & { entries: unknown[] }) => {
        if (entries.length === 0) return { ...page, entries: [] };
        const log = await logReader();
        // What a newer server writes and this app does not know is left to newer apps.
        return { ...page, entries: entries.flatMap((entry) => log.safeParse(entry).data ?? []) };
      },
    }),
    askLongArm: build.mutation<LongArmAnswer, LongArmJob>({
      query: (body) => callOf('askLongArm', { body }),
      transformResponse: async (said) => (await longArmReader()).parse(said),
    }),
    bookLongArm: build.mutation<AnswerOf<'bookLongArm'>, { quilt: string; entry: string; job: LongArmJob }>({
      // Refused while the queue moved on is an answer too, not a failure.
      query: (body) => ({
        ...callOf('bookLongArm', { body }),
        validateStatus: ({ status }) => status === 201 || status === 409,
      }),
      transformResponse: async ({ entry, answer }: { entry: unknown; answer: unknown }) =>
        ({
          entry: entry === null ? null : (await logReader()).parse(entry),
          answer: answer === null ? null : (await longArmReader()).parse(answer),
        }) as AnswerOf<'bookLongArm'>,
    }),
    cancelLongArm: build.mutation<
      AnswerOf<'cancelLongArm'>,
      { quilt: string; entry: string; number: string }
    >({
      query: ({ number, ...body }) => callOf('cancelLongArm', { params: { number }, body }),
      transformResponse: async ({ entry }: { entry: unknown }) => ({
        entry: (await logReader()).parse(entry),
      }),
    }),
    removeQuilt: build.mutation<void, string>({
      query: (id) => callOf('removeQuilt', { params: { id } }),
      invalidatesTags: ['shelf'],
    }),
    restoreQuilt: build.mutation<StoredQuilt, string>({
      query: (id) => callOf('restoreQuilt', { params: { id } }),
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
