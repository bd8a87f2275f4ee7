/** What the server takes at most. One place for each: routes hold to it, and the descriptions say it. */
export const LIMITS = {
  /** A quilt's JSON. */
  json: '4mb',
  /** A photo straight from a telephone fits; a film does not. */
  pictureBytes: 25_000_000,
  /** A parcel on its way in. */
  parcel: '100mb',
  /** Letters of what a device calls itself: "Kitchen tablet". */
  deviceName: 60,
  /** Cards on a page of the shelf: when it is not said, and at most. */
  page: 48,
  pageMost: 100,
} as const;
