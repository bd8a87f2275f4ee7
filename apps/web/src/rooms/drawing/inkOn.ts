import { valueOf } from '@lattice/core';

/** Words on cloth of this colour: dark on light, light on dark. */
export const inkOn = (colour: string): string => (valueOf(colour) > 0.6 ? '#1b2433' : '#fbfcfc');
