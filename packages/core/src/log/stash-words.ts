/** The log's place for what belongs to the maker and to no one quilt. */
export const STASH = 'stash';

/** What a piece of cloth is called by its shape; batting lies there too. */
export const STASH_KINDS = ['yardage', 'fat-quarter', 'strip', 'square', 'piece', 'batting'] as const;
export type StashKind = (typeof STASH_KINDS)[number];
