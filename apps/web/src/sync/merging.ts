// What is fetched only where a quilt was changed in two places.
export { mergePlans, withTheirs } from '@lattice/core';
