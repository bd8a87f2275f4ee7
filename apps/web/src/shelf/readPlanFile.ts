/** Reading a plan file, fetched when one is taken up: the shelf itself reads none. */
export { readPlanJson } from '@lattice/core';
