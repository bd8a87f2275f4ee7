import { type LongArmAnswer, longArmAnswerSchema, type LongArmJob, type Plan } from '@lattice/core';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

/** A quilt as the server keeps it. */
export interface StoredQuilt {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly plan: Plan;
}

/** A picture as the server made it: its id, the colours it found, and what it did that one would want to know. */
export interface StoredPicture {
  readonly id: string;
  readonly colours: readonly string[];
  readonly edge: string | null;
  readonly notes: readonly string[];
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
    addQuilt: build.mutation<StoredQuilt, Plan>({
      query: (plan) => ({ url: '/quilts', method: 'POST', body: { plan } }),
      invalidatesTags: ['shelf'],
    }),
    saveQuilt: build.mutation<StoredQuilt, { id: string; revision: number; plan: Plan }>({
      query: ({ id, ...body }) => ({ url: `/quilts/${id}`, method: 'PUT', body }),
      invalidatesTags: ['shelf'],
    }),
    addPicture: build.mutation<StoredPicture, File>({
      query: (file) => {
        const body = new FormData();
        body.append('picture', file);
        return { url: '/pictures', method: 'POST', body };
      },
    }),
    askLongArm: build.mutation<LongArmAnswer, LongArmJob>({
      query: (job) => ({ url: '/long-arm/quotes', method: 'POST', body: job }),
      transformResponse: (said) => longArmAnswerSchema.parse(said),
    }),
    bookLongArm: build.mutation<{ number: string | null; answer: LongArmAnswer }, LongArmJob>({
      // Refused while the queue moved on is an answer too, not a failure.
      query: (job) => ({
        url: '/long-arm/bookings',
        method: 'POST',
        body: job,
        validateStatus: ({ status }) => status === 201 || status === 409,
      }),
      transformResponse: (said: { number: string | null; answer: unknown }) => ({
        number: said.number,
        answer: longArmAnswerSchema.parse(said.answer),
      }),
    }),
    // A booking the service no longer knows is as good as taken back.
    cancelLongArm: build.mutation<void, string>({
      query: (number) => ({
        url: `/long-arm/bookings/${number}`,
        method: 'DELETE',
        validateStatus: ({ status }) => status === 204 || status === 404,
      }),
      transformResponse: () => undefined,
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
  useBookLongArmMutation,
  useCancelLongArmMutation,
  useShelfQuery,
  useAddQuiltMutation,
  useRemoveQuiltMutation,
  useRestoreQuiltMutation,
} = api;
