export { planChangesBetween } from '@lattice/core';
