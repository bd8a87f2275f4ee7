import type { JournalKind } from '@lattice/core';

/** What each kind of line is called where one chooses. */
export const KIND_WORDS: Readonly<Record<JournalKind, string>> = {
  note: 'Notes and photos',
  change: 'Decisions',
  measure: 'Measurements',
  verdict: 'What was done about blocks',
  cut: 'Cutting',
  sewn: 'Sewing',
  bought: 'Buying and the stash',
  booked: 'Bookings',
  time: 'Time',
  group: 'The group',
};
