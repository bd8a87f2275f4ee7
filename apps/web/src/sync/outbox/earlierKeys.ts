/** Drafts as this browser kept them before there was an outbox, one slot a quilt. */
export const EARLIER = 'lattice-draft-';

/** Keys of such drafts, where there are any. */
export const earlierKeys = (storage: Storage): string[] =>
  Array.from({ length: storage.length }, (_, i) => storage.key(i)).filter(
    (key): key is string => key?.startsWith(EARLIER) ?? false,
  );
