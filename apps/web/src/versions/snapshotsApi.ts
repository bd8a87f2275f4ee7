import type { Plan } from '@lattice/core';
import { api } from '../app/api.ts';

/** How a quilt was: under a name it was given, or by the day. */
export interface Snapshot {
  readonly id: string;
  readonly name: string | null;
  readonly madeAt: string;
}

/** Snapshots of a quilt. */
const snapshotsApi = api.enhanceEndpoints({ addTagTypes: ['snapshots'] }).injectEndpoints({
  endpoints: (build) => ({
    snapshots: build.query<Snapshot[], string>({
      query: (quilt) => `/quilts/${quilt}/snapshots`,
      providesTags: ['snapshots'],
    }),
    snapshotPlan: build.query<{ plan: Plan }, { quilt: string; id: string }>({
      query: ({ quilt, id }) => `/quilts/${quilt}/snapshots/${id}`,
    }),
    makeSnapshot: build.mutation<Snapshot, { quilt: string; name: string }>({
      query: ({ quilt, name }) => ({ url: `/quilts/${quilt}/snapshots`, method: 'POST', body: { name } }),
      invalidatesTags: ['snapshots'],
    }),
    dropSnapshot: build.mutation<void, { quilt: string; id: string }>({
      query: ({ quilt, id }) => ({ url: `/quilts/${quilt}/snapshots/${id}`, method: 'DELETE' }),
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
