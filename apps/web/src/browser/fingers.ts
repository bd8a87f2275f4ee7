/** Where fingers are what points; as the browser is asked it. */
export const FINGERS = '(pointer: coarse)';

/** Whether this device is used with fingers. */
export const byFinger = (): boolean => globalThis.matchMedia?.(FINGERS).matches ?? false;
