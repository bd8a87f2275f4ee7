import type { SettingLengths } from './setting.ts';

/** Answers of a setting whose own length is its sash. */
export const sashOfOwn = {
  lengths: ({ sash }: Pick<SettingLengths, 'sash'>): Partial<SettingLengths> => ({ sash }),
  withLengths: <O extends Pick<SettingLengths, 'sash'>>(options: O, { sash = options.sash }): O => ({
    ...options,
    sash,
  }),
};

/** Answers of a setting whose own length is the float round its points. */
export const floatOfOwn = {
  lengths: ({ float }: Pick<SettingLengths, 'float'>): Partial<SettingLengths> => ({ float }),
  withLengths: <O extends Pick<SettingLengths, 'float'>>(options: O, { float = options.float }): O => ({
    ...options,
    float,
  }),
};
