/** The whole public face of the camera: what a photo tells of blocks. Everything outside imports from here. */
export { type Camera, cameraOf } from './camera.ts';
export { type PhotoAsked, type PhotoRefused } from './asked.ts';
export { UNSETTLED } from './doubts.ts';
export { measurePhoto, type PhotoMeasured } from './measure.ts';
export { type LayoutAsked, readLayout, type ReadLayout, type ReadPlace } from './read-layout.ts';
export { type Raster } from './raster.ts';
export { fromTopLeft, type Reference, SHEETS } from './reference.ts';
export { inRow, offSquareBy, type SixLengths, sixLengths } from './six-lengths.ts';
export { colourAt, straightened } from './straighten.ts';
export { paperIn, swatchOf } from './swatch.ts';
export { DOUBT_WORDS, KIND_WORDS, photoKindOf, REFUSED_WORDS } from './words.ts';
