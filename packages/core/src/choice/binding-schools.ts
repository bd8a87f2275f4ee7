import type { Unit } from '../length/unit.ts';

/** Schools of reckoning a binding's length (rule BD-1); the first is the usual one. */
export const BINDING_SCHOOLS = ['plus-ten', 'round-up-sides', 'plus-twelve'] as const;
export type BindingSchool = (typeof BINDING_SCHOOLS)[number];

/** As they read in a list. */
export const SCHOOL_NAMES: Readonly<Record<BindingSchool, Readonly<Record<Unit, string>>>> = {
  'plus-ten': { in: 'All round + 10″ (usual)', cm: 'All round + 25 cm (usual)' },
  'round-up-sides': { in: 'Each side up to the next 10″', cm: 'Each side up to the next 25 cm' },
  'plus-twelve': { in: 'All round + 12″', cm: 'All round + 30 cm' },
};
