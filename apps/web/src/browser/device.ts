import { byFinger } from './fingers.ts';

const KEY = 'lattice-device';

/** What this device calls itself to others: a name it was given, or what it seems to be. */
export function deviceName(): string {
  try {
    return localStorage.getItem(KEY) ?? guess();
  } catch {
    return guess();
  }
}

/** Gives this device a name; an empty one lets it go. */
export function nameDevice(name: string): void {
  try {
    if (name.trim() === '') localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, name.trim().slice(0, 60));
  } catch {
    // A browser that keeps nothing keeps no name either.
  }
}

const guess = (): string => (byFinger() ? 'A tablet or phone' : 'A computer');

/** The paper printers have where this device is: letter in the north of America. */
export const usualPaper = (): 'letter' | 'a4' =>
  /^en-(US|CA)|^es-MX|^fr-CA/.test(navigator.language) ? 'letter' : 'a4';
