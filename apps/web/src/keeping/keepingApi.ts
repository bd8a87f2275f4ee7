import { api } from '../app/api.ts';

/** A backup beside the database. */
export interface Backup {
  readonly file: string;
  readonly kind: 'daily' | 'weekly' | 'by-hand' | 'before-restore';
  readonly madeAt: string;
  readonly bytes: number;
}

/** How the server has been doing since it started. */
interface Numbers {
  readonly since: string;
  readonly requests: number;
  readonly refused: number;
  readonly failed: number;
  readonly half: number;
  readonly most: number;
  readonly databaseBytes: number;
  readonly lastBackup: string | null;
  /** What lies there and cannot be read any more. */
  readonly unreadable: { readonly entries: number; readonly quilts: number };
}

/** A link that lets somebody in. */
interface ShareLink {
  readonly id: string;
  readonly name: string;
  readonly may: 'view' | 'edit';
  readonly madeAt: string;
}

/** A link as it is told once: its address, and that as a picture. */
export interface NewLink extends ShareLink {
  readonly url: string;
  readonly qr: string;
}

const keepingApi = api.enhanceEndpoints({ addTagTypes: ['backups', 'links'] }).injectEndpoints({
  endpoints: (build) => ({
    backups: build.query<Backup[], void>({ query: () => '/backups', providesTags: ['backups'] }),
    makeBackup: build.mutation<Backup & { quilts: number; pictures: number }, void>({
      query: () => ({ url: '/backups', method: 'POST' }),
      invalidatesTags: ['backups'],
    }),
    numbers: build.query<Numbers, void>({ query: () => '/numbers' }),
    links: build.query<{ address: string | null; links: ShareLink[] }, void>({
      query: () => '/links',
      providesTags: ['links'],
    }),
    makeLink: build.mutation<NewLink, { name: string; may: 'view' | 'edit' }>({
      query: (body) => ({ url: '/links', method: 'POST', body }),
      invalidatesTags: ['links'],
    }),
    takeLinkBack: build.mutation<void, string>({
      query: (id) => ({ url: `/links/${id}`, method: 'DELETE' }),
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
