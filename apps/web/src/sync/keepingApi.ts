import type { AnswerOf, BodySaid, NewLink, Numbers } from '@lattice/contract';
import { api } from './api.ts';
import { callOf } from './client.ts';

const keepingApi = api.enhanceEndpoints({ addTagTypes: ['backups', 'links'] }).injectEndpoints({
  endpoints: (build) => ({
    backups: build.query<AnswerOf<'listBackups'>, void>({
      query: () => callOf('listBackups', {}),
      providesTags: ['backups'],
    }),
    makeBackup: build.mutation<AnswerOf<'makeBackup'>, void>({
      query: () => callOf('makeBackup', {}),
      invalidatesTags: ['backups'],
    }),
    numbers: build.query<Numbers, void>({ query: () => callOf('numbers', {}) }),
    links: build.query<AnswerOf<'listLinks'>, void>({
      query: () => callOf('listLinks', {}),
      providesTags: ['links'],
    }),
    makeLink: build.mutation<NewLink, BodySaid<'makeLink'>>({
      query: (body) => callOf('makeLink', { body }),
      invalidatesTags: ['links'],
    }),
    takeLinkBack: build.mutation<void, string>({
      query: (id) => callOf('takeLinkBack', { params: { id } }),
      invalidatesTags: ['links'],
    }),
  }),
});

export const {
  useBackupsQuery,
  useMakeBackupMutation,
  useNumbersQuery,
  useLinksQuery,
  useMakeLinkMutation,
  useTakeLinkBackMutation,
} = keepingApi;
