/** What only the maker can say of a finished quilt. */
export const RECORD_FIELDS = ['maker', 'for', 'place', 'thread', 'quilted', 'care', 'story'] as const;
export type RecordField = (typeof RECORD_FIELDS)[number];
