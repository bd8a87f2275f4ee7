import { textOf } from '@lattice/core';

/** The text of a file, however the program that saved it wrote its letters. */
export const fileText = async (file: Blob): Promise<string> =>
  textOf(new Uint8Array(await file.arrayBuffer()));
