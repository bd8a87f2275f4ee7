/*
 * What can be written, at a glance. Without a library, so that whoever only names a format fetches none.
 */

/** Formats something is written in, with what such a file is and how its name ends. */
export const TYPES = {
  pdf: ['application/pdf', 'pdf'],
  svg: ['image/svg+xml', 'svg'],
  dxf: ['image/vnd.dxf', 'dxf'],
  csv: ['text/csv', 'csv'],
  png: ['image/png', 'png'],
  html: ['text/html', 'html'],
  zip: ['application/zip', 'zip'],
  json: ['application/json', 'plan.json'],
  ics: ['text/calendar', 'ics'],
  gpl: ['text/plain', 'gpl'],
  schema: ['application/schema+json', 'schema.json'],
} as const satisfies Readonly<Record<string, readonly [type: string, ending: string]>>;

export type Format = keyof typeof TYPES;
export const FORMATS = Object.keys(TYPES) as [Format, ...Format[]];

/** Sheets of paper, in points. */
export const PAPERS = { a4: [595.28, 841.89], letter: [612, 792] } as const;
export type PaperName = keyof typeof PAPERS;
export const PAPER_NAMES = Object.keys(PAPERS) as [PaperName, ...PaperName[]];
