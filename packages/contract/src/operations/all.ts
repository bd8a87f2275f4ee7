import type { Name } from '../addresses.ts';
import type { Operation } from '../operation.ts';
import { files } from './files.ts';
import { houseOperations } from './house.ts';
import { log } from './log.ts';
import { pictures } from './pictures.ts';
import { quilts } from './quilts.ts';
import { standIns } from './stand-ins.ts';
import { versions } from './versions.ts';

/** Everything there is to ask by what it is about, in the order a stranger would ask. */
export const GROUPS = {
  Quilts: { ...quilts, ...versions },
  'Lists and files': files,
  'The log': log,
  Pictures: pictures,
  'The house': houseOperations,
  'Stand-ins': standIns,
} as const;

/** Everything there is to ask. One that has an address and is not here, or is here without an address, is a type error. */
export const OPERATIONS = {
  ...quilts,
  ...versions,
  ...files,
  ...log,
  ...pictures,
  ...houseOperations,
  ...standIns,
} as const satisfies { readonly [N in Name]: Operation };

/** The same for whoever takes any of them alike. */
export const operationOf = (name: Name): Operation => OPERATIONS[name];
