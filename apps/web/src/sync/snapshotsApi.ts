import type { AnswerOf, Version } from '@lattice/contract';
import { api } from './api.ts';
import { callOf } from './client.ts';

/** Snapshots of a quilt. */
const snapshotsApi = api.enhanceEndpoints({ addTagTypes: ['snapshots'] }).injectEndpoints({
  endpoints: (build) => ({
    snapshots: build.query<AnswerOf<'listVersions'>, string>({
      query: (id) => callOf('listVersions', { params: { id } }),
      providesTags: ['snapshots'],
    }),
    snapshotPlan: build.query<AnswerOf<'version'>, { quilt: string; id: string }>({
      query: ({ quilt, id }) => callOf('version', { params: { id: quilt, snapshot: id } }),
    }),
    makeSnapshot: build.mutation<Version, { quilt: string; name: string }>({
      query: ({ quilt, name }) => callOf('keepVersion', { params: { id: quilt }, body: { name } }),
      invalidatesTags: ['snapshots'],
    }),
    dropSnapshot: build.mutation<void, { quilt: string; id: string }>({
      query: ({ quilt, id }) => callOf('dropVersion', { params: { id: quilt, snapshot: id } }),
      invalidatesTags: ['snapshots'],
    }),
  }),
});

export const {
  useSnapshotsQuery,
  useLazySnapshotPlanQuery,
  useMakeSnapshotMutation,
  useDropSnapshotMutation,
} = snapshotsApi;
